<script setup lang="ts">
import { InputError } from '@icy-ribbon/core/base/error';
import { pourRecordOf } from '@icy-ribbon/core/judgement/outcome';
import { CAUTIONS } from '@icy-ribbon/core/paint/caution';
import { resinAmounts, USUAL_COAT, USUAL_KIT } from '@icy-ribbon/core/piece/finish';
import { paintedArea } from '@icy-ribbon/core/piece/support';
import { useStorage } from '@vueuse/core';
import { Modal } from 'ant-design-vue';
import { computed } from 'vue';
import ComputedFrom from '../../../field/ComputedFrom.vue';
import NumberField from '../../../field/NumberField.vue';
import QuantityField from '../../../field/QuantityField.vue';
import { usePiece } from '../../../store/piece/piece.ts';
import { useUnits } from '../../../store/units.ts';
import { supportWords } from '../../../words/support.ts';
import { coatWarnings } from './coatWarnings.ts';

/** How much of a resin kit a coat over the piece takes, with what is to be minded. */
const emit = defineEmits<{ close: [] }>();

const store = usePiece();
const units = useUnits();

/** The kit is on the bottles and stays; how thick the coat shall be is asked each time. */
const kit = useStorage(
  'icy-ribbon.resin-kit',
  {
    by: USUAL_KIT.ratio.by as 'volume' | 'mass',
    a: USUAL_KIT.ratio.a as number | null,
    b: USUAL_KIT.ratio.b as number | null,
    densityA: USUAL_KIT.densityAGPerMl as number | null,
    densityB: USUAL_KIT.densityBGPerMl as number | null,
    maxPourMm: USUAL_KIT.maxPourMm as number | null,
    thicknessMm: USUAL_COAT.thicknessMm as number | null,
    dripPercent: (100 * USUAL_COAT.dripShare) as number | null,
    pieces: 1 as number | null,
  },
  undefined,
  { mergeDefaults: true },
);

const answer = computed(() => {
  const support = store.piece?.support;
  if (!support) return null;
  const { faceCm2, sidesCm2 } = paintedArea(support);
  const pieces = Math.max(1, Math.round(kit.value.pieces ?? 1));
  try {
    return {
      amounts: resinAmounts({
        areaMm2: 100 * faceCm2 * pieces,
        // The sides as one strip: their area is what counts.
        edgeMm: 100 * sidesCm2 * pieces,
        sideDepthMm: 1,
        thicknessMm: kit.value.thicknessMm ?? 0,
        dripShare: (kit.value.dripPercent ?? 0) / 100,
        ratio: { by: kit.value.by, a: kit.value.a ?? 0, b: kit.value.b ?? 0 },
        densityAGPerMl: kit.value.densityA ?? 0,
        densityBGPerMl: kit.value.densityB ?? 0,
        maxPourMm: kit.value.maxPourMm ?? 0,
      }),
      wrong: '',
    };
  } catch (error) {
    if (error instanceof InputError) return { amounts: null, wrong: error.message };
    throw error;
  }
});
const parts = computed(() => {
  const amounts = answer.value?.amounts;
  if (!amounts) return [];
  return [
    { name: 'Part A, resin', ml: amounts.aMl, g: amounts.aG },
    { name: 'Part B, hardener', ml: amounts.bMl, g: amounts.bG },
  ];
});
const warnings = computed(() =>
  store.piece
    ? coatWarnings(pourRecordOf(store.piece), {
        nowMs: Date.now(),
        roomC: store.room?.data.temperatureC ?? null,
      })
    : [],
);
</script>

<template>
  <Modal :open="true" title="A coat of resin" :footer="null" :width="720" @cancel="emit('close')">
    <div v-if="store.piece" class="resin">
      <p v-for="warning in warnings" :key="warning" class="look" role="alert">{{ warning }}</p>
      <form @submit.prevent>
        <QuantityField v-model="kit.thicknessMm" label="Thickness of the coat" quantity="depth" />
        <NumberField v-model="kit.dripPercent" label="Drips off" unit="%" :digits="0" />
        <NumberField v-model="kit.pieces" label="Pieces alike" unit="×" :digits="0" />
        <QuantityField v-model="kit.maxPourMm" label="Deepest pour of the kit" quantity="depth" />
        <NumberField v-model="kit.a" label="Part A of the ratio" unit="" :digits="2" />
        <NumberField v-model="kit.b" label="Part B of the ratio" unit="" :digits="2" />
        <fieldset class="choice" aria-label="The ratio is">
          <label v-for="by in ['volume', 'mass'] as const" :key="by" :class="{ on: kit.by === by }">
            <input v-model="kit.by" type="radio" name="resin-by" :value="by" />by
            {{ by === 'mass' ? 'weight' : by }}
          </label>
        </fieldset>
        <NumberField v-model="kit.densityA" label="Density of A" unit="g/ml" :digits="2" />
        <NumberField v-model="kit.densityB" label="Density of B" unit="g/ml" :digits="2" />
      </form>
      <p v-if="answer?.wrong" class="alarm" role="alert">{{ answer.wrong }}</p>
      <template v-else-if="answer?.amounts">
        <table class="rows">
          <tbody>
            <tr v-for="part in parts" :key="part.name">
              <th scope="row">{{ part.name }}</th>
              <td class="number big">{{ units.show('volume', part.ml) }}</td>
              <td class="number big">{{ units.show('mass', 1000 * part.g) }}</td>
            </tr>
          </tbody>
        </table>
        <p>
          {{ units.show('volume', answer.amounts.volumeMl) }} in all for
          {{ supportWords(store.piece.support, units) }} with its sides<template v-if="(kit.pieces ?? 1) > 1"
            >, {{ kit.pieces }} of them</template
          >{{
            answer.amounts.pours > 1 ? `, in ${answer.amounts.pours} pours, each set before the next` : ''
          }}.
          <ComputedFrom calculation="resin" />
        </p>
      </template>
      <ol>
        <li>Both parts at room temperature; the piece level both ways and free of dust.</li>
        <li>Stir about 4 minutes at medium speed, scraping the sides; pour within the kit’s open time.</li>
        <li>From the middle outward, evened with a gloved hand; wipe the sides down.</li>
        <li>Bubbles out with torch or heat gun, again after 10 minutes; a box over it for a day.</li>
      </ol>
      <p class="soft">
        {{ CAUTIONS.resin }} {{ CAUTIONS.torch }} Not food-safe; what a hot cup may do the maker says.
        {{ CAUTIONS.drain }} {{ CAUTIONS.deferral }}
      </p>
    </div>
  </Modal>
</template>

<style scoped>
.resin {
  display: grid;
  gap: 12px;
}

form {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 8px 16px;
  align-items: end;
}

fieldset.choice {
  grid-column: span 2;
  margin: 0;
  padding: 0;
  border: 0;
}

.big {
  font-size: var(--type-title);
  font-weight: var(--weight-strong);
}

ol {
  margin: 0;
  padding-left: 24px;
}
</style>
