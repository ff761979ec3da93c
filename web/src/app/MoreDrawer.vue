<script setup lang="ts">
import { Button, Drawer } from 'ant-design-vue';
import { computed } from 'vue';
import { useAppearance } from '../store/appearance.ts';
import type { StationName } from './stations.ts';
import UnitSwitch from './UnitSwitch.vue';
import { useStations } from './useStations.ts';

const props = defineProps<{ open: boolean; besides: readonly StationName[] }>();
const emit = defineEmits<{ 'update:open': [open: boolean] }>();
const appearance = useAppearance();
const { links } = useStations();
const rest = computed(() => links.value.filter(({ name }) => !props.besides.includes(name)));
</script>

<template>
  <Drawer :open="open" placement="bottom" title="More" height="auto" @close="emit('update:open', false)">
    <ul>
      <li v-for="link in rest" :key="link.name">
        <RouterLink v-if="link.isOpen" :to="link.to">{{ link.label }}</RouterLink>
        <span v-else class="soft closed">{{ link.label }}: start or choose a piece first</span>
      </li>
      <li><RouterLink to="/devices">Devices</RouterLink></li>
      <li><RouterLink to="/safekeeping">Safekeeping</RouterLink></li>
      <li><RouterLink to="/computation">How it computes</RouterLink></li>
    </ul>
    <div class="switches">
      <UnitSwitch />
      <Button type="text" :aria-pressed="appearance.dark" @click="appearance.toggle()">
        {{ appearance.dark ? 'Light' : 'Dark' }}
      </Button>
    </div>
  </Drawer>
</template>

<style scoped>
ul {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 16px;
}

li {
  border-bottom: 1px solid var(--rule);
}

li > :is(a, span) {
  display: block;
  padding: 12px 0;
  color: var(--ink);
  text-decoration: none;
}

.closed {
  font-style: italic;
}

.switches {
  display: flex;
  justify-content: space-between;
  padding: 8px 0 env(safe-area-inset-bottom);
}
</style>
