import { calibrationSchema, type Calibration, type CalibrationCreate } from '@icy-ribbon/contract';
import { calibrateConstant, calibrateDrainCup } from '@icy-ribbon/core/thickness/reading';
import { recordsOf } from '../db/records.ts';

export const CALIBRATIONS = recordsOf<Calibration, CalibrationCreate>({
  table: 'calibration',
  what: 'calibration',
  schema: calibrationSchema,
  order: [['createdAt', 'desc']],
  json: ['points'],
  /** @throws InputError naming the point from which no constant can be computed */
  check(_trx, _id, { kind, points }: Omit<CalibrationCreate, 'id'>) {
    if (kind === 'drain-cup') calibrateDrainCup(points);
    else calibrateConstant(kind, points);
    return Promise.resolve();
  },
});
