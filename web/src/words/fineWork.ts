import { CAUTIONS } from '@icy-ribbon/core/paint/caution';
import type { MeasureWords } from './measure.ts';
import type { FineWork } from '@icy-ribbon/core/piece/care';

/** A guided step: what is done, how long is waited after it, and what is to be minded. */
export interface GuidedStep {
  /** What it is kept as. */
  readonly step: string;
  /** Where the words hold lengths, as they are said in the units that are chosen. */
  readonly said?: (say: MeasureWords) => string;
  readonly waitMinutes?: number;
  readonly caution?: string;
}

/** Lines, inlays and crystals step by step (common practice, no published source). */
export const FINE_WORK: Readonly<Record<FineWork, { label: string; steps: readonly GuidedStep[] }>> = {
  'resin-line': {
    label: 'Resin line',
    steps: [
      { step: 'Stir a little resin by the kit’s ratio, with its color', caution: CAUTIONS.resin },
      { step: 'Draw it half as wide as wanted, and leave gaps: it spreads to about double' },
      { step: 'Leave it level, under a box', waitMinutes: 24 * 60 },
    ],
  },
  outliner: {
    label: 'Outliner',
    steps: [
      { step: 'Try the nozzle on paper until the line runs even' },
      { step: 'Draw it before the top coat, away from what is still wet' },
      { step: 'Let it dry through', waitMinutes: 12 * 60 },
    ],
  },
  'metal-line': {
    label: 'Metal line with tape',
    steps: [
      { step: 'Seal the face with a coat of varnish: only a sealed face can be wiped', waitMinutes: 4 * 60 },
      { step: 'Lay a ribbon of the line’s width where the line shall be; measure at both ends, and again' },
      { step: 'Tape along both sides of the ribbon, press the edges down, lift the ribbon' },
      { step: 'Paint the line; keep the brush in spirits meanwhile', caution: CAUTIONS.spirits },
      { step: 'Pull each tape while its paint is still soft', waitMinutes: 10 },
      { step: 'Wipe creep off with a swab of alcohol ink thinner', caution: CAUTIONS.spirits },
      { step: 'Lines that touch these: when they are dry', waitMinutes: 12 * 60 },
    ],
  },
  inlay: {
    label: 'Shrunk film',
    steps: [
      {
        step: 'Shrink the film',
        said: (say) =>
          `Shrink the film with a heat tool on low, ${say.distance(150)} to ${say.distance(200)} off and never nearer than ${say.distance(130)}, circling, until it bubbles`,
        caution: CAUTIONS.heat,
      },
      { step: 'Glue it with gloss gel', waitMinutes: 4 * 60 },
      { step: 'Seal every edge once more, else resin creeps under', waitMinutes: 4 * 60 },
    ],
  },
  crystals: {
    label: 'Crystals',
    steps: [
      {
        step: 'Coarse salt, sand or glass glitter with just enough resin to clump; lay it',
        caution: CAUTIONS.resin,
      },
      { step: 'Let it set', waitMinutes: 24 * 60 },
      { step: 'Clear resin over it', caution: CAUTIONS.resin },
      { step: 'Glass glitter last, while the resin is sticky', caution: CAUTIONS.glass },
    ],
  },
};
