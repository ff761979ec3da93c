import { equipmentCreateSchema, equipmentSchema, equipmentUpdateSchema } from './equipment.ts';
import { changingEndpoints } from './records.ts';

export const equipment = changingEndpoints(
  {
    path: '/api/equipment',
    tag: 'shelf',
    shown: equipmentSchema,
    create: equipmentCreateSchema,
    words: {
      list: 'Cups and bottles to mix in, and blowers',
      create: 'Put a cup or a blower on the shelf',
      remove: 'Take a cup or a blower off the shelf',
      restore: 'Put a cup or a blower back',
    },
  },
  { method: 'PUT', update: equipmentUpdateSchema, words: 'Change a cup or a blower' },
);
