import { airBounds, jetOnPaint, type Jet } from '../../flow/air/index.ts';
import { exitOf } from '../amount/index.ts';
import type { CheckInput, Finding } from './finding.ts';
import type { Fix } from './fix.ts';
import { groundUnder } from './ground.ts';

/** Passes that dig deeper than the paint under them allows. */
export function airFindings(input: CheckInput): Finding[] {
  const { plan, blowers } = input;
  return plan.passes.flatMap((pass, index): Finding[] => {
    const ground = groundUnder(input, pass.at);
    if (!ground) return [];
    const jet = { ...exitOf(pass, blowers), distanceMm: pass.distanceMm, slantDeg: pass.slantDeg };
    const paintDensityKgM3 = 1000 * ground.densityGPerMl;
    const { dentMm } = jetOnPaint({ ...jet, paintDensityKgM3 });
    const allowedMm = ground.depthMm - plan.settings.marginMm;
    if (dentMm <= allowedMm + 1e-9) return [];
    const bare = dentMm >= ground.depthMm;
    const fix = allowedMm > 0 ? gentler(pass.id, input, jet, ground, allowedMm) : null;
    return [
      {
        id: `dent ${pass.id}`,
        level: bare ? 'wrong' : 'look',
        code: 'dent',
        facts: {
          pass: index + 1,
          bare,
          tool: pass.tool,
          distanceMm: pass.distanceMm,
          slantDeg: pass.slantDeg,
          dentMm,
          depthMm: ground.depthMm,
          marginMm: plan.settings.marginMm,
        },
        fix,
      },
    ];
  });
}

/** Further off as long as that is at arm's length, else less steep, else both. */
function gentler(
  passId: string,
  { plan }: CheckInput,
  jet: Jet,
  ground: { depthMm: number; densityGPerMl: number },
  allowedMm: number,
): Fix {
  const question = {
    ...jet,
    paintDensityKgM3: 1000 * ground.densityGPerMl,
    depthMm: allowedMm + plan.settings.marginMm,
    filmMm: plan.settings.marginMm,
  };
  const { nearestDistanceMm, steepestSlantDeg } = airBounds(question);
  const distanceMm = Math.ceil(nearestDistanceMm / 5) * 5;
  if (distanceMm <= 2.5 * jet.distanceMm && distanceMm <= 3000) {
    return { kind: 'pass', passId, changes: { distanceMm } };
  }
  if (steepestSlantDeg >= 12)
    return { kind: 'pass', passId, changes: { slantDeg: Math.floor(steepestSlantDeg) } };
  const low = airBounds({ ...question, slantDeg: 15 }).nearestDistanceMm;
  return {
    kind: 'pass',
    passId,
    changes: { slantDeg: 15, distanceMm: Math.min(3000, Math.ceil(low / 5) * 5) },
  };
}
