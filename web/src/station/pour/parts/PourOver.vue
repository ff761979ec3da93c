<script setup lang="ts">
import { Button } from 'ant-design-vue';
import { useRouter } from 'vue-router';
import ClosingList from '#field/ClosingList.vue';
import { useShortcuts } from '#shortcut/shortcuts.ts';

/** A pour that is over: Space and the pedal go on to its judgment, and log nothing more. */
const props = defineProps<{ pieceId: string; hasSheet: boolean }>();
const router = useRouter();
const judge = () => void router.push({ name: 'result', params: { pieceId: props.pieceId } });

useShortcuts('Pour', [
  { keys: [' ', 'Enter', 'PageDown'], shown: 'Space, Enter', does: 'Look and judge', run: judge },
]);
</script>

<template>
  <div class="over stacked gap-12">
    <p class="said">{{ hasSheet ? 'The run sheet is done.' : 'This pour is finished.' }}</p>
    <div class="row">
      <Button type="primary" size="large" @click="judge">Look and judge</Button>
      <RouterLink :to="{ name: 'rack-piece', params: { pieceId } }">Lay it on the rack</RouterLink>
    </div>
    <ClosingList />
  </div>
</template>

<style scoped>
.over {
  margin-top: 16px;
}

.said {
  font-size: var(--type-title);
}

.row {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 16px;
}
</style>
