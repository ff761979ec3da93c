import { z } from 'zod';
import { idParams, longPageQuery, pageOf, versionBody, versionQuery } from './common.ts';
import { endpoint } from './endpoint.ts';
import { equipmentCreateSchema, equipmentSchema, equipmentUpdateSchema } from './equipment.ts';

export const equipment = {
  list: endpoint({
    method: 'GET',
    path: '/api/equipment',
    summary: 'Cups and bottles to mix in, and blowers',
    tag: 'shelf',
    query: z.object(longPageQuery),
    response: pageOf(equipmentSchema),
  }),
  create: endpoint({
    method: 'POST',
    path: '/api/equipment',
    summary: 'Put a cup or a blower on the shelf',
    tag: 'shelf',
    body: equipmentCreateSchema,
    response: equipmentSchema,
    status: 201,
  }),
  update: endpoint({
    method: 'PUT',
    path: '/api/equipment/:id',
    summary: 'Change a cup or a blower',
    tag: 'shelf',
    params: idParams,
    body: equipmentUpdateSchema,
    response: equipmentSchema,
  }),
  remove: endpoint({
    method: 'DELETE',
    path: '/api/equipment/:id',
    summary: 'Take a cup or a blower off the shelf (can be undone)',
    tag: 'shelf',
    params: idParams,
    query: versionQuery,
    response: equipmentSchema,
  }),
  restore: endpoint({
    method: 'POST',
    path: '/api/equipment/:id/restore',
    summary: 'Put a cup or a blower back',
    tag: 'shelf',
    params: idParams,
    body: versionBody,
    response: equipmentSchema,
  }),
};
