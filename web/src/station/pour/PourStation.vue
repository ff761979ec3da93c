<script setup lang="ts">
import { Button, RadioButton, RadioGroup } from 'ant-design-vue';
import type { Place } from '@icy-ribbon/core/piece/plan';
import { defineAsyncComponent, ref } from 'vue';
import SupportDrawing from '#drawing/SupportDrawing.vue';
import { useAwake } from '#notice/awake.ts';
import { useShortcuts } from '#shortcut/shortcuts.ts';
import { usePiece } from '#store/piece/piece.ts';
import BlowStep from './parts/BlowStep.vue';
import ChangeEvent from './parts/ChangeEvent.vue';
import LayStep from './parts/LayStep.vue';
import PourOver from './parts/PourOver.vue';
import PieceSwitch from './parts/PieceSwitch.vue';
import PourTimeline from './parts/PourTimeline.vue';
import PrepareList from './parts/PrepareList.vue';
import RepairStart from './parts/RepairStart.vue';
import RoomNote from './parts/RoomNote.vue';
import SoFar from './parts/SoFar.vue';
import EventForm from './parts/EventForm.vue';
import EventStrip from './parts/EventStrip.vue';
import StepPanel from './parts/StepPanel.vue';
import WaitForm from './parts/WaitForm.vue';
import { useDrawn } from './parts/useDrawn.ts';
import { useLaid } from './parts/useLaid.ts';
import { usePourMode } from './parts/usePourMode.ts';
import { useRunSheet } from './parts/useRunSheet.ts';

defineProps<{ pieceId: string }>();
/** Read when it is first opened. */
const CameraDrawer = defineAsyncComponent(() => import('./parts/CameraDrawer.vue'));
const isCamera = ref(false);

/** A pass is drawn this long until its seconds are known. */
const SHOWN_SECONDS = 3;
const store = usePiece();
const { steps, open, next, hasSheet, repair } = useRunSheet();
const { laid } = useLaid();
const { mode, repairAt, draft, instead, changing, changedPass, free, drawnPass, ...does } = usePourMode();
const { pick, goOn, change, breakOff, otherwise, takeBack, takeBackLast } = does;
const { stroke, drawnFor, repairMark, layShape, planned, nextShape, marks, nextMark, ...hand } = useDrawn(
  mode,
  next,
  instead,
);

function stroked(start: Place, end: Place): void {
  if (!drawnPass.value) hand.stroked(start, end);
}

function swiped(from: Place, directionDeg: number): void {
  if (!drawnPass.value) return;
  const target = mode.value === 'change' ? changedPass : draft;
  target.value = { ...target.value, from, directionDeg };
}

useAwake();

useShortcuts('Pour', [
  { keys: ['l'], shown: 'L', does: 'Lay down a cup', run: () => (mode.value = 'lay') },
  { keys: ['g'], shown: 'G', does: 'Go on with the run sheet', run: goOn },
  { keys: ['b'], shown: 'B', does: 'Blow', run: () => (mode.value = 'blow') },
  {
    keys: ['Backspace'],
    shown: 'Backspace',
    does: 'Take the last event back',
    run: takeBackLast,
  },
]);
</script>

<template>
  <main v-if="store.piece" class="pour">
    <h1 class="visually-hidden">Pour</h1>
    <div class="support">
      <SupportDrawing
        :support="store.piece.support"
        :laid="laid"
        :next="nextShape"
        :marks="marks"
        :mark="nextMark"
        :passes="store.passes.filter((pass) => pass.id !== changing?.id).map((pass) => pass.data)"
        :draft="
          drawnPass && drawnPass.directionDeg !== null
            ? {
                ...drawnPass,
                directionDeg: drawnPass.directionDeg,
                seconds: drawnPass.seconds ?? SHOWN_SECONDS,
              }
            : null
        "
        :drawable="mode !== 'wait'"
        @swipe="swiped"
        @stroke="stroked"
      />
    </div>
    <section class="next">
      <PieceSwitch :piece-id="pieceId" />
      <div class="bar flowing centered">
        <RadioGroup v-model:value="mode" class="views" name="pour-mode" aria-label="What comes next">
          <RadioButton v-if="hasSheet" value="sheet" :disabled="!next">Next step</RadioButton>
          <RadioButton value="lay">Lay down</RadioButton>
          <RadioButton value="blow">Blow</RadioButton>
        </RadioGroup>
        <span class="beside flowing"><Button @click="isCamera = true">Camera</Button><RoomNote /></span>
      </div>
      <p v-if="mode === 'sheet' && repair" class="soft repairing">
        The repair of a place.
        <button type="button" class="plain-button link" @click="breakOff">Break it off</button>
      </p>
      <StepPanel
        v-if="mode === 'sheet' && next"
        v-model:stroke="stroke"
        v-model:drawn="drawnFor"
        :step="next"
        :after="open[1]"
        :number="steps.indexOf(next) + 1"
        :total="steps.length"
        @change="otherwise"
      />
      <PourOver
        v-else-if="mode === 'sheet' || mode === 'over'"
        :piece-id="pieceId"
        :has-sheet="hasSheet && !next"
      />
      <LayStep
        v-else-if="mode === 'lay'"
        v-model:stroke="stroke"
        v-model:shape="layShape"
        :step-id="instead?.id"
        :planned="planned"
        @laid="instead && goOn()"
        @blow="mode = 'blow'"
      />
      <BlowStep
        v-else-if="mode === 'blow'"
        v-model="draft"
        :step-id="instead?.id"
        @logged="instead && goOn()"
      />
      <ChangeEvent
        v-else-if="changing"
        :key="changing.id"
        v-model:pass="changedPass"
        :event="changing"
        @done="goOn"
        @take-back="takeBack"
      />
      <WaitForm v-else-if="mode === 'wait'" @done="goOn" />
      <RepairStart
        v-else-if="mode === 'repair'"
        v-model:stroke="stroke"
        v-model:mark="repairMark"
        :at="repairAt"
        @begun="mode = 'sheet'"
        @none="goOn"
      />
      <EventForm
        v-else-if="mode !== 'change'"
        :key="mode"
        v-model:stroke="stroke"
        v-model:drawn="drawnFor"
        :kind="mode"
        @done="goOn"
      />
      <PrepareList v-if="store.layers.length === 0 && (mode === 'sheet' || mode === 'lay')" />
      <SoFar v-if="store.passes.length > 0 && !repair" />
      <EventStrip class="strip" :active="free" @pick="pick" />
    </section>
    <CameraDrawer v-if="isCamera" v-model:open="isCamera" />
    <PourTimeline class="timeline" :changing-id="changing?.id" @take-back="takeBackLast" @change="change" />
  </main>
</template>

<style scoped>
.pour {
  display: grid;
  height: 100%;
  grid-template-columns: minmax(240px, 40%) minmax(0, 1fr);
  grid-template-rows: minmax(0, 1fr) auto;
}

.support {
  padding: 12px 8px 12px 24px;
  min-height: 0;
  background: var(--ice);
}

.next {
  display: flex;
  flex-direction: column;
  padding: 12px 24px 6px;
  overflow: auto;
}

/* What ends a step is pressed with a wet glove. */
.next :deep(:is(.ant-btn-primary, .ant-btn-lg)) {
  height: var(--touch-step);
}

.bar {
  justify-content: space-between;
}

.strip {
  margin-top: auto;
  padding-top: 8px;
}

.repairing {
  margin-top: 8px;
}

.link {
  padding: 4px 0;
  color: var(--water);
  text-decoration: underline;
}

.timeline {
  grid-column: 1 / -1;
}

@media (width < 600px), (height < 480px) {
  .support {
    padding: 8px;
  }

  .next {
    padding: 4px 16px;
  }

  .next :deep(.step-title) {
    font-size: var(--type-name);
  }
}

/* The support above, the next step below it, its button across under the thumb. */
@media (width < 600px) {
  .pour {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: minmax(132px, 32%) minmax(0, 1fr) auto;
  }

  /* In the corner of the support, where no step is pressed. */
  .pour {
    position: relative;
  }

  .beside {
    position: absolute;
    top: 8px;
    right: 8px;
    flex-direction: column;
    align-items: flex-end;
  }

  .next :deep(.row) {
    position: sticky;
    bottom: 0;
    padding: 8px 0;
    background: var(--bench);
  }

  /* First, so that it stands in sight where the row breaks in two. */
  .next :deep(.ant-btn-primary) {
    flex: 1 1 55%;
    order: -1;
  }
}

/* A phone that is turned: both side by side, what was logged out of the way. */
@media (height < 480px) and (width >= 600px) {
  .timeline {
    display: none;
  }
}
</style>
