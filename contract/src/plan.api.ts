import { pieceIdParams } from './common.ts';
import { endpoint } from './endpoint.ts';
import { piecePlanPutSchema, piecePlanSchema } from './plan.ts';

export const plans = {
  put: endpoint({
    method: 'PUT',
    path: '/api/pieces/:pieceId/plan',
    summary: 'Plan how a piece is poured',
    tag: 'plan',
    params: pieceIdParams,
    body: piecePlanPutSchema,
    response: piecePlanSchema,
  }),
};
