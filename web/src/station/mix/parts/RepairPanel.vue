<script setup lang="ts">
import { colorDifference, cupColor } from '@icy-ribbon/core/paint/color';
import { cupState, type OverPour } from '@icy-ribbon/core/paint/mix';
import { toG } from '@icy-ribbon/core/base/unit';
import { stageOf } from '@icy-ribbon/core/paint/stage';
import { Button } from 'ant-design-vue';
import { computed } from 'vue';
import ColorDot from '#drawing/ColorDot.vue';
import { shapeOf } from '#drawing/cupLayers.ts';
import type { Cup } from '#store/piece/piece.ts';
import { useShelf } from '#store/shelf.ts';
import { useUnits } from '#store/units.ts';
import { partsWords } from '#words/general.ts';

/** Smaller differences are not seen side by side (CIEDE2000; common practice). */
const VISIBLE_DE = 1;

const props = defineProps<{ cup: Cup; over: OverPour }>();
const emit = defineEmits<{ bringUp: []; keep: []; takeOut: [] }>();

const units = useUnits();
const shelf = useShelf();

const culprit = computed(() => props.cup.mix.ingredients[props.over.ingredientIndex]?.material.name);

const additions = computed(() =>
  props.over.bringUp.addMg
    .map((mg, index) => ({ mg, material: props.cup.mix.ingredients[index]!.material }))
    .filter((each) => each.mg >= 50),
);

/** Whether the cup holds the repaired mix, by volume. */
const holds = computed(() => {
  const volumeMl = props.cup.mix.ingredients.reduce(
    (sum, each, index) => sum + toG(props.over.bringUp.targetsMg[index] ?? 0) / each.material.densityGPerMl,
    0,
  );
  return { volumeMl, fits: volumeMl <= shapeOf(props.cup).capacityMl };
});

/** What the shelf has too little of for bringing everything up, as far as it was counted. */
const short = computed(() =>
  additions.value.filter(({ mg, material }) => {
    const onShelf = shelf.materials.find((each) => each.id === material.materialId);
    return onShelf && onShelf.stockMg !== null && onShelf.stockMg - onShelf.usedMg < mg;
  }),
);

/** The color with these amounts in it, and how far it is from the planned one. */
function colorOutcome(targetsMg: readonly number[]): { hex: string; words: string } {
  const hex = cupColor(
    props.cup.mix.ingredients.map((each, index) => ({ ...each, targetMg: targetsMg[index] ?? 0 })),
  );
  const de = colorDifference(hex, props.cup.colorHex);
  return { hex, words: de < VISIBLE_DE ? 'the color stays' : `the color moves by ΔE ${de.toFixed(1)}` };
}

const kept = computed(() => colorOutcome(props.over.keep.targetsMg));

/** The cup as it would come out with these amounts in it. */
function outcome(targetsMg: readonly number[]): string {
  const state = cupState({
    ingredients: props.cup.mix.ingredients.map((each, index) => ({
      ...each,
      targetMg: targetsMg[index] ?? 0,
    })),
    additions: props.cup.mix.ingredients.map((each, index) => ({
      ingredientId: each.id,
      mg: targetsMg[index] ?? 0,
    })),
  });
  const { viscosityPaS, waterFraction } = state.properties;
  return `${partsWords(state.parts)}, ${stageOf(viscosityPaS).name} at ${viscosityPaS.toPrecision(2)} Pa·s, ${Math.round(waterFraction * 100)} % water`;
}
</script>

<template>
  <section class="repair stacked" role="alertdialog" aria-label="Over-poured">
    <h2>{{ units.show('mass', over.overMg, true) }} too much {{ culprit }}</h2>
    <p class="soft">Nothing can be taken out of a cup but a share of all that is in it.</p>
    <ol>
      <li>
        <Button type="primary" @click="emit('bringUp')">Bring everything up</Button>
        <p>
          <template v-for="(each, index) in additions" :key="each.material.materialId"
            ><template v-if="index > 0">, </template>{{ units.show('mass', each.mg, true) }}
            {{ each.material.name }}</template
          >
          more: {{ units.show('mass', over.bringUp.totalMg) }} in all.
          <span v-if="!holds.fits" class="look">
            That is {{ units.show('volume', holds.volumeMl) }}: take a larger cup.
          </span>
          <span v-for="each in short" :key="each.material.materialId" class="look">
            The shelf has too little {{ each.material.name }}.
          </span>
        </p>
      </li>
      <li>
        <Button @click="emit('keep')">Keep it so</Button>
        <p>
          Then the cup comes out as {{ outcome(over.keep.targetsMg) }}; <ColorDot :color="kept.hex" />
          {{ kept.words }}.
        </p>
      </li>
      <li>
        <Button @click="emit('takeOut')">Take a share out</Button>
        <p>
          Stir, take {{ units.show('mass', over.takeOut.mg, true) }} of the mixture out, then go on to the
          {{ units.show('mass', cup.state.targetMg) }} that were planned.
        </p>
      </li>
    </ol>
  </section>
</template>

<style scoped>
h2 {
  font-size: var(--type-title);
  color: var(--alarm);
}

ol {
  display: grid;
  gap: 12px;
  margin: 8px 0 0;
}

li {
  display: grid;
  grid-template-columns: 190px minmax(0, 1fr);
  align-items: center;
  gap: 16px;
  padding-top: 12px;
  border-top: 1px solid var(--rule);
}
</style>
