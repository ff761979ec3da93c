import { z } from 'zod';
import { defineCalculation } from '../../base/calculation/define.ts';
import { densityKgM3 } from '../../base/calculation/fields.ts';
import { rimHoldsMm } from './rim.ts';

export const rimCalculation = defineCalculation({
  name: 'rim',
  title: 'Thickest film that stands on a level face without running over',
  law: 'h = 2 sqrt(gamma / (rho g)) sin(theta / 2)',
  source: 'de Gennes, Brochard-Wyart & Quere 2004 (from memory); tension and angle are estimates',
  range: 'A level face wider than a few centimeters.',
  assumes: 'A surface tension of 0.03 N/m; paint stands at 60 degrees at the edge.',
  typical: `${rimHoldsMm(1500).toFixed(1)} mm for white, ${rimHoldsMm(1050).toFixed(1)} mm for light paint.`,
  example: { densityKgM3: 1100 },
  input: z.strictObject({ densityKgM3 }),
  output: z.object({ thicknessMm: z.number() }),
  compute: (input) => ({ thicknessMm: rimHoldsMm(input.densityKgM3) }),
});
