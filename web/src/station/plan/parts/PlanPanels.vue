<script setup lang="ts">
import type { PlanItem, PlanPath, PlanStack } from '@icy-ribbon/core/piece/plan';
import { RadioButton, RadioGroup } from 'ant-design-vue';
import { computed, defineAsyncComponent } from 'vue';
import { itemName } from '#drawing/plan.ts';
import BareSelect from '#field/BareSelect.vue';
import { usePlan } from '#store/plan/plan.ts';
import CheckList from './CheckList.vue';
import GroundPanel from './GroundPanel.vue';
import ItemInspector from './ItemInspector.vue';
import NotKept from './NotKept.vue';
import OrderPanel from './OrderPanel.vue';
import type { PlanPanel } from './planKeys.ts';

/** Beside the support: the check, what is chosen in numbers, the base, the order, the air. */
const props = defineProps<{
  pieceId: string;
  chosen: PlanItem | undefined;
  sampled: PlanStack | undefined;
  ordered: PlanStack | PlanPath | undefined;
  /** Ids of all that lies on the support or is blown. */
  items: readonly string[];
}>();
const emit = defineEmits<{ another: []; mix: [cupId: string | null] }>();
const panel = defineModel<PlanPanel>({ required: true });

const AirPanel = defineAsyncComponent(() => import('./AirPanel.vue'));
const FilmForecast = defineAsyncComponent(() => import('./FilmForecast.vue'));

const plan = usePlan();
const itemOptions = computed(() => props.items.map((id) => ({ value: id, label: itemName(plan.body, id) })));
</script>

<template>
  <section class="panel stacked">
    <RadioGroup v-model:value="panel" name="plan-panel" class="views" aria-label="Beside the plan">
      <RadioButton value="check"
        >Check{{ plan.findings.length > 0 ? ` ${plan.findings.length}` : '' }}</RadioButton
      >
      <RadioButton value="item">Chosen</RadioButton>
      <RadioButton value="ground">Base</RadioButton>
      <RadioButton value="order">Order</RadioButton>
      <RadioButton value="air">Air</RadioButton>
    </RadioGroup>
    <div class="scroll">
      <NotKept @show="panel = 'item'" />
      <CheckList v-if="panel === 'check'" :piece-id="pieceId" @mix="emit('mix', $event)" />
      <div v-else-if="panel === 'item'" class="inspector stacked">
        <BareSelect
          label="On the support"
          :value="plan.selection[0]"
          placeholder="Choose what lies on the support"
          :options="itemOptions"
          @update:value="plan.select([String($event)])"
        />
        <ItemInspector v-if="chosen" :item="chosen" @another="emit('another')" />
        <p v-else-if="plan.selection.length > 1" class="soft">
          {{ plan.selection.length }} are chosen: they move, mirror and line up together.
        </p>
        <p v-else class="soft">
          Choose something here or on the support: it can be dragged, bent, and typed. Hold Shift to choose
          several.
        </p>
      </div>
      <GroundPanel v-else-if="panel === 'ground'" @another="emit('another')" />
      <OrderPanel v-else-if="panel === 'order'" :item="ordered" />
      <div v-else class="inspector stacked">
        <FilmForecast />
        <AirPanel :stack="sampled" />
      </div>
    </div>
  </section>
</template>

<style scoped>
.inspector {
  align-content: start;
}

.panel {
  grid-template-rows: auto minmax(0, 1fr);
  min-height: 0;
  padding: 0 16px 6px 4px;
}

.panel .views {
  gap: 0 16px;
}

.scroll {
  overflow: auto;
}

@media (width < 1000px) {
  .panel {
    padding: 0 16px 12px;
  }
}
</style>
