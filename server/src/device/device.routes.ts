import { api, TAB_HEADER, type Devices as Shown, type Live } from '@icy-ribbon/contract';
import type { RequestHandler, Response, Router } from 'express';
import { HttpProblem, notFound, unfit } from '../http/problem.ts';
import { check, route } from '../http/route.ts';
import type { Devices, KeptDevice } from './devices.ts';
import type { Door } from './door.ts';
import type { Invitations } from './invitations.ts';
import { JOIN_PATH } from './join.ts';
import type { Hub } from './live.ts';

export interface DeviceParts {
  readonly devices: Devices;
  readonly door: Door;
  readonly invitations: Invitations;
  readonly hub: Hub;
  /** The script that starts the pages that are given now. */
  readonly script: () => string | undefined;
}

/** Who a request is from, as the guard found out. */
export interface Caller {
  /** Null at home, or by the passphrase. */
  readonly device: KeptDevice | null;
  readonly isHome: boolean;
}
export const callerOf = ({ locals }: Response): Caller => locals.caller as Caller;

const BEAT_MS = 20_000;

export function deviceRoutes(router: Router, parts: DeviceParts): void {
  const { devices, door, invitations, hub } = parts;
  const shown = (caller: Caller): Shown => ({
    door: door.state(),
    devices: devices.list().map(({ id, name, joinedAt, seenAt, until }) => ({
      ...{ id, name, joinedAt, seenAt, until, isThis: id === caller.device?.id },
    })),
    isHome: caller.isHome,
  });

  route(router, api.devices.show, (_input, response) => shown(callerOf(response)));
  route(router, api.devices.setDoor, async ({ body }, response) => {
    const caller = callerOf(response);
    if (!caller.isHome) {
      throw new HttpProblem(
        'not-from-here',
        'Only the machine that the studio lies on can open and close it.',
      );
    }
    try {
      await door.set(body.isOpen, body.isSecure);
    } catch (error) {
      throw unfit('isOpen', error instanceof Error ? error.message : 'It cannot be opened.');
    }
    return shown(caller);
  });
  route(router, api.devices.invite, ({ body }) => {
    const { isOpen, addresses } = door.state();
    if (!isOpen) throw unfit('keepDays', 'Let other devices in first.');
    const { code, until } = invitations.make(body.keepDays);
    const urls = addresses.map(({ url }) => new URL(`${JOIN_PATH}?code=${code}`, url).href);
    return { code, until: until.toISOString(), urls };
  });
  /** What listens, by its device. */
  const listening = new Map<Response, string | undefined>();

  route(router, api.devices.signOut, async ({ params }, response) => {
    if (!(await devices.signOut(params.id))) throw notFound('device');
    for (const [stream, id] of listening) if (id === params.id) stream.end();
    return shown(callerOf(response));
  });
  route(router, api.devices.doing, ({ body }) => {
    hub.say(body);
    return {};
  });

  router.get(api.devices.live.path, (request, response) => {
    const { tab } = check(api.devices.live.query, request.query);
    response.writeHead(200, {
      'Content-Type': api.devices.live.gives,
      'Cache-Control': 'no-cache, no-transform',
    });
    response.write(':\n\n');
    const { device, isHome } = callerOf(response);
    const name = device?.name ?? (isHome ? 'the computer' : 'another device');
    const tell = (live: Live) => response.write(`data: ${JSON.stringify(live)}\n\n`);
    const script = parts.script();
    if (script) tell({ kind: 'pages', script });
    const stop = hub.listen(tab, name, tell);
    listening.set(response, device?.id);
    // A line that says nothing finds out whether anyone listens still.
    const beat = setInterval(() => response.write(':\n\n'), BEAT_MS);
    response.on('close', () => {
      clearInterval(beat);
      listening.delete(response);
      stop();
    });
  });
}

const READING = new Set(['GET', 'HEAD', 'OPTIONS']);

/** Tells all pages when a write has been done, and of which piece as far as it is known. */
export function tellChanges(hub: Hub): RequestHandler {
  return (request, response, next) => {
    if (!READING.has(request.method)) {
      response.once('finish', () => {
        if (response.statusCode >= 300) return;
        const tab = request.headers[TAB_HEADER];
        const { pieceId } = response.locals as { pieceId?: string | undefined };
        hub.changed(typeof tab === 'string' ? tab : null, pieceId ?? null);
      });
    }
    next();
  };
}
