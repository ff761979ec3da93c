import { z } from 'zod';
import { idParams, pageOf, pageQuery, versionBody, versionQuery } from './common.ts';
import { endpoint } from './endpoint.ts';
import { importJobSchema } from './import.ts';
import {
  materialBulkResultSchema,
  materialBulkSchema,
  materialCreateSchema,
  materialImportSchema,
  materialSchema,
  materialUpdateSchema,
  shelvedMaterialSchema,
} from './material.ts';

export const materials = {
  list: endpoint({
    method: 'GET',
    path: '/api/materials',
    summary: 'Materials on the shelf, by kind and name',
    tag: 'shelf',
    query: z.object({
      ...pageQuery,
      pageSize: z.coerce.number().int().min(1).max(20_000).default(50),
      q: z.string().max(200).optional(),
      archived: z.enum(['yes', 'no']).default('no'),
    }),
    response: pageOf(shelvedMaterialSchema),
  }),
  create: endpoint({
    method: 'POST',
    path: '/api/materials',
    summary: 'Put a material on the shelf',
    tag: 'shelf',
    body: materialCreateSchema,
    response: materialSchema,
    status: 201,
  }),
  importAll: endpoint({
    method: 'POST',
    path: '/api/materials/import',
    summary: 'Put many materials on the shelf, all or none, beside everything else',
    tag: 'shelf',
    body: materialImportSchema,
    response: importJobSchema,
    status: 202,
  }),
  bulk: endpoint({
    method: 'POST',
    path: '/api/materials/bulk',
    summary: 'Make one change to many materials, all or none',
    tag: 'shelf',
    body: materialBulkSchema,
    response: materialBulkResultSchema,
  }),
  update: endpoint({
    method: 'PATCH',
    path: '/api/materials/:id',
    summary: 'Change a material; mixes made before keep what they were made from',
    tag: 'shelf',
    params: idParams,
    body: materialUpdateSchema,
    response: materialSchema,
  }),
  remove: endpoint({
    method: 'DELETE',
    path: '/api/materials/:id',
    summary: 'Take a material off the shelf (can be undone)',
    tag: 'shelf',
    params: idParams,
    query: versionQuery,
    response: materialSchema,
  }),
  restore: endpoint({
    method: 'POST',
    path: '/api/materials/:id/restore',
    summary: 'Put a material back on the shelf',
    tag: 'shelf',
    params: idParams,
    body: versionBody,
    response: materialSchema,
  }),
};
