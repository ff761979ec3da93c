<script setup lang="ts">
import type { PassEvent } from '@icy-ribbon/contract';
import { bearingName } from '@icy-ribbon/core/flow/air';
import { CAUTIONS } from '@icy-ribbon/core/paint/caution';
import { airCaution } from '#words/air.ts';
import { Button } from 'ant-design-vue';
import { ref } from 'vue';
import { messageAt } from '#api/problem.ts';
import { sayProblem } from '#notice/notices.ts';
import { useShortcuts } from '#shortcut/shortcuts.ts';
import { usePiece } from '#store/piece/piece.ts';
import { usePourWrites } from '#store/piece/pourWrites.ts';
import DirectionDial from './DirectionDial.vue';
import HoldButton from './HoldButton.vue';
import PassSentence from './PassSentence.vue';
import type { PassDraft } from './passDraft.ts';

/** A pass that is logged, as a step of the run sheet or freely; or one that is being corrected. */
const props = defineProps<{ stepId?: string | undefined; changing?: PassEvent | undefined }>();
const emit = defineEmits<{ logged: [] }>();
const draft = defineModel<PassDraft>({ required: true });

const FIELDS = ['setting', 'distanceMm', 'slantDeg', 'directionDeg', 'seconds'];
const store = usePiece();
const writes = usePourWrites();
const problem = ref<unknown>(null);

const change = (changes: Partial<PassDraft>) => {
  draft.value = { ...draft.value, ...changes };
};

function log(): void {
  problem.value = null;
  try {
    if (props.changing) {
      writes.correct(props.changing, { ...props.changing.data, ...draft.value });
    } else {
      const step = props.stepId === undefined ? {} : { stepId: props.stepId };
      writes.logPass({ ...draft.value, ...step } as never);
    }
    emit('logged');
    change({ from: null });
  } catch (error) {
    problem.value = error;
    if (!FIELDS.some((field) => messageAt(error, `data.${field}`))) sayProblem(error);
  }
}

useShortcuts('Blow', [
  { keys: [' ', 'Enter', 'PageDown'], shown: 'Space, Enter', does: 'Log the pass', run: log },
]);
</script>

<template>
  <form class="blow stacked" @submit.prevent="log">
    <template v-if="!changing">
      <p class="soft">Pass {{ store.passes.length + 1 }}</p>
      <p class="step-title">Blow {{ draft.directionDeg === null ? '' : bearingName(draft.directionDeg) }}</p>
    </template>
    <div class="main">
      <div class="hand stacked">
        <DirectionDial
          class="dial"
          :model-value="draft.directionDeg ?? 0"
          @update:model-value="change({ directionDeg: $event })"
        />
        <HoldButton class="hold" running="Blowing …" @measured="change({ seconds: $event })" />
      </div>
      <PassSentence v-model="draft" :problem="problem" />
    </div>
    <div class="row abreast centered gap-16">
      <Button type="primary" size="large" html-type="submit">
        {{ changing ? 'Keep the change' : 'Log the pass' }}
      </Button>
      <slot></slot>
      <p v-if="!changing" class="soft caution">{{ airCaution(draft.tool) }} {{ CAUTIONS.deferral }}</p>
    </div>
  </form>
</template>

<style scoped>
.blow {
  margin-top: 12px;
}

.main {
  display: grid;
  grid-template-columns: 180px minmax(0, 1fr);
  gap: 8px 24px;
  align-items: start;
}

.dial {
  width: 180px;
}

.hold {
  width: 180px;
  height: var(--touch-step);
  touch-action: none;
}

.row .ant-btn {
  flex: none;
  min-width: 180px;
  height: var(--touch-step);
}

.caution {
  font-size: var(--type-note);
  line-height: 1.3;
}

@media (width < 1000px) {
  .main {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
