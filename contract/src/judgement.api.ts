import { pieceIdParams } from './common.ts';
import { endpoint } from './endpoint.ts';
import { judgementPutSchema, judgementSchema } from './judgement.ts';

export const judgements = {
  put: endpoint({
    method: 'PUT',
    path: '/api/pieces/:pieceId/judgement',
    summary: 'Judge a piece',
    tag: 'results',
    by: 'table',
    params: pieceIdParams,
    body: judgementPutSchema,
    response: judgementSchema,
  }),
};
