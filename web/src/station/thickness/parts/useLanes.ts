import { UNKNOWN_PAINT } from '#theme/tokens.ts';
import { calibrateConstant, REFERENCE_SD_LN, referenceProperties } from '@icy-ribbon/core/thickness/reading';
import { useStorage } from '@vueuse/core';
import { computed, ref, type Ref } from 'vue';
import { useCalibrations } from '#store/calibrations.ts';
import { usePiece } from '#store/piece/piece.ts';
import type { Lane } from './race.ts';

export const MOST_LANES = 6;

/**
 * What runs on the card: some cups of the open piece, and a reference where there is one.
 *
 * @param asked cups that were asked for; all when fewer than two
 * @param room temperature in degrees Celsius
 * @param withReference a reference was asked for with them
 */
export function useLanes(asked: readonly string[], room: Ref<number | null>, withReference = false) {
  const store = usePiece();
  const calibrations = useCalibrations();
  const chosen = ref<string[]>(
    (asked.length > 1 ? [...asked] : store.paints.map((cup) => cup.mix.id)).slice(0, MOST_LANES),
  );
  const withGlycerine = useStorage('icy-ribbon.race-glycerine', false);
  if (withReference) withGlycerine.value = true;
  const glycerinePercent = useStorage<number>('icy-ribbon.race-glycerine-percent', 100);
  const cardId = ref<string>('none');

  const liquid = computed(() => {
    if (!withGlycerine.value || room.value === null) return null;
    const share = Math.min(1, Math.max(0, glycerinePercent.value / 100));
    const temperatureC = Math.min(100, Math.max(0, room.value));
    return referenceProperties({ kind: 'glycerine', massFraction: share, temperatureC });
  });

  const lanes = computed<Lane[]>(() => {
    const cups = store.paints
      .filter((cup) => chosen.value.includes(cup.mix.id))
      .map((cup): Lane => ({
        key: cup.mix.id,
        name: cup.mix.name,
        colorHex: cup.colorHex,
        viscosityPaS: cup.state.properties.viscosityPaS,
        cupId: cup.mix.id,
        liquid: null,
      }));
    const found = liquid.value;
    const reference: Lane[] = found
      ? [
          {
            key: 'reference',
            name: found.name,
            colorHex: UNKNOWN_PAINT,
            viscosityPaS: found.viscosityPaS,
            cupId: null,
            liquid: { name: found.name, viscosityPaS: found.viscosityPaS, sdLn: REFERENCE_SD_LN },
          },
        ]
      : [];
    return [...cups, ...reference].slice(0, MOST_LANES);
  });

  const card = computed(() => {
    const found = calibrations.items.find((each) => each.id === cardId.value);
    return found ? calibrateConstant('card', found.points) : null;
  });

  function toggle(cupId: string, on: boolean): void {
    chosen.value = on ? [...chosen.value, cupId] : chosen.value.filter((id) => id !== cupId);
  }

  return { chosen, withGlycerine, glycerinePercent, cardId, liquid, lanes, card, toggle };
}
