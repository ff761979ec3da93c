import { z } from 'zod';
import { defineCalculation } from '../../base/calculation/define.ts';
import { densityKgM3, positive } from '../../base/calculation/fields.ts';
import { spinShearPa } from './spinShear.ts';

export const spinShearCalculation = defineCalculation({
  name: 'spin-shear',
  title: 'Stress that a turn puts on a film',
  law: 'tau = rho w^2 r h',
  source: 'mechanics; from which stress on cells warp is an estimate',
  range: 'A film on a level turning plate.',
  assumes: 'The film turns with the plate.',
  typical: 'Below about 20 Pa cells keep their shape.',
  example: { thicknessMm: 3, densityKgM3: 1150, rpm: 50, radiusMm: 200 },
  input: z.strictObject({
    thicknessMm: positive('the thickness in mm'),
    densityKgM3,
    rpm: positive('the turns a minute'),
    radiusMm: positive('the distance from the middle in mm'),
  }),
  output: z.object({ shearPa: z.number() }),
  compute: (input) => ({ shearPa: spinShearPa(input) }),
});
