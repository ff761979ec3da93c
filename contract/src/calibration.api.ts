import { calibrationCreateSchema, calibrationSchema } from './reading.ts';
import { recordEndpoints } from './records.ts';

export const calibrations = recordEndpoints({
  path: '/api/calibrations',
  tag: 'thickness',
  shown: calibrationSchema,
  create: calibrationCreateSchema,
  words: {
    list: 'Calibrated cards, mounds and cups with a hole, the newest first',
    create: 'Keep a calibration',
    remove: 'Take a calibration away; readings made with it keep it',
    restore: 'Bring a calibration back',
  },
});
