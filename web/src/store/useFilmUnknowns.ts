import { InputError } from '@icy-ribbon/core/base/error';
import { activatorKey, activatorOf, expectedCells, opensByItself } from '@icy-ribbon/core/judgement/cells';
import { spacingForCells } from '@icy-ribbon/core/judgement/rehearsal';
import { withValues } from '@icy-ribbon/core/judgement/fit';
import { baseAreas } from '@icy-ribbon/core/piece/amount';
import { USUAL_UNKNOWNS, type FilmUnknowns } from '@icy-ribbon/core/piece/rehearse';
import { coreSample, stackOf } from '@icy-ribbon/core/piece/stack';
import { computed, type ComputedRef } from 'vue';
import { useFilmFit } from './filmFit.ts';
import { useOwnCells } from './ownCells.ts';
import { usePiece } from './piece/piece.ts';
import { usePlan } from './plan/plan.ts';

/**
 * The film's unknowns for the plan in hand: its cells as large as Plan forecasts them from the artist's own pours, and breath and shear as a fit
 * to these pours has them, where it helps. Both are to be loaded before.
 */
export function useFilmUnknowns(): ComputedRef<FilmUnknowns> {
  const store = usePiece();
  const plan = usePlan();
  const own = useOwnCells();
  const fit = useFilmFit();
  const cellMm = computed(() => {
    const { piece } = store;
    const stack = plan.body.stacks.find(({ layers }) => layers.length > 0);
    if (!piece || !stack) return null;
    try {
      const { base } = plan.body;
      const under = base ? baseAreas(piece.support, base, plan.paints)[0] : undefined;
      const options = { base: under, blowers: plan.blowers, moment: 'blown' } as const;
      const { layers } = coreSample(plan.body, stack, plan.paints, options);
      const expected = expectedCells(stackOf(layers));
      if (!expected) return null;
      const lies = new Set(layers.map(({ paint }) => paint.id));
      const mixed = activatorOf(
        store.cups.map(({ mix }) => mix),
        (id) => lies.has(id),
      );
      const waits = plan.planned.find(({ id, role }) => opensByItself(role) && lies.has(id));
      const activator = mixed ?? (waits ? activatorKey(waits.recipeId, waits.materialId) : null);
      return own.forecast(expected, { technique: piece.technique, activator })?.mm ?? null;
    } catch (error) {
      if (error instanceof InputError) return null;
      throw error;
    }
  });
  return computed(() => {
    const { kept } = fit;
    const film = kept?.helps ? withValues(kept.values) : USUAL_UNKNOWNS;
    if (cellMm.value === null) return film;
    const cells = { ...film.cells, spacingM: spacingForCells(cellMm.value) };
    return { ...film, cells };
  });
}
