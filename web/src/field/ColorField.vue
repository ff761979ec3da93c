<script setup lang="ts">
import { Input } from 'ant-design-vue';
import { useId } from 'vue';
import FieldRow from './FieldRow.vue';

/** A color, picked or written like #26333f; may be empty where nothing is known yet. */
const props = defineProps<{
  label: string;
  error?: string | undefined;
  placeholder?: string;
  /** What the picker shows while the field is empty. */
  fallback?: string;
}>();
const color = defineModel<string | null>({ required: true });
const id = useId();
</script>

<template>
  <FieldRow :label="label" :for="id" :error="error">
    <div class="color stacked">
      <input
        :id="id"
        type="color"
        :value="color ?? props.fallback ?? '#ffffff'"
        @input="color = ($event.target as HTMLInputElement).value"
      />
      <Input
        :value="color ?? ''"
        :placeholder="placeholder"
        :aria-label="`${label}, as a number`"
        @update:value="color = $event || null"
      />
    </div>
  </FieldRow>
</template>

<style scoped>
.color {
  grid-template-columns: 72px 1fr;
}

input[type='color'] {
  width: 100%;
  height: 40px;
  padding: 2px;
  background: transparent;
  border: 1px solid var(--ice-deep);
}
</style>
