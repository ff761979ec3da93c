import { z } from 'zod';
import { defineCalculation } from '../../base/calculation/define.ts';
import { densityKgM3, positive, viscosityPaS } from '../../base/calculation/fields.ts';
import { creepingMm, creepsFromDeg } from './tipTest.ts';

const angle = (thicknessMm: number): string =>
  creepsFromDeg({ thicknessMm, viscosityPaS: 3, densityKgM3: 1150 }).toFixed(1);

export const tipTestCalculation = defineCalculation({
  name: 'tip-test',
  title: 'Thickness of a film that just begins to creep on a tipped support',
  law: 'h = sqrt(2 mu u / (rho g sin a)), u the speed at which the eye sees it creep',
  source: 'film on a slope, Nusselt 1916 (from memory); 1 mm/s is an estimate',
  range: 'An even film away from the edges.',
  assumes: 'A liquid of one viscosity; creep is seen from 1 mm/s on.',
  typical: `A middle of 2.5 to 4.5 mm at 3 Pa·s creeps from ${angle(4.5)} to ${angle(2.5)} degrees on.`,
  example: { tiltDeg: 15, viscosityPaS: 3, densityKgM3: 1150 },
  input: z.strictObject({
    tiltDeg: positive('the tilt in degrees').max(90, 'Tilt it at most 90 degrees.'),
    viscosityPaS,
    densityKgM3,
  }),
  output: z.object({ thicknessMm: z.number() }),
  compute: (input) => ({ thicknessMm: creepingMm(input) }),
});
