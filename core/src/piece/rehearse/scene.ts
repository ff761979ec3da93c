import type { Opacity } from '../../paint/material/index.ts';
import type { CupRole } from '../../paint/stage/index.ts';
import { layerAmounts, type BlowerExit } from '../amount/index.ts';
import {
  curvePlaces,
  distanceMm,
  lengthMm,
  seamSides,
  type Place,
  type Plan,
  type PlanPaint,
  type PlanPass,
  type PlanPath,
} from '../plan/index.ts';
import { sampleLayers } from '../stack/index.ts';
import { paintedArea, type SupportSize } from '../support/index.ts';
import { commonLayers } from './filmLayers.ts';
import { strokeOf, type Stroke } from './stroke.ts';

/** A layer of the film: one paint at one height. */
export interface SceneLayer {
  readonly cupId: string;
  readonly name: string;
  readonly role: CupRole;
  readonly colorHex: string;
  readonly opacity: Opacity;
  readonly viscosityPaS: number;
  readonly densityKgM3: number;
}

/** Where a volume is laid. */
export type LayShape =
  | { readonly kind: 'face' }
  | { readonly kind: 'outline'; readonly places: readonly Place[] }
  /** A puddle as far as it has spread by itself. */
  | { readonly kind: 'puddle'; readonly at: Place; readonly radiusMm: number }
  /** Along a line, shifted to its right. */
  | {
      readonly kind: 'band';
      readonly places: readonly Place[];
      readonly halfWidthMm: number;
      readonly shiftMm: number;
    };

export interface SceneLay {
  readonly layer: number;
  readonly volumeMl: number;
  readonly shape: LayShape;
}

/** Everything a rehearsal starts from, as plain data. */
export interface Scene {
  readonly support: SupportSize;
  readonly layers: readonly SceneLayer[];
  readonly lays: readonly SceneLay[];
  /** Index of the layer that opens to cells; -1 without an activator. */
  readonly sheet: number;
  /** Times the usual dose of the activator. */
  readonly dose: number;
  readonly standSeconds: number;
  readonly strokes: readonly Stroke[];
  readonly waitSeconds: number;
  readonly spin: { readonly rpm: number; readonly seconds: number } | null;
}

/** Thickness of a band of color as it is laid, mm, of one color over another, and of a flood (common practice). */
const BAND_MM = 2;
const FLOOD_MM = 2.5;

/**
 * What a plan lays and blows, for the film.
 *
 * @param strength of the artist's breath
 * @throws InputError naming what the plan lacks
 */
export function sceneOf(
  support: SupportSize,
  plan: Plan,
  paints: readonly PlanPaint[],
  blowers: readonly BlowerExit[],
  strength?: number,
): Scene {
  const amounts = new Map(
    layerAmounts(support, plan, paints, blowers).map((amount) => [amount.id, amount] as const),
  );
  const floods = (moments: readonly string[]) =>
    plan.paths.filter(
      (path) => path.kind === 'flood' && moments.includes(path.moment ?? 'before') && path.layers.length > 0,
    );
  const colors = plan.paths.filter((path) => path.kind !== 'flood' && path.layers.length > 0);
  const groups: { readonly id: string; readonly cupIds: readonly string[]; readonly lay: Lay }[] = [
    ...(plan.base ? [{ id: 'base', cupIds: plan.base.areas.map(({ cupId }) => cupId), lay: layBase }] : []),
    ...[...floods(['before']), ...colors, ...floods(['around'])].map((path) => ({
      id: path.id,
      cupIds: path.layers.map(({ cupId }) => cupId),
      lay: bandsOf(path),
    })),
    ...plan.stacks
      .filter(({ layers }) => layers.length > 0)
      .map((stack) => {
        const poured = sampleLayers(plan, stack, paints, { blowers, moment: 'poured' });
        return {
          id: stack.id,
          cupIds: stack.layers.map(({ cupId }) => cupId),
          lay: (_: number, index: number): LayShape => ({
            kind: 'puddle',
            at: stack.at,
            radiusMm: poured[index]!.radiusMm,
          }),
        };
      }),
  ];
  const over = floods(['over']).map((path) => ({
    id: path.id,
    cupIds: path.layers.map(({ cupId }) => cupId),
    lay: bandsOf(path),
  }));
  // Everything lies on the base: but for what is flooded of it, which is base as well.
  const ground = plan.base?.areas.map(({ cupId }) => cupId) ?? [];
  const isGround = ({ cupIds }: { readonly cupIds: readonly string[] }) =>
    cupIds.every((id) => ground.includes(id));
  const found = commonLayers(
    groups.map((group) => (isGround(group) ? group.cupIds : [...ground, ...group.cupIds])),
  );
  const below = {
    layers: found.layers,
    places: found.places.map((places, at) => (isGround(groups[at]!) ? places : places.slice(ground.length))),
  };
  const above = commonLayers(over.map(({ cupIds }) => cupIds));
  const order = [...below.layers, ...above.layers];
  const idsOf = (group: { readonly id: string }, index: number): string => {
    if (group.id === 'base') return `base.${index}`;
    const item = [...plan.stacks, ...plan.paths].find(({ id }) => id === group.id)!;
    return `${item.id} ${item.layers[index]!.id}`;
  };
  const lays = [
    ...groups.flatMap((group, at) => laysOf(group, below.places[at]!, 0)),
    ...over.flatMap((group, at) => laysOf(group, above.places[at]!, below.layers.length)),
  ];
  const layers = order.map((cupId) => layerOf(paints.find(({ id }) => id === cupId)!));
  const sheet = layers.findLastIndex(({ role }) => role === 'activator');
  const { spinRpm, spinSeconds, standSeconds, waitSeconds } = plan.settings;
  return {
    support,
    layers,
    lays,
    sheet: sheet > 0 ? sheet : -1,
    dose: (sheet > 0 && paints.find(({ id }) => id === order[sheet])?.doseFactor) || 1,
    standSeconds,
    strokes: plan.passes.map((pass) => strokeOf(pass, blowers, strength, toRimMm(pass))),
    waitSeconds,
    spin: spinRpm > 0 && spinSeconds > 0 ? { rpm: spinRpm, seconds: spinSeconds } : null,
  };

  /** From where a pass begins over a pile to its rim, the way the air goes. */
  function toRimMm(pass: PlanPass): number {
    const stack = plan.stacks.find(({ at, footprintMm }) => distanceMm(at, pass.at) <= footprintMm / 2);
    const colors = lays.filter(
      ({ layer, shape }) =>
        shape.kind === 'puddle' && shape.at === stack?.at && layers[layer]!.role !== 'pillow',
    );
    const rim = Math.max(0, ...colors.map(({ shape }) => (shape.kind === 'puddle' ? shape.radiusMm : 0)));
    return stack && rim > 0 ? Math.max(0, rim - distanceMm(stack.at, pass.at)) : 0;
  }

  function laysOf(group: (typeof groups)[number], places: readonly number[], from: number): SceneLay[] {
    return places.flatMap((place, index) => {
      const volumeMl = amounts.get(idsOf(group, index))?.volumeMl ?? 0;
      if (volumeMl <= 0) return [];
      // The base's grams cover the sides as well; the film is that of the face.
      const onFace = group.id === 'base' ? volumeMl * faceShare(support) : volumeMl;
      return [{ layer: from + place, volumeMl: onFace, shape: group.lay(volumeMl, index) }];
    });
  }

  function layBase(_: number, index: number): LayShape {
    const { pattern, seam } = plan.base!;
    if (pattern !== 'split' || !seam) return { kind: 'face' };
    return { kind: 'outline', places: seamSides(support, seam)[index === 0 ? 0 : 1] };
  }

  function bandsOf(path: PlanPath): Lay {
    const places = curvePlaces(path, 24);
    const long = Math.max(1, lengthMm(places));
    const thick = path.kind === 'flood' ? FLOOD_MM : BAND_MM;
    const widths = path.layers.map(({ id }) => {
      const volumeMl = amounts.get(`${path.id} ${id}`)?.volumeMl ?? 0;
      return Math.max(2, (1000 * volumeMl) / (thick * long));
    });
    const all = widths.reduce((sum, width) => sum + width, 0);
    const isBeside = path.kind === 'ribbon' || path.kind === 'flood';
    return (_, index) => ({
      kind: 'band',
      places,
      halfWidthMm: (isBeside ? widths[index]! : Math.max(...widths)) / 2,
      shiftMm: isBeside
        ? widths.slice(0, index).reduce((sum, width) => sum + width, 0) + widths[index]! / 2 - all / 2
        : 0,
    });
  }
}

type Lay = (volumeMl: number, index: number) => LayShape;

function faceShare(support: SupportSize): number {
  const { faceCm2, sidesCm2 } = paintedArea(support);
  return faceCm2 / (faceCm2 + sidesCm2);
}

const layerOf = (paint: PlanPaint): SceneLayer => ({
  cupId: paint.id,
  name: paint.name,
  role: paint.role,
  colorHex: paint.colorHex,
  opacity: paint.opacity,
  viscosityPaS: paint.viscosityPaS,
  densityKgM3: 1000 * paint.densityGPerMl,
});
