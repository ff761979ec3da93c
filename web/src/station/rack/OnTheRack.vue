<script setup lang="ts">
import { shownPhoto } from '@icy-ribbon/core/judgement/outcome';
import { useWindowSize } from '@vueuse/core';
import { Button } from 'ant-design-vue';
import { computed, defineAsyncComponent, onMounted } from 'vue';
import { useRoute } from 'vue-router';
import { widthIn } from '#drawing/widthIn.ts';
import HungPhoto from '#drawing/HungPhoto.vue';
import PlanPicture from '#field/PlanPicture.vue';
import { attempt } from '#notice/useTask.ts';
import { usePiece } from '#store/piece/piece.ts';
import { useRack } from '#store/rack.ts';
import { useUnits } from '#store/units.ts';
import { dateWords } from '#words/general.ts';
import { supportWords } from '#words/support.ts';
import DryView from './parts/DryView.vue';
import FamilyTree from './parts/FamilyTree.vue';
import LifeLine from './parts/LifeLine.vue';
import SlotSelect from './parts/SlotSelect.vue';
import { useOnRack } from './parts/useOnRack.ts';

/** One piece after its pour: how it dries, what becomes of it, how it is finished. */
defineProps<{ pieceId: string }>();

const DecideView = defineAsyncComponent(() => import('./parts/DecideView.vue'));
const LinesView = defineAsyncComponent(() => import('./parts/LinesView.vue'));
const SellView = defineAsyncComponent(() => import('./parts/SellView.vue'));
const FinishView = defineAsyncComponent(() => import('./parts/FinishView.vue'));

const store = usePiece();
const rack = useRack();
const units = useUnits();
const route = useRoute();
const on = useOnRack();
onMounted(() => attempt(() => rack.load()));

const lay = (place: { shelfId: string; slotId: string } | null) =>
  attempt(async () => {
    await store.noteCare('place', place ?? { shelfId: null, slotId: null });
    await rack.load();
  });

const VIEWS = [
  { key: 'dry', label: 'Dry' },
  { key: 'decide', label: 'Decide' },
  { key: 'lines', label: 'Lines' },
  { key: 'finish', label: 'Top coat' },
  { key: 'sell', label: 'Show and sell' },
] as const;
const view = computed(() => VIEWS.find(({ key }) => key === route.query.view)?.key ?? 'dry');

const BOX_PX = 384;
/** Beside it on a phone. */
const MARGIN_PX = 48;
const { width: screenPx } = useWindowSize();
const width = computed(() =>
  store.piece ? widthIn(Math.min(BOX_PX, screenPx.value - MARGIN_PX), store.piece.support) : 0,
);
const photo = computed(() => store.piece && shownPhoto(store.piece.photos));
</script>

<template>
  <main v-if="store.piece" class="one">
    <div class="picture stacked">
      <p><RouterLink to="/rack">All of the rack</RouterLink></p>
      <div class="lies">
        <HungPhoto
          v-if="photo"
          :photo="photo"
          :support="store.piece.support"
          :width="width"
          :alt="store.piece.name"
        />
        <PlanPicture
          v-else
          :piece-id="store.piece.id"
          :version="store.piece.version"
          :width="width"
          :alt="store.piece.name"
        />
      </div>
      <h1>{{ store.piece.name }}</h1>
      <p class="soft">
        {{ supportWords(store.piece.support, units) }}, {{ store.piece.support.name
        }}<template v-if="store.layers[0]">, poured {{ dateWords(store.layers[0].at) }}</template
        >.
        <RouterLink :to="`/results/${store.piece.id}`">Its result</RouterLink>
      </p>
      <FamilyTree />
    </div>
    <div class="work stacked gap-16">
      <template v-if="(on.life.value && on.dates.value) || store.piece.origin?.how === 'crop'">
        <LifeLine
          v-if="on.life.value && on.dates.value"
          :life="on.life.value"
          :dates="on.dates.value"
          :now-ms="on.nowMs.value"
        />
        <nav class="views" aria-label="Views of the piece">
          <RouterLink
            v-for="{ key, label } in VIEWS"
            :key="key"
            :to="{ query: { view: key } }"
            :aria-current="view === key ? 'page' : undefined"
            >{{ label }}</RouterLink
          >
        </nav>
        <DryView v-if="view === 'dry'" :on="on" />
        <DecideView v-else-if="view === 'decide'" :on="on" />
        <LinesView v-else-if="view === 'lines'" />
        <FinishView v-else-if="view === 'finish'" :on="on" />
        <SellView v-else />
      </template>
      <template v-else-if="store.inShort.isGone">
        <p>It was taken off its support. Its record stays.</p>
        <DecideView :on="on" />
      </template>
      <div v-else class="soft">
        <p v-if="store.layers.length > 0">
          It is being poured. It comes here by itself once air is logged, or when you lay it down:
        </p>
        <SlotSelect
          v-if="store.layers.length > 0"
          :piece-id="store.piece.id"
          :size="store.piece.support"
          :place="store.care.place"
          label="Where it lies"
          @choose="lay"
        />
        <p v-else>It is not poured yet. Once it is, it comes to the rack by itself.</p>
        <Button type="primary" @click="$router.push(`/pour/${store.piece.id}`)">Pour it</Button>
      </div>
    </div>
  </main>
</template>

<style scoped>
.one {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 620px);
  min-height: 100%;
}

.picture {
  grid-template-columns: minmax(0, 1fr);
  align-content: start;
  padding: 16px 24px;
}

.lies {
  display: grid;
  place-items: center;
  padding: 24px;
  background: var(--ice);
}

.work {
  grid-template-columns: minmax(0, 1fr);
  align-content: start;
  padding: 16px 24px;
  border-left: 1px solid var(--rule);
}

@media (width < 600px) {
  .picture,
  .work {
    padding: 12px 16px;
  }

  .lies {
    padding: 8px 0;
    overflow: hidden;
  }
}

@media (width < 1000px) {
  .one {
    grid-template-columns: minmax(0, 1fr);
  }

  .work {
    border-left: 0;
    border-top: 1px solid var(--rule);
  }
}
</style>
