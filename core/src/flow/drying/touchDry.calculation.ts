import { z } from 'zod';
import { defineCalculation } from '../../base/calculation/define.ts';
import { densityGPerMl, fraction, positive } from '../../base/calculation/fields.ts';
import { TECHNIQUES } from '../../paint/stage/index.ts';
import { roomFields } from './roomFields.ts';
import { touchDryHours } from './touchDry.ts';

export const touchDryCalculation = defineCalculation({
  name: 'touch-dry',
  title: 'Hours after a pour until it is touch-dry',
  law: 't = max(usual days x (W_usual / W_room), time in which the water where most paint lies leaves); W as in "dry"; the usual days stretched 0.5 to 4 times at most',
  source: 'Evaporation as in "dry"; usual days: common practice, no published source',
  range: 'Films of acrylic paint on a rack, away from draft and sun; below 100 % humidity.',
  assumes: 'The paint’s own water is 60 % of it; how a thick film slows down as it skins over is not in it.',
  typical: 'A thin pour 1 to 2 days, a bloom 2 to 3; one’s own log of when pieces were dry corrects it.',
  example: {
    technique: 'bloom',
    thickMm: 2,
    densityGPerMl: 1.1,
    addedWater: 0.1,
    temperatureC: 18,
    humidityPct: 60,
    airMS: 0,
  },
  input: z.strictObject({
    technique: z.enum(TECHNIQUES, 'Choose a technique.'),
    thickMm: positive('the thickness in mm'),
    densityGPerMl,
    addedWater: fraction,
    ...roomFields,
  }),
  output: z.object({ hours: z.number(), low: z.number(), high: z.number() }),
  compute: ({ temperatureC, humidityPct, airMS, ...film }) =>
    touchDryHours({ ...film, room: { temperatureC, humidityPct, airMS } }),
});
