import { InputError, requirePositive } from '../error/index.ts';
import { UNITS, type UnitDefinition } from './definitions.ts';

const BY_NAME = new Map<string, UnitDefinition>(
  UNITS.flatMap((unit: UnitDefinition) =>
    [unit.name, ...unit.aliases].map((name) => [foldName(name), unit] as const),
  ),
);

/** Folds case, points, hyphens and underscores, so that "fl-oz", "fl_oz" and "Fl Oz" are one name. */
function foldName(name: string): string {
  return name
    .trim()
    .toLowerCase()
    .replace(/[\s_-]+/g, ' ');
}

/**
 * The definition behind a unit's name or alias.
 *
 * @throws InputError naming `field` when the unit is unknown, or is a "smidgen" without its size:
 * spoon sets disagree (1/32 or 1/16 teaspoon), so it has to be asked.
 * @example findUnit('tsp').inBase // 4.92892
 */
function findUnit(name: string, field = 'unit'): UnitDefinition {
  const folded = foldName(name);
  const unit = BY_NAME.get(folded);
  if (unit) return unit;
  if (folded === 'smidgen') {
    throw new InputError(
      field,
      'Spoon sets disagree on a smidgen: say "smidgen 1/32" or "smidgen 1/16" (of a teaspoon).',
    );
  }
  throw new InputError(field, `Unknown unit "${name}". Known: ${UNITS.map((each) => each.name).join(', ')}.`);
}

/**
 * Converts a value between two units. Weight and volume convert into each other when a density is given.
 *
 * @param value any finite number, in `from`
 * @param densityGPerMl g/ml; needed only between weight and volume
 * @returns the value in `to`
 * @throws InputError naming `value`, `from`, `to` or `densityGPerMl`
 * @example convert(1, 'tsp', 'ml') // 4.92892159375
 */
export function convert(value: number, from: string, to: string, densityGPerMl?: number): number {
  if (!Number.isFinite(value)) throw new InputError('value', 'The value must be a number.');
  const source = findUnit(from, 'from');
  const target = findUnit(to, 'to');
  if (source === target) return value;
  const base = value * source.inBase + (source.zeroInBase ?? 0);
  return (bridge(base, source, target, densityGPerMl) - (target.zeroInBase ?? 0)) / target.inBase;
}

function bridge(
  base: number,
  source: UnitDefinition,
  target: UnitDefinition,
  densityGPerMl: number | undefined,
): number {
  if (source.quantity === target.quantity) return base;
  const pair = `${source.quantity}>${target.quantity}`;
  if (pair !== 'mass>volume' && pair !== 'volume>mass') {
    throw new InputError(
      'to',
      `"${source.name}" is a ${source.quantity} and "${target.name}" a ${target.quantity}: they do not convert.`,
    );
  }
  if (densityGPerMl === undefined) {
    throw new InputError(
      'densityGPerMl',
      `Between weight (${pair.startsWith('mass') ? source.name : target.name}) and volume a density in g/ml is needed. For fluid ounces say "fl oz".`,
    );
  }
  requirePositive('densityGPerMl', densityGPerMl, 'The density');
  return pair === 'mass>volume' ? base / densityGPerMl : base * densityGPerMl;
}
