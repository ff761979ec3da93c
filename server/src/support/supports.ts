import { supportSchema, type Support, type SupportCreate } from '@icy-ribbon/contract';
import { recordsOf } from '../db/records.ts';

export const SUPPORTS = recordsOf<Support, SupportCreate>({
  table: 'support',
  what: 'support',
  schema: supportSchema,
  order: [['name', 'asc']],
});
