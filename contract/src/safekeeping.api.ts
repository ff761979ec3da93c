import { z } from 'zod';
import { endpoint } from './endpoint.ts';
import { backupNameSchema, backupSchema, safekeepingSchema, secondFolderSchema } from './safekeeping.ts';

export const safekeeping = {
  show: endpoint({
    method: 'GET',
    path: '/api/safekeeping',
    summary: 'The backups, the room on the disk, and pieces that cannot be worked out',
    tag: 'safekeeping',
    response: safekeepingSchema,
  }),
  backUp: endpoint({
    method: 'POST',
    path: '/api/safekeeping/backups',
    summary: 'Make a backup now',
    tag: 'safekeeping',
    response: backupSchema,
    status: 201,
  }),
  restore: endpoint({
    method: 'POST',
    path: '/api/safekeeping/backups/:name/restore',
    summary: 'Put a backup back in place of everything; what is there now is backed up first',
    tag: 'safekeeping',
    by: 'host',
    params: z.object({ name: backupNameSchema }),
    response: z.object({ restored: backupSchema, before: backupSchema.nullable() }),
  }),
  chooseSecond: endpoint({
    method: 'PUT',
    path: '/api/safekeeping/second-folder',
    summary: 'Choose a folder that every backup is copied to as well',
    tag: 'safekeeping',
    by: 'host',
    body: secondFolderSchema,
    response: safekeepingSchema,
  }),
};
