<script setup lang="ts">
import type { ShelfChange } from '#csv/matchShelf.ts';

/** What a file would change of the shelf, cell by cell; each is taken unless its tick is removed. */
defineProps<{ changed: readonly ShelfChange[] }>();
/** Materials that stay as they are, by id. */
const unwanted = defineModel<readonly string[]>({ required: true });

const SHOWN = 30;

function want(id: string, event: Event): void {
  const others = unwanted.value.filter((each) => each !== id);
  unwanted.value = (event.target as HTMLInputElement).checked ? others : [...others, id];
}
</script>

<template>
  <div class="list stacked gap-4">
    <p>On the shelf already, and otherwise in the file. What is ticked is changed:</p>
    <label v-for="{ on, cells } in changed.slice(0, SHOWN)" :key="on.id" class="change abreast">
      <input type="checkbox" :checked="!unwanted.includes(on.id)" @change="want(on.id, $event)" />
      <span>
        <strong>{{ on.name }}. </strong>
        <template v-for="cell in cells" :key="cell.label">
          {{ cell.label }}: {{ cell.from || 'nothing' }} → {{ cell.to }}.
        </template>
      </span>
    </label>
    <p v-if="changed.length > SHOWN" class="soft">and {{ changed.length - SHOWN }} more, all ticked</p>
  </div>
</template>

<style scoped>
.list {
  max-height: 170px;
  margin-top: 8px;
  overflow: auto;
  font-size: var(--type-text);
}

.change {
  align-items: baseline;
}

.change strong {
  margin-right: 4px;
}
</style>
