<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import { RadioButton, RadioGroup } from 'ant-design-vue';
import { ref, useTemplateRef } from 'vue';
import { useIsPhone } from '#store/viewport.ts';

/** The plan from above and its core sample: side by side where there is room; on a phone one is a swipe away from the other. */
const isPhone = useIsPhone();
const strip = useTemplateRef<HTMLElement>('strip');
const face = ref<'above' | 'core'>('above');

useEventListener(strip, 'scroll', () => {
  const { scrollLeft = 0, clientWidth = 1 } = strip.value ?? {};
  face.value = scrollLeft > clientWidth / 2 ? 'core' : 'above';
});

function turnTo(to: 'above' | 'core'): void {
  strip.value?.scrollTo({ left: to === 'core' ? strip.value.scrollWidth : 0, behavior: 'smooth' });
}
</script>

<template>
  <RadioGroup
    v-if="isPhone"
    :value="face"
    name="plan-face"
    class="views"
    aria-label="Seen from"
    @update:value="turnTo($event as 'above' | 'core')"
  >
    <RadioButton value="above">From above</RadioButton>
    <RadioButton value="core">Core sample</RadioButton>
  </RadioGroup>
  <div ref="strip" class="faces"><slot></slot></div>
</template>

<style scoped>
.faces {
  display: contents;
}

@media (width < 600px) {
  .views {
    padding: 0 16px;
  }

  .faces {
    display: flex;
    overflow-x: auto;
    scroll-snap-type: x mandatory;
    overscroll-behavior-x: contain;
    scrollbar-width: none;
  }

  /* The edge of the next one stays in sight: a thumb takes hold of it. */
  .faces > :slotted(*) {
    flex: 0 0 calc(100% - 24px);
    min-width: 0;
    scroll-snap-align: start;
  }

  .faces > :slotted(:last-child) {
    flex-basis: 100%;
  }
}

@media (prefers-reduced-motion: reduce) {
  .faces {
    scroll-behavior: auto;
  }
}
</style>
