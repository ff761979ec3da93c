<script setup lang="ts">
import type { PourEvent } from '@icy-ribbon/contract';
import { Button } from 'ant-design-vue';
import { computed, nextTick, ref, watch } from 'vue';
import { usePiece } from '#store/piece/piece.ts';
import { useUnits } from '#store/units.ts';
import { timeWords } from '#words/general.ts';
import { eventWords, HIDDEN_KINDS } from '#words/event.ts';

defineProps<{ changingId?: string | undefined }>();
const emit = defineEmits<{ takeBack: []; change: [event: PourEvent] }>();
const store = usePiece();
const units = useUnits();
const line = ref<HTMLElement | null>(null);

watch(
  () => store.events.length,
  async () => {
    await nextTick();
    line.value?.scrollTo({ left: line.value.scrollWidth });
  },
);

const cupOf = (cupId: string) => store.cups.find((cup) => cup.mix.id === cupId);
const shown = computed(() => store.events.filter((event) => !HIDDEN_KINDS.includes(event.kind)));
const unsentIds = computed(() => new Set(store.unsent.map((event) => event.id)));
const colorOf = (event: PourEvent) =>
  event.kind === 'layer' ? cupOf(event.data.cupId)?.colorHex : undefined;
const what = (event: PourEvent) => eventWords(event, (cupId) => cupOf(cupId)?.mix.name ?? 'a cup', units);
</script>

<template>
  <section class="timeline" aria-label="The pour so far">
    <ol ref="line">
      <li v-for="event in shown" :key="event.id" :class="[event.kind, { unsent: unsentIds.has(event.id) }]">
        <span class="node" :style="{ background: colorOf(event) }"></span>
        <button
          class="plain-button"
          :aria-pressed="event.id === changingId"
          :title="`Change: ${what(event).title}`"
          @click="emit('change', event)"
        >
          <span class="time soft">{{ timeWords(event.at) }}</span>
          <span class="title">{{ what(event).title }}</span>
          <span class="soft detail">{{ what(event).detail }}</span>
          <span v-if="event.insteadOf" class="soft">changed</span>
          <span v-if="unsentIds.has(event.id)" class="soft">
            {{ store.written.has(event.id) ? 'kept here, not sent yet' : 'being sent' }}
          </span>
        </button>
      </li>
      <li v-if="shown.length === 0" class="soft empty">
        Every cup laid down and every pass appears on this line.
      </li>
    </ol>
    <Button v-if="shown.length > 0" type="text" @click="emit('takeBack')">Take back</Button>
  </section>
</template>

<style scoped>
.timeline {
  display: flex;
  align-items: center;
  padding: 0 16px 0 24px;
  border-top: 1px solid var(--rule);
  background: var(--paper);
}

ol {
  flex: 1;
  display: flex;
  padding: 12px 0;
  overflow-x: auto;
}

li {
  position: relative;
  flex: none;
  display: grid;
  max-width: 150px;
  padding: 16px 16px 0 0;
  font-size: var(--type-note);
  line-height: 1.3;
}

li:not(.empty)::before {
  content: '';
  position: absolute;
  top: 7px;
  left: 0;
  right: 0;
  height: 3px;
  background: var(--ice-deep);
}

.empty {
  padding: 0;
  max-width: none;
  font-size: var(--type-text);
}

.node {
  position: absolute;
  top: 1px;
  left: 0;
  width: 15px;
  height: 15px;
  border-radius: 50%;
  border: 1.5px solid var(--ink);
  background: var(--bench);
}

.pass .node {
  border-radius: 0;
  transform: rotate(45deg) scale(0.8);
  background: var(--ink);
}

li button {
  display: grid;
  align-content: start;
  min-height: 48px;
  text-align: left;
  font-size: inherit;
  line-height: inherit;
}

li button[aria-pressed='true'] .title {
  box-shadow: inset 0 -4px 0 var(--ink);
}

.title {
  font-weight: var(--weight-strong);
}
.unsent .node {
  border-style: dashed;
}

.detail {
  display: -webkit-box;
  overflow: hidden;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
}

@media (width < 600px) {
  .timeline {
    padding: 0 8px 0 16px;
  }

  ol {
    padding: 4px 0;
  }

  .empty {
    flex: 1;
  }
}
</style>
