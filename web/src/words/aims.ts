import type { AimKey } from '@icy-ribbon/core/paint/stage';

interface AimWords {
  readonly label: string;
  /** What not choosing means. */
  readonly none: string;
  readonly options: Readonly<Record<string, { readonly label: string; readonly look: string }>>;
}

/** What an artist may want of a piece, each with its look. */
export const AIM_WORDS: Readonly<Record<AimKey, AimWords>> = {
  thickness: {
    label: 'Thickness of the pour',
    none: 'as it is mixed',
    options: {
      thick: {
        label: 'thick',
        look: 'Bright separate colors, few cells, little spread; outside a Dutch pour, bloom paint.',
      },
      medium: { label: 'medium', look: 'Wider spread, larger cells with colors inside.' },
      thin: {
        label: 'thin',
        look: 'Most spread, swarms of tiny cells; colors mix and dull, the film is weaker.',
      },
    },
  },
  cells: {
    label: 'Cells',
    none: 'as they come',
    options: {
      few: { label: 'few', look: 'Plain petals: leave metallics apart and torch little.' },
      many: {
        label: 'many',
        look: 'Metallics between plain colors throw them; thinner paint makes more and smaller ones.',
      },
    },
  },
  lacing: {
    label: 'Lacing',
    none: 'as it comes',
    options: {
      fine: { label: 'fine', look: 'A thin sheet of activator, blown with all the air at once.' },
      broad: { label: 'broad', look: 'A thicker sheet of activator, blown in small controlled sections.' },
    },
  },
  reach: {
    label: 'Bloom',
    none: 'open',
    options: {
      floating: { label: 'floating', look: 'It stops before the color reaches the edge.' },
      full: { label: 'full', look: 'It is spun until it covers the face.' },
    },
  },
  negativeSpace: {
    label: 'Negative space',
    none: 'as it comes',
    options: { wanted: { label: 'wanted', look: 'A smaller flower: the base is part of the picture.' } },
  },
};
