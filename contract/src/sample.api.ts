import { z } from 'zod';
import { idSchema } from './common.ts';
import { endpoint } from './endpoint.ts';

/** The piece that is there to be looked through; null when there is none. */
const sampleSchema = z.object({ pieceId: idSchema.nullable() });

export const sample = {
  get: endpoint({
    method: 'GET',
    path: '/api/sample',
    summary: 'The sample piece, if it is there',
    tag: 'results',
    response: sampleSchema,
  }),
  add: endpoint({
    method: 'POST',
    path: '/api/sample',
    summary:
      'Put a sample piece in, poured and measured, to be looked through; its numbers and photos are made up',
    tag: 'results',
    response: sampleSchema,
    status: 201,
  }),
  remove: endpoint({
    method: 'DELETE',
    path: '/api/sample',
    summary: 'Take the sample piece out again, with the paints that came with it',
    tag: 'results',
    response: sampleSchema,
  }),
};
