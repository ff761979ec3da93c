<script setup lang="ts">
import { RadioButton, RadioGroup } from 'ant-design-vue';
import { onMounted, ref } from 'vue';
import { sayProblem } from '#notice/notices.ts';
import { useShelf } from '#store/shelf.ts';
import ColorMatch from './parts/ColorMatch.vue';
import EquipmentTable from './parts/EquipmentTable.vue';
import MaterialTable from './parts/MaterialTable.vue';
import SupportTable from './parts/SupportTable.vue';

const shelf = useShelf();
const part = ref<'materials' | 'supports' | 'equipment' | 'match'>('materials');

onMounted(() => shelf.load().catch(sayProblem));
</script>

<template>
  <main>
    <h1 class="visually-hidden">Shelf</h1>
    <RadioGroup v-model:value="part" name="shelf-part" class="views" aria-label="Part of the shelf">
      <RadioButton value="materials">Paints and media</RadioButton>
      <RadioButton value="supports">Supports</RadioButton>
      <RadioButton value="equipment">Cups and blowers</RadioButton>
      <RadioButton value="match">Match a color</RadioButton>
    </RadioGroup>
    <MaterialTable v-if="part === 'materials'" />
    <SupportTable v-else-if="part === 'supports'" />
    <EquipmentTable v-else-if="part === 'equipment'" />
    <ColorMatch v-else />
  </main>
</template>

<style scoped>
main {
  container-type: inline-size;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
  align-content: start;
  padding: 16px 24px;
}
</style>
