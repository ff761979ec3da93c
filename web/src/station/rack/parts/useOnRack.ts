import {
  isDryTooSoon,
  lifeAt,
  lifeDates,
  touchDryHours,
  usualDrying,
  type DryingHours,
} from '@icy-ribbon/core/flow/drying';
import { driftPerSlope, dryingFilm } from '@icy-ribbon/core/judgement/drying';
import { pourRecordOf } from '@icy-ribbon/core/judgement/outcome';
import { dryingRisks, lifeFacts } from '@icy-ribbon/core/piece/care';
import { useNow } from '@vueuse/core';
import { computed } from 'vue';
import { usePiece } from '#store/piece/piece.ts';
import { usePourNumbers } from '#store/pourNumbers.ts';

const HOUR_MS = 3_600_000;

/** Everything that is worked out of the piece in hand after its pour: how far it is, what may happen, how it drifts. */
export function useOnRack() {
  const store = usePiece();
  const numbers = usePourNumbers();
  const now = useNow({ interval: 60_000 });
  const nowMs = computed(() => now.value.getTime());

  const record = computed(() => store.piece && pourRecordOf(store.piece));
  const film = computed(() => record.value && dryingFilm(record.value));
  const drying = computed<DryingHours | null>(() => {
    const technique = store.piece?.technique;
    if (!technique) return null;
    const usual = usualDrying({ technique, drying: film.value && touchDryHours(film.value) });
    return numbers.drying(usual, technique);
  });
  const facts = computed(() => {
    if (!store.piece || !drying.value) return null;
    const { id, name, technique, touchDryAt } = store.piece;
    return lifeFacts(
      {
        ...{ id, name, technique, touchDryAt, mixes: [] },
        phase: store.progress.phase,
        pouredAt: record.value?.pouredAt ?? null,
        care: store.inShort,
      },
      drying.value,
    );
  });
  const life = computed(() => facts.value && lifeAt(facts.value, nowMs.value));
  const dates = computed(() => facts.value && lifeDates(facts.value));
  const risks = computed(() =>
    store.piece && film.value
      ? dryingRisks({
          thickMm: film.value.thickMm,
          isMiddle: film.value.isMiddle,
          kind: store.piece.support.kind,
        })
      : [],
  );
  const driftMmPerSlope = computed(() => (record.value ? driftPerSlope(record.value) : null));

  /** Saying now that it is touch-dry goes against the forecast by far. */
  const tooSoon = computed(() => {
    const hours = facts.value && (nowMs.value - facts.value.pouredMs) / HOUR_MS;
    return hours !== null && drying.value && isDryTooSoon(drying.value, hours) ? drying.value : null;
  });

  return { nowMs, tooSoon, film, life, dates, risks, driftMmPerSlope };
}
