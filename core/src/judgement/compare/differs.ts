import { onCommonCells } from './commonCells.ts';
import { airTool } from '../../flow/air/index.ts';
import { CAUSES, EFFECTS, quantitiesOf, type Quantity, type QuantityGroup } from './quantities.ts';
import type { PourRecord } from '../outcome/record.ts';

/** One line of a comparison: the same thing of several pours. */
export interface DifferingLine {
  readonly group: QuantityGroup | 'order';
  readonly label: string;
  /** Numbers on one scale; null where a pour has none. */
  readonly values?: readonly (number | null)[];
  readonly quantity?: Quantity;
  /** Words, where there is no number. */
  readonly words?: readonly string[];
}

const ALIKE = 0.03;

/** Only what differs between two to four pours: mixes, thickness, amounts, order, air and outcome. */
export function differing(pours: readonly PourRecord[]): DifferingLine[] {
  const numbers = onCommonCells(pours.map(quantitiesOf)).pours;
  const lines: DifferingLine[] = [];
  const words = (group: DifferingLine['group'], label: string, of: (pour: PourRecord) => string) => {
    const said = pours.map(of);
    if (new Set(said).size > 1) lines.push({ group, label, words: said });
  };
  words(
    'mixes',
    'Cups',
    (pour) =>
      cupsOf(pour)
        .map((cup) => cup.name)
        .join(', ') || 'none',
  );
  words('mixes', 'Parts', (pour) =>
    cupsOf(pour)
      .map((cup) => `${cup.name} ${cup.partsWords}`)
      .join('; '),
  );
  words('order', 'Laid in this order', (pour) =>
    pour.order.map((id) => pour.cups.find((cup) => cup.id === id)?.name ?? 'a cup').join(', '),
  );
  words(
    'air',
    'Tools',
    (pour) => [...new Set(pour.passes.map((pass) => airTool(pass.tool).label))].join(', ') || 'none',
  );
  for (const quantity of [...CAUSES, ...EFFECTS]) {
    const values = numbers.map((each) => each[quantity.key] ?? null);
    if (!differ(quantity, values)) continue;
    lines.push({ group: quantity.group, label: quantity.label, values, quantity });
  }
  return lines;
}

const cupsOf = (pour: PourRecord) => pour.cups.filter((cup) => cup.laidMg > 0);

function differ({ isRatio }: Quantity, values: readonly (number | null)[]): boolean {
  const given = values.filter((value) => value !== null);
  if (given.length === 0) return false;
  if (given.length < values.length) return true;
  const [low, high] = [Math.min(...given), Math.max(...given)];
  return isRatio ? high > low * (1 + ALIKE) : high - low > ALIKE * Math.max(Math.abs(high), 1e-6);
}
