<script setup lang="ts">
import type { ShelvedMaterial } from '@icy-ribbon/contract';
import { mixColor } from '@icy-ribbon/core/paint/color';
import { Button } from 'ant-design-vue';
import { computed } from 'vue';
import ColorDot from '#drawing/ColorDot.vue';
import NumberField from '#field/NumberField.vue';

/** Paints that are stirred together into one cup, with their parts by weight, and the color they give. */
const props = defineProps<{ paints: readonly ShelvedMaterial[] }>();
const blend = defineModel<{ materialId: string; parts: number }[]>({ required: true });
const emit = defineEmits<{ make: [] }>();

const rows = computed(() =>
  blend.value.flatMap((part) => {
    const paint = props.paints.find(({ id }) => id === part.materialId);
    return paint ? [{ ...part, paint }] : [];
  }),
);
const colorHex = computed(() =>
  rows.value.length > 0
    ? mixColor(
        rows.value.map(({ paint, parts }) => ({
          hex: paint.colorHex,
          amount: parts,
          strength: paint.tintingStrength,
        })),
      )
    : null,
);

function setParts(materialId: string, parts: number | null): void {
  if (parts === null || parts <= 0) return;
  blend.value = blend.value.map((each) => (each.materialId === materialId ? { ...each, parts } : each));
}

const drop = (materialId: string) => {
  blend.value = blend.value.filter((each) => each.materialId !== materialId);
};
</script>

<template>
  <form class="blend" aria-label="Several paints in one cup" @submit.prevent="emit('make')">
    <ColorDot v-if="colorHex" :color="colorHex" :size-px="26" />
    <p v-if="rows.length === 0" class="soft slim">Press the paints that go into this cup, up to five.</p>
    <div v-for="{ paint, parts } in rows" :key="paint.id" class="part">
      <NumberField
        class="parts"
        bare
        :label="`Parts of ${paint.name}`"
        unit=""
        :digits="3"
        :model-value="parts"
        @commit="setParts(paint.id, $event)"
      />
      <span>{{ paint.name }}</span>
      <button
        type="button"
        class="plain-button slim"
        :aria-label="`Leave ${paint.name} out`"
        @click="drop(paint.id)"
      >
        ×
      </button>
    </div>
    <Button v-if="rows.length > 0" html-type="submit">Put this cup on the bench</Button>
  </form>
</template>

<style scoped>
.blend {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 16px;
  padding: 4px 0;
}

.part {
  display: flex;
  align-items: center;
  gap: 6px;
}

.parts {
  width: 74px;
}

.slim {
  padding: 4px 8px;
}
</style>
