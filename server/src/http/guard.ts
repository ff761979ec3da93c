import { timingSafeEqual, createHash } from 'node:crypto';
import { networkInterfaces } from 'node:os';
import type { RequestHandler } from 'express';
import type { Config } from '../config.ts';
import { HttpProblem } from './problem.ts';

const READING = new Set(['GET', 'HEAD', 'OPTIONS']);

/**
 * Lets a request in only when it was sent to one of this server's own names (so that a page elsewhere
 * cannot reach it through a name it controls) and, when it writes, only from a page of this server.
 */
export function originGuard(config: Config): RequestHandler {
  return (request, _response, next) => {
    const host = request.headers.host ?? '';
    if (!ownNames(config).has(hostName(host))) {
      throw new HttpProblem(
        'wrong-address',
        'This server does not answer under that host name. ICY_RIBBON_HOSTS can add one.',
      );
    }
    const isApi = request.path.startsWith('/api/');
    if (!READING.has(request.method) && !isSameOrigin(request.headers, host)) {
      throw new HttpProblem('not-from-here', 'Only Icy Ribbon’s own pages may write.');
    }
    // An image tag elsewhere cannot see an answer, but it could have a large one made again and again.
    if (isApi && isElsewhere(request.headers)) {
      throw new HttpProblem('not-from-here', 'Only Icy Ribbon’s own pages may ask for this.');
    }
    next();
  };
}

function ownNames(config: Config): Set<string> {
  const names = new Set(['127.0.0.1', 'localhost', '[::1]', ...config.allowedHosts]);
  if (config.passphrase !== null) {
    for (const address of Object.values(networkInterfaces()).flat()) {
      if (address) names.add(address.family === 'IPv6' ? `[${address.address}]` : address.address);
    }
  }
  return names;
}

/** "localhost:4480" -> "localhost", "[::1]:4480" -> "[::1]". */
function hostName(host: string): string {
  return host.toLowerCase().replace(/:\d+$/, '');
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

/** Asks for the passphrase (HTTP Basic, any user name) when one is set. */
export function passphraseGuard(passphrase: string | null): RequestHandler {
  return (request, response, next) => {
    if (passphrase === null || knows(passphrase, request.headers.authorization)) {
      next();
      return;
    }
    response.setHeader('WWW-Authenticate', 'Basic realm="Icy Ribbon", charset="UTF-8"');
    throw new HttpProblem('passphrase-needed', 'Enter the passphrase of this studio.');
  };
}

function knows(passphrase: string, authorization: string | undefined): boolean {
  const encoded = authorization?.match(/^Basic (.+)$/)?.[1];
  if (!encoded) return false;
  const given = Buffer.from(encoded, 'base64')
    .toString('utf8')
    .replace(/^[^:]*:/, '');
  const digest = (text: string) => createHash('sha256').update(text).digest();
  return timingSafeEqual(digest(given), digest(passphrase));
}
