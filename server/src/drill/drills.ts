import { drillRunSchema, type DrillRun, type DrillRunCreate } from '@icy-ribbon/contract';
import { recordsOf } from '../db/records.ts';

/** Drills that were played, the newest first. */
export const DRILLS = recordsOf<DrillRun, DrillRunCreate>({
  table: 'drillRun',
  what: 'drill',
  schema: drillRunSchema,
  order: [['createdAt', 'desc']],
  json: ['answers', 'measures'],
});
