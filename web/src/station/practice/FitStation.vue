<script setup lang="ts">
import { FIT_NAMES, LEAST_POURS, PRIOR_SD_LN, valuesAt, type FilmFit } from '@icy-ribbon/core/judgement/fit';
import { Button } from 'ant-design-vue';
import { computed, onMounted } from 'vue';
import { say } from '#notice/notices.ts';
import { attempt } from '#notice/useTask.ts';
import { useFilmFit } from '#store/filmFit.ts';
import { useOwnCells } from '#store/ownCells.ts';
import { FIT_WORDS, fittedWords } from '#words/filmFit.ts';
import { useFilmFitting } from './parts/useFilmFitting.ts';
import { percent as toPercent } from '#words/percent.ts';

/** The film held against the artist's measured pours, and its unknowns fitted to them. */
const store = useFilmFit();
const own = useOwnCells();
const { candidates, open, isLoaded, estimateS, isRunning, share, fit, load, start, stop } = useFilmFitting();

onMounted(() => attempt(() => Promise.all([store.load(), own.load(), load()])));

const usual = valuesAt(FIT_NAMES.map(() => 0));
/** The fit of now, else the one that is kept. */
const shown = computed((): FilmFit | null => fit.value ?? store.kept);
const isKept = computed(() => store.kept !== null && fit.value === null);
const rows = computed(() =>
  FIT_NAMES.map((name) => ({
    label: FIT_WORDS[name].label,
    usual: fittedWords(name, usual[name], PRIOR_SD_LN[name]),
    fitted: shown.value && fittedWords(name, shown.value.values[name], shown.value.sdLn[name]),
  })),
);
const percent = (value: number) => toPercent(value, 1);
const factor = (ln: number) => `× ${Math.exp(ln).toFixed(2)}`;
const errors = computed(() => {
  const now = shown.value;
  const cells = own.error;
  const row = (label: string, of: (error: FilmFit['before']) => string | null, n: number) => {
    const [before, after] = now ? [of(now.before), of(now.after)] : [null, null];
    return before && after ? [{ label, before, after, n }] : [];
  };
  const share = (value: number | null) => (value === null ? null : percent(value));
  return [
    ...row('Base left open', ({ negativeSpace }) => share(negativeSpace), now?.n ?? 0),
    ...row('Shares of the colors', ({ coverage }) => share(coverage), (now?.n ?? 0) - (now?.nCells ?? 0)),
    ...row('What the sheet still covers', ({ sheet }) => share(sheet), now?.nCells ?? 0),
    ...row(
      'Number of the cells',
      ({ cellsLn }) => (cellsLn === null ? null : factor(cellsLn)),
      now?.nCells ?? 0,
    ),
    ...(cells
      ? [{ label: 'Size of the cells', before: factor(cells.lawLn), after: factor(cells.ownLn), n: cells.n }]
      : []),
  ];
});
const time = computed(() => {
  const s = estimateS.value;
  if (s === null) return '';
  if (s === 0) return 'at once';
  return s < 90 ? `about ${Math.max(5, Math.round(s / 5) * 5)} s` : `about ${Math.round(s / 60)} minutes`;
});
const begin = () => attempt(start);
const keep = (next: FilmFit | null) =>
  attempt(async () => {
    const before = store.kept;
    await store.keep(next);
    if (next) fit.value = null;
    say(next ? 'Rehearsals use it from now on.' : 'Rehearsals use the usual film again.', () =>
      store.keep(before),
    );
  });
</script>

<template>
  <main class="fit stacked gap-16">
    <header>
      <h1>Your pours and the film</h1>
      <RouterLink to="/practice">Back</RouterLink>
    </header>
    <p>
      Each pour that was blown and measured is run in the film as it was recorded, with breath and paint as
      usual and a little off; then breath, rubbing, shear and what opens a sheet are chosen so that the film
      comes nearest to the photos.
    </p>
    <p v-if="!isLoaded" role="status">Looking for measured pours.</p>
    <p v-else-if="candidates.length < LEAST_POURS" role="status">
      {{
        candidates.length === 0
          ? 'No pour'
          : candidates.length === 1
            ? 'One pour'
            : `${candidates.length} pours`
      }}
      to hold against it: it takes {{ LEAST_POURS }}. Log the passes, photograph the piece and measure the
      photo.
    </p>
    <div v-else class="begin">
      <Button v-if="!isRunning" :type="fit ? 'default' : 'primary'" @click="begin"
        >Fit to {{ candidates.length }} pours</Button
      >
      <Button v-else @click="stop">Stop</Button>
      <span v-if="!isRunning && time" class="soft">
        {{ time }} on this machine<template v-if="open.length < candidates.length"
          >, {{ candidates.length - open.length }} were run before</template
        >
      </span>
      <template v-if="isRunning">
        <progress :value="share" max="1" aria-label="How far it is"></progress>
        <span role="status">{{ Math.round(100 * share) }}&nbsp;%</span>
      </template>
    </div>
    <section aria-label="Unknowns">
      <h2>What is fitted</h2>
      <table>
        <thead>
          <tr>
            <th scope="col"></th>
            <th scope="col">as usual, nine in ten</th>
            <th scope="col">by your pours, nine in ten</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.label">
            <th scope="row">{{ row.label }}</th>
            <td class="numeral">{{ row.usual }}</td>
            <td class="numeral">{{ row.fitted ?? 'not fitted yet' }}</td>
          </tr>
        </tbody>
      </table>
    </section>
    <section v-if="errors.length > 0" aria-label="How far off">
      <h2>How far off the film is, each pour told by all the others</h2>
      <table>
        <thead>
          <tr>
            <th scope="col"></th>
            <th scope="col">as usual</th>
            <th scope="col">learned</th>
            <th scope="col">pours</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in errors" :key="row.label">
            <th scope="row">{{ row.label }}</th>
            <td class="numeral">{{ row.before }}</td>
            <td class="numeral">{{ row.after }}</td>
            <td class="numeral">{{ row.n }}</td>
          </tr>
        </tbody>
      </table>
      <p v-if="shown" role="status">
        <template v-if="shown.helps && isKept">Rehearsals use it.</template>
        <template v-else-if="shown.helps">It tells the pours that were left out better.</template>
        <template v-else
          >It does not tell the pours that were left out better: the usual film is used.</template
        >
      </p>
      <div class="begin">
        <Button v-if="fit?.helps" type="primary" @click="keep(fit)">Use it</Button>
        <Button v-if="store.kept" @click="keep(null)">Back to the usual film</Button>
      </div>
    </section>
  </main>
</template>

<style scoped>
.fit {
  align-content: start;
  justify-items: start;
  padding: 16px 24px;
}

header,
.begin {
  display: flex;
  flex-wrap: wrap;
  gap: 16px;
  align-items: center;
}

section {
  display: grid;
  gap: 8px;
  justify-items: start;
}

table {
  border-collapse: collapse;
}

th,
td {
  padding: 6px 24px 6px 0;
  text-align: left;
}

tbody th {
  font-weight: var(--weight-plain);
}
</style>
