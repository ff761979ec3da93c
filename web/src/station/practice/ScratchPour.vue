<script setup lang="ts">
import { airTool, type AirTool } from '@icy-ribbon/core/flow/air';
import { computed } from 'vue';
import RehearsalRoom from './parts/RehearsalRoom.vue';
import { SCRATCH_SCENES } from './parts/scratchScenes.ts';

/** A pour that belongs to no piece. */
const props = defineProps<{ scene: string }>();
const found = computed(() => SCRATCH_SCENES.find(({ name }) => name === props.scene));
const laid = computed(() => found.value?.make());
const exit = (tool: AirTool) => airTool(tool);
</script>

<template>
  <RehearsalRoom
    v-if="found && laid"
    :key="found.name"
    :scene="laid"
    :title="found.label"
    :exit="exit"
    :tilt="found.tilt"
  />
  <main v-else class="none">
    <h1>No such pour</h1>
    <RouterLink to="/practice">To Practice</RouterLink>
  </main>
</template>

<style scoped>
.none {
  padding: 16px 24px;
}
</style>
