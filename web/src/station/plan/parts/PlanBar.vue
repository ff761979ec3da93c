<script setup lang="ts">
import { LAYOUTS, type LayoutName } from '@icy-ribbon/core/piece/plan';
import { Button, Dropdown, Menu, MenuItem } from 'ant-design-vue';
import { computed } from 'vue';
import BareSelect from '../../../field/BareSelect.vue';
import NumberField from '../../../field/NumberField.vue';
import { usePiece } from '../../../store/piece/piece.ts';
import { usePlan } from '../../../store/plan/plan.ts';
import type { Placing } from './placing.ts';

/** Ready layouts, what can be put down, and what can be done with what is chosen. */
const layout = defineModel<LayoutName>('layout', { required: true });
const flowers = defineModel<number | null>('flowers', { required: true });
const placing = defineModel<Placing | null>('placing', { required: true });
const emit = defineEmits<{
  layOut: [];
  act: [name: 'duplicate' | 'left-right' | 'top-bottom' | 'row' | 'column' | 'remove'];
  zoom: [factor: number];
  scale: [];
  save: [kind: 'svg' | 'png' | 'json' | 'sheet'];
}>();

const plan = usePlan();
const store = usePiece();

const layouts = computed(() =>
  LAYOUTS.filter((each) => (each.techniques as readonly string[]).includes(store.piece?.technique ?? '')).map(
    ({ name, label }) => ({ value: name, label }),
  ),
);
const PUT = [
  ['stack', 'Stack'],
  ['ribbon', 'Ribbon'],
  ['crescent', 'Crescent'],
  ['flood', 'Flood'],
  ['pass', 'Pass'],
] as const;
const ACTIONS = [
  ['duplicate', 'Duplicate'],
  ['left-right', 'Mirror left to right'],
  ['top-bottom', 'Mirror top to bottom'],
  ['row', 'Line up in a row'],
  ['column', 'Line up in a column'],
  ['remove', 'Take away'],
] as const;
const FILES = [
  ['sheet', 'Run sheet, to print'],
  ['svg', 'Drawing, SVG'],
  ['png', 'Picture, PNG'],
  ['json', 'Plan, JSON'],
] as const;

const putting = computed(() => PUT.find(([kind]) => kind === placing.value)?.[1]);
const toggle = (kind: Placing) => (placing.value = placing.value === kind ? null : kind);
</script>

<template>
  <div class="bar">
    <BareSelect v-model:value="layout" class="layout" label="Ready layout" :options="layouts" />
    <NumberField
      v-if="layout === 'row' || layout === 'cup-row'"
      v-model="flowers"
      class="flowers"
      bare
      label="Flowers in the row"
      unit="×"
      :digits="0"
    />
    <Button size="small" @click="emit('layOut')">Lay it out</Button>
    <Dropdown :trigger="['click']">
      <Button size="small" :type="placing ? 'primary' : 'default'">{{
        placing ? `Put down: ${putting?.toLowerCase()}` : 'Put down'
      }}</Button>
      <template #overlay>
        <Menu>
          <MenuItem v-for="[kind, label] in PUT" :key="kind" @click="toggle(kind)">{{ label }}</MenuItem>
        </Menu>
      </template>
    </Dropdown>
    <span class="group">
      <Button size="small" :disabled="!plan.canUndo" @click="plan.undo">Undo</Button>
      <Button size="small" :disabled="!plan.canRedo" @click="plan.redo">Redo</Button>
    </span>
    <Dropdown :trigger="['click']">
      <Button size="small">{{
        plan.selection.length > 1 ? `${plan.selection.length} chosen` : 'Change'
      }}</Button>
      <template #overlay>
        <Menu>
          <MenuItem v-for="[name, label] in ACTIONS" :key="name" @click="emit('act', name)">{{
            label
          }}</MenuItem>
        </Menu>
      </template>
    </Dropdown>
    <span class="group" role="group" aria-label="Zoom">
      <Button size="small" aria-label="Closer" @click="emit('zoom', 1.4)">+</Button>
      <Button size="small" aria-label="Further" @click="emit('zoom', 1 / 1.4)">−</Button>
    </span>
    <Button size="small" @click="emit('scale')">Scale up</Button>
    <Dropdown :trigger="['click']">
      <Button size="small">Take out</Button>
      <template #overlay>
        <Menu>
          <MenuItem v-for="[kind, label] in FILES" :key="kind" @click="emit('save', kind)">{{
            label
          }}</MenuItem>
        </Menu>
      </template>
    </Dropdown>
  </div>
</template>

<style scoped>
.bar {
  display: flex;
  align-items: center;
  gap: 6px 10px;
}

.layout {
  width: 178px;
}

.flowers {
  width: 74px;
}

.group {
  display: flex;
  gap: 4px;
}

@media (width < 1200px) {
  .bar {
    flex-wrap: wrap;
  }
}
</style>
