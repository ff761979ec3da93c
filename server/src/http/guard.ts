import { timingSafeEqual, createHash } from 'node:crypto';
import { networkInterfaces } from 'node:os';
import { api } from '@icy-ribbon/contract';
import type { Request, RequestHandler } from 'express';
import type { Config } from '../config.ts';
import { tokenOf } from '../device/cookie.ts';
import { SIGNED_OUT, type Caller } from '../device/caller.ts';
import type { Devices } from '../device/devices.ts';
import { JOIN_PATH } from '../device/join.ts';
import { isReading } from './method.ts';
import { HttpProblem } from './problem.ts';

/**
 * Lets a request in only when it was sent to one of this server's own names (so that a page elsewhere
 * cannot reach it through a name it controls) and, when it writes, only from a page of this server.
 */
export function originGuard(config: Config, isDoorOpen: () => boolean = () => false): RequestHandler {
  return (request, _response, next) => {
    const host = request.headers.host ?? '';
    if (!ownNames(config, isDoorOpen()).has(hostName(host))) {
      throw new HttpProblem(
        'wrong-address',
        'This server does not answer under that host name. ICY_RIBBON_HOSTS can add one.',
      );
    }
    const isApi = request.path.startsWith('/api/');
    if (!isReading(request.method) && !isSameOrigin(request.headers, host)) {
      throw new HttpProblem('not-from-here', 'Only Icy Ribbon’s own pages may write.');
    }
    // An image tag elsewhere cannot see an answer, but it could have a large one made again and again.
    if (isApi && isElsewhere(request.headers)) {
      throw new HttpProblem('not-from-here', 'Only Icy Ribbon’s own pages may ask for this.');
    }
    next();
  };
}

function ownNames(config: Config, isDoorOpen: boolean): Set<string> {
  const names = new Set(['127.0.0.1', 'localhost', '[::1]', ...config.allowedHosts]);
  if (config.passphrase !== null || isDoorOpen) {
    for (const address of Object.values(networkInterfaces()).flat()) {
      if (address) names.add(address.family === 'IPv6' ? `[${address.address}]` : address.address);
    }
  }
  return names;
}

/** "localhost:4480" -> "localhost", "[::1]:4480" -> "[::1]"; with a port that is none, nothing. */
function hostName(host: string): string {
  const [, name = '', port = '80'] = /^(.*?)(?::([^:\]]*))?$/.exec(host.toLowerCase()) ?? [];
  return /^\d{1,5}$/.test(port) && Number(port) <= 65_535 ? name : '';
}

type Headers = Record<string, string | string[] | undefined>;

function isElsewhere(headers: Headers): boolean {
  const site = headers['sec-fetch-site'];
  return site !== undefined && site !== 'same-origin' && site !== 'none';
}

function isSameOrigin(headers: Headers, host: string): boolean {
  if (isElsewhere(headers)) return false;
  const origin = headers.origin;
  if (origin === undefined) return true;
  return origin === `http://${host}` || origin === `https://${host}`;
}

const LOOPBACK = new Set(['127.0.0.1', '::1', '::ffff:127.0.0.1']);

/**
 * Lets in who sits at the machine itself (unless a passphrase is set), who knows the passphrase (HTTP Basic, any user
 * name), and devices that are signed in. Everyone else is shown where to join.
 */
export function signInGuard({ passphrase, isLoopback }: Config, devices: Devices): RequestHandler {
  return (request, response, next) => {
    const token = tokenOf(request.headers.cookie);
    const device = token === undefined ? undefined : devices.find(token);
    const isAtHome = LOOPBACK.has(request.socket.remoteAddress ?? '');
    const knowsIt = passphrase !== null && knows(passphrase, request.headers.authorization);
    const isHome = isAtHome && (passphrase === null || knowsIt);
    const caller: Caller = {
      device: device ?? null,
      isHome,
      rank: isHome ? 'host' : knowsIt ? 'studio' : (device?.kind ?? 'table'),
      isIn: () => isHome || knowsIt || (device !== undefined && devices.isIn(device.id)),
    };
    response.locals.caller = caller;
    if (caller.isIn()) {
      next();
      return;
    }
    if (isCalendar(request, devices.calendarToken)) {
      response.locals.caller = {
        device: null,
        isHome: false,
        rank: 'table',
        isIn: () => true,
      } satisfies Caller;
      next();
      return;
    }
    // A device that was signed out is to join again, not to guess at a passphrase.
    if (passphrase !== null && token === undefined && (isAtHome || !isLoopback)) {
      response.setHeader('WWW-Authenticate', 'Basic realm="Icy Ribbon", charset="UTF-8"');
      throw new HttpProblem('passphrase-needed', 'Enter the passphrase of this studio.');
    }
    if (request.method === 'GET' && request.accepts(['json', 'html']) === 'html') {
      response.redirect(303, JOIN_PATH);
      return;
    }
    throw SIGNED_OUT();
  };
}

/** A calendar reads its dates by a token in the address, and nothing else. */
function isCalendar({ method, path, query }: Request, token: string | null): boolean {
  const isFeed = path === api.calendar.feed.path && (method === 'GET' || method === 'HEAD');
  return isFeed && token !== null && typeof query.token === 'string' && isSame(query.token, token);
}

function isSame(given: string, wanted: string): boolean {
  const digest = (text: string) => createHash('sha256').update(text).digest();
  return timingSafeEqual(digest(given), digest(wanted));
}

function knows(passphrase: string, authorization: string | undefined): boolean {
  const encoded = authorization?.match(/^Basic (.+)$/)?.[1];
  if (!encoded) return false;
  const given = Buffer.from(encoded, 'base64')
    .toString('utf8')
    .replace(/^[^:]*:/, '');
  return isSame(given, passphrase);
}
