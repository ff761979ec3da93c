import { z } from 'zod';
import { tableOf } from './common.ts';
import { endpoint } from './endpoint.ts';

export const calculations = {
  list: endpoint({
    method: 'GET',
    path: '/api/calculations',
    summary: 'What is computed here, by which law, from which source',
    tag: 'calculations',
    response: z.array(
      z.object({
        name: z.string(),
        title: z.string(),
        law: z.string(),
        source: z.string(),
        range: z.string(),
      }),
    ),
  }),
  run: endpoint({
    method: 'POST',
    path: '/api/calculations/:name',
    summary: 'Run one calculation',
    tag: 'calculations',
    by: 'table',
    params: z.object({ name: z.string().max(80) }),
    body: tableOf(z.unknown(), 100),
    response: z.record(z.string(), z.unknown()),
  }),
};
