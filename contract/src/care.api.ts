import { z } from 'zod';
import { careEventSchema } from './care.ts';
import { pieceIdParams } from './common.ts';
import { endpoint } from './endpoint.ts';

export const care = {
  append: endpoint({
    method: 'POST',
    path: '/api/pieces/:pieceId/care',
    summary: 'Log what happens to a piece after its pour; sending the same id again changes nothing',
    tag: 'rack',
    params: pieceIdParams,
    body: careEventSchema,
    response: z.object({ care: z.array(careEventSchema) }),
    status: 201,
  }),
};
