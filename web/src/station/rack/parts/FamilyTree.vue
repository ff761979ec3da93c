<script setup lang="ts">
import type { Piece, PieceSummary } from '@icy-ribbon/contract';
import { api } from '@icy-ribbon/contract/addresses';
import { careState } from '@icy-ribbon/core/piece/care';
import { computed, ref, shallowRef, watch } from 'vue';
import { allPages } from '#api/allPages.ts';
import { call } from '#api/client.ts';
import { widthIn } from '#drawing/widthIn.ts';
import HungPhoto from '#drawing/HungPhoto.vue';
import { usePiece } from '#store/piece/piece.ts';
import { shownPhoto } from '@icy-ribbon/core/judgement/outcome';
import SketchOverlay from './SketchOverlay.vue';
import { ORIGIN_WORDS } from '#words/care.ts';

/** The piece that this one came out of, and those that came out of it, their pictures side by side. */
const store = usePiece();
const parent = shallowRef<Piece | null>(null);
const isLost = ref(false);
const children = shallowRef<PieceSummary[]>([]);

watch(
  () => store.piece?.id,
  async (id) => {
    const origin = store.piece?.origin;
    parent.value = null;
    isLost.value = false;
    children.value = [];
    if (!id) return;
    if (origin) {
      parent.value = await call(api.pieces.get, { params: { id: origin.pieceId } }).catch(() => null);
      isLost.value = parent.value === null;
    }
    children.value = await allPages(
      (query) => call(api.pieces.list, { query: { ...query, originId: id } }),
      PAGE,
    ).catch(() => []);
  },
  { immediate: true },
);

const PAGE = 200;
/** The change as it was sketched, to be held against what came of it. */
const sketched = computed(() =>
  store.piece?.origin?.how === 'alter' && parent.value
    ? careState(parent.value.care).sketches.find(({ chosen }) => chosen)
    : undefined,
);
const NO_MASKS = new Map<string, string>();
const SMALL_PX = 64;
const photoOf = ({ photos }: Piece) => shownPhoto(photos);
</script>

<template>
  <section v-if="parent || isLost || children.length > 0" aria-label="Family of the piece" class="family">
    <p v-if="isLost" class="soft">The piece it came out of was deleted.</p>
    <RouterLink v-if="parent" :to="`/rack/${parent.id}`">
      <span v-if="photoOf(parent)" class="drawn">
        <HungPhoto
          :photo="photoOf(parent)!"
          :support="parent.support"
          :width="widthIn(SMALL_PX, parent.support) * (sketched ? 2 : 1)"
          alt=""
        />
        <SketchOverlay v-if="sketched" :support="parent.support" :marks="sketched.marks" :masks="NO_MASKS" />
      </span>
      <span
        ><strong>{{ parent.name }}</strong
        ><span class="soft">{{
          sketched
            ? `as it was, with the sketch "${sketched.name}"`
            : ORIGIN_WORDS[store.piece!.origin!.how].from
        }}</span></span
      >
    </RouterLink>
    <RouterLink v-for="child in children" :key="child.id" :to="`/rack/${child.id}`">
      <HungPhoto
        v-if="child.photo"
        :photo="child.photo"
        :support="child.support"
        :width="widthIn(SMALL_PX, child.support)"
        alt=""
      />
      <span
        ><strong>{{ child.name }}</strong
        ><span class="soft">{{ child.origin ? ORIGIN_WORDS[child.origin.how].to : '' }}</span></span
      >
    </RouterLink>
  </section>
</template>

<style scoped>
.family {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 24px;
  padding-top: 8px;
  border-top: 1px solid var(--rule);
}

a {
  display: flex;
  gap: 8px;
  align-items: center;
  color: var(--ink);
  text-decoration: none;
}

a > span {
  display: grid;
}

.drawn {
  position: relative;
}

.soft {
  font-size: var(--type-note);
}
</style>
