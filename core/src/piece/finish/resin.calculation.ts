import { z } from 'zod';
import { defineCalculation } from '../../base/calculation/define.ts';
import { densityGPerMl, notNegative, positive } from '../../base/calculation/fields.ts';
import { resinAmounts } from './resin.ts';

const part = (name: string) => positive(`part ${name} of the ratio`);

export const resinCalculation = defineCalculation({
  name: 'resin',
  title: 'How much of both parts of a resin kit a coat takes',
  law: 'V = (A + rim x side) h (1 + drips); by volume V_a / V_b = a / b; by mass m_a / m_b = a / b, V = m_a / rho_a + m_b / rho_b',
  source: 'Arithmetic; the usual depth and drips: common practice, no published source',
  range: 'A level face with its sides; deeper than the kit allows in several pours.',
  assumes: 'The sides keep as thick a coat as the face, which is on the safe side.',
  typical: '1 : 1 by volume, 1.12 and 1.02 g/ml, 1.5 mm, 15 % drips, at most 3 mm a pour.',
  example: {
    areaMm2: 120_000,
    edgeMm: 1400,
    sideDepthMm: 20,
    thicknessMm: 1.5,
    dripShare: 0.15,
    ratio: { by: 'volume', a: 1, b: 1 },
    densityAGPerMl: 1.12,
    densityBGPerMl: 1.02,
    maxPourMm: 3,
  },
  input: z.strictObject({
    areaMm2: positive('the area in mm2'),
    edgeMm: notNegative('the length of the rim in mm'),
    sideDepthMm: notNegative('the depth of the sides in mm'),
    thicknessMm: positive('the thickness in mm'),
    dripShare: notNegative('what drips, as a share,').max(
      5,
      'What drips is a share of what stays: at most 5.',
    ),
    ratio: z.strictObject(
      {
        by: z.enum(['volume', 'mass'], 'Say "volume" or "mass".'),
        a: part('A'),
        b: part('B'),
      },
      'Give the ratio with by, a and b.',
    ),
    densityAGPerMl: densityGPerMl,
    densityBGPerMl: densityGPerMl,
    maxPourMm: positive('the deepest pour in mm'),
  }),
  output: z.object({
    volumeMl: z.number(),
    aG: z.number(),
    bG: z.number(),
    aMl: z.number(),
    bMl: z.number(),
    pours: z.int(),
  }),
  compute: resinAmounts,
});
