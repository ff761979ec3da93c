<script setup lang="ts">
import { useStorage } from '@vueuse/core';
import { Button, Drawer, RadioButton, RadioGroup } from 'ant-design-vue';
import { computed, ref, shallowRef, watch } from 'vue';
import ColorField from '#field/ColorField.vue';
import FromAbove from '#field/picture/FromAbove.vue';
import PictureCorners from '#field/picture/PictureCorners.vue';
import TakePicture from '#field/picture/TakePicture.vue';
import { usePicture } from '#field/picture/usePicture.ts';
import { say, sayProblem } from '#notice/notices.ts';
import { attempt } from '#notice/useTask.ts';
import { usePiece } from '#store/piece/piece.ts';
import { useSending } from '#store/sending.ts';
import { COAT_AREAS, PRIMED_GROUND } from '#theme/tokens.ts';
import { coverWords, puddleWords } from '#words/camera.ts';
import { useMeasures } from '#words/useMeasures.ts';
import { photoWorker } from '#worker/workers.ts';
import type { CoverReport, PuddlesReport } from '#worker/photo.worker.ts';
import { plain } from '#worker/plain.ts';

/** The phone as an instrument beside the pour: whether the base covers, how even small stacks are; and the photo itself. */
const open = defineModel<boolean>('open', { required: true });

const store = usePiece();
const sending = useSending();
const measures = useMeasures();
type Question = 'cover' | 'even';
const question = ref<Question>('cover');
const baseHex = ref<string | null>(null);
const groundHex = useStorage<string | null>('icy-ribbon.bare-ground', PRIMED_GROUND);
watch(
  () => store.paints.find(({ mix }) => mix.role === 'base')?.colorHex,
  (hex) => (baseHex.value = hex ?? null),
  { immediate: true },
);
const cover = shallowRef<CoverReport | null>(null);
const puddles = shallowRef<PuddlesReport | null>(null);
const isKept = ref(false);
const support = computed(() => store.piece!.support);

const picture = usePicture(
  async (file, corners) => {
    const { widthMm, heightMm, shape } = support.value;
    const input = { corners, widthMm, heightMm, shape };
    if (question.value === 'even') puddles.value = await photoWorker().puddles(file, plain(input));
    else if (baseHex.value && groundHex.value) {
      const colors = { coatHex: baseHex.value, groundHex: groundHex.value };
      cover.value = await photoWorker().cover(file, plain({ ...input, ...colors }));
    }
  },
  () => support.value.shape,
);
const { busy, trouble, file, src, size, corners, isUnsure, isMoving } = picture;

function choose(given: File): void {
  forget();
  isKept.value = false;
  void picture.take(given);
}

function forget(): void {
  cover.value = null;
  puddles.value = null;
}

watch([question, baseHex, groundHex], () => {
  forget();
  if (!isMoving.value) void picture.readAgain();
});

const marks = computed(() => {
  const found = cover.value?.cover;
  if (!found) return null;
  const image = new ImageData(found.width, found.height);
  found.marks.forEach((mark, at) => {
    if (mark > 0) image.data.set(COAT_AREAS[mark - 1]!, 4 * at);
  });
  return image;
});
const shown = computed(() => (question.value === 'cover' ? cover.value : puddles.value));
const words = computed(() => {
  if (question.value === 'cover') return cover.value ? coverWords(cover.value.cover, measures.value) : [];
  return puddles.value ? puddleWords(puddles.value.puddles, measures.value) : [];
});
const warnings = computed(() =>
  question.value === 'cover' ? (cover.value?.cover.warnings ?? []) : (puddles.value?.puddles.warnings ?? []),
);

const keep = () =>
  attempt(async () => {
    if (!file.value || !store.piece) return;
    isKept.value = true;
    // One that was refused or called off may be kept after all.
    isKept.value = (await sending.send(file.value, store.piece, 'wet').catch(refused)) !== null;
    if (isKept.value) say('The photo is at the piece.');
  });
function refused(error: unknown): null {
  sayProblem(error);
  return null;
}

function close(): void {
  open.value = false;
  forget();
  picture.drop();
}
</script>

<template>
  <Drawer :open="open" title="Camera" placement="right" :width="'min(620px, 100vw)'" @close="close">
    <section class="camera stacked gap-12" aria-label="Camera">
      <p class="soft">
        Take the support from above, all four corners on a table of another shade. The picture is read here;
        it goes nowhere unless you keep it.
      </p>
      <div class="row flowing">
        <TakePicture label="Take a picture" primary :busy="busy" @taken="choose" />
        <Button v-if="file" :disabled="isKept" @click="keep">
          {{ isKept ? 'Kept at the piece' : 'Keep it at the piece' }}
        </Button>
        <Button v-if="file && !isMoving" @click="isMoving = true">Move the corners</Button>
      </div>
      <RadioGroup v-model:value="question" name="camera-question" class="views" aria-label="What to look for">
        <RadioButton value="cover">Is it covered?</RadioButton>
        <RadioButton value="even">How even are the puddles?</RadioButton>
      </RadioGroup>
      <div v-if="question === 'cover'" class="row flowing">
        <ColorField v-model="baseHex" label="The base, wet" />
        <ColorField v-model="groundHex" label="The bare ground" />
      </div>
      <p v-if="trouble" role="alert" class="look">{{ trouble }}</p>
      <PictureCorners
        v-if="isMoving && file"
        v-model:corners="corners"
        what="support"
        :src="src"
        :size="size"
        :is-unsure="isUnsure"
        :busy="busy"
        @read="picture.readAgain"
      />
      <template v-else-if="shown">
        <p v-for="each in words" :key="each" class="said">{{ each }}</p>
        <p v-for="warning in warnings" :key="warning.code" class="look">{{ warning.message }}</p>
        <FromAbove
          :picture="shown.picture"
          :width-mm="support.widthMm"
          :height-mm="support.heightMm"
          :marks="question === 'cover' ? marks : null"
          :label="question === 'cover' ? 'The base as it was seen' : 'The puddles as they were seen'"
        >
          <template v-if="question === 'cover'">
            <g v-for="(spot, index) in cover?.cover.spots.slice(0, 40)" :key="index">
              <circle
                v-for="line in ['edge', 'line']"
                :key="line"
                :class="line"
                :cx="spot.x * support.widthMm"
                :cy="spot.y * support.heightMm"
                :r="Math.sqrt(spot.areaMm2 / Math.PI) + 4"
              />
            </g>
          </template>
          <g v-for="(puddle, index) in question === 'even' ? puddles?.puddles.puddles : []" :key="index">
            <circle
              v-for="line in ['edge', 'line']"
              :key="line"
              :class="line"
              :cx="puddle.x"
              :cy="puddle.y"
              :r="puddle.diameterMm / 2"
            />
            <text :x="puddle.x" :y="puddle.y" font-size="9" text-anchor="middle" dominant-baseline="central">
              {{ index + 1 }}
            </text>
          </g>
        </FromAbove>
        <table v-if="question === 'even' && puddles" class="rows">
          <thead>
            <tr>
              <th scope="col">Puddle</th>
              <th scope="col">Across</th>
              <th scope="col">To the next</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(puddle, index) in puddles.puddles.puddles" :key="index">
              <th scope="row">{{ index + 1 }}</th>
              <td class="numeral">{{ measures.depth(puddle.diameterMm, 1) }}</td>
              <td class="numeral">{{ puddle.gapMm === null ? '' : measures.depth(puddle.gapMm, 1) }}</td>
            </tr>
          </tbody>
        </table>
      </template>
    </section>
  </Drawer>
</template>

<style scoped>
.said {
  font-size: var(--type-lead);
}

.edge,
.line {
  fill: none;
  stroke: var(--photo-edge);
  stroke-width: 3.5px;
  vector-effect: non-scaling-stroke;
}

.line {
  stroke: var(--photo-line);
  stroke-width: 1.5px;
}

text {
  fill: var(--photo-line);
  stroke: var(--photo-edge);
  stroke-width: 2px;
  paint-order: stroke;
}
</style>
