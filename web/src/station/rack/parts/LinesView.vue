<script setup lang="ts">
import { InputError } from '@icy-ribbon/core/base/error';
import { CAUTIONS } from '@icy-ribbon/core/paint/caution';
import { FINE_WORKS, type FineWork } from '@icy-ribbon/core/piece/care';
import { lineRounds, resinLine, type StraightLine } from '@icy-ribbon/core/piece/finish';
import { useStorage } from '@vueuse/core';
import { Button } from 'ant-design-vue';
import { computed, ref } from 'vue';
import QuantityField from '#field/QuantityField.vue';
import { say } from '#notice/notices.ts';
import { attempt } from '#notice/useTask.ts';
import { usePiece } from '#store/piece/piece.ts';
import { useUnits } from '#store/units.ts';
import { clockWords, leftOf, useWaits } from '#store/waits.ts';
import { useMeasures } from '#words/useMeasures.ts';
import { FINE_WORK, type GuidedStep } from '#words/fineWork.ts';
import { dateWords, timeWords } from '#words/general.ts';

/** Lines, inlays and crystals on a dry piece: how much, where measured, in which order, step by step with the waits. */
const store = usePiece();
const units = useUnits();
const waits = useWaits();
const measures = useMeasures();

const what = ref<FineWork>('resin-line');
const steps = computed(() => FINE_WORK[what.value].steps);
const doneAt = (step: string) =>
  store.care.works.findLast(({ data }) => data.what === what.value && data.step === step)?.at;

const done = ({ step, waitMinutes }: GuidedStep) =>
  attempt(async () => {
    const id = await store.noteCare('work', { what: what.value, step, note: '' });
    if (waitMinutes && store.piece) {
      const wait = { pieceName: store.piece.name, seconds: 60 * waitMinutes, stepId: null };
      waits.start(store.piece.id, { ...wait, forWhat: FINE_WORK[what.value].label.toLowerCase() });
    }
    say('Noted.', () => attempt(() => store.takeBackCare(id)));
  });
const running = computed(() => {
  const wait = store.piece && waits.of(store.piece.id);
  return wait ? clockWords(leftOf(wait, waits.now)) : null;
});

const wanted = ref<{ widthMm: number | null; lengthMm: number | null }>({ widthMm: 4, lengthMm: 600 });
const resin = computed(() => {
  try {
    return resinLine({ wantedMm: wanted.value.widthMm ?? 0, lengthMm: wanted.value.lengthMm ?? 0 });
  } catch (error) {
    if (error instanceof InputError) return error.message;
    throw error;
  }
});

/** A straight line by where it meets two opposite edges. */
interface TypedLine {
  readonly across: boolean;
  readonly startMm: number | null;
  readonly endMm: number | null;
  readonly widthMm: number | null;
}
const lines = useStorage<TypedLine[]>(`icy-ribbon.lines.${store.piece?.id ?? ''}`, [
  { across: true, startMm: 100, endMm: 100, widthMm: 3 },
]);
const drawn = computed(() =>
  lines.value.map(({ across, startMm, endMm, widthMm }): StraightLine => {
    const { widthMm: wide, heightMm: high } = store.piece!.support;
    return across
      ? { from: [0, startMm ?? 0], to: [wide, endMm ?? 0], widthMm: widthMm ?? 0 }
      : { from: [startMm ?? 0, 0], to: [endMm ?? 0, high], widthMm: widthMm ?? 0 };
  }),
);
const rounds = computed(() => {
  try {
    return { list: lineRounds(drawn.value), wrong: '' };
  } catch (error) {
    if (error instanceof InputError) return { list: [], wrong: error.message };
    throw error;
  }
});
const roundOf = (index: number) => rounds.value.list.findIndex((round) => round.includes(index)) + 1;
const change = (index: number, changes: Partial<TypedLine>) =>
  (lines.value = lines.value.map((each, at) => (at === index ? { ...each, ...changes } : each)));
</script>

<template>
  <div v-if="store.piece" class="lines stacked gap-16">
    <fieldset class="choice" aria-label="What is laid">
      <label v-for="each in FINE_WORKS" :key="each" :class="{ on: what === each }">
        <input v-model="what" type="radio" name="fine-work" :value="each" />{{ FINE_WORK[each].label }}
      </label>
    </fieldset>
    <form v-if="what === 'resin-line'" class="fields" @submit.prevent>
      <QuantityField v-model="wanted.widthMm" label="Width it shall have" quantity="depth" />
      <QuantityField v-model="wanted.lengthMm" label="Length of all lines" quantity="length" />
      <p v-if="typeof resin === 'string'" class="alarm" role="alert">{{ resin }}</p>
      <p v-else>
        Draw {{ units.show('depth', resin.drawMm) }} wide, with gaps of
        {{ units.show('depth', resin.gapMm) }} between lines: {{ units.show('volume', resin.ml) }},
        {{ units.show('mass', 1000 * resin.g) }} of resin.
      </p>
    </form>
    <div v-if="what === 'metal-line'" class="layout stacked gap-12">
      <svg
        :viewBox="`0 0 ${store.piece.support.widthMm} ${store.piece.support.heightMm}`"
        role="img"
        aria-label="The lines to scale"
      >
        <rect :width="store.piece.support.widthMm" :height="store.piece.support.heightMm" />
        <g v-for="(line, index) in drawn" :key="index">
          <line
            :x1="line.from[0]"
            :y1="line.from[1]"
            :x2="line.to[0]"
            :y2="line.to[1]"
            :stroke-width="Math.max(1, line.widthMm)"
          />
          <text
            :x="(line.from[0] + line.to[0]) / 2 + 6"
            :y="(line.from[1] + line.to[1]) / 2 - 6"
            :font-size="store.piece.support.heightMm / 18"
          >
            {{ index + 1 }}
          </text>
        </g>
      </svg>
      <div class="typed stacked">
        <div v-for="(line, index) in lines" :key="index" class="line stacked">
          <strong>{{ index + 1 }}</strong>
          <Button @click="change(index, { across: !line.across })">
            {{ line.across ? 'across' : 'down' }}
          </Button>
          <QuantityField
            :model-value="line.startMm"
            :label="line.across ? 'From the top, left end' : 'From the left, upper end'"
            quantity="length"
            @update:model-value="change(index, { startMm: $event })"
          />
          <QuantityField
            :model-value="line.endMm"
            :label="line.across ? 'right end' : 'lower end'"
            quantity="length"
            @update:model-value="change(index, { endMm: $event })"
          />
          <QuantityField
            :model-value="line.widthMm"
            label="Width"
            quantity="depth"
            @update:model-value="change(index, { widthMm: $event })"
          />
          <span class="soft">round {{ roundOf(index) }}</span>
          <Button
            v-if="lines.length > 1"
            type="text"
            :aria-label="`Take line ${index + 1} out`"
            @click="lines = lines.filter((_, at) => at !== index)"
          >
            Take out
          </Button>
        </div>
        <Button @click="lines = [...lines, { across: true, startMm: 200, endMm: 200, widthMm: 3 }]">
          One more line
        </Button>
        <p v-if="rounds.wrong" class="alarm" role="alert">{{ rounds.wrong }}</p>
        <p v-else-if="rounds.list.length > 1">
          In {{ rounds.list.length }} rounds, each when the one before is dry:
          {{ rounds.list.map((round) => round.map((index) => index + 1).join(' and ')).join(', then ') }}.
        </p>
        <p v-else>All in one round: no two of them touch.</p>
      </div>
    </div>
    <ol>
      <li v-for="each in steps" :key="each.step">
        <span>
          {{ each.said?.(measures) ?? each.step
          }}<template v-if="each.waitMinutes"
            >; then wait
            {{ each.waitMinutes >= 60 ? `${each.waitMinutes / 60} h` : `${each.waitMinutes} min` }}</template
          >.
          <span v-if="each.caution" class="soft">{{ each.caution }} {{ CAUTIONS.deferral }}</span>
        </span>
        <span v-if="doneAt(each.step)" class="soft whole">
          {{ dateWords(doneAt(each.step)!) }}, {{ timeWords(doneAt(each.step)!) }}
        </span>
        <Button v-else @click="done(each)">Done</Button>
      </li>
    </ol>
    <p v-if="running" role="timer">
      A wait runs: {{ running }}.
      <Button type="link" size="small" @click="waits.end(store.piece.id)">Stop it</Button>
    </p>
  </div>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: 180px 180px;
  gap: 8px 12px;
}

.fields p {
  grid-column: 1 / -1;
}

svg {
  max-height: 220px;
  justify-self: start;
}

rect {
  fill: var(--ice);
  stroke: var(--edge);
}

line {
  stroke: var(--ink);
}

text {
  fill: var(--ink);
}

.typed {
  justify-items: start;
}

.line {
  grid-template-columns: 16px 80px repeat(3, minmax(0, 1fr)) auto auto;
  align-items: end;
  width: 100%;
}

li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 12px;
  align-items: center;
  min-height: 44px;
  padding: 4px 0;
  border-top: 1px solid var(--rule);
}
</style>
