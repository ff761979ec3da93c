<script setup lang="ts">
import { Button } from 'ant-design-vue';
import { useRouter } from 'vue-router';
import { usePiece } from '#store/piece/piece.ts';
import { onMounted } from 'vue';
import { sayProblem } from '#notice/notices.ts';
import { useDrills } from '#store/drills.ts';
import { eyeWords } from '#words/drill.ts';
import DrillList from './drill/DrillList.vue';
import { SCRATCH_SCENES } from './parts/scratchScenes.ts';

/** Practice: a pour is blown before it is poured. */
const store = usePiece();
const router = useRouter();
const drills = useDrills();
onMounted(() => drills.ensure().catch(sayProblem));
</script>

<template>
  <main class="practice stacked gap-24">
    <h1>Practice</h1>
    <section aria-label="Rehearse">
      <h2>Blow it before it is poured</h2>
      <p v-if="store.inHandId && store.piece">
        The plan of <strong>{{ store.piece.name }}</strong> with its real cups: their thickness, weight and
        color.
      </p>
      <p v-else class="soft">
        No piece in hand: begin with one of the pours below, or take a piece up on Today.
      </p>
      <Button
        v-if="store.inHandId && store.piece"
        type="primary"
        @click="router.push(`/practice/piece/${store.inHandId}`)"
      >
        Rehearse {{ store.piece.name }}
      </Button>
    </section>
    <section aria-label="Your pours">
      <h2>Your pours and the film</h2>
      <p class="soft">
        The film can learn from the pours that you measured: how hard you blow and how your paint runs.
        <RouterLink to="/practice/fit">Hold it against them</RouterLink>
      </p>
    </section>
    <section aria-label="Drills">
      <h2>Drills</h2>
      <DrillList />
      <p v-if="drills.eye" class="soft">{{ eyeWords(drills.eye) }}</p>
    </section>
    <section aria-label="Pours to try">
      <h2>Pours to try</h2>
      <ul class="rows">
        <li v-for="scene in SCRATCH_SCENES" :key="scene.name">
          <RouterLink :to="`/practice/pour/${scene.name}`">{{ scene.label }}</RouterLink>
          <span class="soft">{{ scene.shows }}</span>
        </li>
      </ul>
    </section>
  </main>
</template>

<style scoped>
.practice {
  align-content: start;
  padding: 16px 24px;
}

section {
  display: grid;
  gap: 12px;
  justify-items: start;
}

ul {
  width: 100%;
}

li {
  display: grid;
  grid-template-columns: 280px minmax(0, 1fr);
  gap: 16px;
  align-items: center;
  min-height: 48px;
}

@media (width < 600px) {
  .practice {
    padding: 12px 16px;
  }

  li {
    grid-template-columns: minmax(0, 1fr);
    gap: 4px;
    padding: 8px 0;
  }
}
</style>
