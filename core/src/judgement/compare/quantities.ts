import { paintedArea } from '../../piece/support/index.ts';
import type { CupRole } from '../../paint/stage/index.ts';
import type { Measure } from '../outcome/measure.ts';
import { PHOTO_QUANTITY_KEYS, photoQuantity } from '../outcome/photoQuantities.ts';
import type { PouredCup, PourRecord } from '../outcome/record.ts';

export type QuantityGroup = 'mixes' | 'amounts' | 'air' | 'outcome';

/** A number that every pour has, or could have: a cause that is recorded, or an effect that is measured. */
export interface Quantity {
  readonly key: string;
  readonly label: string;
  readonly measure: Measure;
  /** Where it stands in a comparison. */
  readonly group: QuantityGroup;
  /** Compared by ratios: thickness, distance, size. */
  readonly isRatio: boolean;
  /** What to say when it is higher. */
  readonly more: string;
  readonly less: string;
  readonly of: (pour: PourRecord) => number | null;
}

const ofRole = (pour: PourRecord, ...roles: CupRole[]): PouredCup[] =>
  pour.cups.filter((cup) => roles.includes(cup.role) && cup.laidMg > 0);

const massOf = (cups: readonly PouredCup[]) => cups.reduce((sum, cup) => sum + cup.laidMg, 0);

/** Mean of a number of the cups weighed by what was laid of each; null without cups. */
function meanOf(cups: readonly PouredCup[], value: (cup: PouredCup) => number): number | null {
  const mass = massOf(cups);
  return mass > 0 ? cups.reduce((sum, cup) => sum + cup.laidMg * value(cup), 0) / mass : null;
}

const thickness = (cups: readonly PouredCup[]): number | null => {
  const mean = meanOf(cups, (cup) => Math.log(cup.viscosityPaS));
  return mean === null ? null : Math.exp(mean);
};

const ratio = (a: number | null, b: number | null) => (a === null || b === null || b === 0 ? null : a / b);

/** Mean over the passes weighed by their seconds; null without passes. */
function blown(pour: PourRecord, value: (pass: PourRecord['passes'][number]) => number): number | null {
  const seconds = pour.passes.reduce((sum, pass) => sum + pass.seconds, 0);
  if (seconds <= 0) return null;
  return pour.passes.reduce((sum, pass) => sum + pass.seconds * value(pass), 0) / seconds;
}

const quantity = (
  key: string,
  label: string,
  [group, measure]: readonly [QuantityGroup, Measure],
  [less, more]: readonly [string, string],
  of: Quantity['of'],
  isRatio = false,
): Quantity => ({ key, label, group, measure, isRatio, less, more, of });

const THICK = ['thinner', 'thicker'] as const;
const MUCH = ['less', 'more'] as const;

/** Everything recorded of a pour that may be a cause, in the order of the work. */
export const CAUSES: readonly Quantity[] = [
  quantity(
    'colorPaS',
    'Thickness of the colors',
    ['mixes', 'viscosity'],
    THICK,
    (pour) => thickness(ofRole(pour, 'color')),
    true,
  ),
  quantity(
    'activatorRatio',
    'Activator to colors, thickness',
    ['mixes', 'ratio'],
    THICK,
    (pour) => ratio(thickness(ofRole(pour, 'activator')), thickness(ofRole(pour, 'color'))),
    true,
  ),
  quantity(
    'groundRatio',
    'Base or pillow to colors, thickness',
    ['mixes', 'ratio'],
    THICK,
    (pour) => ratio(thickness(ofRole(pour, 'base', 'pillow')), thickness(ofRole(pour, 'color'))),
    true,
  ),
  quantity(
    'colorSpread',
    'Thickest to thinnest color',
    ['mixes', 'ratio'],
    MUCH,
    (pour) => {
      const values = ofRole(pour, 'color').map((cup) => cup.viscosityPaS);
      return values.length > 1 ? Math.max(...values) / Math.min(...values) : null;
    },
    true,
  ),
  quantity('waterShare', 'Water in the colors', ['mixes', 'share'], MUCH, (pour) =>
    meanOf(ofRole(pour, 'color'), (cup) => cup.waterFraction),
  ),
  quantity('colorG', 'Color laid for the face', ['amounts', 'mass on area'], MUCH, (pour) =>
    perDm2(pour, 'color'),
  ),
  quantity('groundG', 'Base or pillow for the face', ['amounts', 'mass on area'], MUCH, (pour) =>
    perDm2(pour, 'base', 'pillow'),
  ),
  quantity(
    'activatorShare',
    'Activator to colors, mass',
    ['amounts', 'share'],
    MUCH,
    (pour) => ratio(massOf(ofRole(pour, 'activator')) || null, massOf(ofRole(pour, 'color'))),
    true,
  ),
  quantity(
    'distanceMm',
    'Blowing distance',
    ['air', 'distance'],
    ['closer', 'farther'],
    (pour) => blown(pour, (pass) => pass.distanceMm),
    true,
  ),
  quantity('slantDeg', 'Slant of the air', ['air', 'angle'], ['flatter', 'steeper'], (pour) =>
    blown(pour, (pass) => pass.slantDeg),
  ),
  quantity('airSeconds', 'Seconds of air', ['air', 'seconds'], MUCH, (pour) =>
    pour.passes.length > 0 ? pour.passes.reduce((sum, pass) => sum + pass.seconds, 0) : null,
  ),
  quantity('passCount', 'Passes', ['air', 'count'], MUCH, (pour) => pour.passes.length || null),
  quantity(
    'waitSeconds',
    'Wait for the cells',
    ['air', 'seconds'],
    ['shorter', 'longer'],
    (pour) => pour.waitSeconds,
  ),
  quantity('spinTurns', 'Turns on the spinner', ['air', 'count'], MUCH, (pour) =>
    pour.spins.reduce((sum, spin) => sum + (spin.rpm * spin.seconds) / 60, 0),
  ),
  quantity('torches', 'Times torched', ['air', 'count'], MUCH, (pour) => pour.torches),
  quantity('temperatureC', 'Room', ['air', 'temperature'], ['colder', 'warmer'], (pour) => pour.temperatureC),
  quantity(
    'humidityPercent',
    'Humidity',
    ['air', 'percent'],
    ['drier', 'damper'],
    (pour) => pour.humidityPercent,
  ),
];

function perDm2(pour: PourRecord, ...roles: CupRole[]): number | null {
  const mass = massOf(ofRole(pour, ...roles));
  return mass > 0 ? mass / 1000 / (paintedArea(pour.support).faceCm2 / 100) : null;
}

/** Everything measured or judged on the result. */
export const EFFECTS: readonly Quantity[] = [
  ...PHOTO_QUANTITY_KEYS.flatMap((key): Quantity[] => {
    const { compared } = photoQuantity(key);
    if (!compared) return [];
    const { label, measure, less, more, isRatio = false, zeroIsNone = false } = compared;
    const of = ({ outcome }: PourRecord) => (zeroIsNone ? outcome?.[key] || null : (outcome?.[key] ?? null));
    return [{ key, label, group: 'outcome', measure, isRatio, less, more, of }];
  }),
  quantity('rating', 'Your rating', ['outcome', 'of five'], ['lower', 'higher'], (pour) => pour.rating),
];

/** Cells from each size on that the photo could show, under keys of their own: see `onCommonCells`. */
function cellsFromSizes({ outcome }: PourRecord): Record<string, number> {
  return Object.fromEntries(
    (outcome?.cellsFrom ?? []).flatMap(({ mm, medianMm, perCm2 }) => [
      [`cellMm from ${mm}`, medianMm],
      [`cellsPerCm2 from ${mm}`, perCm2],
    ]),
  );
}

/**
 * A quantity by its key.
 *
 * @example findQuantity('cellMm').label // 'Cell size'
 */
export const findQuantity = (key: string): Quantity | undefined =>
  [...CAUSES, ...EFFECTS].find((each) => each.key === key);

/** All numbers of one pour by their key, for tables, charts and storage. */
export function quantitiesOf(pour: PourRecord): Record<string, number | null> {
  return {
    ...Object.fromEntries([...CAUSES, ...EFFECTS].map((each) => [each.key, each.of(pour)])),
    ...cellsFromSizes(pour),
  };
}
