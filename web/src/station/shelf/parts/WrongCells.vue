<script setup lang="ts">
import { Input } from 'ant-design-vue';
import type { CsvError } from '#csv/materialCsv.ts';

/** Cells of a file that cannot be read: each is set right where it stands, or its row stays out. */
defineProps<{ errors: readonly CsvError[] }>();
const emit = defineEmits<{ right: [error: CsvError, text: string] }>();

const SHOWN = 30;
const textOf = (event: Event) => (event.target as HTMLInputElement).value;
</script>

<template>
  <div class="list stacked gap-4" role="alert">
    <p class="alarm">Set these right here, or let their rows stay out:</p>
    <div v-for="error in errors.slice(0, SHOWN)" :key="`${error.line} ${error.field}`" class="wrong stacked">
      <span>line {{ error.line }}, {{ error.column }}</span>
      <Input
        size="small"
        :default-value="error.text"
        :aria-label="`Line ${error.line}, ${error.column}`"
        @blur="emit('right', error, textOf($event))"
        @press-enter="emit('right', error, textOf($event))"
      />
      <span class="alarm">{{ error.message }}</span>
    </div>
    <p v-if="errors.length > SHOWN" class="soft">and {{ errors.length - SHOWN }} more</p>
  </div>
</template>

<style scoped>
.list {
  max-height: 170px;
  margin-top: 8px;
  overflow: auto;
  font-size: var(--type-text);
}

.wrong {
  grid-template-columns: 170px 160px minmax(0, 1fr);
  align-items: center;
}
</style>
