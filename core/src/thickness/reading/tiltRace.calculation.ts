import { z } from 'zod';
import { defineCalculation } from '../../base/calculation/define.ts';
import { positive, seconds, viscosityPaS } from '../../base/calculation/fields.ts';
import { tiltRace, type RaceRun } from './tiltRace.ts';

const input = z
  .strictObject({
    seconds: seconds.optional(),
    referenceSeconds: seconds.optional(),
    lengthMm: positive('the run length in mm').optional(),
    referenceLengthMm: positive('the reference’s run length in mm').optional(),
    referencePaS: viscosityPaS,
  })
  .transform((given, context): RaceRun & { readonly referencePaS: number } => {
    const { seconds: time, referenceSeconds, lengthMm, referenceLengthMm, referencePaS } = given;
    const byTime = time !== undefined || referenceSeconds !== undefined;
    const byLength = lengthMm !== undefined || referenceLengthMm !== undefined;
    const refuse = (path: string, message: string): never => {
      context.addIssue({ code: 'custom', path: [path], message });
      return z.NEVER;
    };
    if (byTime && byLength) return refuse('lengthMm', 'Give times or run lengths, not both.');
    if (byLength) {
      if (lengthMm === undefined) return refuse('lengthMm', 'Give the run length in mm as a number.');
      if (referenceLengthMm === undefined) {
        return refuse('referenceLengthMm', 'Give the reference’s run length in mm as a number.');
      }
      return { lengthMm, referenceLengthMm, referencePaS };
    }
    if (time === undefined) return refuse('seconds', 'Give the seconds as a number, or run lengths.');
    if (referenceSeconds === undefined) {
      return refuse('referenceSeconds', 'Give the reference’s seconds as a number.');
    }
    return { seconds: time, referenceSeconds, referencePaS };
  });

export const tiltRaceCalculation = defineCalculation({
  name: 'tilt-race',
  title: 'Viscosity from a race of two equal dots down a tilted card',
  law: 'mu / mu_ref = t / t_ref to one line, or (L_ref / L)^3 when both are stopped at one moment',
  source: 'Huppert 1982b, x = (9 A^2 g sin(a) t / 4 nu)^(1/3); Lister 1992 (from memory)',
  range: 'Equal dots of about equal density, slow flow, a coated card.',
  assumes: 'Both flow like liquids without a yield: paint that stops by itself is thicker than this says.',
  typical: 'Spread of ln(ratio) 0.12.',
  example: { seconds: 9.2, referenceSeconds: 6.1, referencePaS: 1.414 },
  input,
  output: z.object({ viscosityPaS: z.number() }),
  compute: (run) => ({ viscosityPaS: tiltRace(run, run.referencePaS) }),
});
