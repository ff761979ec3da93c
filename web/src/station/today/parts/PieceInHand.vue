<script setup lang="ts">
import type { PieceSummary } from '@icy-ribbon/contract';
import { Button } from 'ant-design-vue';
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import CupDots from '#drawing/CupDots.vue';
import HungPhoto from '#drawing/HungPhoto.vue';
import PlanPicture from '#field/PlanPicture.vue';
import { useUnits } from '#store/units.ts';
import { TECHNIQUE_LABELS, dateWords } from '#words/general.ts';
import { supportWords } from '#words/support.ts';
import { workAt } from './workAt.ts';

/** The piece that the work goes on with: how it lies, its cups, and the next step. */
const props = defineProps<{ piece: PieceSummary; due: string | undefined }>();

const units = useUnits();
const router = useRouter();

const BOX_PX = 256;
/** As large as the box allows, in the support's own proportions. */
const width = computed(() => {
  const { widthMm, heightMm } = props.piece.support;
  return (BOX_PX * widthMm) / Math.max(widthMm, heightMm);
});
const next = computed(() => props.piece.next.replace(/\.$/, ''));
</script>

<template>
  <section class="hand stacked gap-24" aria-labelledby="in-hand">
    <RouterLink :to="workAt(piece)" class="drawing" tabindex="-1" aria-hidden="true">
      <HungPhoto v-if="piece.photo" :photo="piece.photo" :support="piece.support" :width="width" alt="" />
      <PlanPicture v-else :piece-id="piece.id" :version="piece.version" :width="width" alt="" />
    </RouterLink>
    <div class="what stacked gap-16">
      <div>
        <h2 id="in-hand">{{ piece.name }}</h2>
        <p class="soft">
          {{ TECHNIQUE_LABELS[piece.technique] }},
          <span class="whole">{{ supportWords(piece.support, units) }}</span>,
          {{ dateWords(piece.createdAt) }}
        </p>
        <p v-if="due">{{ due }}</p>
      </div>
      <CupDots :cups="piece.mixes" large />
      <Button type="primary" size="large" class="next" @click="router.push(workAt(piece))">
        {{ next }}
      </Button>
    </div>
  </section>
</template>

<style scoped>
.hand {
  grid-template-columns: auto minmax(0, 1fr);
  align-items: center;
  min-height: 320px;
  padding: 24px;
  background: var(--ice);
}

.drawing {
  display: grid;
  place-items: center;
  width: 256px;
  height: 272px;
}

.what {
  justify-items: start;
}

h2 {
  font-size: var(--type-name);
}

.next {
  height: var(--touch-step);
  max-width: 100%;
  padding-inline: 24px;
  white-space: normal;
}

@media (width < 600px) {
  .hand {
    grid-template-columns: minmax(0, 1fr);
    gap: 12px;
    padding: 16px;
  }

  .drawing {
    zoom: 0.7;
    width: 100%;
  }

  .next {
    width: 100%;
  }
}

@media (height < 480px) {
  .hand {
    min-height: 0;
    padding: 12px;
  }

  .drawing {
    zoom: 0.7;
  }
}
</style>
