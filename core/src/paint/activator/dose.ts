import { requirePositive } from '../../base/error/index.ts';
import { LIMITS } from '../stage/index.ts';

export interface ActivatorDose {
  /** Grams for one bloom. */
  readonly perBloomG: number;
  readonly totalG: number;
  /** Activator as a share of the puddle below it. */
  readonly shareOfPuddle: number;
  readonly verdict: 'little' | 'usual' | 'much';
  readonly expect: string;
}

/**
 * Grams of cell activator from the area its sheet shall cover and how thick it shall lie.
 *
 * Law: mass = pi/4 d^2 x thickness x density, for a round footprint. Geometry; the usual range of
 * thickness is common practice, no published source.
 *
 * @param input.footprintMm diameter of the sheet once blown out
 * @param input.sheetMm its thickness
 * @param input.puddleG paint of the pyramid below one bloom
 * @throws InputError naming the field
 * @example activatorDose({ footprintMm: 200, sheetMm: 0.3, densityGPerMl: 1.1, puddleG: 80, blooms: 1 })
 * // { totalG: 10.4 }
 */
export function activatorDose(input: {
  readonly footprintMm: number;
  readonly sheetMm: number;
  readonly densityGPerMl: number;
  readonly puddleG: number;
  readonly blooms: number;
}): ActivatorDose {
  requirePositive('footprintMm', input.footprintMm, 'The footprint');
  requirePositive('sheetMm', input.sheetMm, 'The thickness of the sheet');
  requirePositive('densityGPerMl', input.densityGPerMl, 'The density');
  requirePositive('puddleG', input.puddleG, 'The puddle below');
  requirePositive('blooms', input.blooms, 'The number of blooms');
  const volumeMl = ((Math.PI / 4) * input.footprintMm ** 2 * input.sheetMm) / 1000;
  const perBloomG = volumeMl * input.densityGPerMl;
  return {
    perBloomG,
    totalG: perBloomG * input.blooms,
    shareOfPuddle: perBloomG / input.puddleG,
    ...judge(input.sheetMm),
  };
}

function judge(sheetMm: number): Pick<ActivatorDose, 'verdict' | 'expect'> {
  if (sheetMm < LIMITS.sheetMm.thin) {
    return { verdict: 'little', expect: 'The sheet tears before it arrives: petals without lacing.' };
  }
  if (sheetMm > LIMITS.sheetMm.thick) {
    return { verdict: 'much', expect: 'A white blob stays in the middle and the petals wash out.' };
  }
  return { verdict: 'usual', expect: 'A sheet that blows out and opens into cells.' };
}
