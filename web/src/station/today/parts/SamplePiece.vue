<script setup lang="ts">
import { Button } from 'ant-design-vue';
import { useTask } from '#notice/useTask.ts';
import { usePiece } from '#store/piece/piece.ts';
import { useSample } from '#store/sample.ts';

/** One piece, poured and measured, that can be looked through and is taken out again with one click. */
const sample = useSample();
const store = usePiece();

const { busy, run } = useTask();
const put = () => run(sample.add);
const takeOut = () =>
  run(async () => {
    if (store.piece?.id === sample.pieceId) store.letGo();
    await sample.remove();
  });
</script>

<template>
  <section class="sample stacked" aria-labelledby="sample">
    <h2 id="sample">A sample</h2>
    <template v-if="sample.pieceId === null">
      <p>One bloom, mixed, poured, photographed and measured, to see what a record tells. It is made up.</p>
      <Button :loading="busy" @click="put">Put it in</Button>
    </template>
    <template v-else>
      <p>It is made up, and counts for nothing.</p>
      <p class="links abreast centered gap-16">
        <RouterLink :to="`/results/${sample.pieceId}`">Look through it</RouterLink>
        <Button size="small" :loading="busy" @click="takeOut">Take it out again</Button>
      </p>
    </template>
  </section>
</template>

<style scoped>
.sample {
  justify-items: start;
  max-width: 620px;
  padding-top: 16px;
  border-top: 1px solid var(--rule);
  font-size: var(--type-text);
}
</style>
