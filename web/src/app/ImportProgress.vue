<script setup lang="ts">
import { Button, Progress } from 'ant-design-vue';
import { computed } from 'vue';
import { say } from '../notice/notices.ts';
import { attempt } from '../notice/useTask.ts';
import { useImports } from '../store/imports.ts';

/** A file on its way in: what is done with it, how far it has come, and a way to call it off. */
const imports = useImports();

const words = computed(() => {
  const { job } = imports;
  if (!job) return '';
  return job.total > 1 ? `${job.phase}, ${job.done} of ${job.total}` : job.phase;
});

async function callOff(): Promise<void> {
  await attempt(async () => {
    await imports.cancel();
    say('Called off: nothing of the file was kept.');
  });
}
</script>

<template>
  <div class="import abreast centered gap-16" role="group" aria-label="A file on its way in">
    <span class="words">A file is coming in: {{ words }}</span>
    <Progress
      class="bar"
      :percent="Math.round(100 * imports.share)"
      :show-info="false"
      :stroke-width="6"
      stroke-linecap="square"
      aria-label="How far it has come"
    />
    <Button size="small" @click="callOff">Call it off</Button>
  </div>
</template>

<style scoped>
.import {
  padding: 6px 24px;
  border-bottom: 1px solid var(--rule);
  background: var(--bench);
}

.words {
  min-width: 260px;
}

.bar {
  flex: 1;
  margin: 0;
}
</style>
