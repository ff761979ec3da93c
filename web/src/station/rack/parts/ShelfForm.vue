<script setup lang="ts">
import { Button, Input } from 'ant-design-vue';
import { messageAt } from '#api/problem.ts';
import FieldRow from '#field/FieldRow.vue';
import QuantityField from '#field/QuantityField.vue';
import { emptySlot, type ShelfDraft } from './shelfDraft.ts';

/** A shelf: its name, how deep it is, and its slots from the left. */
defineProps<{ problem: unknown }>();
const draft = defineModel<ShelfDraft>({ required: true });

const change = (changes: Partial<ShelfDraft>) => (draft.value = { ...draft.value, ...changes });
const changeSlot = (index: number, changes: Partial<ShelfDraft['slots'][number]>) =>
  change({ slots: draft.value.slots.map((slot, at) => (at === index ? { ...slot, ...changes } : slot)) });
</script>

<template>
  <div class="shelf-form">
    <FieldRow label="Name" for="shelf-name" :error="messageAt(problem, 'name')">
      <Input
        id="shelf-name"
        :value="draft.name"
        placeholder="By the window, top"
        autocomplete="off"
        @update:value="change({ name: $event })"
      />
    </FieldRow>
    <QuantityField
      :model-value="draft.depthMm"
      label="Depth, front to back"
      quantity="length"
      :error="messageAt(problem, 'depthMm')"
      @update:model-value="change({ depthMm: $event })"
    />
    <fieldset>
      <legend>Slots, from the left</legend>
      <div v-for="(slot, index) in draft.slots" :key="slot.id" class="slot stacked">
        <FieldRow label="Name" :for="`slot-${index}`" :error="messageAt(problem, `slots.${index}.name`)">
          <Input
            :id="`slot-${index}`"
            :value="slot.name"
            autocomplete="off"
            @update:value="changeSlot(index, { name: $event })"
          />
        </FieldRow>
        <QuantityField
          :model-value="slot.widthMm"
          label="Width"
          quantity="length"
          :error="messageAt(problem, `slots.${index}.widthMm`)"
          @update:model-value="changeSlot(index, { widthMm: $event })"
        />
        <Button
          v-if="draft.slots.length > 1"
          type="text"
          :aria-label="`Take out ${slot.name}`"
          @click="change({ slots: draft.slots.filter((_, at) => at !== index) })"
        >
          Take out
        </Button>
      </div>
      <Button @click="change({ slots: [...draft.slots, emptySlot(draft.slots.length)] })">
        One more slot
      </Button>
    </fieldset>
  </div>
</template>

<style scoped>
.shelf-form,
fieldset {
  display: grid;
  gap: 12px;
}

fieldset {
  justify-items: start;
}

legend {
  padding: 0;
  font-weight: var(--weight-strong);
}

.slot {
  grid-template-columns: 1fr 120px auto;
  align-items: end;
  width: 100%;
}
</style>
