import { z } from 'zod';
import { idParams, pageOf, pageQuery, versionBody, versionQuery } from './common.ts';
import { endpoint } from './endpoint.ts';
import { supportCreateSchema, supportSchema, supportUpdateSchema } from './support.ts';

export const supports = {
  list: endpoint({
    method: 'GET',
    path: '/api/supports',
    summary: 'Supports on the shelf',
    tag: 'shelf',
    query: z.object(pageQuery),
    response: pageOf(supportSchema),
  }),
  create: endpoint({
    method: 'POST',
    path: '/api/supports',
    summary: 'Put a support on the shelf',
    tag: 'shelf',
    body: supportCreateSchema,
    response: supportSchema,
    status: 201,
  }),
  update: endpoint({
    method: 'PATCH',
    path: '/api/supports/:id',
    summary: 'Change a support; pieces started before keep theirs',
    tag: 'shelf',
    params: idParams,
    body: supportUpdateSchema,
    response: supportSchema,
  }),
  remove: endpoint({
    method: 'DELETE',
    path: '/api/supports/:id',
    summary: 'Take a support off the shelf (can be undone)',
    tag: 'shelf',
    params: idParams,
    query: versionQuery,
    response: supportSchema,
  }),
  restore: endpoint({
    method: 'POST',
    path: '/api/supports/:id/restore',
    summary: 'Put a support back on the shelf',
    tag: 'shelf',
    params: idParams,
    body: versionBody,
    response: supportSchema,
  }),
};
