import { idParams } from './common.ts';
import { endpoint } from './endpoint.ts';
import { importJobSchema } from './import.ts';

export const imports = {
  archive: endpoint({
    method: 'POST',
    path: '/api/archive',
    summary: 'Read a whole studio in beside everything else',
    tag: 'safekeeping',
    file: 'archive',
    response: importJobSchema,
    status: 202,
  }),
  get: endpoint({
    method: 'GET',
    path: '/api/imports/:id',
    summary: 'How far a file on its way in has come',
    tag: 'safekeeping',
    params: idParams,
    response: importJobSchema,
  }),
  cancel: endpoint({
    method: 'DELETE',
    path: '/api/imports/:id',
    summary: 'Call a file on its way in off; nothing of it is kept',
    tag: 'safekeeping',
    params: idParams,
    response: importJobSchema,
  }),
};
