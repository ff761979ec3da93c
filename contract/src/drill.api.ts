import { drillRunCreateSchema, drillRunSchema } from './drill.ts';
import { recordEndpoints } from './records.ts';

export const drills = recordEndpoints({
  path: '/api/drills',
  tag: 'practice',
  shown: drillRunSchema,
  create: drillRunCreateSchema,
  addedBy: 'table',
  words: {
    list: 'Drills that were played, the newest first',
    create: 'Keep a drill that was played',
    remove: 'Take a drill that was played away',
    restore: 'Bring a drill back',
  },
});
