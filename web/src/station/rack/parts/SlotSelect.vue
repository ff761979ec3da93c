<script setup lang="ts">
import { Select } from 'ant-design-vue';
import { computed } from 'vue';
import { useRack } from '#store/rack.ts';

/** Where a piece lies: the slots it fits into, and those that are too small for it. */
const props = defineProps<{
  pieceId: string;
  size: { readonly widthMm: number; readonly heightMm: number };
  place: { readonly shelfId: string | null; readonly slotId: string | null } | null;
  label: string;
}>();
const emit = defineEmits<{ choose: [place: { shelfId: string; slotId: string } | null] }>();

const rack = useRack();
const NOWHERE = 'nowhere';

const options = computed(() => [
  { value: NOWHERE, label: 'On no shelf', disabled: false },
  ...rack.slotsFor(props.size, props.pieceId).map(({ shelf, slot, lying, free }) => {
    const name = shelf.slots.length > 1 ? `${shelf.name}, ${slot.name}` : shelf.name;
    const why = free < Math.min(props.size.widthMm, props.size.heightMm) ? 'full' : 'too small';
    return {
      value: `${shelf.id} ${slot.id}`,
      label: lying ? `${name}${lying.isTurned ? ', turned' : ''}` : `${name}: ${why}`,
      disabled: lying === null,
    };
  }),
]);
const value = computed(() => {
  const key = props.place ? `${props.place.shelfId} ${props.place.slotId}` : NOWHERE;
  return options.value.some((option) => option.value === key) ? key : NOWHERE;
});

function choose(key: string): void {
  const [shelfId, ...rest] = key.split(' ');
  emit('choose', key === NOWHERE || !shelfId ? null : { shelfId, slotId: rest.join(' ') });
}
</script>

<template>
  <Select
    :value="value"
    :options="options"
    :aria-label="label"
    :dropdown-match-select-width="false"
    class="slot"
    @update:value="choose(String($event))"
  />
</template>

<style scoped>
.slot {
  min-width: 200px;
}
</style>
