import type { CheckInput, Finding } from './finding.ts';

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
        code: 'short',
        facts: { name: paint.name, isMixed: cup?.mixed ?? false, wantedG: amount.massG, leftG },
        fix: { kind: 'mix', paintId: paint.id },
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
