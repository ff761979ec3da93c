<script setup lang="ts">
import { Button } from 'ant-design-vue';
import { ref } from 'vue';

/** Takes a picture with the phone, or chooses one; it is looked at here and goes nowhere by itself. */
const { accept = 'image/jpeg,image/png' } = defineProps<{
  label: string;
  busy?: boolean;
  disabled?: boolean;
  accept?: string;
  primary?: boolean;
}>();
const emit = defineEmits<{ taken: [file: File] }>();
const input = ref<HTMLInputElement | null>(null);

function taken(): void {
  const file = input.value?.files?.[0];
  // The same picture may be chosen again.
  if (input.value) input.value.value = '';
  if (file) emit('taken', file);
}
</script>

<template>
  <span class="take">
    <input ref="input" type="file" :accept="accept" hidden @change="taken" />
    <Button
      :type="primary ? 'primary' : 'default'"
      :loading="busy ?? false"
      :disabled="disabled ?? false"
      @click="input?.click()"
    >
      {{ busy ? 'Reading …' : label }}
    </Button>
  </span>
</template>
