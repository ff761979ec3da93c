import type { MaterialKind } from './kinds.ts';

export interface Substitute {
  /** What stands in, each with its parts for one part of what is missing. */
  readonly parts: readonly { readonly kind: MaterialKind; readonly parts: number }[];
  readonly expect: string;
}

/** What may stand in for a medium that is not to be had. Source: common practice, no published source. */
const SUBSTITUTES: Partial<Record<MaterialKind, readonly Substitute[]>> = {
  'flow-conditioner': [
    {
      parts: [
        { kind: 'glue', parts: 0.5 },
        { kind: 'water', parts: 0.5 },
      ],
      expect: 'Cheaper and a little thicker; breaks up sooner when thin.',
    },
    {
      parts: [
        { kind: 'pouring-medium', parts: 0.75 },
        { kind: 'water', parts: 0.25 },
      ],
      expect: 'A stronger, glossier film; cells stay smaller.',
    },
  ],
  'cell-conditioner': [
    {
      parts: [{ kind: 'water', parts: 0.35 }],
      expect: 'Tube white thinned with water: fewer, rounder cells (recipe A4).',
    },
    {
      parts: [{ kind: 'flow-conditioner', parts: 1 }],
      expect: 'Thicker; sits on top, opens fewer cells.',
    },
  ],
  'untinted-base': [
    {
      parts: [{ kind: 'wall-paint', parts: 1 }],
      expect: 'White instead of clear: colors turn to pastels.',
    },
    { parts: [{ kind: 'pouring-medium', parts: 1 }], expect: 'Thinner: less stand, more stretch.' },
  ],
  varnish: [
    {
      parts: [{ kind: 'polyurethane', parts: 1 }],
      expect: 'Thins less; ventilate.',
    },
    {
      parts: [
        { kind: 'pouring-medium', parts: 0.5 },
        { kind: 'water', parts: 0.5 },
      ],
      expect: 'Weaker film, less gloss.',
    },
  ],
  polyurethane: [{ parts: [{ kind: 'varnish', parts: 1 }], expect: 'Thins more: start with less.' }],
  'pouring-medium': [{ parts: [{ kind: 'varnish', parts: 1 }], expect: 'Thinner; strengthens as well.' }],
  'anti-crazing-medium': [
    { parts: [{ kind: 'pouring-medium', parts: 1 }], expect: 'Binds as well, guards less against crazing.' },
  ],
  glue: [{ parts: [{ kind: 'flow-conditioner', parts: 1 }], expect: 'Thinner from the start: less water.' }],
  'mica-powder': [{ parts: [{ kind: 'pigment-powder', parts: 1 }], expect: 'Color without shimmer.' }],
};

/**
 * Stand-ins for a kind of material, the nearest first; an empty list when nothing does.
 *
 * @example substitutesFor('varnish').length // 2
 */
export function substitutesFor(kind: MaterialKind): readonly Substitute[] {
  return SUBSTITUTES[kind] ?? [];
}
