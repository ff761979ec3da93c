<script setup lang="ts">
import { PHOTO_STATES, type Photo, type PhotoDetail } from '@icy-ribbon/contract';
import { useDropZone, useEventListener } from '@vueuse/core';
import { Button, Checkbox, RadioButton, RadioGroup } from 'ant-design-vue';
import { computed, onMounted, ref, watch } from 'vue';
import HungPhoto from '#drawing/HungPhoto.vue';
import type { DrawnCell } from '#drawing/photoOverlay.ts';
import { PHOTO_FILES } from '#field/picture/photoFiles.ts';
import { useDevices } from '#store/devices.ts';
import { usePiece } from '#store/piece/piece.ts';
import { useSending } from '#store/sending.ts';
import { useMeasures } from '#words/useMeasures.ts';
import { dateWords, timeWords } from '#words/general.ts';
import MeasurePhoto from './MeasurePhoto.vue';
import PhotoView, { type Layers } from './PhotoView.vue';
import { usePhotos } from './usePhotos.ts';
import WetDryNote from './WetDryNote.vue';

/** The photos of a piece: one large with what was measured over it, the others small below. */
const placing = defineModel<boolean>('placing', { default: false });
const measuring = defineModel<boolean>('measuring', { default: false });
const chosenPin = defineModel<string | null>('chosenPin', { default: null });
const emit = defineEmits<{
  place: [at: { x: number; y: number }];
  shown: [photo: Photo | undefined, detail: PhotoDetail | null];
}>();

const store = usePiece();
const devices = useDevices();
const sending = useSending();
onMounted(devices.ensure);
const measures = useMeasures();
const panel = ref<HTMLElement | null>(null);
const chooser = ref<HTMLInputElement | null>(null);
const layers = ref<Layers>({ cells: false, net: false, mud: false, glare: false, work: false });
const marks = computed(() =>
  store.events.flatMap(({ data }) => ('mark' in data && data.mark ? [data.mark] : [])),
);
const hovered = ref<DrawnCell | null>(null);
const {
  photos,
  shown,
  measured,
  detail,
  pins,
  both,
  chosenId,
  state,
  busy,
  comparison,
  isComparing,
  attach,
  shutter,
  compareWetDry,
  remove,
} = usePhotos();
/** What there is to be drawn over it. */
const layerNames = computed((): (keyof Layers)[] => [
  ...(measured.value ? (['cells', 'net', 'mud', 'glare'] as const) : []),
  ...(shown.value && marks.value.length > 0 ? (['work'] as const) : []),
]);
watch([shown, detail], () => emit('shown', shown.value, detail.value), { immediate: true });

function switchLayer(name: keyof Layers, on: boolean): void {
  layers.value = { ...layers.value, [name]: on };
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
        :marks="marks"
        :placing="placing"
        @hover="hovered = $event"
        @place="emit('place', $event)"
        @pin="chosenPin = $event"
      />
      <div v-else class="none">
        <p>No photo yet</p>
        <p class="soft">
          Drop a JPEG, PNG or HEIC here, paste one, or choose a file. It is turned upright, and the place it
          was taken is stripped.
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
            <HungPhoto
              v-if="store.piece"
              :photo="{ ...photo, corners: photo.measurement?.corners ?? null }"
              :support="store.piece.support"
              :width="44"
              alt=""
            />
          </button>
        </li>
      </ul>
      <p v-if="shown" class="soft">
        {{ shown.state }}{{ shown.standIn ? ', made up by the stand-in camera' : '' }},
        {{ dateWords(shown.createdAt) }}
      </p>
      <div v-if="layerNames.length > 0" class="layers" role="group" aria-label="Show over the photo">
        <Checkbox
          v-for="name in layerNames"
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
      <Button v-if="both" size="small" :loading="isComparing" @click="compareWetDry">
        Wet against dry
      </Button>
      <Button v-if="shown" type="link" size="small" @click="remove">Delete photo</Button>
      <a v-if="shown?.original" :href="`/api/photos/${shown.id}/original`" download>The camera’s own file</a>
      <span class="spring"></span>
      <span class="next abreast centered">
        <span class="soft small" aria-hidden="true">The next photo is</span>
        <RadioGroup v-model:value="state" name="photo-state" size="small" aria-label="The next photo is">
          <RadioButton v-for="each in PHOTO_STATES" :key="each" :value="each">{{ each }}</RadioButton>
        </RadioGroup>
      </span>
      <input
        ref="chooser"
        class="visually-hidden"
        type="file"
        :accept="PHOTO_FILES"
        multiple
        tabindex="-1"
        aria-label="Photo files"
        @change="chosen"
      />
      <Button v-if="devices.standIns" size="small" :loading="busy" @click="shutter">
        Camera over the table (stand-in)
      </Button>
      <Button
        size="small"
        :type="photos.length === 0 ? 'primary' : 'default'"
        :loading="busy"
        @click="chooser?.click()"
      >
        Attach a photo
      </Button>
      <Checkbox
        v-model:checked="sending.keepOriginal"
        title="The file as the camera made it stays on this studio’s machine, with the place and the device it may tell of; backups and exports hold the upright copy alone."
      >
        Keep the camera’s file too
      </Checkbox>
    </div>
    <WetDryNote v-if="!measuring && comparison" :found="comparison" @close="comparison = null" />
  </section>
</template>

<style scoped>
.photos {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  grid-template-rows: minmax(0, 1fr) auto auto auto;
}

.over {
  outline: 2px dashed var(--water);
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
  font-size: var(--type-lead);
}

.none .soft {
  font-size: var(--type-text);
  margin-top: 8px;
}

.bar {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 12px;
  padding: 8px 24px;
  border-top: 1px solid var(--rule);
}

.hovered {
  min-width: 66px;
  font-weight: var(--weight-strong);
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

ul {
  display: flex;
  gap: 6px;
}

[aria-pressed='true'] {
  box-shadow: 0 4px 0 var(--ink);
}

@media (width < 600px) {
  .picture {
    height: 56vh;
    padding: 0;
  }

  .bar {
    padding: 8px 16px;
  }

  .spring {
    display: none;
  }
}
</style>
