<script setup lang="ts">
import type { OrderLayer } from '@icy-ribbon/core/piece/order';
import { computed } from 'vue';

/** Two orders of the same layers as strips of their colors, from the first laid on; what moved is marked. */
const props = defineProps<{ before: readonly OrderLayer[]; after: readonly string[] }>();

const byId = computed(() => new Map(props.before.map((layer) => [layer.id, layer])));
const strips = computed(() => [
  { word: 'now', layers: props.before.map(({ id }) => id) },
  { word: 'then', layers: [...props.after] },
]);
</script>

<template>
  <div class="strips">
    <template v-for="strip in strips" :key="strip.word">
      <span class="label">{{ strip.word }}</span>
      <span
        class="strip"
        role="img"
        :aria-label="strip.layers.map((id) => byId.get(id)?.paint.name).join(', ')"
      >
        <span
          v-for="(id, index) in strip.layers"
          :key="id"
          class="layer"
          :class="{ moved: strip.word === 'then' && before[index]?.id !== id }"
          :style="{ background: byId.get(id)?.paint.colorHex }"
          :title="byId.get(id)?.paint.name"
        ></span>
      </span>
    </template>
  </div>
</template>

<style scoped>
.strips {
  display: grid;
  grid-template-columns: 40px minmax(0, 1fr);
  gap: 6px 8px;
  align-items: center;
  padding: 4px 0;
}

.strip {
  display: flex;
}

.layer {
  flex: 1;
  height: 24px;
  border: var(--paint-edge) solid var(--ink-soft);
  border-right-width: 0;
}

.layer:last-child {
  border-right-width: var(--paint-edge);
}

.moved {
  box-shadow: 0 4px 0 var(--ink);
}
</style>
