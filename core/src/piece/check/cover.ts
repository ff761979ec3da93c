import { coverage, oddEnds, type Coverage } from '../cover/index.ts';
import { LIMITS } from '../../paint/stage/index.ts';
import type { CheckInput, Finding } from './finding.ts';
import type { Fix } from './fix.ts';

/** Whether the design covers what is wanted, and where its petals end. */
export function coverageFindings(input: CheckInput): Finding[] {
  const found = input.coverage === undefined ? coverage(input.support, input) : input.coverage;
  if (!found) return [];
  const own = input.covers?.(found.covered) ?? found;
  return [...covering(input, own), ...ends(input, found)];
}

function covering(
  { plan, aims, technique }: CheckInput,
  { covered, low, high }: Pick<Coverage, 'covered' | 'low' | 'high'>,
): Finding[] {
  const { full, space, ground } = LIMITS.covered;
  const bare = !plan.base;
  const finding = (wants: 'full' | 'space' | 'ground', fix: Fix | null): Finding[] => [
    {
      id: `coverage ${wants}`,
      level: 'look',
      code: 'coverage',
      facts: { covered, low, high, wants, bare },
      fix,
    },
  ];
  if (aims?.reach === 'full' && high < full) return finding('full', null);
  if ((aims?.reach === 'floating' || aims?.negativeSpace === 'wanted') && low > space) {
    return finding('space', null);
  }
  if (bare && technique === 'bloom' && aims?.reach !== 'floating' && high < ground)
    return finding('ground', null);
  return [];
}

/** One finding for all petals that end alike. */
function ends({ plan, support }: CheckInput, { petals }: Coverage): Finding[] {
  const odd = oddEnds(support, petals);
  return (['falls-short', 'lone-drip'] as const).flatMap((kind): Finding[] => {
    const alike = odd.filter((end) => end.kind === kind);
    const passes = alike.map(({ passId }) => 1 + plan.passes.findIndex(({ id }) => id === passId));
    if (alike.length === 0) return [];
    const mm = Math.max(...alike.map((end) => end.mm));
    return [
      { id: `ends ${kind}`, level: 'look', code: 'petal-ends', facts: { kind, passes, mm }, fix: null },
    ];
  });
}
