import { savedViewSchema, type SavedView, type SavedViewCreate } from '@icy-ribbon/contract';
import { recordsOf } from '../db/records.ts';

export const VIEWS = recordsOf<SavedView, SavedViewCreate>({
  table: 'savedView',
  what: 'view',
  schema: savedViewSchema,
  order: [['name', 'asc']],
  json: ['filter'],
});
