<script setup lang="ts">
import { runSheet, type RunStep } from '@icy-ribbon/core/piece/event';
import { baseAreas } from '@icy-ribbon/core/piece/amount';
import { CAUTIONS } from '@icy-ribbon/core/paint/caution';
import { InputError } from '@icy-ribbon/core/base/error';
import { Button } from 'ant-design-vue';
import { computed, onMounted, ref } from 'vue';
import { stepDetail, stepTitle } from '#words/step.ts';
import ColorDot from '#drawing/ColorDot.vue';
import { itemName } from '#drawing/plan.ts';
import { planSvg } from '#drawing/planSvg.ts';
import { sayProblem } from '#notice/notices.ts';
import { usePiece } from '#store/piece/piece.ts';
import { usePlan } from '#store/plan/plan.ts';
import { useUnits } from '#store/units.ts';
import { TECHNIQUE_LABELS } from '#words/general.ts';

/** The plan on one page, in the order of the work, to be printed and laid beside the table. */
defineProps<{ pieceId: string }>();

const plan = usePlan();
const store = usePiece();
const units = useUnits();
const opened = ref(false);

onMounted(async () => {
  try {
    await plan.open();
    opened.value = true;
  } catch (error) {
    sayProblem(error);
  }
});

const picture = computed(() =>
  store.piece
    ? `data:image/svg+xml;utf8,${encodeURIComponent(
        planSvg({
          plan: plan.body,
          support: store.piece.support,
          paints: plan.paints,
          blowers: plan.blowers,
        }),
      )}`
    : '',
);
const show = (grams: number) => units.show('mass', grams * 1000);
const grams = (itemId: string, layerId: string) =>
  plan.reckoning.amounts?.layers.find(({ id }) => id === `${itemId} ${layerId}`)?.massG ?? 0;

const base = computed(() => {
  if (!plan.body.base || !store.piece) return [];
  try {
    return baseAreas(store.piece.support, plan.body.base, plan.paints);
  } catch (error) {
    if (error instanceof InputError) return [];
    throw error;
  }
});
/** The very steps that Pour goes through, the layers of one pile or line on one line. */
const steps = computed(() => {
  const support = store.piece?.support;
  if (!support) return [];
  const { body } = plan;
  const named = (cupId: string) => plan.paint(cupId)?.name ?? 'gone';
  const context = {
    units,
    paintName: named,
    itemName: (id: string) => itemName(body, id),
    ...{ leftMg: () => 0, silicone: '', isPrinted: true },
  };
  const sentence = (step: RunStep) => {
    const title = stepTitle(step, context);
    return title.endsWith('?') ? title : `${title}.`;
  };
  const all = runSheet(body, support, {
    layer: grams,
    base: (area) => base.value[area]?.massG ?? 0,
  });
  const laid = new Set<string>();
  return all.flatMap((step): string[] => {
    if (step.kind === 'lay' && step.itemId === null) {
      const area = base.value[step.number - 1];
      return [
        `Base: ${show(step.mg / 1000)} ${named(step.cupId)} stay, ${area?.filmMm.toFixed(1) ?? ''} mm.`,
      ];
    }
    if (step.kind === 'lay') {
      const itemId = step.itemId!;
      if (laid.has(itemId)) return [];
      laid.add(itemId);
      const stack = body.stacks.find(({ id }) => id === itemId);
      const paints = all.flatMap((each) =>
        each.kind === 'lay' && each.itemId === itemId ? [`${show(each.mg / 1000)} ${named(each.cupId)}`] : [],
      );
      const into = step.way ? ', into one cup' : '';
      return [
        `${itemName(body, itemId)}${stack ? `, ${at(stack.at)}` : ''}${into}: ${paints.join(', then ')}.`,
      ];
    }
    if (step.kind === 'level' || step.kind === 'photo' || step.kind === 'torch') {
      return [sentence(step)];
    }
    const detail = stepDetail(step, context);
    return [`${sentence(step)}${detail ? ` ${detail}` : ''}`];
  });
});
const at = ({ x, y }: { x: number; y: number }) =>
  `${units.show('length', x)} from the left, ${units.show('length', y)} from the top`;
const print = () => window.print();
</script>

<template>
  <main v-if="store.piece && opened" class="sheet">
    <header>
      <div>
        <h1>{{ store.piece.name }}</h1>
        <p class="soft">
          {{ TECHNIQUE_LABELS[store.piece.technique] }}, {{ store.piece.support.name }}
          <template v-if="plan.body.settings.copies > 1">, {{ plan.body.settings.copies }} alike</template>
        </p>
      </div>
      <nav class="no-print">
        <RouterLink :to="{ name: 'plan', params: { pieceId } }">Back to the plan</RouterLink>
        <Button type="primary" @click="print">Print</Button>
      </nav>
    </header>
    <div class="body stacked gap-24">
      <img :src="picture" alt="The plan from above" />
      <table class="rows">
        <thead>
          <tr>
            <th>Cup</th>
            <th class="number">Have ready</th>
            <th class="number">of it laid</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="amount in plan.reckoning.amounts?.paints ?? []" :key="amount.cupId">
            <th scope="row">
              <ColorDot :color="plan.paint(amount.cupId)?.colorHex ?? 'transparent'" :size-px="13" inline />
              {{ plan.paint(amount.cupId)?.name }}
            </th>
            <td class="number">{{ show(amount.massG) }}</td>
            <td class="number">{{ show(amount.laidG) }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <ol :class="{ many: steps.length > 14 }">
      <li v-for="(step, index) in steps" :key="index">
        <span class="box" aria-hidden="true"></span><span>{{ step }}</span>
      </li>
    </ol>
    <p v-if="steps.length === 0" class="soft">
      Nothing is planned yet. <RouterLink :to="{ name: 'plan', params: { pieceId } }">Plan it.</RouterLink>
    </p>
    <footer class="soft">{{ CAUTIONS.torch }} {{ CAUTIONS.drain }} {{ CAUTIONS.deferral }}</footer>
  </main>
</template>

<style scoped>
.sheet {
  max-width: 860px;
  margin: 0 auto;
  padding: 16px 24px;
}

header,
nav {
  display: flex;
  align-items: center;
  gap: 16px;
}

header {
  justify-content: space-between;
}

.body {
  grid-template-columns: minmax(0, 0.8fr) minmax(min-content, 1fr);
  align-items: start;
  margin: 16px 0;
}

img {
  width: 100%;
  max-height: 320px;
  object-fit: contain;
  object-position: left top;
}

.many {
  columns: 2;
  column-gap: 32px;
}

li {
  counter-increment: step;
  display: grid;
  grid-template-columns: 16px 24px minmax(0, 1fr);
  gap: 8px;
  align-items: start;
  padding: 4px 0;
  break-inside: avoid;
}

li::before {
  content: counter(step);
  grid-column: 2;
  grid-row: 1;
  text-align: right;
  color: var(--ink-soft);
}

.box {
  grid-column: 1;
  grid-row: 1;
  width: 16px;
  height: 16px;
  margin-top: 4px;
  border: 1px solid var(--ink);
}

footer {
  margin-top: 16px;
  font-size: var(--type-note);
}

@media print {
  .no-print {
    display: none;
  }

  .sheet {
    max-width: none;
    padding: 0;
    font-size: var(--type-lead);
  }

  .many {
    columns: 1;
  }
}
</style>
