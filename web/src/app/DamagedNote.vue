<script setup lang="ts">
import type { DamagedRecord } from '@icy-ribbon/contract';
import { Button } from 'ant-design-vue';
import { computed } from 'vue';
import { say } from '../notice/notices.ts';
import { attempt } from '../notice/useTask.ts';
import { usePiece } from '../store/piece/piece.ts';

/** Records of the piece in hand that cannot be read: what is wrong with each, and a way to take it out. */
const store = usePiece();
const WHAT: Readonly<Record<DamagedRecord['what'], string>> = {
  mix: 'A cup',
  reading: 'A reading of thickness',
  event: 'An event of the pour',
  care: 'A line of the record after the pour',
  photo: 'A photo',
  plan: 'The plan',
  judgement: 'The judgement',
};
const damaged = computed(() => store.piece?.damaged ?? []);

async function setAside(record: DamagedRecord): Promise<void> {
  await attempt(async () => {
    await store.setAside(record);
    say(`${WHAT[record.what]} is set aside: it is kept in the data, and no longer in the way.`);
  });
}
</script>

<template>
  <ul v-if="damaged.length > 0" class="damaged" aria-label="What cannot be read of this piece">
    <li v-for="record in damaged" :key="`${record.what} ${record.id}`">
      <span>{{ WHAT[record.what] }} cannot be read and is left out: {{ record.reason }}</span>
      <Button size="small" @click="setAside(record)">Set it aside</Button>
    </li>
  </ul>
</template>

<style scoped>
.damaged {
  margin: 0;
  padding: 6px 24px;
  max-height: 132px;
  overflow: auto;
  list-style: none;
  color: var(--alarm);
  border-bottom: 1px solid var(--rule);
  background: var(--bench);
}

li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 16px;
  padding: 2px 0;
}
</style>
