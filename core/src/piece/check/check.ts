import { contrast } from '../../thickness/match/index.ts';
import { airFindings } from './air.ts';
import { cupFindings, neonFindings } from './cups.ts';
import { tableFindings } from './atTheTable.ts';
import { coverageFindings } from './cover.ts';
import { filmFindings } from './film.ts';
import { spinFindings } from './spin.ts';
import type { CheckCup, CheckInput, Finding } from './finding.ts';
import { pathMud } from './mud.ts';
import { stackFindings } from './stacks.ts';

const ORDER = { wrong: 0, look: 1, do: 2 } as const;

/**
 * All that is to be seen to before the pour, worst first; an empty list is a clean check.
 *
 * Sources: the physics of the stations before; limits of film and mud are common practice, no published
 * source.
 *
 * @throws InputError naming the field when the plan cannot be worked out
 */
export function check(input: CheckInput): Finding[] {
  const findings = [
    ...nothingLaid(input),
    ...contrastFindings(input),
    ...stackFindings(input),
    ...pathMud(input),
    ...airFindings(input),
    ...filmFindings(input),
    ...coverageFindings(input),
    ...spinFindings(input),
    ...neonFindings(input),
    ...cupFindings(input),
    ...tableFindings(input),
  ];
  return findings
    .filter((finding) => !input.ticked.includes(finding.id))
    .map((finding) => (finding.fix || finding.level === 'wrong' ? finding : leavable(finding)))
    .sort((a, b) => ORDER[a.level] - ORDER[b.level]);
}

/** What cannot be mended in the plan may be left as it is, knowingly. */
const leavable = (finding: Finding): Finding => ({
  ...finding,
  fix: { kind: 'tick', id: finding.id, leave: true },
});

function nothingLaid({ plan }: CheckInput): Finding[] {
  if (plan.base || plan.stacks.length > 0 || plan.paths.length > 0) {
    const { card, spinRpm } = plan.settings;
    if (plan.passes.length > 0 || card || spinRpm > 0) return [];
    return [
      {
        id: 'no-air',
        level: 'look',
        code: 'no-air',
        facts: {},
        fix: { kind: 'add-passes' },
      },
    ];
  }
  return [
    {
      id: 'empty',
      level: 'wrong',
      code: 'empty',
      facts: {},
      fix: null,
    },
  ];
}

function usedCups({ amounts, cups }: CheckInput): CheckCup[] {
  return cups.filter((cup) => amounts.paints.some((paint) => paint.cupId === cup.id));
}

function contrastFindings(input: CheckInput): Finding[] {
  return contrast(input.technique, usedCups(input), input.aims)
    .filter((finding) => finding.level !== 'fine')
    .map((finding): Finding => ({
      id: `contrast ${finding.cupIds.join(' ')} ${finding.level}`,
      level: finding.level === 'wrong' ? 'wrong' : 'look',
      code: 'contrast',
      facts: finding,
      fix: { kind: 'go', to: 'thickness' },
    }));
}
