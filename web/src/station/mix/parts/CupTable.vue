<script setup lang="ts">
import type { Mix } from '@icy-ribbon/contract';
import { stageOf } from '@icy-ribbon/core/paint/stage';
import { ref } from 'vue';
import { messageAt } from '#api/problem.ts';
import ColorDot from '#drawing/ColorDot.vue';
import QuantityField from '#field/QuantityField.vue';
import { sayProblem } from '#notice/notices.ts';
import { usePiece, type Cup } from '#store/piece/piece.ts';
import { useUnits } from '#store/units.ts';
import { partsWords } from '#words/general.ts';

defineProps<{ cups: readonly Cup[] }>();

const store = usePiece();
const units = useUnits();
/** What was wrong with a typed weight, by ingredient. */
const problems = ref<Readonly<Record<string, unknown>>>({});

async function keep(mix: Mix, ingredientId: string, before: number, mg: number | null): Promise<void> {
  problems.value = { ...problems.value, [ingredientId]: null };
  if (mg === null || mg === before) return;
  try {
    await store.setActual(mix, ingredientId, mg);
  } catch (error) {
    problems.value = { ...problems.value, [ingredientId]: error };
    if (!messageAt(error, 'mg')) sayProblem(error);
  }
}

/** How far off the target, with its sign, for what has been weighed in. */
function off(targetMg: number, actualMg: number): string {
  if (actualMg === 0) return '';
  const value = units.showNumber('mass', Math.abs(actualMg - targetMg), true);
  return `${actualMg < targetMg ? '−' : '+'}${value}`;
}
</script>

<template>
  <div class="scroll">
    <table>
      <thead>
        <tr>
          <th scope="col">Cup</th>
          <th scope="col">Ingredient</th>
          <th scope="col" class="number">Parts</th>
          <th scope="col" class="number">Weigh in</th>
          <th scope="col">Scale showed</th>
          <th scope="col" class="number">Off</th>
          <th scope="col">Comes out as</th>
        </tr>
      </thead>
      <tbody v-for="{ mix, state, colorHex } in cups" :key="mix.id">
        <tr v-for="(ingredient, index) in mix.ingredients" :key="ingredient.id">
          <th v-if="index === 0" scope="rowgroup" :rowspan="mix.ingredients.length">
            <ColorDot :color="colorHex" :size-px="22" inline />{{ mix.name }}
          </th>
          <td>{{ ingredient.material.name }}</td>
          <td class="number">{{ Number((state.parts[index] ?? 0).toFixed(2)) }}</td>
          <td class="number strong">{{ units.show('mass', ingredient.targetMg, true) }}</td>
          <td>
            <QuantityField
              :model-value="Math.max(0, state.actualIngredientMg[index] ?? 0) || null"
              :label="`${mix.name}, ${ingredient.material.name}: scale showed`"
              quantity="mass"
              bare
              class="typed"
              :error="messageAt(problems[ingredient.id], 'mg')"
              @commit="keep(mix, ingredient.id, state.actualIngredientMg[index] ?? 0, $event)"
            />
          </td>
          <td class="number soft">
            {{ off(ingredient.targetMg, state.actualIngredientMg[index] ?? 0) }}
          </td>
          <td v-if="index === 0" :rowspan="mix.ingredients.length" class="outcome">
            {{ partsWords(state.parts) }}<br />
            {{ stageOf(state.properties.viscosityPaS).name }},
            {{ state.properties.viscosityPaS.toPrecision(2) }} Pa·s<br />
            <span :class="state.water.level === 'fine' ? 'soft' : 'look'" :title="state.water.reason">
              {{ Math.round(state.properties.waterFraction * 100) }} % water
            </span>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.scroll {
  overflow: auto;
  padding: 0 24px 12px;
}

table {
  width: 100%;
  border-collapse: collapse;
}

thead th {
  position: sticky;
  top: 0;
  z-index: 1;
  background: var(--bench);
  font-weight: var(--weight-strong);
  font-size: var(--type-note);
  color: var(--ink-soft);
}

th,
td {
  padding: 0 12px 0 0;
  text-align: left;
}

td {
  white-space: nowrap;
}

tbody th {
  vertical-align: top;
  padding-top: 4px;
  font-weight: var(--weight-strong);
}

tbody tr:first-child > * {
  border-top: 1px solid var(--rule);
}

.number {
  text-align: right;
}

.strong {
  font-weight: var(--weight-strong);
}

/* Five cups of three ingredients fit: whoever types here has dry hands. */
.typed {
  width: 110px;
}

.typed :deep(.ant-input-affix-wrapper),
.typed :deep(.ant-input) {
  min-height: 0;
  padding-block: 0;
  height: 27px;
}

.outcome {
  vertical-align: top;
  padding-top: 4px;
  font-size: var(--type-text);
  line-height: 1.35;
}
</style>
