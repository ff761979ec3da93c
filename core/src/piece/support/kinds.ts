/** What a piece is poured on; its shape is said beside it. Common practice, no published source. */
export const SUPPORT_KINDS = ['canvas', 'board', 'panel', 'tile', 'coaster'] as const;
export type SupportKind = (typeof SUPPORT_KINDS)[number];

export const SUPPORT_SHAPES = ['rectangle', 'round'] as const;
export type SupportShape = (typeof SUPPORT_SHAPES)[number];

export interface SupportTraits {
  /** Drips are kept off its back with tape. */
  readonly isTaped: boolean;
  /** Cloth that sags or bows in the middle under wet paint. */
  readonly sags: boolean;
  /** Bends as it dries, and is weighted or bent back then. */
  readonly warps: boolean;
  /** A bare edge stops the flow, and its rim cracks. */
  readonly hasBareRim: boolean;
  /** It meets hot cups: its coat decides. */
  readonly meetsHeat: boolean;
}

const TRAITS: Readonly<Record<SupportKind, SupportTraits>> = {
  canvas: { isTaped: true, sags: true, warps: false, hasBareRim: false, meetsHeat: false },
  board: { isTaped: true, sags: false, warps: true, hasBareRim: false, meetsHeat: false },
  panel: { isTaped: true, sags: false, warps: true, hasBareRim: true, meetsHeat: false },
  tile: { isTaped: false, sags: false, warps: false, hasBareRim: true, meetsHeat: false },
  coaster: { isTaped: true, sags: false, warps: false, hasBareRim: true, meetsHeat: true },
};

/**
 * What is to be minded of a kind of support; one that is not said is taken for a canvas.
 *
 * @example supportTraits('panel').hasBareRim // true
 */
export const supportTraits = (kind: SupportKind | undefined): SupportTraits => TRAITS[kind ?? 'canvas'];
