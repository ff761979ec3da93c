<script setup lang="ts">
import { LAYOUTS, type LayoutName } from '@icy-ribbon/core/piece/plan';
import { Button, Dropdown, Menu, MenuItem } from 'ant-design-vue';
import { computed } from 'vue';
import BareSelect from '#field/BareSelect.vue';
import NumberField from '#field/NumberField.vue';
import { usePiece } from '#store/piece/piece.ts';
import { usePlan } from '#store/plan/plan.ts';

/** Ready layouts, and what can be done with what is chosen. */
const layout = defineModel<LayoutName>('layout', { required: true });
const flowers = defineModel<number | null>('flowers', { required: true });
const emit = defineEmits<{
  layOut: [];
  act: [name: 'duplicate' | 'left-right' | 'top-bottom' | 'row' | 'column' | 'remove'];
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
  flex-wrap: wrap;
  min-width: 0;
  align-items: center;
  gap: 6px 8px;
}

.layout {
  width: 178px;
}

.flowers {
  width: 74px;
}

/* One row that is drawn along with the thumb. */
@media (width < 600px) {
  .bar {
    flex-wrap: nowrap;
    overflow-x: auto;
    scrollbar-width: none;
  }

  .bar > * {
    flex: none;
  }
}

.group {
  display: flex;
  gap: 4px;
}
</style>
