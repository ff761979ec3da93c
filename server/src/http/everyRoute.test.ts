import { spawnSync } from 'node:child_process';
import { resolve } from 'node:path';
import { allEndpoints, openApiDocument } from '@icy-ribbon/contract';
import type { Express, Router } from 'express';
import { studioRouter } from '../app.ts';
import { openStudio } from '../testing/studio.ts';

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
