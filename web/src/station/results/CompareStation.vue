<script setup lang="ts">
import type { Piece } from '@icy-ribbon/contract';
import { api } from '@icy-ribbon/contract/addresses';
import { computedAsync } from '@vueuse/core';
import { Button } from 'ant-design-vue';
import { computed, ref } from 'vue';
import { useRoute } from 'vue-router';
import EmptyDrawing from '#drawing/EmptyDrawing.vue';
import { call } from '#api/client.ts';
import { sayProblem } from '#notice/notices.ts';
import CompareLines from './parts/CompareLines.vue';
import ComparePictures from './parts/ComparePictures.vue';
import { MARKS } from './parts/marks.ts';

/** Two to four pours: pictures aligned and moved together, and below only what differs. */
const route = useRoute();
const pictures = ref<InstanceType<typeof ComparePictures> | null>(null);

const ids = computed(() =>
  String(route.query.ids ?? '')
    .split(',')
    .filter(Boolean)
    .slice(0, MARKS.length),
);
/** An answer that comes after others were chosen is dropped. */
const pieces = computedAsync<readonly Piece[]>(
  () => Promise.all(ids.value.map((id) => call(api.pieces.get, { params: { id } }))),
  [],
  { onError: sayProblem, shallow: true },
);
</script>

<template>
  <main class="compare">
    <header>
      <h1>Compare</h1>
      <RouterLink :to="{ name: 'results' }">Back to the results</RouterLink>
      <span class="spring"></span>
      <Button size="small" @click="pictures?.zoomBy(1.5)">Closer</Button>
      <Button size="small" @click="pictures?.zoomBy(1 / 1.5)">Farther</Button>
      <Button size="small" @click="pictures?.fitAll()">Whole</Button>
    </header>
    <ComparePictures ref="pictures" :pieces="pieces" />
    <EmptyDrawing v-if="pieces.length < 2" kind="wall"
      >Mark two to four pours at Results to compare them.</EmptyDrawing
    >
    <CompareLines v-else :pieces="pieces" />
  </main>
</template>

<style scoped>
.compare {
  padding: 12px 24px 24px;
}

header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 12px;
}
</style>
