<script setup lang="ts">
import { widthIn } from '#drawing/widthIn.ts';
import HungPhoto from '#drawing/HungPhoto.vue';
import PlanPicture from '#field/PlanPicture.vue';
import { say } from '#notice/notices.ts';
import { attempt } from '#notice/useTask.ts';
import { useRack } from '#store/rack.ts';
import { lifeWords } from '#words/care.ts';
import SlotSelect from './SlotSelect.vue';

/** Pieces that dry on no shelf of the rack. */
const rack = useRack();

const SMALL_PX = 56;

const put = (pieceId: string, name: string, place: { shelfId: string; slotId: string } | null) =>
  attempt(async () => {
    const id = await rack.note(pieceId, 'place', place ?? { shelfId: null, slotId: null });
    say(`"${name}" has its place.`, () => attempt(() => rack.note(pieceId, 'void', { eventId: id })));
  });
</script>

<template>
  <section aria-labelledby="elsewhere">
    <h2 id="elsewhere">Drying on no shelf</h2>
    <ul>
      <li v-for="{ piece, life } in rack.elsewhere" :key="piece.id">
        <RouterLink :to="`/rack/${piece.id}`" class="picture" tabindex="-1" aria-hidden="true">
          <HungPhoto
            v-if="piece.photo"
            :photo="piece.photo"
            :support="piece.support"
            :width="widthIn(SMALL_PX, piece.support)"
            alt=""
          />
          <PlanPicture
            v-else
            :piece-id="piece.id"
            :version="piece.version"
            :width="widthIn(SMALL_PX, piece.support)"
            alt=""
          />
        </RouterLink>
        <span>
          <RouterLink :to="`/rack/${piece.id}`">{{ piece.name }}</RouterLink>
          <span class="soft">{{ lifeWords(life, rack.nowMs) }}</span>
        </span>
        <SlotSelect
          :piece-id="piece.id"
          :size="piece.support"
          :place="null"
          :label="`Where ${piece.name} lies`"
          @choose="put(piece.id, piece.name, $event)"
        />
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(420px, 1fr));
  gap: 0 32px;
  margin: 4px 0 0;
}

li {
  display: grid;
  grid-template-columns: 56px minmax(0, 1fr) auto;
  gap: 12px;
  align-items: center;
  min-height: 64px;
  border-top: 1px solid var(--rule);
}

li > span {
  display: grid;
}

.picture {
  display: grid;
  place-items: center;
}

a {
  font-weight: var(--weight-strong);
  color: var(--ink);
  text-underline-offset: 4px;
}

.soft {
  font-size: var(--type-note);
}
</style>
