<script setup lang="ts">
import type { PieceSummary } from '@icy-ribbon/contract';
import type { SupportSize } from '@icy-ribbon/core/piece/support';
import { Button, Input } from 'ant-design-vue';
import HungPhoto from '#drawing/HungPhoto.vue';
import { say } from '#notice/notices.ts';
import { attempt } from '#notice/useTask.ts';
import SketchOverlay from './SketchOverlay.vue';
import type { useSketch } from './useSketch.ts';

/** The tries of a change: the one that is drawn, and those that were kept. */
const props = defineProps<{
  sketch: ReturnType<typeof useSketch>;
  support: SupportSize;
  photo: PieceSummary['photo'] | undefined;
  masks: ReadonlyMap<string, string>;
}>();

const keep = () =>
  attempt(async () => {
    await props.sketch.keep();
    say(`"${props.sketch.draft.value.name}" is kept.`);
  });
const SMALL_PX = 72;
</script>

<template>
  <div class="tries stacked" role="group" aria-label="Tries">
    <Input
      :value="sketch.draft.value.name"
      aria-label="Name of the try"
      @update:value="sketch.rename($event)"
    />
    <div class="row flowing">
      <Button :disabled="sketch.isKept.value" @click="keep">
        {{ sketch.isKept.value ? 'Kept' : 'Keep this try' }}
      </Button>
      <Button @click="attempt(sketch.begin)">One more try</Button>
      <Button type="text" @click="attempt(sketch.throwAway)">Throw it away</Button>
    </div>
    <button
      v-for="each in sketch.tries.value"
      :key="each.sketchId"
      type="button"
      class="plain-button try abreast centered gap-12"
      :aria-pressed="each.sketchId === sketch.draft.value.sketchId"
      @click="attempt(() => sketch.take(each))"
    >
      <span class="slim">
        <HungPhoto v-if="photo" :photo="photo" :support="support" :width="SMALL_PX" alt="" />
        <SketchOverlay :support="support" :marks="each.marks" :masks="masks" />
      </span>
      {{ each.name }}{{ each.chosen ? ', chosen' : '' }}
    </button>
  </div>
</template>

<style scoped>
.row > * {
  flex: 1;
}

.try {
  padding: 4px 8px;
}

.try[aria-pressed='true'] {
  font-weight: var(--weight-strong);
  background: var(--ice);
  box-shadow: inset 4px 0 0 var(--water);
}

.slim {
  position: relative;
  width: 72px;
}
</style>
