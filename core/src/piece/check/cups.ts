import { LIMITS } from '../../paint/stage/index.ts';
import type { CheckInput, Finding } from './finding.ts';

/**
 * Whether a cup does not hold what a plan takes of it, beyond what a scale and the reserve even out.
 *
 * @example isShort(97, 100) // true
 */
export const isShort = (leftG: number, wantedG: number): boolean =>
  leftG < wantedG * (1 - LIMITS.shortShare) - 0.05;

/** A neon bleeds into its neighbors and takes over: it is laid small (common practice, no published source). */
export function neonFindings({ amounts, paints }: CheckInput): Finding[] {
  const colors = amounts.paints.flatMap(({ cupId, massG }) => {
    const paint = paints.find((each) => each.id === cupId)!;
    return paint.role === 'color' && massG > 0 ? [{ paint, massG }] : [];
  });
  const total = colors.reduce((sum, { massG }) => sum + massG, 0);
  const equalShare = 1 / colors.length;
  return colors.flatMap(({ paint, massG }): Finding[] => {
    const share = massG / total;
    if (paint.finish !== 'neon' || colors.length < 2 || share <= LIMITS.littleOfColor * equalShare) return [];
    return [
      {
        id: `neon ${paint.id}`,
        level: 'look',
        code: 'neon',
        facts: { name: paint.name, share, equalShare },
        fix: null,
      },
    ];
  });
}

/** Cups that are short, not mixed, weak, fresh, or not tested today. */
export function cupFindings(input: CheckInput): Finding[] {
  return input.amounts.paints.flatMap((amount): Finding[] => {
    const paint = input.paints.find((each) => each.id === amount.cupId)!;
    const cup = input.cups.find((each) => each.id === amount.cupId);
    const found: Finding[] = [];
    const leftG = cup?.leftG ?? 0;
    if (isShort(leftG, amount.massG)) {
      found.push({
        id: `short ${paint.id}`,
        level: 'wrong',
        code: 'short',
        facts: { name: paint.name, isMixed: cup?.mixed ?? false, wantedG: amount.massG, leftG },
        fix: { kind: 'mix', cupId: paint.id },
      });
    }
    if (!cup?.mixed) return found;
    if (cup.water === 'stop' || cup.weakFilm) {
      found.push({
        id: `film-weak ${cup.id}`,
        level: cup.water === 'stop' ? 'wrong' : 'look',
        code: 'weak-film',
        facts: { name: cup.name, isAboveWaterLimit: cup.water === 'stop' },
        fix: { kind: 'go', to: 'mix' },
      });
    }
    if (cup.restHours > 0) {
      found.push({
        id: `rest ${cup.id}`,
        level: 'look',
        code: 'fresh',
        facts: { name: cup.name, restHours: cup.restHours },
        fix: null,
      });
    }
    if (!cup.testedToday) {
      found.push({
        id: `untested ${cup.id}`,
        level: 'do',
        code: 'untested',
        facts: { name: cup.name },
        fix: { kind: 'go', to: 'thickness' },
      });
    }
    return found;
  });
}
