import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { extname, join } from 'node:path';
import express, { type RequestHandler, type Router } from 'express';
import helmet from 'helmet';
import { HttpProblem } from './problem.ts';

/**
 * Security headers with a content policy that allows nothing from outside. Styles made at run time carry
 * a nonce that is new with every page.
 */
export function securityHeaders(): RequestHandler {
  const nonceOf = (_request: unknown, { locals }: { locals?: Record<string, unknown> }) =>
    `'nonce-${String(locals?.nonce)}'`;
  const headers = helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'none'"],
        scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
        styleSrc: ["'self'", nonceOf as never],
        imgSrc: ["'self'", 'blob:', 'data:'],
        fontSrc: ["'self'"],
        connectSrc: ["'self'"],
        workerSrc: ["'self'"],
        manifestSrc: ["'self'"],
        formAction: ["'self'"],
        baseUri: ["'none'"],
        frameAncestors: ["'none'"],
      },
    },
    strictTransportSecurity: false,
  });
  return (request, response, next) => {
    response.locals.nonce = randomBytes(16).toString('base64');
    headers(request, response, next);
  };
}

/** The script that starts the pages as they are built now; a page that was started by another is older. */
export function startingScript(webFolder: string): string | undefined {
  const pageFile = join(webFolder, 'index.html');
  if (!existsSync(pageFile)) return undefined;
  const scripts = readFileSync(pageFile, 'utf8').matchAll(/<script type="module"[^>]* src="([^"]+)"/g);
  return [...scripts].at(-1)?.[1];
}

const ASSET_AGE_S = 31_536_000;
const TYPES: Readonly<Record<string, string>> = {
  '.js': 'text/javascript; charset=utf-8',
  '.css': 'text/css; charset=utf-8',
  '.svg': 'image/svg+xml',
  '.wasm': 'application/wasm',
};

/** Leads a browser that can read them to the copies that the build has compressed. */
function compressedCopies(folder: string): RequestHandler {
  const copies = new Map<string, boolean>();
  return (request, response, next) => {
    const type = TYPES[extname(request.path)];
    if (!type || request.method !== 'GET' || !/\bbr\b/.test(String(request.headers['accept-encoding']))) {
      next();
      return;
    }
    const { path } = request;
    const isThere = copies.get(path) ?? existsSync(join(folder, `${path}.br`));
    if (existsSync(folder)) copies.set(path, isThere);
    if (isThere) {
      request.url = `${path}.br`;
      response.setHeader('Content-Encoding', 'br');
      response.setHeader('Vary', 'Accept-Encoding');
      response.type(type);
    }
    next();
  };
}

/** Serves the built page: hashed assets for good, the page itself always fresh and with its nonce. */
export function servePage(router: Router, webFolder: string): void {
  const pageFile = join(webFolder, 'index.html');
  router.use('/assets', compressedCopies(join(webFolder, 'assets')));
  router.use(
    '/assets',
    express.static(join(webFolder, 'assets'), {
      immutable: true,
      maxAge: ASSET_AGE_S * 1000,
      fallthrough: false,
    }),
  );
  router.use(express.static(webFolder, { index: false }));
  router.get('/{*path}', (request, response) => {
    if (request.path.startsWith('/api/')) {
      throw new HttpProblem('not-found', 'There is no such address in the API.');
    }
    if (!existsSync(pageFile)) {
      throw new HttpProblem('not-built', 'The pages are not built yet: run "npm run build".');
    }
    const page = readFileSync(pageFile, 'utf8').replaceAll('%NONCE%', String(response.locals.nonce));
    response.setHeader('Cache-Control', 'no-store');
    response.type('html').send(page);
  });
}
