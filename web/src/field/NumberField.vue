<script setup lang="ts">
import { parseDecimal } from '@icy-ribbon/core/base/unit';
import Input from 'ant-design-vue/es/input/Input';
import { computed, ref, useId, watch } from 'vue';
import FieldRow from './FieldRow.vue';

const props = withDefaults(
  defineProps<{
    label: string;
    unit: string;
    digits?: number;
    error?: string | undefined;
    hint?: string | undefined;
    disabled?: boolean;
    bare?: boolean;
    autofocus?: boolean;
  }>(),
  {
    digits: 2,
    error: undefined,
    hint: undefined,
    disabled: false,
    bare: false,
    autofocus: false,
  },
);

/** The value in the shown unit; `null` while the field is empty or holds no number. */
const value = defineModel<number | null>({ required: true });
const emit = defineEmits<{ commit: [value: number | null] }>();

const id = useId();
const text = ref(write(value.value));

function write(number: number | null): string {
  return number === null ? '' : String(Number(number.toFixed(props.digits)));
}

watch([value, () => props.unit], ([next]) => {
  const typed = parseDecimal(text.value);
  const same = next !== null && typed !== undefined && Math.abs(typed - next) < 1e-9;
  const emptied = next === null && typed === undefined;
  if (!same && !emptied) text.value = write(next);
});

const unreadable = computed(() =>
  text.value.trim() !== '' && parseDecimal(text.value) === undefined
    ? 'Write a number, like 11.25 or 11,25.'
    : undefined,
);
const message = computed(() => unreadable.value ?? props.error);

function read(typed: string | undefined): void {
  text.value = typed ?? '';
  value.value = parseDecimal(text.value) ?? null;
}

function leave(): void {
  emit('commit', value.value);
}
</script>

<template>
  <component :is="bare ? 'div' : FieldRow" :label="label" :for="id" :error="message" :hint="hint">
    <Input
      :id="id"
      :value="text"
      inputmode="decimal"
      autocomplete="off"
      :disabled="disabled"
      :autofocus="autofocus"
      :status="message ? 'error' : ''"
      :aria-label="bare ? label : undefined"
      :aria-invalid="message ? 'true' : undefined"
      :aria-describedby="message && !bare ? `${id}-error` : undefined"
      @update:value="read"
      @blur="leave"
      @press-enter="emit('commit', value)"
    >
      <template #suffix>
        <span class="soft">{{ unit }}</span>
      </template>
    </Input>
    <p v-if="bare && message" class="alarm message" role="alert">{{ message }}</p>
  </component>
</template>

<style scoped>
.message {
  font-size: var(--type-note);
}
</style>
