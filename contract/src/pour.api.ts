import { z } from 'zod';
import { pieceIdParams } from './common.ts';
import { endpoint } from './endpoint.ts';
import { pourEventSchema } from './pour.ts';

export const pours = {
  append: endpoint({
    method: 'POST',
    path: '/api/pieces/:pieceId/events',
    summary: 'Log an event of the pour; sending the same id again changes nothing',
    tag: 'pour',
    by: 'table',
    params: pieceIdParams,
    body: pourEventSchema,
    response: z.object({ events: z.array(pourEventSchema) }),
    status: 201,
  }),
};
