<script setup lang="ts">
import type { Photo } from '@icy-ribbon/contract';
import type { MeasureStep } from '@icy-ribbon/core/picture';
import { Button, Progress } from 'ant-design-vue';
import { computed, onBeforeUnmount, onMounted, ref, shallowRef } from 'vue';
import { colorUnder } from '#drawing/colorUnder.ts';
import CornerFrame from '#drawing/CornerFrame.vue';
import { CORNER_NAMES } from '#drawing/corners.ts';
import { say } from '#notice/notices.ts';
import { usePiece } from '#store/piece/piece.ts';
import ColorsToFind from './ColorsToFind.vue';
import CornerLens from './CornerLens.vue';
import { cardAt, cardMiddle, withHex } from './photoInput.ts';
import { useMeasuring } from './useMeasuring.ts';

/** Readying a photo for measuring: its corners and its colors; then the measuring itself, away from the page. */
const props = defineProps<{ photo: Photo }>();
const emit = defineEmits<{ done: [] }>();

const STEP_WORDS: Record<MeasureStep, string> = {
  rectify: 'looking from straight above',
  light: 'taking the light out',
  colors: 'finding the colors',
  edges: 'sharing out the edges',
  cells: 'counting cells',
  lacing: 'following the lacing',
};

const store = usePiece();
const { setup, step, share, busy, unsure, doubt, ready, ...measuring } = useMeasuring(props.photo);
const chosen = ref(0);
const picking = ref<number | 'card' | null>(null);
const image = shallowRef<HTMLImageElement | null>(null);
const card = computed(() => {
  const { corners, grayPatchMm } = setup.value;
  return store.piece && corners && grayPatchMm ? cardMiddle(corners, store.piece.support, grayPatchMm) : null;
});

onMounted(() => {
  if (!setup.value.corners) void measuring.findCorners();
});
onBeforeUnmount(measuring.stop);

async function measure(colorsConfirmed = false): Promise<void> {
  if (await measuring.measure(colorsConfirmed)) emit('done');
}

function cancel(): void {
  if (measuring.stop()) say('Measuring was stopped; nothing was changed.');
  else emit('done');
}

/** Takes what was clicked for the color that is being corrected, or for the gray card. */
function pick(place: [number, number]): void {
  const { corners } = setup.value;
  if (picking.value === null || !image.value) return;
  if (picking.value !== 'card') {
    setup.value = withHex(setup.value, picking.value, colorUnder(image.value, place));
  } else if (store.piece && corners) {
    setup.value.grayPatchMm = cardAt(corners, store.piece.support, place);
  }
  picking.value = null;
}
</script>

<template>
  <section class="measure" aria-label="Measure the photo">
    <CornerFrame
      v-model:corners="setup.corners"
      v-model:chosen="chosen"
      :src="`/api/photos/${photo.id}/image`"
      alt="The photo to be measured"
      :width-px="photo.widthPx"
      :height-px="photo.heightPx"
      :card="card"
      :picking="picking !== null"
      @load="image = $event"
      @pick="pick"
    />
    <aside class="panel stacked">
      <h2>Measure it</h2>
      <p v-if="unsure" role="alert">
        The support could not be told from the table. Pull the four corners onto it.
      </p>
      <p v-else class="soft">
        Are the corners on the support? Pull them, or move them with the arrow keys (Shift: ten pixels).
      </p>
      <CornerLens :image="image" :at="setup.corners?.[chosen] ?? null" :name="CORNER_NAMES[chosen] ?? ''" />
      <ColorsToFind v-model="setup" v-model:picking="picking" />
      <div v-if="busy" role="status">
        <Progress :percent="Math.round(100 * share)" :show-info="false" size="small" />
        <p class="soft">{{ step === 'load' || step === null ? 'reading the photo' : STEP_WORDS[step] }}</p>
      </div>
      <div v-if="doubt && !busy" role="alert" class="look">
        <p>Nothing was kept. {{ doubt }}</p>
        <Button size="small" @click="measure(true)">The colors are right: keep it</Button>
      </div>
      <div class="row abreast">
        <Button type="primary" size="large" :loading="busy" :disabled="!ready" @click="measure()">
          Measure
        </Button>
        <Button size="large" @click="cancel">{{ busy ? 'Stop' : 'Not now' }}</Button>
      </div>
    </aside>
  </section>
</template>

<style scoped>
.measure {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 270px;
  min-height: 0;
}

.panel {
  align-content: start;
  padding: 12px 16px 12px 0;
  overflow: auto;
  font-size: var(--type-text);
}

@media (width < 1000px) {
  .measure {
    grid-template-columns: 1fr;
  }
}
</style>
