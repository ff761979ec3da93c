import { amounts, neededCups, type NeededCups } from '@icy-ribbon/core/piece/amount';
import { InputError } from '@icy-ribbon/core/base/error';
import { toMg } from '@icy-ribbon/core/base/unit';
import type { CupRole } from '@icy-ribbon/core/paint/stage';
import { cupPaint } from '@icy-ribbon/core/piece/plan';
import { defineStore } from 'pinia';
import { computed } from 'vue';
import { useEquipment } from './equipment.ts';
import { usePiece } from './piece/piece.ts';

/** Colors of a piece of which nothing was said. */
export const USUAL_COLORS = 4;

/** How big the cups of the piece in hand are to be: by its plan where that pours them, else by its support and aims. */
export const useNeeds = defineStore('needs', () => {
  const store = usePiece();
  const equipment = useEquipment();

  const colors = computed(() => {
    const onBench = store.cups.filter(({ mix }) => mix.role === 'color').length;
    return Math.max(store.piece?.colors ?? USUAL_COLORS, onBench);
  });

  const needed = computed<NeededCups[]>(() => {
    const { piece } = store;
    if (!piece) return [];
    return neededCups({
      support: piece.support,
      technique: piece.technique,
      aims: piece.aims,
      colors: colors.value,
    });
  });
  const roleMg = (role: CupRole): number | undefined => {
    const found = needed.value.find((each) => each.role === role);
    return found && toMg(found.massG);
  };

  /** What the plan takes of each cup, whole grams up, in mg; nothing of a plan that cannot be worked out. */
  const planned = computed<ReadonlyMap<string, number>>(() => {
    const { piece } = store;
    if (!piece?.plan) return new Map();
    const paints = store.paints.map(({ mix, state, colorHex }) => cupPaint(mix, state.properties, colorHex));
    try {
      const { paints: taken } = amounts(piece.support, piece.plan, paints, equipment.blowers);
      return new Map(taken.map(({ cupId, massG }) => [cupId, toMg(Math.ceil(massG))]));
    } catch (error) {
      if (error instanceof InputError) return new Map();
      throw error;
    }
  });
  const cupMg = (id: string, role: CupRole): number | undefined => planned.value.get(id) ?? roleMg(role);

  /**
   * Does something after which other amounts are needed. A cup that is not weighed in yet, and was just as big as was
   * needed, is as big as is needed then; one whose amount was typed stays.
   */
  async function refitting<Result>(change: () => Promise<Result>): Promise<Result> {
    const roles = new Map(needed.value.map(({ role }) => [role, roleMg(role)]));
    const before = new Map(store.cups.map(({ mix }) => [mix.id, cupMg(mix.id, mix.role)]));
    const result = await change();
    for (const { mix, state } of store.cups) {
      const was = before.get(mix.id) ?? roles.get(mix.role);
      const mg = cupMg(mix.id, mix.role);
      if (state.phase !== 'planned' || state.targetMg !== was || mg === undefined || mg === was) continue;
      await store.changeCup(mix, { totalMg: mg });
    }
    return result;
  }

  return { colors, needed, roleMg, cupMg, refitting };
});
