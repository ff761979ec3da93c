<script setup lang="ts">
import { Select } from 'ant-design-vue';
import { useId } from 'vue';

/** A drop-down list without a visible label; the label is there for those who do not see the screen. */
defineOptions({ inheritAttrs: false });
defineProps<{ label: string }>();
const id = useId();
</script>

<template>
  <div :class="$attrs.class">
    <label class="visually-hidden" :for="id">{{ label }}</label>
    <Select :id="id" v-bind="{ ...$attrs, class: 'wide' }" />
  </div>
</template>

<style scoped>
div {
  position: relative;
}

.wide {
  width: 100%;
}
</style>
