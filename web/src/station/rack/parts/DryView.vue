<script setup lang="ts">
import { CARE_CHECKS, fallLine, type CareCheck } from '@icy-ribbon/core/piece/care';
import { Button, Popconfirm } from 'ant-design-vue';
import { computed, reactive, ref, watch } from 'vue';
import ClosingList from '#field/ClosingList.vue';
import ComputedFrom from '#field/ComputedFrom.vue';
import TakePicture from '#field/picture/TakePicture.vue';
import { PHOTO_FILES } from '#field/picture/photoFiles.ts';
import QuantityField from '#field/QuantityField.vue';
import { say } from '#notice/notices.ts';
import { attempt } from '#notice/useTask.ts';
import { usePiece } from '#store/piece/piece.ts';
import { usePieces } from '#store/pieces.ts';
import { useSending } from '#store/sending.ts';
import { useUnits } from '#store/units.ts';
import { CHECK_LABELS, riskSentence, sideWords, tooSoonWords } from '#words/care.ts';
import BubbleLevel from './BubbleLevel.vue';
import RackRoom from './RackRoom.vue';
import SlotSelect from './SlotSelect.vue';
import type { useOnRack } from './useOnRack.ts';

/** While it dries: where it lies, whether level, what may happen, and what was found when it was looked at. */
const props = defineProps<{ on: ReturnType<typeof useOnRack> }>();

const store = usePiece();
const pieces = usePieces();
const sending = useSending();
const units = useUnits();

const takeBack = (id: string) => () => attempt(() => store.takeBackCare(id));

const put = (place: { shelfId: string; slotId: string } | null) =>
  attempt(async () => {
    const id = await store.noteCare('place', place ?? { shelfId: null, slotId: null });
    say('Its place is kept.', takeBack(id));
  });

const draft = ref<{ acrossMmPerM: number | null; downMmPerM: number | null }>({
  acrossMmPerM: null,
  downMmPerM: null,
});
watch(
  () => store.care.level,
  (level) =>
    (draft.value = { acrossMmPerM: level?.acrossMmPerM ?? null, downMmPerM: level?.downMmPerM ?? null }),
  { immediate: true },
);
const keepLevel = () =>
  attempt(async () => {
    const { acrossMmPerM, downMmPerM } = draft.value;
    if (acrossMmPerM === null && downMmPerM === null) return;
    const level = { acrossMmPerM: acrossMmPerM ?? 0, downMmPerM: downMmPerM ?? 0 };
    const known = store.care.level;
    if (known?.acrossMmPerM === level.acrossMmPerM && known.downMmPerM === level.downMmPerM) return;
    await store.noteCare('level', level);
  });

/** Below this it is not seen, mm. */
const SEEN_MM = 1;
const drift = computed(() => {
  const perSlope = props.on.driftMmPerSlope.value;
  if (draft.value.acrossMmPerM === null && draft.value.downMmPerM === null) return null;
  if (perSlope === null) return null;
  const { slopeMmPerM, directionDeg } = fallLine({
    acrossMmPerM: draft.value.acrossMmPerM ?? 0,
    downMmPerM: draft.value.downMmPerM ?? 0,
  });
  const mm = perSlope * slopeMmPerM;
  return mm < SEEN_MM
    ? { seen: false, words: 'Level: the design stays where it is.' }
    : {
        seen: true,
        words: `Not level: until it sets the design creeps up to ${units.show('depth', mm)} toward the ${sideWords(directionDeg)}. Put something under that side.`,
      };
});
const stillMoves = computed(() => ['wet', 'skin'].includes(props.on.life.value?.stage ?? ''));

const lengths = reactive<Partial<Record<CareCheck, number | null>>>({});
const MEASURED: readonly CareCheck[] = ['drift', 'flatness'];
const look = (what: CareCheck, found: boolean) =>
  attempt(async () => {
    const id = await store.noteCare('check', {
      what,
      found,
      mm: found ? (lengths[what] ?? null) : null,
      note: '',
    });
    say(`${CHECK_LABELS[what].label}: ${CHECK_LABELS[what][found ? 'found' : 'fine']}.`, takeBack(id));
  });
const foundOf = (what: CareCheck) => store.care.checks[what]?.data;

const touched = (at: string | null) =>
  attempt(async () => {
    const { piece } = store;
    if (!piece) return;
    await pieces.noteWhen(piece, 'touchDryAt', at);
    await store.reload();
    if (at) say('Touch-dry is logged, and forecasts learn from it.', () => touched(null));
  });

const touchedNow = () => touched(new Date().toISOString());

/** As it is when it is dry: what wet is compared with. */
const photograph = (file: File) =>
  attempt(async () => {
    if (store.piece && (await sending.send(file, store.piece, 'dry'))) say('The photo is at the piece.');
  });
</script>

<template>
  <div v-if="store.piece" class="dry stacked gap-16">
    <section class="row flowing gap-12">
      <label class="where stacked gap-4">
        <span class="label">It lies</span>
        <SlotSelect
          :piece-id="store.piece.id"
          :size="store.piece.support"
          :place="store.care.place"
          label="Where it lies"
          @choose="put"
        />
      </label>
      <Popconfirm
        v-if="!store.piece.touchDryAt"
        :disabled="!on.tooSoon.value"
        :title="on.tooSoon.value ? tooSoonWords(on.tooSoon.value) : ''"
        ok-text="Yes, it’s dry"
        cancel-text="Not yet"
        @confirm="touchedNow"
      >
        <Button @click="on.tooSoon.value || touchedNow()">It’s touch-dry</Button>
      </Popconfirm>
      <Button v-else type="link" @click="touched(null)">Not touch-dry after all</Button>
      <TakePicture label="Photograph it dry" :accept="PHOTO_FILES" @taken="photograph" />
    </section>
    <RackRoom v-if="stillMoves || on.life.value?.stage === 'touch-dry'" />
    <section v-if="stillMoves" aria-labelledby="level">
      <h2 id="level">Level, both ways</h2>
      <BubbleLevel v-model="draft" @set="keepLevel" />
      <p v-if="drift" :class="{ look: drift.seen }">{{ drift.words }} <ComputedFrom calculation="drift" /></p>
    </section>
    <section v-if="on.film.value" aria-labelledby="risks">
      <h2 id="risks">What may happen</h2>
      <p>
        {{ units.show('depth', on.film.value.thickMm) }} of paint lie where most of it does.
        {{ on.risks.value.map(riskSentence).join(' ') || 'Nothing speaks for cracks.' }}
        <ComputedFrom calculation="touch-dry" />
      </p>
    </section>
    <ClosingList v-if="stillMoves || store.care.closed.size > 0" />
    <section aria-labelledby="checks">
      <h2 id="checks">Look again</h2>
      <ul>
        <li v-for="what in CARE_CHECKS" :key="what">
          <span>{{ CHECK_LABELS[what].label }}</span>
          <QuantityField
            v-if="MEASURED.includes(what)"
            :model-value="lengths[what] ?? foundOf(what)?.mm ?? null"
            :label="`${CHECK_LABELS[what].label}, how far`"
            quantity="depth"
            bare
            @update:model-value="lengths[what] = $event"
          />
          <span v-else></span>
          <Button
            v-for="found in [false, true]"
            :key="String(found)"
            :aria-pressed="foundOf(what)?.found === found"
            :class="{ on: foundOf(what)?.found === found }"
            @click="look(what, found)"
          >
            {{ CHECK_LABELS[what][found ? 'found' : 'fine'] }}
          </Button>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.dry {
  grid-template-columns: minmax(0, 1fr);
}

.row {
  align-items: end;
}

.where {
  max-width: 100%;
}

h2 {
  margin-bottom: 8px;
  font-size: var(--type-text);
}

li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 120px 132px 132px;
  gap: 8px;
  align-items: center;
  min-height: 44px;
  border-top: 1px solid var(--rule);
}

/* What was looked at, and below it what was found. */
@media (width < 600px) {
  li {
    grid-template-columns: repeat(2, minmax(0, 1fr));
    padding: 6px 0;
  }

  li > :first-child {
    grid-column: 1 / -1;
  }
}

.on {
  font-weight: var(--weight-strong);
  background: var(--ice);
  border-color: var(--ink);
}
</style>
