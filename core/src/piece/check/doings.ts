import { airPower } from '../../flow/air/index.ts';
import { CAUTIONS } from '../../paint/caution/index.ts';
import type { CheckInput, Finding } from './finding.ts';

/** To be done at the table; ticked off by hand. */
export function doings({ plan, amounts }: CheckInput): Finding[] {
  if (amounts.paints.length === 0) return [];
  const tick = (id: string, words: string, because: string): Finding => ({
    id,
    level: 'do',
    words,
    because,
    fix: { kind: 'tick', id },
  });
  const mains = plan.passes.some((pass) => airPower(pass.tool) === 'mains');
  const mouth = plan.passes.some((pass) => airPower(pass.tool) === 'breath');
  return [
    tick('level', 'Level the support both ways.', 'a slope moves the design overnight'),
    tick('torch', CAUTIONS.torch, 'caution'),
    ...(plan.settings.spinRpm > 0
      ? [tick('spinner', 'Fix the board on the spinner and stand clear.', 'caution')]
      : []),
    ...(mains ? [tick('mains', 'Cool air; keep wet hands and splashes off mains parts.', 'caution')] : []),
    ...(mouth ? [tick('breath', 'Never suck back through a straw; rest if you get dizzy.', 'caution')] : []),
  ];
}
