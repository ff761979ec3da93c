<script setup lang="ts">
import { PASSES } from '@icy-ribbon/core/drill/schedule';
import {
  GAP_NAMES,
  gapsTo,
  scoreFlowers,
  scorePicture,
  type GapName,
  type Gaps,
} from '@icy-ribbon/core/drill/film';
import { airTool, type AirTool } from '@icy-ribbon/core/flow/air';
import type { RehearsalNumbers } from '@icy-ribbon/core/judgement/rehearsal';
import { USUAL_UNKNOWNS } from '@icy-ribbon/core/piece/rehearse';
import { Button } from 'ant-design-vue';
import { computed, onMounted, ref, shallowRef } from 'vue';
import { attempt } from '#notice/useTask.ts';
import { useShortcuts } from '#shortcut/shortcuts.ts';
import SmallPicture from '#drawing/SmallPicture.vue';
import { plain } from '#worker/plain.ts';
import FilmBench from '../parts/FilmBench.vue';
import HandTools from '../parts/HandTools.vue';
import { rehearseKeys } from '../parts/rehearseKeys.ts';
import { useFilm } from '../parts/useFilm.ts';
import { useHand } from '../parts/useHand.ts';
import PlayBench from './parts/PlayBench.vue';
import { DRILL_CELLS, DRILL_SCENES, type PictureDrill } from './parts/drillScenes.ts';
import type { PlayResult } from './parts/playResult.ts';
import { useAhead } from './parts/useAhead.ts';
import { useSound } from './parts/useSound.ts';
import { percent } from '#words/percent.ts';

/** A pour to be blown until it is like a picture, which its own passes made. */
const props = defineProps<{ drill: PictureDrill }>();
const emit = defineEmits<{ done: [result: PlayResult] }>();

const GAP_WORDS: Readonly<Record<GapName, string>> = {
  open: 'Base left open',
  colors: 'Shares of the paints',
  reach: 'How far it reaches',
  bare: 'Bare support',
};
const TARGET_PX = 300;
const TOOLS = ['blow', 'skewer', 'tilt'] as const;

const scene = DRILL_SCENES[props.drill]();
const film = useFilm();
const hand = useHand(film, (tool: AirTool) => airTool(tool));
const sound = useSound();
const { numbers, isReady, isRunning } = film;
const { share, work } = useAhead();
const target = shallowRef<{ picture: ImageData; numbers: RehearsalNumbers } | null>(null);
const laid = shallowRef<RehearsalNumbers | null>(null);
const backs = ref(0);

const gaps = computed((): Gaps | null =>
  target.value && numbers.value ? gapsTo(target.value.numbers, numbers.value) : null,
);
const middle = { x: scene.support.widthMm / 2, y: scene.support.heightMm / 2 };

onMounted(() => {
  hand.aim.value = middle;
  film.cutAtMm.value = middle.y;
  if (scene.strokes[0]) hand.take(scene.strokes[0].tool);
  void attempt(async () => {
    await film.start(scene, USUAL_UNKNOWNS, DRILL_CELLS);
    laid.value = numbers.value;
    hand.apply();
  });
  void attempt(async () => {
    target.value = await work((remote, onProgress) =>
      remote.whole(plain(scene), plain(USUAL_UNKNOWNS), DRILL_CELLS, TARGET_PX, onProgress),
    );
  });
});

const again = () =>
  void attempt(async () => {
    hand.forget();
    backs.value += 1;
    await film.start(scene, USUAL_UNKNOWNS, DRILL_CELLS);
    hand.apply();
  });
const back = () => {
  backs.value += 1;
  void attempt(() => film.back());
};
const pause = () => (isRunning.value ? film.pause() : film.run());

const breaths = computed(() => {
  const { length } = hand.blown.value;
  return length === 1 ? 'One breath' : `${length} breaths`;
});

/** A gap in words: 0 is alike. */
const gapWords = (gap: number) => (gap < 0.1 ? 'alike' : gap < 0.35 ? 'near' : gap < 0.7 ? 'off' : 'far off');

function finish(): void {
  if (!target.value || !numbers.value || !laid.value) return;
  film.pause();
  const now = gapsTo(target.value.numbers, numbers.value);
  const picture = scorePicture(now, gapsTo(target.value.numbers, laid.value));
  const flowers =
    props.drill === 'six' ? scoreFlowers(target.value.numbers.flowersMm2, numbers.value.flowersMm2) : null;
  const score = flowers?.score ?? picture;
  sound.tick(score >= PASSES);
  const widest = [...GAP_NAMES].sort((a, b) => now[b] - now[a])[0]!;
  emit('done', {
    score,
    answers: [],
    measures: {
      ...now,
      breaths: hand.blown.value.length,
      backs: backs.value,
      ...(flowers && { uneven: flowers.uneven }),
    },
    words: [
      flowers
        ? `The six flowers vary by ${percent(flowers.uneven)} and are ${flowers.size.toFixed(2)} times as large as in the picture.`
        : `You came ${picture}\u00a0% of the way from what was laid to the picture, in ${breaths.value.toLowerCase()}.`,
      now[widest] < 0.1
        ? 'Nothing is far from the picture.'
        : `Farthest from it: ${GAP_WORDS[widest].toLowerCase()}.`,
    ],
  });
}

useShortcuts('Blow it like the picture', [
  ...rehearseKeys({
    ...{ hand, film, again, back },
    support: () => scene.support,
    playPlan: () => undefined,
    stop: pause,
    toggleSlow: () => undefined,
    wait: () => film.wait(10),
    spin: () => undefined,
    take: null,
    only: TOOLS,
    layAt: () => undefined,
  }).filter(({ keys }) => !['b', 's', 'r'].includes(keys[0]!)),
  { keys: ['Enter'], shown: 'Enter', does: 'It is like the picture', run: finish },
]);
</script>

<template>
  <PlayBench label="Blow it like the picture" looks="film">
    <template #seen><FilmBench :scene="scene" :film="film" :hand="hand" /></template>

    <figure class="wide">
      <SmallPicture :picture="target?.picture ?? null" :share="share" label="The picture to blow" />
      <figcaption class="soft">
        {{ target ? 'Like this' : 'The picture is being blown.' }}
      </figcaption>
    </figure>
    <dl v-if="gaps" class="wide">
      <template v-for="name in GAP_NAMES" :key="name">
        <dt>{{ GAP_WORDS[name] }}</dt>
        <dd>{{ gapWords(gaps[name]) }}</dd>
      </template>
    </dl>
    <div class="buttons flowing">
      <Button type="primary" :disabled="!target || !isReady" @click="finish">It is like the picture</Button>
      <Button :disabled="!isReady" @click="pause">{{ isRunning ? 'Pause' : 'Go on' }}</Button>
      <Button :disabled="!isReady" @click="back">Step back</Button>
      <Button :disabled="!isReady" @click="again">Lay it again</Button>
    </div>
    <p role="status" class="soft">
      {{ isReady ? `${breaths} blown.` : 'Laying the paint.' }}
    </p>
    <HandTools class="wide" :hand="hand" :only="TOOLS" />
  </PlayBench>
</template>

<style scoped>
.wide {
  width: 100%;
}

figure {
  display: grid;
  grid-template-columns: 180px minmax(0, 1fr);
  gap: 12px;
  align-items: end;
}

dl {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 2px 12px;
}
</style>
