<script setup lang="ts">
import { refDebounced } from '@vueuse/core';
import { Button } from 'ant-design-vue';
import { computed, onMounted } from 'vue';
import { sayProblem } from '../notice/notices.ts';
import { useSending } from '../store/sending.ts';
import { percent } from '#words/percent.ts';

/** Photos on their way, told of on every page as soon as one takes a while. */
const sending = useSending();
onMounted(() => sending.resume(sayProblem));

/** What is through in a moment is not told of. */
const LONG_MS = 900;
const ids = computed(() => [...sending.underway.keys()]);
const long = refDebounced(ids, LONG_MS);
const shown = computed(() => [...sending.underway.values()].filter(({ id }) => long.value.includes(id)));
</script>

<template>
  <div
    v-for="{ id, pieceName, share, waits } in shown"
    :key="id"
    class="sending stacked gap-12"
    role="status"
  >
    <span>
      Photo of {{ pieceName }}:
      {{ waits ? 'it waits here and goes on by itself' : `${percent(share)} sent` }}
    </span>
    <progress :value="share" aria-hidden="true"></progress>
    <Button size="small" @click="sending.stop(id)">Do not send it</Button>
  </div>
</template>

<style scoped>
.sending progress {
  width: 100%;
  accent-color: var(--water);
}

.sending {
  grid-template-columns: auto minmax(60px, 240px) auto;
  align-items: center;
  justify-content: start;
  padding: 6px 24px;
  border-bottom: 1px solid var(--rule);
  background: var(--bench);
}

@media (width < 600px) {
  .sending {
    grid-template-columns: minmax(0, 1fr) auto;
    padding: 6px 16px;
  }
}
</style>
