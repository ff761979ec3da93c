<script setup lang="ts">
import type { Photo, PhotoDetail } from '@icy-ribbon/contract';
import { Button, Input } from 'ant-design-vue';
import { computed, ref, shallowRef, useTemplateRef } from 'vue';
import { useRouter } from 'vue-router';
import { say, sayProblem } from '#notice/notices.ts';
import { attempt } from '#notice/useTask.ts';
import { usePiece } from '#store/piece/piece.ts';
import { usePieces } from '#store/pieces.ts';
import { dateWords } from '#words/general.ts';
import JudgePanel from './parts/JudgePanel.vue';
import PhotoPanel from './parts/PhotoPanel.vue';
import FaultList from './parts/FaultList.vue';
import MeasuredNumbers from './parts/MeasuredNumbers.vue';
import PourAgain from './parts/PourAgain.vue';
import PourRecord from './parts/PourRecord.vue';

defineProps<{ pieceId: string }>();

const store = usePiece();
const pieces = usePieces();
const router = useRouter();
const renaming = ref(false);
const again = ref(false);
const measuring = ref(false);
const placing = ref(false);
const chosenPin = ref<string | null>(null);
const faultList = useTemplateRef<InstanceType<typeof FaultList>>('faultList');
const shown = ref<Photo | undefined>();
const detail = shallowRef<PhotoDetail | null>(null);

function show(photo: Photo | undefined, drawn: PhotoDetail | null): void {
  shown.value = photo;
  detail.value = drawn;
}
const name = ref('');

const pouredAt = computed(() => store.layers[0]?.at);

function startRename(): void {
  name.value = store.piece?.name ?? '';
  renaming.value = true;
}

async function rename(): Promise<void> {
  await attempt(async () => {
    await store.rename(name.value);
    renaming.value = false;
  });
}

async function remove(): Promise<void> {
  const { piece } = store;
  if (!piece) return;
  await attempt(async () => {
    const removed = await pieces.remove(piece);
    store.letGo();
    await router.push({ name: 'results' });
    say(`"${removed.name}" is deleted.`, () => pieces.restore(removed).catch(sayProblem));
  });
}
</script>

<template>
  <main v-if="store.piece" class="one" :class="{ measuring }">
    <PhotoPanel
      v-model:placing="placing"
      v-model:measuring="measuring"
      v-model:chosen-pin="chosenPin"
      class="photos"
      @place="faultList?.pinAt($event)"
      @shown="show"
    />
    <div v-show="!measuring" class="recipe stacked gap-16">
      <header>
        <form v-if="renaming" class="rename abreast" @submit.prevent="rename">
          <Input v-model:value="name" aria-label="Name of the piece" />
          <Button type="primary" html-type="submit">Keep it</Button>
        </form>
        <h1 v-else>{{ store.piece.name }}</h1>
        <p class="soft">
          {{ store.piece.support.name }},
          {{ pouredAt ? `poured ${dateWords(pouredAt)}` : `started ${dateWords(store.piece.createdAt)}` }}
        </p>
        <div class="actions flowing gap-4">
          <Button v-if="store.layers.length > 0" size="small" @click="again = true">Again</Button>
          <Button v-if="store.layers.length > 0" size="small" @click="router.push(`/rack/${store.piece.id}`)">
            On the rack
          </Button>
          <Button v-if="!renaming" type="link" size="small" @click="startRename">Rename</Button>
          <Button
            type="link"
            size="small"
            :href="`/api/pieces/${store.piece.id}/export`"
            :download="`${store.piece.name}.json`"
          >
            Export as JSON
          </Button>
          <Button type="link" size="small" @click="remove">Delete</Button>
        </div>
        <p v-if="store.piece.note">{{ store.piece.note }}</p>
      </header>
      <MeasuredNumbers
        v-if="shown?.measurement"
        :technique="store.piece.technique"
        :measurement="shown.measurement"
        :detail="detail"
      />
      <JudgePanel />
      <FaultList ref="faultList" v-model:placing="placing" v-model:chosen="chosenPin" />
      <PourRecord />
    </div>
    <PourAgain v-if="again" @close="again = false" />
  </main>
</template>

<style scoped>
.one {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 440px;
  height: 100%;
}

.measuring {
  grid-template-columns: minmax(0, 1fr);
}

.photos {
  min-height: 0;
}

.recipe {
  grid-template-columns: minmax(0, 1fr);
  align-content: start;
  padding: 16px 24px;
  overflow: auto;
  border-left: 1px solid var(--rule);
}

.actions {
  margin-left: -8px;
}

@media (width < 1000px) {
  .one {
    grid-template-columns: minmax(0, 1fr);
    height: auto;
  }

  .photos {
    height: 60vh;
  }

  .recipe {
    border-left: 0;
    border-top: 1px solid var(--rule);
  }
}

/* The picture. */
@media (width < 600px) {
  .photos {
    height: auto;
  }

  .recipe {
    padding: 12px 16px;
  }
}
</style>
