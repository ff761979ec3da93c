<script setup lang="ts">
import type { Judgement } from '@icy-ribbon/contract';
import { shownPhoto } from '@icy-ribbon/core/judgement/outcome';
import { computed } from 'vue';
import { widthIn } from '#drawing/widthIn.ts';
import HungPhoto from '#drawing/HungPhoto.vue';
import { say } from '#notice/notices.ts';
import { attempt } from '#notice/useTask.ts';
import { usePiece } from '#store/piece/piece.ts';

/** Which edge is up, chosen last: the piece hung the four ways side by side. */
const store = usePiece();

const WAYS = [
  { deg: 0, label: 'as poured' },
  { deg: 90, label: 'right edge up' },
  { deg: 180, label: 'bottom edge up' },
  { deg: 270, label: 'left edge up' },
] as const satisfies readonly { deg: NonNullable<Judgement['hangingDeg']>; label: string }[];

const photo = computed(() => store.piece && shownPhoto(store.piece.photos));
const BOX_PX = 128;
const width = computed(() => (store.piece ? widthIn(BOX_PX, store.piece.support) : 0));

const UNJUDGED = {
  ...{ rating: null, verdict: null, cells: null, lacing: null, petals: null, mud: null },
  ...{ cellSizeMm: null, tryNext: '', note: '', faults: [] },
};
const hang = (hangingDeg: NonNullable<Judgement['hangingDeg']>, label: string) =>
  attempt(async () => {
    const { version, createdAt, updatedAt, ...judged } = store.piece?.judgement ?? {
      ...UNJUDGED,
      ...{ hangingDeg: null, version: 0, createdAt: '', updatedAt: '' },
    };
    void [version, createdAt, updatedAt];
    await store.judge({ ...judged, hangingDeg });
    say(`It hangs ${label}.`);
  });
</script>

<template>
  <section aria-labelledby="edge-up">
    <h3 id="edge-up">Which edge is up</h3>
    <p v-if="!photo" class="soft">A photo shows it the four ways.</p>
    <ul>
      <li v-for="{ deg, label } in WAYS" :key="deg">
        <button
          type="button"
          class="plain-button"
          :aria-pressed="store.piece?.judgement?.hangingDeg === deg"
          @click="hang(deg, label)"
        >
          <span v-if="photo && store.piece" class="box">
            <span :style="{ transform: `rotate(${-deg}deg)` }">
              <HungPhoto :photo="photo" :support="store.piece.support" :width="width" alt="" />
            </span>
          </span>
          <span>{{ label }}</span>
        </button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
h3 {
  margin-bottom: 4px;
}

ul {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

button {
  display: grid;
  gap: 4px;
  justify-items: center;
  min-width: 132px;
  min-height: 48px;
  padding: 2px 0 4px;
  border-bottom: 4px solid var(--rule);
}

button[aria-pressed='true'] {
  font-weight: var(--weight-strong);
  background: var(--ice);
  border-bottom-color: var(--water);
}

.box {
  display: grid;
  place-items: center;
  width: 132px;
  height: 132px;
}
</style>
