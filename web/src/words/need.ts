import type { NeededCups } from '@icy-ribbon/core/piece/amount';
import { ROLE_LABELS } from './general.ts';

/** "base 140 g, 4 colors 19 g each, activator 9 g". */
export const needWords = (needed: readonly NeededCups[], show: (mg: number) => string): string =>
  needed
    .map(({ role, count, massG }) => {
      const name = ROLE_LABELS[role].toLowerCase();
      return count > 1 ? `${count} ${name}s ${show(massG * 1000)} each` : `${name} ${show(massG * 1000)}`;
    })
    .join(', ');
