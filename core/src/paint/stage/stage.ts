/**
 * The trade's six stages of thickness, thick to thin, told by what a stickful does when it runs back
 * into the cup.
 *
 * Source: the names are common practice, no published source; the viscosity limits are the model's own,
 * set so that each school of mixing lands in the stage its artists describe.
 */
export interface Stage {
  readonly name: 'stacking' | 'standing' | 'trace' | 'fading' | 'gone' | 'denting';
  /** Lower limit in Pa.s, inclusive; the band reaches up to the limit of the stage before. */
  readonly fromPaS: number;
  readonly mound: string;
  readonly use: string;
}

export const STAGES = [
  { name: 'stacking', fromPaS: 4.5, mound: 'piles up on itself', use: 'too thick to blow' },
  {
    name: 'standing',
    fromPaS: 1.6,
    mound: 'leaves a mound, like runny honey',
    use: 'bloom colors and pillow',
  },
  {
    name: 'trace',
    fromPaS: 0.9,
    mound: 'a small mound sinks and leaves a trace',
    use: 'straight pours, thick Dutch',
  },
  {
    name: 'fading',
    fromPaS: 0.35,
    mound: 'barely a mound, gone at once',
    use: 'Dutch pours, base of a swipe',
  },
  {
    name: 'gone',
    fromPaS: 0.12,
    mound: 'no mound, a thin fast stream',
    use: 'thin Dutch, swipe color, activator',
  },
  {
    name: 'denting',
    fromPaS: 0,
    mound: 'the stream dents the surface',
    use: 'too thin: cells wreck, colors slide, the film breaks up',
  },
] as const satisfies readonly Stage[];

/** The thickest viscosity that is still drawn and spoken of, the upper end of "stacking". */
const THICKEST_PAS = 20;
const THINNEST_PAS = 0.04;

export type StageName = (typeof STAGES)[number]['name'];

/**
 * The stage a viscosity falls into.
 *
 * @param viscosityPaS Pa.s, above 0
 * @example stageOf(0.76).name // 'fading'
 */
export function stageOf(viscosityPaS: number): Stage {
  const found = STAGES.find((stage) => viscosityPaS >= stage.fromPaS);
  return found ?? STAGES[STAGES.length - 1]!;
}

/**
 * The viscosity in the middle of a stage, on the logarithmic scale of thickness.
 *
 * @example stageCenter('fading') // 0.561
 */
export function stageCenter(name: StageName): number {
  const index = STAGES.findIndex((stage) => stage.name === name);
  const thick = STAGES[index - 1]?.fromPaS ?? THICKEST_PAS;
  const thin = STAGES[index]?.fromPaS || THINNEST_PAS;
  return Math.sqrt(thick * thin);
}
