<script setup lang="ts">
import type { PassEvent, PourEvent } from '@icy-ribbon/contract';
import { Button } from 'ant-design-vue';
import { computed } from 'vue';
import { usePiece } from '#store/piece/piece.ts';
import { useUnits } from '#store/units.ts';
import { timeWords } from '#words/general.ts';
import BlowStep from './BlowStep.vue';
import EventForm from './EventForm.vue';
import { eventWords, formOf } from '#words/event.ts';
import type { PassDraft } from './passDraft.ts';

/** What was logged, set right: changed in its place, or taken back. Both are events of their own. */
const props = defineProps<{ event: PourEvent }>();
/** The pass as it is being changed, drawn on the support meanwhile. */
const pass = defineModel<PassDraft>('pass', { required: true });
const emit = defineEmits<{ done: []; takeBack: [eventId: string] }>();

const store = usePiece();
const units = useUnits();
const form = computed(() => formOf(props.event.kind));
const words = computed(() =>
  eventWords(
    props.event,
    (cupId) => store.cups.find((cup) => cup.mix.id === cupId)?.mix.name ?? 'a cup',
    units,
  ),
);
</script>

<template>
  <section class="change" aria-label="Change what was logged">
    <p class="step-title">
      {{ words.title }} <span class="soft">logged at {{ timeWords(event.at) }}</span>
    </p>
    <BlowStep
      v-if="event.kind === 'pass'"
      v-model="pass"
      :changing="event as PassEvent"
      @logged="emit('done')"
    >
      <Button size="large" @click="emit('done')">Leave it as it was</Button>
      <Button danger size="large" @click="emit('takeBack', event.id)">Take it back</Button>
    </BlowStep>
    <EventForm v-else-if="form" :kind="form" :changing="event" @done="emit('done')">
      <Button danger size="large" @click="emit('takeBack', event.id)">Take it back</Button>
    </EventForm>
    <div v-else class="row abreast gap-12">
      <Button danger size="large" @click="emit('takeBack', event.id)">Take it back</Button>
      <Button size="large" @click="emit('done')">Leave it as it was</Button>
    </div>
  </section>
</template>

<style scoped>
.change {
  margin-top: 12px;
}

.row {
  margin-top: 12px;
}
</style>
