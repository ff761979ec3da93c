<script setup lang="ts">
import { DRILL_NAMES, type DrillName } from '@icy-ribbon/core/drill/schedule';
import { Button, Checkbox } from 'ant-design-vue';
import { computed, onMounted, ref, shallowRef, watch, type Component } from 'vue';
import { say, sayProblem } from '#notice/notices.ts';
import { attempt } from '#notice/useTask.ts';
import { useShortcuts } from '#shortcut/shortcuts.ts';
import { useDrills } from '#store/drills.ts';
import { DRILL_WORDS, dueWords, eyeWords, scoreWords } from '#words/drill.ts';
import BlowPicture from './BlowPicture.vue';
import BreathPad from './BreathPad.vue';
import DrillChart from './DrillChart.vue';
import EnoughAir from './EnoughAir.vue';
import EvenPuddles from './EvenPuddles.vue';
import JudgePuddle from './JudgePuddle.vue';
import NameMound from './NameMound.vue';
import StopSpin from './StopSpin.vue';
import ThinCup from './ThinCup.vue';
import { DRILL_SCENES } from './parts/drillScenes.ts';
import type { PlayResult } from './parts/playResult.ts';
import { useSound } from './parts/useSound.ts';

/** One drill: played, kept, and held against the times before. */
const props = defineProps<{ drill: string }>();
const drills = useDrills();
const sound = useSound();

const PLAYS: Readonly<Record<DrillName, Component>> = {
  ...{ mound: NameMound, thinning: ThinCup, puddle: JudgePuddle, even: EvenPuddles, breath: BreathPad },
  ...{ crescent: BlowPicture, fan: BlowPicture, bloom: BlowPicture, six: BlowPicture },
  ...{ spin: StopSpin, enough: EnoughAir },
};
const name = computed(() => DRILL_NAMES.find((each) => each === props.drill));
const words = computed(() => name.value && DRILL_WORDS[name.value]);

/** Counts up with every play: a new one begins afresh. */
const play = ref(0);
const result = shallowRef<PlayResult | null>(null);
const runs = computed(() => (name.value ? drills.runsOf(name.value) : []));

onMounted(() => drills.ensure().catch(sayProblem));
watch(name, () => again());

async function keep(done: PlayResult): Promise<void> {
  if (!name.value) return;
  result.value = done;
  const { score, answers, measures } = done;
  await attempt(async () => {
    const run = await drills.add({
      drill: name.value!,
      score,
      answers: [...answers],
      measures: { ...measures },
    });
    say('Kept.', async () => {
      const removed = await drills.remove(run);
      say('Not kept.', () => drills.restore(removed));
    });
  });
}

function again(): void {
  result.value = null;
  play.value += 1;
}

useShortcuts('Drill', [
  { keys: ['a'], shown: 'A', does: 'Again', run: () => result.value && again() },
  { keys: ['v'], shown: 'V', does: 'Sound on or off', run: () => (sound.isOn.value = !sound.isOn.value) },
]);
</script>

<template>
  <main v-if="name && words" class="drill stacked gap-16">
    <header>
      <h1>{{ words.label }}</h1>
      <p class="soft">{{ words.how }}</p>
      <Checkbox v-model:checked="sound.isOn.value">Sound</Checkbox>
    </header>
    <section v-if="result" class="result stacked" aria-label="How it went">
      <p>
        <span class="step-title">{{ result.score }} points</span> {{ scoreWords(result.score) }}
      </p>
      <p v-for="line in result.words" :key="line">{{ line }}</p>
      <p v-if="runs.length > 0" class="soft">{{ dueWords(drills.dueFor(name)) }}</p>
      <p v-if="name === 'mound' && drills.eye">
        {{ eyeWords(drills.eye) }} Your readings in words are corrected by it.
      </p>
      <div class="buttons abreast centered gap-16">
        <Button type="primary" autofocus @click="again">Again</Button>
        <RouterLink to="/practice">Other drills</RouterLink>
      </div>
    </section>
    <component
      :is="PLAYS[name]"
      v-else
      :key="`${name} ${play}`"
      v-bind="name in DRILL_SCENES ? { drill: name } : {}"
      @done="keep"
    />
    <DrillChart v-if="runs.length > 0" :runs="runs" />
  </main>
  <main v-else class="drill stacked gap-16">
    <h1>No such drill</h1>
    <RouterLink to="/practice">To Practice</RouterLink>
  </main>
</template>

<style scoped>
.drill {
  grid-template-columns: minmax(0, 1fr);
  align-content: start;
  padding: 16px 24px;
}

header {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  gap: 16px;
  align-items: center;
}

@media (width < 900px) {
  header {
    grid-template-columns: minmax(0, 1fr);
    gap: 4px;
  }
}
</style>
