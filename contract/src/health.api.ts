import { z } from 'zod';
import { endpoint } from './endpoint.ts';

export const health = endpoint({
  method: 'GET',
  path: '/api/health',
  summary: 'Whether the server is up',
  tag: 'health',
  response: z.object({
    status: z.enum(['ok', 'damaged', 'restoring']),
    version: z.string(),
    demo: z.boolean(),
  }),
});
