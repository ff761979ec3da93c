import { airPower } from '../../flow/air/index.ts';
import type { CheckInput, Finding } from './finding.ts';

type Doing = 'level' | 'torch' | 'spinner' | 'mains' | 'breath';

/** To be done at the table; ticked off by hand. */
export function tableFindings({ plan, amounts, cups }: CheckInput): Finding[] {
  if (amounts.paints.length === 0) return [];
  const poured = cups.filter(({ id }) => amounts.paints.some(({ cupId }) => cupId === id));
  const blownBy = (power: string) => plan.passes.some((pass) => airPower(pass.tool) === power);
  const doing = (code: Doing, isDue: boolean): Finding[] =>
    isDue ? [{ id: code, level: 'do', code, facts: {}, fix: { kind: 'tick', id: code } }] : [];
  return [
    ...poured
      .filter(({ silicone }) => silicone)
      .map(({ id, name }): Finding => ({
        id: `silicone ${id}`,
        level: 'look',
        code: 'silicone',
        facts: { name },
        fix: null,
      })),
    ...doing('level', true),
    ...doing('torch', true),
    ...doing('spinner', plan.settings.spinRpm > 0),
    ...doing('mains', blownBy('mains')),
    ...doing('breath', blownBy('breath')),
  ];
}
