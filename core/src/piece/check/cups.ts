import { round, type CheckInput, type Finding } from './finding.ts';

/** Cups that are short, not mixed, weak, fresh, or not tested today. */
export function cupFindings(input: CheckInput): Finding[] {
  return input.amounts.paints.flatMap((amount): Finding[] => {
    const paint = input.paints.find((each) => each.id === amount.paintId)!;
    const cup = input.cups.find((each) => each.id === amount.paintId);
    const found: Finding[] = [];
    const leftG = cup?.leftG ?? 0;
    if (leftG < amount.massG - 0.05) {
      found.push({
        id: `short ${paint.id}`,
        level: 'wrong',
        words: cup?.mixed ? `${paint.name} is short.` : `${paint.name} is not mixed yet.`,
        because: `${round(amount.massG)} g wanted, ${round(leftG)} g in the cup`,
        fix: { kind: 'mix', paintId: paint.id },
      });
    }
    if (!cup?.mixed) return found;
    if (cup.water === 'stop' || cup.weakFilm) {
      found.push({
        id: `film-weak ${cup.id}`,
        level: cup.water === 'stop' ? 'wrong' : 'look',
        words: `${cup.name} dries to a weak film: stir in a squirt of binder-rich medium.`,
        because: cup.water === 'stop' ? 'above its water limit' : 'little binder for its pigment',
        fix: { kind: 'go', to: 'mix' },
      });
    }
    if (cup.restHours > 0) {
      found.push({
        id: `rest ${cup.id}`,
        level: 'look',
        words: `${cup.name} is fresh: its bubbles leave pinholes.`,
        because: `${round(cup.restHours, 0)} h more under the lid`,
        fix: null,
      });
    }
    if (!cup.testedToday) {
      found.push({
        id: `untested ${cup.id}`,
        level: 'do',
        words: `${cup.name} was not tested today.`,
        because: 'paint changes in the cup',
        fix: { kind: 'go', to: 'thickness' },
      });
    }
    return found;
  });
}
