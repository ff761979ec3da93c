<script setup lang="ts">
import { shownPhoto } from '@icy-ribbon/core/judgement/outcome';
import { CROP_CRITERIA, type CropCriterion, type Part } from '@icy-ribbon/core/picture/crop';
import { Button } from 'ant-design-vue';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import EmptyDrawing from '#drawing/EmptyDrawing.vue';
import { saveFile } from '#drawing/saveFile.ts';
import { widthIn } from '#drawing/widthIn.ts';
import HungPhoto from '#drawing/HungPhoto.vue';
import NumberField from '#field/NumberField.vue';
import { say } from '#notice/notices.ts';
import { attempt } from '#notice/useTask.ts';
import { usePiece } from '#store/piece/piece.ts';
import { useUnits } from '#store/units.ts';
import CropFrame from './parts/CropFrame.vue';
import { CROP_RATIOS } from './parts/cropRequest.ts';
import { useCrops } from './parts/useCrops.ts';
import { useNewFrom } from './parts/useNewFrom.ts';

/** The best parts of a piece as prints or small supports, found, moved by hand, and saved. */
defineProps<{ pieceId: string }>();

const store = usePiece();
const units = useUnits();
const router = useRouter();
const newFrom = useNewFrom();

const ratio = ref<number | 'own'>(1);
const own = ref<{ a: number | null; b: number | null }>({ a: 3, b: 4 });
const wanted = computed(() =>
  ratio.value === 'own' ? (own.value.a ?? 0) / (own.value.b ?? 0) : ratio.value,
);
const { photo, crops, tookMs, chosen, busy, wrong, move, size, fileOf } = useCrops(wanted);

const LONG_PX = 560;
const width = computed(() => (store.piece ? widthIn(LONG_PX, store.piece.support) : 0));
const shown = computed(() => store.piece && shownPhoto(store.piece.photos));
const NAMES = Object.keys(CROP_CRITERIA) as CropCriterion[];

const save = (type: 'image/jpeg' | 'image/png') =>
  attempt(async () => {
    const blob = await fileOf(type);
    if (!blob) return;
    saveFile(blob, `${store.piece?.name ?? 'crop'}, crop.${type === 'image/png' ? 'png' : 'jpg'}`);
  });

/** A small piece of its own: its support has the size of the part, its photo is the part. */
const makePiece = () =>
  attempt(async () => {
    const { piece } = store;
    if (!piece || !chosen.value) return;
    const { part } = chosen.value;
    const blob = await fileOf('image/jpeg');
    const id = await newFrom.crop(piece, part, blob);
    say(`A piece of its own was cut from "${piece.name}".`);
    await router.push(`/rack/${id}`);
  });

const words = (part: Part) => {
  const { widthMm, heightMm } = store.piece!.support;
  return `${units.showNumber('length', part.width * widthMm)} × ${units.show('length', part.height * heightMm)}`;
};
</script>

<template>
  <main v-if="store.piece" class="crops stacked gap-16">
    <header>
      <h1>Best parts of {{ store.piece.name }}</h1>
      <RouterLink :to="`/rack/${store.piece.id}?view=decide`">Back</RouterLink>
    </header>
    <div v-if="!photo" class="none stacked gap-12">
      <EmptyDrawing kind="support" />
      <p>Parts are found on the measured photo of the piece. Measure it first.</p>
      <Button type="primary" @click="router.push(`/results/${store.piece.id}`)">Measure its photo</Button>
    </div>
    <div v-else class="two stacked gap-24">
      <div class="ground">
        <div class="face" :style="{ width: `${width}px` }">
          <HungPhoto
            v-if="shown"
            :photo="shown"
            :support="store.piece.support"
            :width="width"
            large
            :alt="store.piece.name"
          />
          <CropFrame v-if="chosen" :part="chosen.part" @move="move" />
        </div>
      </div>
      <div class="found stacked gap-16">
        <fieldset class="choice" aria-label="Ratio">
          <label v-for="each in CROP_RATIOS" :key="each.key" :class="{ on: ratio === each.ratio }">
            <input v-model="ratio" type="radio" name="ratio" :value="each.ratio" />{{ each.label }}
          </label>
          <label :class="{ on: ratio === 'own' }">
            <input v-model="ratio" type="radio" name="ratio" value="own" />own
          </label>
        </fieldset>
        <div v-if="ratio === 'own'" class="own">
          <NumberField v-model="own.a" label="Width" unit="parts" />
          <NumberField v-model="own.b" label="Height" unit="parts" />
        </div>
        <p v-if="wrong" class="alarm" role="alert">{{ wrong }}</p>
        <ol class="best stacked gap-4" aria-label="Best parts">
          <li v-for="(crop, index) in crops" :key="index">
            <button
              type="button"
              class="plain-button"
              :aria-pressed="chosen?.part === crop.part"
              @click="chosen = crop"
            >
              <strong>{{ Math.round(100 * crop.score) }}</strong>
              <span>{{ words(crop.part) }}</span>
            </button>
          </li>
        </ol>
        <template v-if="chosen && size">
          <dl aria-label="What it is ranked by">
            <template v-for="name in NAMES" :key="name">
              <dt>{{ CROP_CRITERIA[name].label }}</dt>
              <dd>
                <span class="bar"><span :style="{ width: `${100 * chosen.criteria[name]}%` }"></span></span>
                <span class="number">{{ Math.round(100 * chosen.criteria[name]) }}</span>
              </dd>
            </template>
          </dl>
          <p>
            {{ words(chosen.part) }} of the piece,
            <span class="whole">{{ size.widthPx }} × {{ size.heightPx }} px</span>: at {{ size.dpi }} dpi it
            prints
            <span class="whole"
              >{{ units.showNumber('length', size.printMm.width) }} ×
              {{ units.show('length', size.printMm.height) }}</span
            >.
          </p>
          <div class="actions">
            <Button type="primary" @click="makePiece">Make it a piece of its own</Button>
            <Button @click="save('image/jpeg')">Save as JPEG</Button>
            <Button @click="save('image/png')">Save as PNG</Button>
          </div>
          <p class="soft">
            Drag the frame, or move it by the arrow keys; pull its corner, or press + and −, to resize it.
            <template v-if="tookMs !== null">Looked through in {{ Math.round(tookMs) }}&nbsp;ms.</template>
          </p>
        </template>
        <p v-else-if="busy" class="soft" role="status">Looking through the photo.</p>
      </div>
    </div>
  </main>
</template>

<style scoped>
.crops {
  align-content: start;
  padding: 16px 24px;
}

header,
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 24px;
  align-items: baseline;
}

.actions {
  gap: 8px;
}

.none {
  justify-items: start;
}

.two {
  grid-template-columns: minmax(0, 1fr) 440px;
}

.ground {
  display: grid;
  place-items: center;
  padding: 24px;
  background: var(--ice);
}

.face {
  position: relative;
}

.found {
  align-content: start;
}

.own {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
}

.best {
  grid-template-columns: repeat(3, minmax(0, 1fr));
}

.best button {
  display: grid;
  width: 100%;
  min-height: 48px;
  padding: 4px 8px;
  border-bottom: 4px solid var(--rule);
}

.best button[aria-pressed='true'] {
  background: var(--ice);
  border-bottom-color: var(--water);
}

dl {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 4px 16px;
}

dd {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 32px;
  gap: 8px;
  align-items: center;
}

.bar {
  height: 8px;
  background: var(--ice-deep);
}

.bar > span {
  display: block;
  height: 100%;
  background: var(--water);
}

.number {
  text-align: right;
}

@media (width < 1100px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
