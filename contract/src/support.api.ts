import { z } from 'zod';
import { pageQuery } from './common.ts';
import { changingEndpoints } from './records.ts';
import { supportCreateSchema, supportSchema, supportUpdateSchema } from './support.ts';

export const supports = changingEndpoints(
  {
    path: '/api/supports',
    tag: 'shelf',
    shown: supportSchema,
    create: supportCreateSchema,
    query: z.object(pageQuery),
    words: {
      list: 'Supports on the shelf',
      create: 'Put a support on the shelf',
      remove: 'Take a support off the shelf',
      restore: 'Put a support back on the shelf',
    },
  },
  {
    method: 'PATCH',
    update: supportUpdateSchema,
    words: 'Change a support; pieces started before keep theirs',
  },
);
