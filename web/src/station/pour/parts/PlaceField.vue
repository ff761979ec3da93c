<script setup lang="ts">
import type { Mark } from '@icy-ribbon/core/piece/event';
import QuantityField from '#field/QuantityField.vue';

/** The place something was done at: drawn on the support; a tap is a spot of some width. */
defineProps<{ mark: Mark | null; asksWidth: boolean }>();
const radiusMm = defineModel<number | null>('radiusMm', { required: true });
const emit = defineEmits<{ clear: [] }>();
</script>

<template>
  <div class="place">
    <p class="soft">
      <template v-if="mark === null">Tap the place on the support, or draw along it.</template>
      <template v-else>
        {{ mark.kind === 'spot' ? 'At the place that is marked.' : 'Along the line that is drawn.' }}
        <button type="button" class="plain-button link" @click="emit('clear')">No place</button>
      </template>
    </p>
    <QuantityField
      v-if="asksWidth && mark?.kind !== 'stroke'"
      :model-value="radiusMm === null ? null : 2 * radiusMm"
      class="width"
      label="How wide"
      quantity="length"
      @update:model-value="radiusMm = $event === null ? null : $event / 2"
    />
  </div>
</template>

<style scoped>
.place {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-end;
  gap: 8px 16px;
}

.width {
  width: 120px;
}

.link {
  padding: 4px 0;
  color: var(--water);
  text-decoration: underline;
}
</style>
