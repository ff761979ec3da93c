<script setup lang="ts">
import { PHOTO_STATES, type PhotoState } from '@icy-ribbon/contract';
import { useDropZone, useEventListener } from '@vueuse/core';
import { Button, RadioButton, RadioGroup } from 'ant-design-vue';
import { computed, ref } from 'vue';
import { say, sayProblem } from '../../notice/notices.ts';
import { usePiece } from '../../store/piece.ts';
import { timeWords, dateWords } from '../words.ts';

const store = usePiece();
const panel = ref<HTMLElement | null>(null);
const chooser = ref<HTMLInputElement | null>(null);
const chosenId = ref<string | null>(null);
const state = ref<PhotoState>('wet');
const busy = ref(false);

const photos = computed(() => store.piece?.photos ?? []);
const shown = computed(
  () => photos.value.find((photo) => photo.id === chosenId.value) ?? photos.value.at(-1),
);

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
    <div class="picture">
      <img
        v-if="shown"
        :src="`/api/photos/${shown.id}/image`"
        :width="shown.widthPx"
        :height="shown.heightPx"
        :alt="`${store.piece?.name}, ${shown.state}`"
      />
      <div v-else class="none">
        <p>No photo yet</p>
        <p class="soft">
          Drop a JPEG or PNG here, paste one, or choose a file. It is turned upright, and the place it was
          taken is stripped.
        </p>
      </div>
    </div>
    <div class="bar">
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
      <Button :type="photos.length === 0 ? 'primary' : 'default'" :loading="busy" @click="chooser?.click()">
        Attach a photo
      </Button>
    </div>
  </section>
</template>

<style scoped>
.photos {
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
}

.over {
  outline: 3px dashed var(--brass);
  outline-offset: -6px;
}

.picture {
  display: grid;
  place-items: center;
  min-height: 0;
  padding: 16px;
  background: var(--paper);
}

.picture img {
  max-width: 100%;
  max-height: 100%;
  width: auto;
  height: auto;
  object-fit: contain;
}

.picture:has(img) {
  grid-template-rows: minmax(0, 1fr);
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
  gap: 12px;
  padding: 10px 24px;
  border-top: 1px solid var(--rule);
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
