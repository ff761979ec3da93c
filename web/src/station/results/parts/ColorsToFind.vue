<script setup lang="ts">
import ColorDot from '#drawing/ColorDot.vue';
import { Button, Select } from 'ant-design-vue';
import { computed } from 'vue';
import { withColor, withoutColor, type PhotoSetup } from './photoInput.ts';

/** The colors that are looked for in a photo, which of them are base and activator, and the gray card. */
const setup = defineModel<PhotoSetup>({ required: true });
/** The color that the next click in the photo corrects, or the gray card that it shows. */
const picking = defineModel<number | 'card' | null>('picking', { required: true });

const roles = computed(() => setup.value.palette.map(({ name }) => ({ value: name, label: name })));

function addColor(): void {
  setup.value = withColor(setup.value);
  picking.value = setup.value.palette.length - 1;
}

function removeColor(name: string): void {
  setup.value = withoutColor(setup.value, name);
  picking.value = null;
}
</script>

<template>
  <div class="colors stacked">
    <h3>Colors to look for</h3>
    <ul>
      <li v-for="(color, index) in setup.palette" :key="color.name">
        <ColorDot :color="color.hex" :size-px="16" />
        <span>{{ color.name }}</span>
        <Button
          size="small"
          :type="picking === index ? 'primary' : 'default'"
          :aria-pressed="picking === index"
          @click="picking = picking === index ? null : index"
        >
          {{ picking === index ? 'Click it in the photo' : 'Correct' }}
        </Button>
        <Button
          size="small"
          type="text"
          :aria-label="`Do not look for ${color.name}`"
          @click="removeColor(color.name)"
        >
          ×
        </Button>
      </li>
    </ul>
    <p v-if="setup.palette.length < 2" class="soft">
      No cups tell what to look for: add each color and click it in the photo, the base first.
    </p>
    <Button size="small" class="add" @click="addColor">Add a color</Button>
    <div class="gray abreast">
      <span
        >Gray card <span class="soft">{{ setup.grayPatchMm ? 'shown by the ring' : 'none' }}</span></span
      >
      <Button
        size="small"
        :type="picking === 'card' ? 'primary' : 'default'"
        :aria-pressed="picking === 'card'"
        :disabled="!setup.corners"
        @click="picking = picking === 'card' ? null : 'card'"
      >
        {{ picking === 'card' ? 'Click it in the photo' : 'Show it' }}
      </Button>
      <Button v-if="setup.grayPatchMm" size="small" @click="setup.grayPatchMm = null">No card</Button>
    </div>
    <label class="role">
      Base
      <Select v-model:value="setup.base" :options="roles" size="small" aria-label="Base" />
    </label>
    <label class="role">
      Activator
      <Select
        :value="setup.activator ?? undefined"
        :options="roles"
        size="small"
        allow-clear
        placeholder="none"
        aria-label="Activator"
        @update:value="setup.activator = ($event as string | undefined) ?? null"
      />
    </label>
  </div>
</template>

<style scoped>
h3 {
  margin: 4px 0 0;
  font-size: var(--type-text);
}

ul {
  display: grid;
  gap: 4px;
}

li,
.role {
  display: grid;
  grid-template-columns: 18px minmax(0, 1fr) auto auto;
  align-items: center;
  gap: 8px;
}

.role {
  grid-template-columns: 80px minmax(0, 1fr);
}

.add {
  justify-self: start;
}

.gray > span {
  flex: 1;
}
</style>
