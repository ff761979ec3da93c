import { convert } from '@icy-ribbon/core/base/unit';
import type { ChosenUnits } from '../store/unitChoices.ts';
import { finePercent } from './percent.ts';

const SQUARE_FEET_IN_DM2 = (convert(100, 'mm', 'in') / 12) ** 2;

/** Numbers inside sentences, in the units that are chosen, each with its unit in one piece: as many digits as one reads at a glance. */
export function measureWords({ mass, volume, length }: ChosenUnits) {
  const inches = length === 'in';
  const massOf = (mg: number, digits: number) => `${convert(mg, 'mg', mass).toFixed(digits)}\u00a0${mass}`;
  const area = inches ? 'square foot' : 'square decimeter';
  const perArea = (perDm2: number) => (inches ? perDm2 / SQUARE_FEET_IN_DM2 : perDm2);
  const per = volume === 'ml' ? 'ml' : 'fl oz';
  const densityUnit = `${mass}/${per}`;
  const densityNumber = (gPerMl: number, digits: number) =>
    (convert(gPerMl, 'g', mass) / convert(1, 'ml', per)).toFixed(digits);
  return {
    /** Milligrams: "18 g", "1.5 g", "0.05 oz". */
    mass: (mg: number) => massOf(mg, (mass === 'oz' ? 2 : 0) + (Math.abs(mg) < 10_000 ? 1 : 0)),
    /** Millimeters as a distance: "12 cm", "6.0 cm", "2.4 in". */
    distance: (mm: number) =>
      inches
        ? `${convert(mm, 'mm', 'in').toFixed(1)}\u00a0in`
        : `${(mm / 10).toFixed(mm < 100 ? 1 : 0)}\u00a0cm`,
    /** Millimeters of paint, or of a cell: "3.2 mm", "0.13 in"; inches take one digit more. */
    depth: (mm: number, digits = 1) =>
      inches ? `${convert(mm, 'mm', 'in').toFixed(digits + 1)}\u00a0in` : `${mm.toFixed(digits)}\u00a0mm`,
    /** Millimeters of paint or of cells from and to, no finer than a range supports: "2.2 to 4.1 mm". */
    depthRange: (lowMm: number, highMm: number) => {
      const said = (mm: number) => String(Number((inches ? convert(mm, 'mm', 'in') : mm).toPrecision(2)));
      return `${said(lowMm)} to ${said(highMm)}\u00a0${inches ? 'in' : 'mm'}`;
    },
    /** Square centimeters: "1200 cm²", "186 in²". */
    area: (cm2: number) =>
      inches ? `${(cm2 / convert(1, 'in', 'cm') ** 2).toFixed(0)}\u00a0in²` : `${cm2.toFixed(0)}\u00a0cm²`,
    /** Number on a square centimeter: "0.22 on a cm²", "1.42 on an in²". */
    onArea: (perCm2: number) =>
      inches
        ? `${(perCm2 * convert(1, 'in', 'cm') ** 2).toFixed(2)} on an in²`
        : `${perCm2.toFixed(2)} on a cm²`,
    /** Millimeters of a film, without trailing zeros: "0.45 mm", "1 mm", "0.018 in". */
    film: (mm: number) =>
      inches
        ? `${Number(convert(mm, 'mm', 'in').toFixed(3))}\u00a0in`
        : `${Number(mm.toFixed(mm < 1 ? 2 : 1))}\u00a0mm`,
    /** Millimeters as they were given, without trailing zeros: "2.4 mm", "0.09 in". */
    size: (mm: number) =>
      inches ? `${Number(convert(mm, 'mm', 'in').toFixed(2))}\u00a0in` : `${mm}\u00a0mm`,
    /** Milligrams to what a scale shows, without trailing zeros: "12.5 g", "0.44 oz". */
    massFine: (mg: number) =>
      `${Number(convert(mg, 'mg', mass).toFixed(mass === 'oz' ? 2 : 1))}\u00a0${mass}`,
    /** Grams on a square decimeter: "8.0 g on a square decimeter", "3.0 oz on a square foot". */
    massOnArea: (gPerDm2: number) =>
      `${massOf(1000 * perArea(gPerDm2), mass === 'oz' && !inches ? 2 : 1)} on a ${area}`,
    /** Seconds on a square decimeter. */
    timeOnArea: (sPerDm2: number) => `${perArea(sPerDm2).toFixed(1)}\u00a0s on a ${area}`,
    /** Milliliters: "60 ml", "2.0 fl oz". */
    volume: (ml: number) => `${convert(ml, 'ml', per).toFixed(per === 'ml' ? 0 : 1)}\u00a0${per}`,
    /** Grams of a milliliter: "1.10 g/ml", "1.15 oz/fl oz". */
    density: (gPerMl: number, digits = 2) => `${densityNumber(gPerMl, digits)}\u00a0${densityUnit}`,
    /** Slopes: millimeters on a meter, or thousandths where lengths are inches. */
    slopeUnit: inches ? '‰' : 'mm on 1 m',
    slope: (mmPerM: number) => `${mmPerM.toFixed(1)}\u00a0${inches ? '‰' : 'mm on a meter'}`,
    densityNumber,
    densityUnit,
    viscosity: (paS: number) => `${paS < 1 ? paS.toFixed(2) : paS.toFixed(1)}\u00a0Pa·s`,
    percent: finePercent,
  };
}
export type MeasureWords = ReturnType<typeof measureWords>;

/** "23 to 46 s", "2 to 4 min": no more digits than a range of a factor of two supports. */
export function timeRange(fromSeconds: number, toSeconds: number): string {
  const [unit, by] = toSeconds < 120 ? ['s', 1] : toSeconds < 7200 ? ['min', 60] : ['h', 3600];
  const said = (seconds: number) => {
    const value = seconds / by;
    return String(Number(value.toPrecision(value < 10 ? 1 : 2)));
  };
  const [from, to] = [said(fromSeconds), said(toSeconds)];
  return from === to ? `about ${from}\u00a0${unit}` : `${from} to ${to}\u00a0${unit}`;
}

/** "1 pass", "3 passes". */
export function counted(count: number, one: string, many = `${one}s`): string {
  return `${count} ${PLURAL.select(count) === 'one' ? one : many}`;
}

const PLURAL = new Intl.PluralRules('en');
