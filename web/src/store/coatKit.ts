import type { CoatKind } from '@icy-ribbon/core/flow/drying';
import {
  RESIN_MINUTES,
  USUAL_COAT,
  USUAL_KIT,
  USUAL_VARNISH,
  type PotStep,
} from '@icy-ribbon/core/piece/finish';
import { useStorage } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed } from 'vue';

/** A pot of resin or varnish on its way, for one piece or several. */
export interface Pot {
  readonly id: string;
  readonly kind: CoatKind;
  /** `lineId` is that of the line in its record: sent twice, it is there once. */
  readonly pieces: readonly {
    readonly id: string;
    readonly name: string;
    readonly areaMm2: number;
    readonly lineId: string;
  }[];
  /** In the order they are weighed; `bottle` is which part of the kit it is. */
  readonly parts: readonly { readonly name: string; readonly mg: number; readonly bottle: number }[];
  /** Milligrams that were weighed of each part so far. */
  readonly weighed: readonly number[];
  readonly step: PotStep;
  /** When the step began, ms. */
  readonly sinceMs: number;
  readonly stirredAtMs: number | null;
  readonly note: string;
}

/** What is on the bottles, what they still hold, and the pot that is being made: kept on this device, whatever happens. */
export const useCoatKit = defineStore('coatKit', () => {
  const resin = useStorage(
    'icy-ribbon.resin-kit',
    {
      by: USUAL_KIT.ratio.by as 'volume' | 'mass',
      a: USUAL_KIT.ratio.a as number | null,
      b: USUAL_KIT.ratio.b as number | null,
      densityA: USUAL_KIT.densityAGPerMl as number | null,
      densityB: USUAL_KIT.densityBGPerMl as number | null,
      maxPourMm: USUAL_KIT.maxPourMm as number | null,
      thicknessMm: USUAL_COAT.thicknessMm as number | null,
      dripPercent: (100 * USUAL_COAT.dripShare) as number | null,
      openMinutes: RESIN_MINUTES.open as number | null,
      /** What the bottles still hold, mg; null: not said. */
      leftAMg: null as number | null,
      leftBMg: null as number | null,
    },
    undefined,
    { mergeDefaults: true },
  );
  const varnish = useStorage(
    'icy-ribbon.varnish',
    {
      coats: USUAL_VARNISH.coats as number | null,
      wetMm: USUAL_VARNISH.wetMm as number | null,
      densityGPerMl: USUAL_VARNISH.densityGPerMl as number | null,
      leftMg: null as number | null,
    },
    undefined,
    { mergeDefaults: true },
  );
  const potText = useStorage<string>('icy-ribbon.pot', '');
  const pot = computed<Pot | null>({
    get: () => {
      try {
        return potText.value === '' ? null : (JSON.parse(potText.value) as Pot);
      } catch {
        return null;
      }
    },
    set: (next) => (potText.value = next === null ? '' : JSON.stringify(next)),
  });

  const without = (left: number | null, mg: number) => (left === null ? null : Math.max(0, left - mg));
  /** Takes what a pot weighed out of the bottles. */
  function takeOut({ kind, parts, weighed }: Pick<Pot, 'kind' | 'parts' | 'weighed'>): void {
    const of = (bottle: number) =>
      parts.reduce((sum, part, at) => (part.bottle === bottle ? sum + (weighed[at] ?? 0) : sum), 0);
    if (kind === 'resin') {
      resin.value.leftAMg = without(resin.value.leftAMg, of(0));
      resin.value.leftBMg = without(resin.value.leftBMg, of(1));
    } else varnish.value.leftMg = without(varnish.value.leftMg, of(0));
  }

  return { resin, varnish, pot, takeOut };
});
