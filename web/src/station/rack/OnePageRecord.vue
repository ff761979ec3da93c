<script setup lang="ts">
import { speakingPhoto } from '@icy-ribbon/core/judgement/outcome';
import { inForce } from '@icy-ribbon/core/piece/event';
import { Button } from 'ant-design-vue';
import { computed, useTemplateRef } from 'vue';
import { saveFile } from '#drawing/saveFile.ts';
import { widthIn } from '#drawing/widthIn.ts';
import HungPhoto from '#drawing/HungPhoto.vue';
import { attempt } from '#notice/useTask.ts';
import { usePiece } from '#store/piece/piece.ts';
import { useUnits } from '#store/units.ts';
import { CHECK_LABELS, COAT_LABELS } from '#words/care.ts';
import { eventWords } from '#words/event.ts';
import { dateWords, ROLE_LABELS, TECHNIQUE_LABELS } from '#words/general.ts';
import { useMeasures } from '#words/useMeasures.ts';
import { supportWords } from '#words/support.ts';
import { asOnePage } from './parts/onePage.ts';
import { percent } from '#words/percent.ts';

/** Everything of a piece on one page: picture, mixes, air, measures, finish; printed, or saved so that any browser reads it. */
defineProps<{ pieceId: string }>();

const store = usePiece();
const units = useUnits();
const measures = useMeasures();
const page = useTemplateRef<HTMLElement>('page');

const WIDTH_PX = 360;
const photo = computed(() => {
  const speaks = store.piece && speakingPhoto(store.piece.photos);
  return speaks && { ...speaks, corners: speaks.measurement?.corners ?? null };
});
const width = computed(() => (store.piece ? widthIn(WIDTH_PX, store.piece.support) : 0));
const measured = computed(() => photo.value?.measurement ?? null);
const passes = computed(() =>
  inForce(store.piece?.events ?? [])
    .filter((event) => event.kind === 'pass')
    .map((event) => ({ id: event.id, ...eventWords(event, () => '', units) })),
);
const checks = computed(() => Object.values(store.care.checks));
const print = () => window.print();
const save = () =>
  attempt(async () => {
    if (!page.value || !store.piece) return;
    const html = await asOnePage(page.value, store.piece.name);
    saveFile(new Blob([html], { type: 'text/html' }), `${store.piece.name}.html`);
  });
</script>

<template>
  <main v-if="store.piece" class="record stacked gap-16">
    <nav class="no-print">
      <RouterLink :to="`/rack/${store.piece.id}?view=sell`">Back</RouterLink>
      <Button @click="save">Save as HTML</Button>
      <Button type="primary" @click="print">Print, or save as PDF</Button>
    </nav>
    <article ref="page">
      <h1>{{ store.piece.name }}</h1>
      <p>
        {{ TECHNIQUE_LABELS[store.piece.technique] }}, {{ supportWords(store.piece.support, units) }},
        {{ store.piece.support.name
        }}<template v-if="store.layers[0]">, poured {{ dateWords(store.layers[0].at) }}</template
        >.
      </p>
      <div class="two stacked gap-24">
        <HungPhoto
          v-if="photo"
          :photo="photo"
          :support="store.piece.support"
          :width="width"
          :alt="store.piece.name"
        />
        <div>
          <h2>Measured</h2>
          <table v-if="measured" class="rows">
            <tbody>
              <tr>
                <th>Cells</th>
                <td>
                  {{ measured.cells.count
                  }}<template v-if="measured.cells.medianMm > 0"
                    >, {{ measures.depth(measured.cells.medianMm) }} in the middle</template
                  >
                </td>
              </tr>
              <tr>
                <th>Lacing</th>
                <td>{{ percent(measured.lacing.areaShare, 1) }} of the face</td>
              </tr>
              <tr>
                <th>Negative space</th>
                <td>{{ percent(measured.negativeSpace) }}</td>
              </tr>
              <tr>
                <th>Mud</th>
                <td>{{ percent(measured.mud, 1) }}</td>
              </tr>
            </tbody>
          </table>
          <p v-else>Not measured.</p>
          <p v-if="store.piece.judgement?.rating">Rated {{ store.piece.judgement.rating }} of 5.</p>
          <p v-if="store.piece.judgement?.tryNext">{{ store.piece.judgement.tryNext }}</p>
        </div>
      </div>
      <h2>Mixes</h2>
      <table class="rows">
        <thead>
          <tr>
            <th>Cup</th>
            <th>What is in it</th>
            <th>Laid</th>
            <th>Thickness</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="{ mix, state } in store.cups" :key="mix.id">
            <th>{{ mix.name }}, {{ ROLE_LABELS[mix.role].toLowerCase() }}</th>
            <td>
              {{
                mix.ingredients
                  .map(
                    ({ material }, index) =>
                      `${units.show('mass', state.actualIngredientMg[index] ?? 0)} ${material.name}`,
                  )
                  .join(', ')
              }}
            </td>
            <td>{{ units.show('mass', Math.max(0, state.actualMg - state.leftMg)) }}</td>
            <td>{{ state.properties.viscosityPaS.toPrecision(2) }} Pa·s</td>
          </tr>
        </tbody>
      </table>
      <h2>Air</h2>
      <ol>
        <li v-for="pass in passes" :key="pass.id">{{ pass.title }}, {{ pass.detail }}</li>
      </ol>
      <p v-if="passes.length === 0">No pass was logged.</p>
      <h2>Finish</h2>
      <ul>
        <li v-for="coat in store.care.coats" :key="coat.id">
          {{ COAT_LABELS[coat.data.kind] }}, {{ dateWords(coat.at)
          }}{{ coat.data.mg === null ? '' : `, ${units.show('mass', coat.data.mg)}` }}
        </li>
        <li v-for="check in checks" :key="check.id">
          {{ CHECK_LABELS[check.data.what].label }}:
          {{ CHECK_LABELS[check.data.what][check.data.found ? 'found' : 'fine']
          }}{{ check.data.note && `, ${check.data.note}` }}
        </li>
      </ul>
      <p v-if="store.care.coats.length === 0 && checks.length === 0">Nothing was noted.</p>
      <p v-if="store.piece.note">{{ store.piece.note }}</p>
    </article>
  </main>
</template>

<style scoped>
.record {
  max-width: 860px;
  margin: 0 auto;
  padding: 16px 24px;
}

nav {
  display: flex;
  gap: 8px 16px;
  align-items: baseline;
}

article {
  display: grid;
  gap: 8px;
}

.two {
  grid-template-columns: auto minmax(0, 1fr);
}

ol,
ul {
  padding-left: 24px;
  list-style: decimal;
}

ul {
  list-style: disc;
}

@media print {
  .no-print {
    display: none;
  }
}
</style>
