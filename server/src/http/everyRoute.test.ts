import { spawnSync } from 'node:child_process';
import { resolve } from 'node:path';
import { allEndpoints, endpoint, openApiDocument } from '@icy-ribbon/contract';
import express, { type Express, type Router } from 'express';
import request from 'supertest';
import { z } from 'zod';
import { studioRouter } from '../app.ts';
import { write } from '../db/write.ts';
import { openStudio } from '../testing/studio.ts';
import { problemHandler } from './problem.ts';
import { route } from './route.ts';

interface Layer {
  readonly route?: { readonly path: string; readonly methods: Readonly<Record<string, boolean>> };
  readonly handle?: { readonly stack?: readonly Layer[] };
}

/** "GET /api/pieces" for every route of a router and of those within it. */
function routesOf({ stack }: { readonly stack: readonly Layer[] }): string[] {
  return stack.flatMap(({ route, handle }) =>
    route
      ? Object.keys(route.methods).map((method) => `${method.toUpperCase()} ${route.path}`)
      : routesOf({ stack: handle?.stack ?? [] }),
  );
}

it('every route that the server has is in the contract, and every call of the contract has its route', async () => {
  const { served, folder, close } = await openStudio();
  const nothing = {} as never;
  const studio: Router = studioRouter({
    ...{ db: nothing, files: nothing, tasks: nothing, jobs: nothing },
    demoFolder: '',
    dataFolder: folder,
    beforeDeleting: (_request, _response, next) => next(),
  });
  const app: Express = served.app;
  const found = [...routesOf(app.router as never), ...routesOf(studio as never)];
  await close();
  const ours = new Set(found.filter((each) => each.includes('/api/')));
  expect(ours).toEqual(new Set(allEndpoints().map(({ method, path }) => `${method} ${path}`)));
});

it('the OpenAPI document passes a public validator', () => {
  const script = `
    import { Validator } from '@seriousme/openapi-schema-validator';
    let text = '';
    for await (const part of process.stdin) text += part;
    const { valid, errors } = await new Validator().validate(JSON.parse(text));
    console.log(JSON.stringify({ valid, errors }));`;
  const { stdout } = spawnSync(process.execPath, ['--input-type=module', '--eval', script], {
    cwd: resolve(__dirname, '../../..'),
    input: JSON.stringify(openApiDocument('1.0.0')),
    encoding: 'utf8',
  });
  expect(JSON.parse(stdout)).toEqual({ valid: true });
}, 60_000);

it('what its own answer could not carry is not kept: it is refused with the field, by every route that writes', async () => {
  const { db, close } = await openStudio();
  const named = endpoint({
    method: 'POST',
    path: '/named/:name',
    summary: '',
    tag: '',
    params: z.object({ name: z.string() }),
    response: z.object({ name: z.string().max(5, 'Too long to be shown.') }),
  });
  const app = express();
  app.use((_request, response, next) => {
    response.locals.caller = { device: null, isHome: true, rank: 'host', isIn: () => true };
    next();
  });
  route(app, named, ({ params: { name } }) =>
    write(db, async (trx) => {
      await trx.insertInto('studio').values({ key: name, value: name }).execute();
      return { name };
    }),
  );
  app.use(problemHandler(() => {}));
  await request(app).post('/named/short').expect(200);
  const { body } = await request(app).post('/named/too-long-to-be-shown').expect(422);
  expect(body.errors).toEqual([{ path: 'name', message: 'Too long to be shown.' }]);
  const rows = await db
    .selectFrom('studio')
    .select('key')
    .where('key', 'in', ['short', 'too-long-to-be-shown'])
    .execute();
  expect(rows).toEqual([{ key: 'short' }]);
  await close();
});
