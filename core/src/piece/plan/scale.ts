import { normalizeDeg } from '../../flow/air/index.ts';
import { distanceMm } from './curve.ts';
import { paintedArea, type SupportSize } from '../support/index.ts';
import type { BaseFilm, Place, Plan, PlanLayer, PlanPass, Seam } from './plan.ts';

export interface ScaledPlan {
  readonly plan: Plan;
  /** How many times as much face there is. */
  readonly areaRatio: number;
  /** What could not be scaled, in words. */
  readonly notes: readonly string[];
}

const ALIKE = 0.02;

/**
 * The same plan on another support: films as thick as before, places and footprints in proportion, as many
 * passes for each area as before.
 *
 * Law: grams go with the area, lengths with its root; the distance, slant and seconds of a pass stay what
 * they are, because a breath reaches no further on a larger support. Geometry; which things to keep is common
 * practice, no published source.
 */
export function scalePlan(plan: Plan, from: SupportSize, to: SupportSize): ScaledPlan {
  const areaRatio = paintedArea(to).faceCm2 / paintedArea(from).faceCm2;
  const grow = Math.sqrt(areaRatio);
  const move = (place: Place): Place => ({
    x: place.x * (to.widthMm / from.widthMm),
    y: place.y * (to.heightMm / from.heightMm),
  });
  const curve = <Bent extends Seam>(bent: Bent): Bent => ({
    ...bent,
    start: move(bent.start),
    control: move(bent.control),
    end: move(bent.end),
  });
  const layers = (list: readonly PlanLayer[]) =>
    list.map((layer) => ({ ...layer, massG: layer.massG === null ? null : layer.massG * areaRatio }));
  const passes = repeated(plan, areaRatio).map((pass) => ({ ...pass, at: move(pass.at) }));
  const scaled: Plan = {
    ...plan,
    base: plan.base && {
      ...plan.base,
      seam: plan.base.seam && curve(plan.base.seam),
      film: scaledFilm(plan.base.film, longest(to) / longest(from)),
    },
    stacks: plan.stacks.map((stack) => ({
      ...stack,
      at: move(stack.at),
      footprintMm: stack.footprintMm * grow,
      layers: layers(stack.layers),
    })),
    paths: plan.paths.map((path) => ({ ...curve(path), layers: layers(path.layers) })),
    passes,
  };
  return { plan: scaled, areaRatio, notes: notesOf(plan, scaled, from, to, grow) };
}

const longest = (support: SupportSize): number => Math.max(support.widthMm, support.heightMm);

/** A longer face is left to run longer, so that the same film stays (Jeffreys 1930, through `film-left`). */
function scaledFilm(film: BaseFilm, longer: number): BaseFilm {
  return film.kind === 'run-off' ? { ...film, seconds: Math.min(3600, film.seconds * longer) } : film;
}

/**
 * As many passes for each area: some are blown again half-way to the next, or left out evenly. Passes over
 * one stack stay together in their order.
 */
function repeated(plan: Plan, areaRatio: number): PlanPass[] {
  const groups = new Map<string, PlanPass[]>();
  for (const pass of plan.passes) {
    const stack = plan.stacks.find((each) => distanceMm(each.at, pass.at) <= each.footprintMm / 2);
    const over = stack?.id ?? '';
    groups.set(over, [...(groups.get(over) ?? []), pass]);
  }
  return [...groups.values()].flatMap((group) => {
    const count = Math.max(1, Math.round(group.length * areaRatio));
    return Array.from({ length: count }, (_, index): PlanPass => {
      const at = (index * group.length) / count;
      const pass = group[Math.floor(at)]!;
      const next = group[(Math.floor(at) + 1) % group.length]!;
      const turn = ((next.directionDeg - pass.directionDeg + 540) % 360) - 180;
      const part = at % 1;
      return {
        ...pass,
        id: part === 0 ? pass.id : `${pass.id} ${index}`,
        at: {
          x: pass.at.x + (next.at.x - pass.at.x) * part,
          y: pass.at.y + (next.at.y - pass.at.y) * part,
        },
        directionDeg: normalizeDeg(Math.round(pass.directionDeg + turn * part)),
      };
    });
  });
}

function notesOf(plan: Plan, scaled: Plan, from: SupportSize, to: SupportSize, grow: number): string[] {
  const notes: string[] = [];
  const shape = from.widthMm / from.heightMm / (to.widthMm / to.heightMm);
  if (from.shape !== to.shape || Math.abs(Math.log(shape)) > ALIKE) {
    notes.push('The support has another shape: look at the places again.');
  }
  if (plan.passes.length > 0 && Math.abs(grow - 1) > ALIKE) {
    notes.push(
      grow > 1
        ? `A breath reaches no further on a larger support, and petals are to be ${grow.toFixed(1)} times as long: blow again from further out, or take a larger blower.`
        : `A breath reaches as far as before, and petals are to be only ${grow.toFixed(1)} times as long: blow shorter or from further off.`,
    );
    if (scaled.passes.length !== plan.passes.length) {
      notes.push(`${scaled.passes.length} passes instead of ${plan.passes.length}, for the same area each.`);
    }
  }
  return notes;
}
