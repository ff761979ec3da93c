<script setup lang="ts">
import { useNow } from '@vueuse/core';
import { Button } from 'ant-design-vue';
import { computed, defineAsyncComponent } from 'vue';
import { serverAway, signedOut, storageTrouble } from '../api/connection.ts';
import { usePiece } from '../store/piece/piece.ts';
import { useLive } from '../store/live.ts';
import { otherWords } from '../words/device.ts';
import { timeWords } from '../words/general.ts';

/** That the server is away, what waits for it, and what it would not take of what had waited. */
const store = usePiece();
const live = useLive();

const waits = computed(() => {
  const count = store.waitingCount;
  if (count === 0) return 'What you enter is saved on this device.';
  return count === 1
    ? 'One entry is saved on this device and will be sent automatically.'
    : `${count} entries are saved on this device and will be sent automatically.`;
});

/** Comes when it is needed: seldom. */
const RefusedEntries = defineAsyncComponent(() => import('./RefusedEntries.vue'));

const reload = () => location.reload();

const SOON_MS = 3_600_000;
const now = useNow({ interval: 30_000 });
/** That the sign-in ends, from an hour ahead; what is in use at the table goes on for a while after that. */
const endsSoon = computed(() => {
  if (live.signedInUntil === null) return null;
  const left = Date.parse(live.signedInUntil) - now.value.getTime();
  if (left > SOON_MS) return null;
  return `${left > 0 ? 'ends' : 'ended'} at ${timeWords(live.signedInUntil)}`;
});

/** What the other devices do with this piece, where it would be done twice. */
const elsewhere = computed(() =>
  live.withPiece.map((other) => ({
    tab: other.tab,
    words: otherWords(other, store.mixes.find(({ id }) => id === other.cupId)?.name),
  })),
);
</script>

<template>
  <p v-if="signedOut" class="alarm-bar" role="alert">
    This device has been signed out. {{ waits }}
    <a href="/join">Join again</a>
    with a code that another device shows.
  </p>
  <p v-else-if="serverAway" class="alarm-bar" role="alert">Can't reach the studio. {{ waits }}</p>
  <p v-else-if="storageTrouble" class="alarm-bar" role="alert">{{ storageTrouble }} {{ waits }}</p>
  <p v-if="endsSoon && !signedOut" class="elsewhere" role="status">
    This device's sign-in {{ endsSoon }}. A pour that is running isn't cut off, but
    <a href="/join">join again</a> with a new code before the next one.
  </p>
  <p v-if="live.isOutdated && !serverAway" class="elsewhere" role="status">
    Icy Ribbon was updated while this page was open. Your entries are safe.
    <Button size="small" @click="reload">Reload</Button>
  </p>
  <p v-for="each in elsewhere" :key="each.tab" class="elsewhere" role="status">{{ each.words }}</p>
  <RefusedEntries v-if="store.refused.length > 0" />
</template>

<style scoped>
.elsewhere {
  padding: 6px 24px;
  background: var(--bench);
  border-bottom: 1px solid var(--rule);
}
</style>
