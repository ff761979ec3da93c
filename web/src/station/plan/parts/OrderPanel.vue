<script setup lang="ts">
import { stackLayers } from '@icy-ribbon/core/piece/amount';
import { InputError } from '@icy-ribbon/core/base/error';
import {
  ORDER_RULES,
  orderHints,
  orderReasons,
  type OrderAdvice,
  type OrderLayer,
  type OrderReason,
} from '@icy-ribbon/core/piece/order';
import { isPath, type PlanPath, type PlanStack } from '@icy-ribbon/core/piece/plan';
import { Button } from 'ant-design-vue';
import { computed, ref, watch } from 'vue';
import BareSelect from '#field/BareSelect.vue';
import { say } from '#notice/notices.ts';
import { usePiece } from '#store/piece/piece.ts';
import { usePlan } from '#store/plan/plan.ts';
import { plain } from '#worker/plain.ts';
import { orderWorker } from '#worker/workers.ts';
import OrderStrips from './OrderStrips.vue';
import { hintWords, reasonWords } from '#words/order.ts';

/** What speaks for and against an order; wishes; the search for a better one. */
const props = defineProps<{ item: PlanStack | PlanPath | undefined }>();

const plan = usePlan();
const store = usePiece();

const firstId = ref('');
const lastId = ref('');
const outIds = ref<string[]>([]);
const advice = ref<(OrderAdvice & { milliseconds: number }) | null>(null);
const wrong = ref('');
const rulesShown = ref(false);

const technique = computed(() => store.piece?.technique ?? 'dutch');
const layers = computed<OrderLayer[]>(() => {
  const { item } = props;
  if (!item) return [];
  if (isPath(item)) {
    return item.layers.flatMap((layer): OrderLayer[] => {
      const paint = plan.paint(layer.cupId);
      return paint ? [{ id: layer.id, paint, massG: layer.massG ?? 0 }] : [];
    });
  }
  try {
    return stackLayers(plan.body, item, plan.paints, plan.blowers).map(({ layer, paint, massG }) => ({
      id: layer.id,
      paint,
      massG,
    }));
  } catch (error) {
    if (error instanceof InputError) return [];
    throw error;
  }
});
const reasons = computed(() => orderReasons(technique.value, layers.value));
const hints = computed(() => {
  const baseId = plan.body.base?.areas[0]?.cupId;
  return orderHints(technique.value, layers.value, (baseId && plan.paint(baseId)?.colorHex) || null);
});
/** The color of a paint by its name; nothing where a rule is about one paint alone. */
const colorOf = (name: string | null) =>
  layers.value.find(({ paint }) => paint.name === name)?.paint.colorHex ?? 'transparent';
const names = computed(() => new Map(layers.value.map(({ id, paint }) => [id, paint.name])));
const options = computed(() => [
  { value: '', label: 'no wish' },
  ...layers.value
    .filter(({ paint }) => paint.role !== 'pillow' && paint.role !== 'activator')
    .map(({ id, paint }) => ({ value: id, label: paint.name })),
]);

watch(
  () => props.item?.id,
  () => {
    firstId.value = '';
    lastId.value = '';
    outIds.value = [];
  },
);
watch([layers, firstId, lastId, outIds], () => (advice.value = null));

async function suggest(): Promise<void> {
  wrong.value = '';
  try {
    advice.value = await orderWorker().suggest(technique.value, plain(layers.value), {
      firstId: firstId.value || null,
      lastId: lastId.value || null,
      outIds: [...outIds.value],
    });
  } catch (error) {
    wrong.value = (error as Error).message;
  }
}

const asItIs = computed(
  () =>
    advice.value?.order.length === layers.value.length &&
    advice.value.order.every((id, index) => id === layers.value[index]?.id),
);

function take(): void {
  const { item } = props;
  const order = advice.value?.order;
  if (!item || !order) return;
  const kept = order.map((id) => item.layers.find((layer) => layer.id === id)!);
  plan.edit((now) => ({
    ...now,
    stacks: now.stacks.map((stack) => (stack.id === item.id ? { ...stack, layers: kept } : stack)),
    paths: now.paths.map((path) => (path.id === item.id ? { ...path, layers: kept } : path)),
  }));
  say('The layers lie in the suggested order.', plan.undo);
}

const counts = ({ weight, strength }: OrderReason) => (weight * strength).toFixed(1);
defineExpose({ suggest });
</script>

<template>
  <section aria-label="Order advice">
    <p v-if="layers.length < 2" class="soft">Choose a stack or a ribbon with two colors or more.</p>
    <template v-else>
      <div class="wishes">
        <label class="label" for="wish-first">{{
          item && isPath(item) ? 'First, outlines' : 'Lowest'
        }}</label>
        <BareSelect v-model:value="firstId" label="Lies lowest, or is laid first" :options="options" />
        <span class="label">{{ item && isPath(item) ? 'Last' : 'Highest' }}</span>
        <BareSelect v-model:value="lastId" label="Lies highest, or is laid last" :options="options" />
        <span class="label">Stays out</span>
        <BareSelect
          v-model:value="outIds"
          mode="multiple"
          label="Stays out"
          placeholder="none"
          :options="options.slice(1)"
        />
      </div>
      <Button @click="suggest">Suggest an order</Button>
      <p v-if="wrong" class="alarm" role="alert">{{ wrong }}</p>
      <div v-if="advice" class="advice" aria-live="polite">
        <p v-if="asItIs">
          <strong>It lies well as it is.</strong>
          <span class="soft small">
            Every order was looked at in {{ Math.ceil(advice.milliseconds) }} ms.</span
          >
        </p>
        <template v-else>
          <p>
            <strong>{{ item && isPath(item) ? 'Laid in this order' : 'From the bottom up' }}:</strong>
            {{ advice.order.map((id) => names.get(id)).join(', ') }}.
          </p>
          <OrderStrips :before="layers" :after="advice.order" />
          <p v-for="reason in advice.mended" :key="`mended${reasonWords(reason)}`" class="small">
            Mends: {{ reasonWords(reason) }}
          </p>
          <p v-for="reason in advice.traded" :key="`traded${reasonWords(reason)}`" class="small look">
            Takes on: {{ reasonWords(reason) }}
          </p>
          <p class="soft small">Every order was looked at in {{ Math.ceil(advice.milliseconds) }} ms.</p>
          <Button size="small" @click="take">Lie like this</Button>
        </template>
      </div>
      <h3>Against the order as it is</h3>
      <p v-for="hint in hints" :key="hint.code" class="look small">{{ hintWords(hint) }}</p>
      <p v-if="reasons.length === 0" class="soft">Nothing speaks against it.</p>
      <ul>
        <li v-for="reason in reasons" :key="reasonWords(reason)">
          <span class="numeral">{{ counts(reason) }}</span>
          <span class="pair" aria-hidden="true">
            <i
              v-for="name in [reason.lower, reason.upper]"
              :key="name ?? ''"
              :style="{ background: colorOf(name) }"
            ></i>
          </span>
          <span>{{ reasonWords(reason) }}</span>
        </li>
      </ul>
      <button class="plain-button link" :aria-expanded="rulesShown" @click="rulesShown = !rulesShown">
        What each rule weighs
      </button>
      <dl v-if="rulesShown">
        <template v-for="rule in ORDER_RULES" :key="rule.name">
          <dt>{{ rule.name }}</dt>
          <dd>{{ rule.weight }}</dd>
        </template>
      </dl>
    </template>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 8px;
  align-content: start;
}

.wishes {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 6px 8px;
  align-items: center;
}

.advice {
  padding: 8px 0 8px 8px;
  border-left: 4px solid var(--water);
}

li {
  display: grid;
  grid-template-columns: 32px 32px minmax(0, 1fr);
  gap: 8px;
  padding: 4px 0;
}

.pair {
  display: flex;
  align-self: start;
  margin-top: 4px;
}

.pair i {
  flex: 1;
  height: 16px;
  outline: 1px solid var(--ink-soft);
}

.link {
  justify-self: start;
  padding: 6px 0;
  color: var(--water);
  text-decoration: underline;
}

dl {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 2px 16px;
}
</style>
