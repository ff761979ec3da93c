<script setup lang="ts">
import { api, PHOTO_STATES, type Photo, type PhotoDetail, type PhotoState } from '@icy-ribbon/contract';
import type { WetDry } from '@icy-ribbon/core/picture';
import { fault } from '@icy-ribbon/core/judgement/outcome';
import { useDropZone, useEventListener } from '@vueuse/core';
import { Button, Checkbox, RadioButton, RadioGroup } from 'ant-design-vue';
import { computed, ref, shallowRef, watch } from 'vue';
import { call } from '../../../api/client.ts';
import type { DrawnCell } from '../../../drawing/photoOverlay.ts';
import { say, sayProblem } from '../../../notice/notices.ts';
import { usePiece } from '../../../store/piece/piece.ts';
import { useMeasures } from '../../../words/useMeasures.ts';
import { photoWorker } from '../../../worker/photo.ts';
import { dateWords, timeWords } from '../../../words/general.ts';
import MeasurePhoto from './MeasurePhoto.vue';
import PhotoView, { type Layers } from './PhotoView.vue';
import WetDryNote from './WetDryNote.vue';
import { inputOf, isReady, setupOf } from './photoInput.ts';

/** The photos of a piece: one large with what was measured over it, the others small below. */
const placing = defineModel<boolean>('placing', { default: false });
const measuring = defineModel<boolean>('measuring', { default: false });
const chosenPin = defineModel<string | null>('chosenPin', { default: null });
const emit = defineEmits<{
  place: [at: { x: number; y: number }];
  shown: [photo: Photo | undefined, detail: PhotoDetail | null];
}>();

const store = usePiece();
const measures = useMeasures();
const panel = ref<HTMLElement | null>(null);
const chooser = ref<HTMLInputElement | null>(null);
const chosenId = ref<string | null>(null);
const state = ref<PhotoState>('wet');
const busy = ref(false);
const detail = shallowRef<PhotoDetail | null>(null);
const layers = ref<Layers>({ cells: false, net: false, mud: false, glare: false });
const hovered = ref<DrawnCell | null>(null);
const comparison = ref<WetDry | 'busy' | null>(null);

const LAYER_NAMES = ['cells', 'net', 'mud', 'glare'] as const;
const photos = computed(() => store.piece?.photos ?? []);
const shown = computed(
  () => photos.value.find((photo) => photo.id === chosenId.value) ?? photos.value.at(-1),
);
const measured = computed(() => shown.value?.measurement ?? null);
const pins = computed(() =>
  (store.piece?.judgement?.faults ?? []).flatMap(({ id, kind, at }) =>
    at ? [{ id, label: fault(kind).label, at }] : [],
  ),
);
const both = computed(() => {
  const of = (wanted: PhotoState) =>
    photos.value.filter((photo) => photo.state === wanted && photo.measurement !== null).at(-1);
  const [wet, dry] = [of('wet'), of('dry')];
  return wet && dry ? { wet, dry } : null;
});

watch(
  () => [shown.value?.id, measured.value?.measuredAt] as const,
  async () => {
    detail.value = null;
    const photo = shown.value;
    try {
      if (photo?.measurement) detail.value = await call(api.photos.detail, { params: { id: photo.id } });
    } catch (error) {
      sayProblem(error);
    }
    emit('shown', photo, detail.value);
  },
  { immediate: true },
);

function switchLayer(name: keyof Layers, on: boolean): void {
  layers.value = { ...layers.value, [name]: on };
}

async function attach(files: readonly File[] | null): Promise<void> {
  if (!files || files.length === 0) return;
  busy.value = true;
  try {
    for (const file of files) await store.attachPhoto(file, state.value);
    chosenId.value = null;
  } catch (error) {
    sayProblem(error);
  } finally {
    busy.value = false;
  }
}

async function shutter(): Promise<void> {
  busy.value = true;
  try {
    await store.takePhoto(state.value);
    chosenId.value = null;
  } catch (error) {
    sayProblem(error);
  } finally {
    busy.value = false;
  }
}

async function compareWetDry(): Promise<void> {
  if (!both.value || !store.piece) return;
  comparison.value = 'busy';
  const { support } = store.piece;
  const side = (photo: Photo) => {
    const setup = setupOf(photo, [], new Set());
    return isReady(setup) ? { url: `/api/photos/${photo.id}/image`, input: inputOf(setup, support) } : null;
  };
  const [wet, dry] = [side(both.value.wet), side(both.value.dry)];
  try {
    comparison.value = wet && dry ? await photoWorker().compare(wet, dry) : null;
  } catch (error) {
    comparison.value = null;
    sayProblem(error);
  }
}

function chosen(event: Event): void {
  const input = event.target as HTMLInputElement;
  void attach([...(input.files ?? [])]).then(() => {
    input.value = '';
  });
}

const { isOverDropZone } = useDropZone(panel, { onDrop: (files) => void attach(files) });
useEventListener(window, 'paste', (event: ClipboardEvent) => {
  const files = [...(event.clipboardData?.files ?? [])].filter((file) => file.type.startsWith('image/'));
  if (files.length > 0) void attach(files);
});

async function remove(): Promise<void> {
  if (!shown.value) return;
  try {
    const removed = await store.removePhoto(shown.value);
    say('The photo is deleted.', () => store.restorePhoto(removed).catch(sayProblem));
  } catch (error) {
    sayProblem(error);
  }
}
</script>

<template>
  <section ref="panel" class="photos" :class="{ over: isOverDropZone }" aria-label="Photos">
    <MeasurePhoto v-if="measuring && shown" :key="shown.id" :photo="shown" @done="measuring = false" />
    <div v-else class="picture">
      <PhotoView
        v-if="shown"
        v-model:chosen-pin="chosenPin"
        :photo="shown"
        :alt="`${store.piece?.name}, ${shown.state}`"
        :support="store.piece!.support"
        :detail="detail"
        :layers="layers"
        :pins="pins"
        :placing="placing"
        @hover="hovered = $event"
        @place="emit('place', $event)"
        @pin="chosenPin = $event"
      />
      <div v-else class="none">
        <p>No photo yet</p>
        <p class="soft">
          Drop a JPEG or PNG here, paste one, or choose a file. It is turned upright, and the place it was
          taken is stripped.
        </p>
      </div>
    </div>
    <div v-show="!measuring" class="bar">
      <ul v-if="photos.length > 1" aria-label="Choose a photo">
        <li v-for="photo in photos" :key="photo.id">
          <button
            class="plain-button"
            :aria-pressed="photo.id === shown?.id"
            :aria-label="`${photo.state}, ${dateWords(photo.createdAt)} ${timeWords(photo.createdAt)}`"
            @click="chosenId = photo.id"
          >
            <img :src="`/api/photos/${photo.id}/thumbnail`" alt="" />
          </button>
        </li>
      </ul>
      <p v-if="shown" class="soft">{{ shown.state }}, {{ dateWords(shown.createdAt) }}</p>
      <div v-if="measured" class="layers" role="group" aria-label="Show over the photo">
        <Checkbox
          v-for="name in LAYER_NAMES"
          :key="name"
          :checked="layers[name]"
          @change="switchLayer(name, $event.target.checked)"
        >
          {{ name }}
        </Checkbox>
        <span v-if="hovered" class="hovered" role="status">{{ measures.depth(hovered.diameterMm, 2) }}</span>
      </div>
    </div>
    <div v-show="!measuring" class="bar second">
      <Button v-if="shown" size="small" :type="measured ? 'default' : 'primary'" @click="measuring = true">
        {{ measured ? 'Measure again' : 'Measure it' }}
      </Button>
      <Button v-if="both" size="small" :loading="comparison === 'busy'" @click="compareWetDry">
        Wet against dry
      </Button>
      <Button v-if="shown" type="link" size="small" @click="remove">Delete photo</Button>
      <span class="spring"></span>
      <RadioGroup v-model:value="state" name="photo-state" size="small" aria-label="The next photo is">
        <RadioButton v-for="each in PHOTO_STATES" :key="each" :value="each">{{ each }}</RadioButton>
      </RadioGroup>
      <input
        ref="chooser"
        class="visually-hidden"
        type="file"
        accept="image/jpeg,image/png"
        multiple
        tabindex="-1"
        aria-label="Photo files"
        @change="chosen"
      />
      <Button size="small" :loading="busy" @click="shutter">Camera over the table</Button>
      <Button
        size="small"
        :type="photos.length === 0 ? 'primary' : 'default'"
        :loading="busy"
        @click="chooser?.click()"
      >
        Attach a photo
      </Button>
    </div>
    <WetDryNote
      v-if="!measuring && comparison !== null && comparison !== 'busy'"
      :found="comparison"
      @close="comparison = null"
    />
  </section>
</template>

<style scoped>
.photos {
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto auto auto;
}

.over {
  outline: 3px dashed var(--brass);
  outline-offset: -6px;
}

.picture {
  display: grid;
  place-items: center;
  min-height: 0;
  padding: 12px;
  background: var(--paper);
}

.none {
  max-width: 340px;
  text-align: center;
  font-size: 17px;
}

.none .soft {
  font-size: 15px;
  margin-top: 8px;
}

.bar {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 12px;
  padding: 8px 16px;
  border-top: 1px solid var(--rule);
}

.hovered {
  min-width: 66px;
  font-weight: 600;
  font-variant-numeric: tabular-nums;
}

.bar.second {
  padding-top: 0;
  border-top: 0;
}

.layers {
  display: flex;
  align-items: center;
}

.spring {
  flex: 1;
}

ul {
  display: flex;
  gap: 6px;
  margin: 0;
  padding: 0;
  list-style: none;
}

ul img {
  display: block;
  width: 44px;
  height: 44px;
  object-fit: cover;
}

[aria-pressed='true'] {
  box-shadow: 0 4px 0 var(--brass);
}
</style>
