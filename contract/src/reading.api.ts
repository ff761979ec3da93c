import { z } from 'zod';
import { idParams, pieceIdParams } from './common.ts';
import { endpoint } from './endpoint.ts';
import { readingSchema, readingsCreateSchema } from './reading.ts';

export const readings = {
  add: endpoint({
    method: 'POST',
    path: '/api/pieces/:pieceId/readings',
    summary: 'Keep readings of thickness, or all lanes of a race; sending the same ids again changes nothing',
    tag: 'thickness',
    by: 'table',
    params: pieceIdParams,
    body: readingsCreateSchema,
    response: z.object({ readings: z.array(readingSchema) }),
    status: 201,
  }),
  strike: endpoint({
    method: 'POST',
    path: '/api/readings/:id/strike',
    summary: 'Strike a reading out, or let it count again',
    tag: 'thickness',
    by: 'table',
    params: idParams,
    body: z.object({ struck: z.boolean() }),
    response: z.object({ readings: z.array(readingSchema) }),
  }),
};
