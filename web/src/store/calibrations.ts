import type { Calibration, CalibrationCreate, CalibrationKind } from '@icy-ribbon/contract';
import { api } from '@icy-ribbon/contract/addresses';
import { defineStore } from 'pinia';
import { useRecords } from './records.ts';

/** Calibrated cards, mounds and cups with a hole; the newest of each kind comes first. */
export const useCalibrations = defineStore('calibrations', () => {
  const records = useRecords<Calibration, CalibrationCreate>(api.calibrations);
  const ofKind = (kind: CalibrationKind): Calibration[] =>
    records.items.value.filter((each) => each.kind === kind);
  return { ...records, ofKind };
});
