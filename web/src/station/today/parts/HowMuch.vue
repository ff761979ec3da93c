<script setup lang="ts">
import { MOST_COLORS } from '@icy-ribbon/contract';
import { InputError } from '@icy-ribbon/core/base/error';
import type { Aims, Technique } from '@icy-ribbon/core/paint/stage';
import { neededCups } from '@icy-ribbon/core/piece/amount';
import type { SupportSize } from '@icy-ribbon/core/piece/support';
import { computed, onMounted } from 'vue';
import ComputedFrom from '#field/ComputedFrom.vue';
import { sayProblem } from '#notice/notices.ts';
import { useRecipes } from '#store/recipes.ts';
import { useShelf } from '#store/shelf.ts';
import { useMoney } from '#store/money.ts';
import { useUnits } from '#store/units.ts';
import { ROLE_LABELS } from '#words/general.ts';
import { needWords } from '#words/need.ts';
import { useMeasures } from '#words/useMeasures.ts';
import { supportWords } from '#words/support.ts';
import { howMuch } from './howMuch.ts';

/** How much paint a piece takes before there is one: cups, what goes into each, what is short, what it costs. */
const props = defineProps<{
  support: SupportSize;
  technique: Technique;
  colors: number | null;
  aims: Aims;
}>();

const shelf = useShelf();
const recipes = useRecipes();
const units = useUnits();
const money = useMoney();
onMounted(() => recipes.ensure().catch(sayProblem));

const measures = useMeasures();
const grams = (massG: number) => measures.value.mass(massG * 1000);

const needed = computed(() => {
  const { support, technique, aims, colors } = props;
  if (!colors || colors < 1 || colors > MOST_COLORS) return [];
  try {
    return neededCups({ support, technique, aims, colors: Math.round(colors) });
  } catch (error) {
    if (error instanceof InputError) return [];
    throw error;
  }
});
const answer = computed(() => howMuch(needed.value, props.technique, recipes.all, shelf.materials));
const isShort = ({ massG, leftG }: { massG: number; leftG: number | null }) =>
  leftG !== null && leftG < massG;
const short = computed(() => answer.value.materials.filter(isShort));
</script>

<template>
  <div v-if="needed.length > 0" class="much stacked gap-4">
    <p>
      Enough for {{ supportWords(support, units) }}:
      <strong>{{ needWords(needed, measures.mass) }}</strong>
      {{ ' ' }}<ComputedFrom calculation="amounts" />
    </p>
    <p v-for="each in short" :key="each.name" class="look">
      {{ each.name }} runs out: {{ grams(each.massG) }} wanted, {{ grams(each.leftG ?? 0) }} left.
    </p>
    <details>
      <summary class="soft">What goes into each cup</summary>
      <table>
        <tbody v-for="cup in answer.cups" :key="cup.role">
          <tr>
            <th scope="rowgroup" colspan="2">
              {{ ROLE_LABELS[cup.role] }}<template v-if="cup.count > 1">, each of {{ cup.count }}</template>
              <span class="soft recipe">{{ cup.recipe }}</span>
            </th>
          </tr>
          <tr v-for="part in cup.parts" :key="part.name">
            <td>{{ part.name }}</td>
            <td class="number">{{ grams(part.massG) }}</td>
          </tr>
        </tbody>
        <tbody>
          <tr>
            <th scope="rowgroup" colspan="2">In all</th>
          </tr>
          <tr v-for="each in answer.materials" :key="each.name">
            <td>{{ each.name }}</td>
            <td class="number" :class="{ look: isShort(each) }">{{ grams(each.massG) }}</td>
          </tr>
          <tr v-if="answer.cents !== null">
            <td>Costs about</td>
            <td class="number">{{ money.show(answer.cents) }}</td>
          </tr>
        </tbody>
      </table>
    </details>
  </div>
</template>

<style scoped>
.much {
  font-size: var(--type-text);
}

summary {
  cursor: pointer;
}

table {
  width: 100%;
  border-collapse: collapse;
  font-size: var(--type-note);
}

th {
  padding: 8px 0 2px;
  text-align: left;
  border-bottom: 1px solid var(--rule);
}

.recipe {
  margin-left: 6px;
  font-weight: var(--weight-plain);
}

.number {
  text-align: right;
}
</style>
