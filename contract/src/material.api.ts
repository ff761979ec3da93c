import { z } from 'zod';
import { pageOf, pageQuery } from './common.ts';
import { endpoint } from './endpoint.ts';
import { changingEndpoints } from './records.ts';
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
  ...changingEndpoints(
    {
      path: '/api/materials',
      tag: 'shelf',
      shown: materialSchema,
      create: materialCreateSchema,
      words: {
        list: 'Materials on the shelf, by kind and name',
        create: 'Put a material on the shelf',
        remove: 'Take a material off the shelf',
        restore: 'Put a material back on the shelf',
      },
    },
    {
      method: 'PATCH',
      update: materialUpdateSchema,
      words: 'Change a material; mixes made before keep what they were made from',
    },
  ),
  /** With what is left of each. */
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
};
