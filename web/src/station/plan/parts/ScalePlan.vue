<script setup lang="ts">
import { amounts } from '@icy-ribbon/core/piece/amount';
import { InputError } from '@icy-ribbon/core/base/error';
import { scalePlan } from '@icy-ribbon/core/piece/plan';
import type { SupportSize } from '@icy-ribbon/core/piece/support';
import { Button, Modal } from 'ant-design-vue';
import { computed, ref } from 'vue';
import BareSelect from '#field/BareSelect.vue';
import SupportForm from '#field/SupportForm.vue';
import { emptySupport } from '#field/supportDraft.ts';
import { NEW_SUPPORT, useSupportChoice } from '#field/useSupportChoice.ts';
import { supportWords } from '#words/support.ts';
import { usePiece } from '#store/piece/piece.ts';
import { useMoney } from '#store/money.ts';
import { usePlan } from '#store/plan/plan.ts';
import { useShelf } from '#store/shelf.ts';
import { useUnits } from '#store/units.ts';
import { centsWords, planCost } from './cost.ts';
import { useNewPiece } from '#store/useNewPiece.ts';

/** Test first, then scale up: the same plan on another support, as a new piece. */
const emit = defineEmits<{ close: [] }>();

const plan = usePlan();
const money = useMoney();
const store = usePiece();
const shelf = useShelf();
const units = useUnits();
const { busy, problem, start } = useNewPiece(() => emit('close'));

/** A practice tile that every artist has. */
const TILE: SupportSize = { shape: 'rectangle', widthMm: 100, heightMm: 100, sideDepthMm: 0 };
const supportId = ref(
  shelf.supports.find(({ id }) => id !== store.piece?.support.supportId)?.id ?? NEW_SUPPORT,
);

const typedSupport = ref(emptySupport());
const { options, isNew, support: target, keep } = useSupportChoice(supportId, typedSupport);

function on(support: SupportSize) {
  const from = store.piece!.support;
  const scaled = scalePlan(plan.body, from, support);
  try {
    const found = amounts(support, scaled.plan, plan.paints, plan.blowers);
    return { ...scaled, amounts: found, cost: centsWords(planCost(found, plan.costs), money.show) };
  } catch (error) {
    if (error instanceof InputError) return { ...scaled, amounts: null, cost: error.message };
    throw error;
  }
}

const supportName = (of: SupportSize) => ('name' in of ? String(of.name) : supportWords(of, units));
const here = computed(() => ({
  amounts: plan.reckoning.amounts,
  cost: centsWords(planCost(plan.reckoning.amounts, plan.costs), money.show),
}));
const there = computed(() => (target.value ? on(target.value) : null));
const tile = computed(() => on(TILE));
const grams = (of: { amounts: { total: { massG: number } } | null } | null) =>
  of?.amounts ? units.show('mass', of.amounts.total.massG * 1000) : '';

function make(): void {
  const piece = store.piece;
  const support = target.value;
  const scaled = there.value?.plan;
  if (!piece || !support || !scaled) return;
  void start(async () => ({
    name: `${piece.name}, on ${supportName(support)}`,
    technique: piece.technique,
    aims: piece.aims,
    colors: piece.colors,
    supportId: await keep(),
    plan: scaled,
    cups: store.paints,
    planned: plan.planned,
  }));
}
</script>

<template>
  <Modal open :width="620" title="The same on another support" @cancel="emit('close')">
    <BareSelect v-model:value="supportId" label="Support to scale to" :options="options" />
    <SupportForm v-if="isNew" v-model="typedSupport" :problem="problem" />
    <table class="rows">
      <thead>
        <tr>
          <th></th>
          <th class="number">Paint</th>
          <th>Cost</th>
          <th class="number">Passes</th>
        </tr>
      </thead>
      <tbody>
        <tr>
          <th scope="row">Here</th>
          <td class="number">{{ grams(here) }}</td>
          <td>{{ here.cost }}</td>
          <td class="number">{{ plan.body.passes.length }}</td>
        </tr>
        <tr v-if="there && target">
          <th scope="row">{{ supportName(target) }}</th>
          <td class="number">{{ grams(there) }}</td>
          <td>{{ there.cost }}</td>
          <td class="number">{{ there.plan.passes.length }}</td>
        </tr>
        <tr>
          <th scope="row">A practice tile of {{ units.show('length', 100) }}</th>
          <td class="number">{{ grams(tile) }}</td>
          <td>{{ tile.cost }}</td>
          <td class="number">{{ tile.plan.passes.length }}</td>
        </tr>
      </tbody>
    </table>
    <ul v-if="there">
      <li v-for="note in there.notes" :key="note" class="look">{{ note }}</li>
    </ul>
    <p class="soft">
      Films stay as thick, footprints and places in proportion, and each area gets as many passes. The new
      piece plans the same paints; mix them there.
    </p>
    <template #footer>
      <Button @click="emit('close')">Leave it</Button>
      <Button type="primary" :disabled="!target" :loading="busy" @click="make">Start that piece</Button>
    </template>
  </Modal>
</template>

<style scoped>
.rows {
  margin: 12px 0;
}

ul {
  margin: 0 0 8px;
  padding-left: 16px;
  list-style: disc;
}
</style>
