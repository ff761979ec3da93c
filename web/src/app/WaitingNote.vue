<script setup lang="ts">
import { Button } from 'ant-design-vue';
import { computed } from 'vue';
import { serverAway, signedOut } from '../api/connection.ts';
import { usePiece } from '../store/piece/piece.ts';
import { useLive } from '../store/live.ts';
import { useUnits } from '../store/units.ts';
import { otherWords } from '../words/device.ts';

/** That the server is away, what waits for it, and what it would not take of what had waited. */
const store = usePiece();
const units = useUnits();
const live = useLive();

const waits = computed(() => {
  const count = store.waitingCount;
  if (count === 0) return 'What you enter is kept on this page.';
  return count === 1
    ? 'One entry waits here and is sent by itself.'
    : `${count} entries wait here and are sent by themselves.`;
});

/** Events are told of beside the line of the pour. */
const refused = computed(() =>
  store.refused.flatMap(({ id, write, reason }) => {
    if (write.kind === 'event') return [];
    const cup =
      'mixId' in write ? (store.mixes.find((each) => each.id === write.mixId)?.name ?? 'a cup') : '';
    const what = {
      addition: () => `${write.kind === 'addition' ? units.show('mass', write.addition.mg) : ''} in ${cup}`,
      'take-back': () => `Taking back in ${cup}`,
      readings: () => 'A reading',
    }[write.kind]();
    return [{ id, text: `${what} was not kept: ${reason}` }];
  }),
);

const loadAnew = () => location.reload();

/** What the other devices do with this piece, where it would be done twice. */
const elsewhere = computed(() =>
  live.withPiece.map((other) => ({
    tab: other.tab,
    words: otherWords(other, store.mixes.find(({ id }) => id === other.mixId)?.name),
  })),
);
</script>

<template>
  <p v-if="signedOut" class="alarm-bar" role="alert">
    This device is not signed in to the studio any more. What waits here is kept.
    <a href="/join">Join it again</a>
    with a code that another device shows.
  </p>
  <p v-else-if="serverAway" class="alarm-bar" role="alert">The server does not answer. {{ waits }}</p>
  <p v-if="live.isOutdated && !serverAway" class="elsewhere" role="status">
    Icy Ribbon was renewed while this page was open. What you entered is kept.
    <Button size="small" @click="loadAnew">Load it anew</Button>
  </p>
  <p v-for="each in elsewhere" :key="each.tab" class="elsewhere" role="status">{{ each.words }}</p>
  <p v-for="each in refused" :key="each.id" class="alarm-bar" role="alert">
    {{ each.text }}
    <Button size="small" @click="store.dropRefused(each.id)">Let it go</Button>
  </p>
</template>

<style scoped>
.elsewhere {
  margin: 0;
  padding: 6px 24px;
  background: var(--bench);
  border-bottom: 1px solid var(--rule);
}
</style>
