import { api, TAB_HEADER, type Devices as Shown } from '@icy-ribbon/contract';
import type { RequestHandler, Router } from 'express';
import { storageFault } from '../db/fault.ts';
import { notFound, unfit } from '../http/problem.ts';
import { isReading } from '../http/method.ts';
import { check, route } from '../http/route.ts';
import { callerOf, type Caller } from './caller.ts';
import type { Devices } from './devices.ts';
import type { Door } from './door.ts';
import type { Invitations } from './invitations.ts';
import { JOIN_PATH } from './join.ts';
import { lineOf, type Hub } from './live.ts';
import { notAllowed } from './rights.ts';
import type { Streams } from './streams.ts';

export interface DeviceParts {
  readonly devices: Devices;
  readonly door: Door;
  readonly invitations: Invitations;
  readonly hub: Hub;
  readonly streams: Streams;
  /** The script that starts the pages that are given now. */
  readonly script: () => string | undefined;
}

export function deviceRoutes(router: Router, parts: DeviceParts): void {
  const { devices, door, invitations, hub, streams } = parts;
  const shown = (caller: Caller): Shown => ({
    door: door.state(),
    devices: devices.list().map(({ id, name, kind, joinedAt, seenAt, until }) => ({
      ...{ id, name, kind, joinedAt, seenAt, until, isThis: id === caller.device?.id },
    })),
    isHome: caller.isHome,
    rank: caller.rank,
  });

  route(router, api.devices.show, (_input, response) => shown(callerOf(response)));
  route(router, api.devices.setDoor, async ({ body }, response) => {
    try {
      await door.set(body.isOpen, body.isSecure);
    } catch (error) {
      if (storageFault(error)) throw error;
      throw unfit('isOpen', error instanceof Error ? error.message : "It can't be opened.");
    }
    return shown(callerOf(response));
  });
  route(router, api.devices.invite, ({ body: { keepDays, kind } }) => {
    const { isOpen, addresses } = door.state();
    if (!isOpen) throw unfit('keepDays', 'Let other devices in first.');
    const { code, until } = invitations.make(keepDays, kind ?? (keepDays === 1 ? 'table' : 'studio'));
    const urls = addresses.map(({ url }) => new URL(`${JOIN_PATH}?code=${code}`, url).href);
    return { code, until: until.toISOString(), urls };
  });
  route(router, api.devices.signOut, async ({ params }, response) => {
    const { device, rank } = callerOf(response);
    if (rank === 'table' && device?.id !== params.id) throw notAllowed('studio');
    if (!(await devices.signOut(params.id))) throw notFound('device');
    streams.endOf(params.id);
    return shown(callerOf(response));
  });
  route(router, api.devices.doing, ({ body }, response) => {
    hub.say(body);
    const { device } = callerOf(response);
    if (device && body.doing) devices.noteUse(device.id);
    return {};
  });

  router.get(api.devices.live.path, (request, response) => {
    const { tab } = check(api.devices.live.query, request.query);
    const { device, isHome, isIn } = callerOf(response);
    const endsAt = () => (device === null ? null : isIn() ? devices.endOf(device) : new Date(0));
    const who = device?.id ?? (isHome ? HOME : `by passphrase from ${request.socket.remoteAddress}`);
    const { tell } = streams.open(response, who, tab, endsAt);
    response.writeHead(200, {
      'Content-Type': api.devices.live.gives,
      'Cache-Control': 'no-cache, no-transform',
    });
    tell(':\n\n');
    const script = parts.script();
    if (script) tell(lineOf({ kind: 'pages', script }));
    if (device) tell(lineOf({ kind: 'sign-in', until: device.until }));
    const name = device?.name ?? (isHome ? 'the computer' : 'another device');
    response.on('close', hub.listen(tab, name, tell));
  });
}

const HOME = 'home';

/** What is done at the table: a device that does it is in use. */
const AT_THE_TABLE = /^\/api\/(mixes|pieces)\/[^/]+\/(additions|events|readings)/;

/** Tells all pages when a write has been done, and of which piece as far as it is known. */
export function tellChanges(hub: Hub, devices: Devices): RequestHandler {
  return (request, response, next) => {
    const path = request.originalUrl;
    if (!isReading(request.method)) {
      response.once('finish', () => {
        if (response.statusCode >= 300) return;
        const { device } = callerOf(response);
        if (device && AT_THE_TABLE.test(path)) devices.noteUse(device.id);
        const tab = request.headers[TAB_HEADER];
        const { pieceId } = response.locals as { pieceId?: string | undefined };
        hub.changed(typeof tab === 'string' ? tab : null, pieceId ?? null);
      });
    }
    next();
  };
}
