import { z } from 'zod';
import { defineCalculation } from '../../base/calculation/define.ts';
import { densityKgM3, positive, seconds, viscosityPaS } from '../../base/calculation/fields.ts';
import { spreadRadiusMm } from './spread.ts';

export const spreadCalculation = defineCalculation({
  name: 'spread',
  title: 'How far a puddle spreads under its own weight',
  law: 'r = 0.894 (g Q^3 / 3 nu)^(1/8) t^(1/8)',
  source: 'Huppert 1982a (from memory)',
  range: 'A level, wetted face; the puddle much wider than thick.',
  assumes: 'Weight against thickness only: no surface tension, no yield.',
  typical: 'A pillow of 50 ml at 3 Pa·s reaches about 9 cm in a minute.',
  example: { volumeMl: 50, viscosityPaS: 3, densityKgM3: 1150, seconds: 60 },
  input: z.strictObject({ volumeMl: positive('the volume in ml'), viscosityPaS, densityKgM3, seconds }),
  output: z.object({ radiusMm: z.number() }),
  compute: (input) => ({ radiusMm: spreadRadiusMm(input) }),
});
