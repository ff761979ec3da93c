import { z } from 'zod';
import { idParams, longPageQuery, pageOf, versionBody, versionQuery } from './common.ts';
import { drillRunCreateSchema, drillRunSchema } from './drill.ts';
import { endpoint } from './endpoint.ts';

export const drills = {
  list: endpoint({
    method: 'GET',
    path: '/api/drills',
    summary: 'Drills that were played, the newest first',
    tag: 'practice',
    query: z.object(longPageQuery),
    response: pageOf(drillRunSchema),
  }),
  create: endpoint({
    method: 'POST',
    path: '/api/drills',
    summary: 'Keep a drill that was played',
    tag: 'practice',
    by: 'table',
    body: drillRunCreateSchema,
    response: drillRunSchema,
    status: 201,
  }),
  remove: endpoint({
    method: 'DELETE',
    path: '/api/drills/:id',
    summary: 'Take a drill that was played away (can be undone)',
    tag: 'practice',
    params: idParams,
    query: versionQuery,
    response: drillRunSchema,
  }),
  restore: endpoint({
    method: 'POST',
    path: '/api/drills/:id/restore',
    summary: 'Bring a drill back',
    tag: 'practice',
    params: idParams,
    body: versionBody,
    response: drillRunSchema,
  }),
};
