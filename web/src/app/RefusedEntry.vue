<script setup lang="ts">
import { Button, Popconfirm } from 'ant-design-vue';
import { computed, ref } from 'vue';
import { saveFile } from '../drawing/saveFile.ts';
import { attempt } from '../notice/useTask.ts';
import { usePiece } from '../store/piece/piece.ts';
import type { RefusedWrite } from '../store/tableQueue.ts';

/** An entry that the studio did not take: it stays on this device until it is taken, or until somebody discards it. */
const props = defineProps<{ refused: RefusedWrite; title: string }>();
const store = usePiece();
const isOpen = ref(false);

const text = computed(() => JSON.stringify(props.refused.write, null, 2));
const copied = ref(false);
const copy = () =>
  attempt(async () => {
    await navigator.clipboard.writeText(text.value);
    copied.value = true;
  });
const save = () =>
  saveFile(
    new Blob([text.value], { type: 'application/json' }),
    `entry-${props.refused.id.slice(0, 8)}.json`,
  );
</script>

<template>
  <div class="refused" role="alert">
    <p>
      {{ title }} wasn't taken. {{ refused.reason }}
      <span class="soft">It's safe on this device.</span>
    </p>
    <div class="acts flowing">
      <Button size="small" @click="store.retryRefused(refused.id)">Try again</Button>
      <Button size="small" :aria-expanded="isOpen" @click="isOpen = !isOpen">
        {{ isOpen ? 'Hide entry' : 'Show entry' }}
      </Button>
      <Button size="small" @click="save">Export entry</Button>
      <Popconfirm
        title="Discard this entry? It's saved nowhere else."
        ok-text="Discard"
        cancel-text="Keep it"
        :icon="null"
        @confirm="store.dropRefused(refused.id)"
      >
        <Button size="small">Discard</Button>
      </Popconfirm>
    </div>
    <div v-if="isOpen" class="entry">
      <pre tabindex="0">{{ text }}</pre>
      <Button size="small" @click="copy">{{ copied ? 'Copied' : 'Copy entry' }}</Button>
    </div>
  </div>
</template>

<style scoped>
.refused {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 24px;
  align-items: center;
  justify-content: space-between;
}

p,
pre {
  margin: 0;
}

p {
  flex: 1 1 280px;
}

.entry {
  display: grid;
  gap: 6px;
  justify-items: start;
  width: 100%;
}

pre {
  max-width: 100%;
  max-height: 160px;
  padding: 8px 12px;
  overflow: auto;
  background: var(--paper);
  border: 1px solid var(--rule);
}
</style>
