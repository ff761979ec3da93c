<script setup lang="ts">
import type { CoatKind } from '@icy-ribbon/core/flow/drying';
import { pourRecordOf } from '@icy-ribbon/core/judgement/outcome';
import { CAUTIONS } from '@icy-ribbon/core/paint/caution';
import { Button, Checkbox } from 'ant-design-vue';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import ComputedFrom from '#field/ComputedFrom.vue';
import DensityField from '#field/DensityField.vue';
import NumberField from '#field/NumberField.vue';
import QuantityField from '#field/QuantityField.vue';
import { say } from '#notice/notices.ts';
import { attempt } from '#notice/useTask.ts';
import { useCoatKit } from '#store/coatKit.ts';
import { usePiece } from '#store/piece/piece.ts';
import { useRack } from '#store/rack.ts';
import { useUnits } from '#store/units.ts';
import { COAT_LABELS } from '#words/care.ts';
import { dateWords, timeWords } from '#words/general.ts';
import { coatAnswer, coatedMm2 } from './coatAmounts.ts';
import { coatWarnings } from './coatWarnings.ts';
import type { useOnRack } from './useOnRack.ts';

/** The top coat of a piece, alone or with others: what speaks against it, how much it takes, and what was laid. */
const props = defineProps<{ on: ReturnType<typeof useOnRack> }>();

const store = usePiece();
const rack = useRack();
const units = useUnits();
const kit = useCoatKit();
const router = useRouter();

const kind = ref<CoatKind>('resin');
const KINDS = ['resin', 'varnish', 'film'] as const;

const warnings = computed(() =>
  store.piece
    ? coatWarnings(pourRecordOf(store.piece), {
        nowMs: props.on.nowMs.value,
        roomC: store.care.room?.temperatureC ?? store.room?.data.temperatureC ?? null,
        coatableMs: props.on.dates.value?.coatable.fromMs ?? null,
      })
    : [],
);

/** Others that may be coated from the same pot. */
const others = computed(() =>
  rack.drying.filter(
    ({ piece, life }) =>
      piece.id !== store.piece?.id &&
      life.stage === 'coatable' &&
      piece.care.coats.length === 0 &&
      (piece.care.decision === null || piece.care.decision === 'finish'),
  ),
);
const together = ref<string[]>([]);
const batch = computed(() => others.value.filter(({ piece }) => together.value.includes(piece.id)));
/** A set of coasters or tiles has one record: so many are coated alike. */
const alike = ref<number | null>(1);
const pieces = computed(() =>
  store.piece
    ? [store.piece, ...batch.value.map(({ piece }) => piece)].map(({ id, name, support }, index) => ({
        ...{ id, name, support },
        count: index === 0 ? Math.max(1, Math.round(alike.value ?? 1)) : 1,
      }))
    : [],
);

const answer = computed(() =>
  kind.value === 'film'
    ? null
    : coatAnswer(
        kind.value,
        kit,
        pieces.value.flatMap(({ support, count }) => Array.from({ length: count }, () => support)),
      ),
);
const lacks = computed(() =>
  (answer.value?.parts ?? []).flatMap(({ name, mg, leftMg }) => {
    const wanted = mg * (answer.value?.times ?? 1);
    return leftMg !== null && leftMg < wanted
      ? [`${name}: ${units.show('mass', wanted - leftMg)} short for all of it.`]
      : [];
  }),
);

function atTheScale(): void {
  const found = answer.value;
  if (!found || found.wrong || kind.value === 'film' || !store.piece) return;
  const already = store.care.coats.filter(({ data }) => data.kind === kind.value).length;
  kit.pot = {
    id: crypto.randomUUID(),
    kind: kind.value,
    pieces: pieces.value.map(({ id, name, support, count }) => ({
      ...{ id, name, lineId: crypto.randomUUID() },
      areaMm2: count * coatedMm2(support, true),
    })),
    parts: found.parts.map(({ name, mg }, bottle) => ({ name, mg, bottle })),
    weighed: found.parts.map(() => 0),
    step: 'weigh',
    sinceMs: Date.now(),
    stirredAtMs: null,
    note: found.times > 1 ? `${already + 1} of ${found.times}` : '',
  };
  void router.push(`/rack/${store.piece.id}/coat`);
}

/** Lays it without the scale: a film, or what was weighed elsewhere. */
const noteCoat = () =>
  attempt(async () => {
    const id = await store.noteCare('coat', { kind: kind.value, mg: null, potId: null, note: '' });
    say(`${COAT_LABELS[kind.value]} is on it.`, () => attempt(() => store.takeBackCare(id)));
  });
const takeBack = (id: string) => attempt(() => store.takeBackCare(id));
const caution = computed(() =>
  kind.value === 'resin' ? `${CAUTIONS.resin} ${CAUTIONS.suit} ${CAUTIONS.torch}` : CAUTIONS.varnish,
);
</script>

<template>
  <div v-if="store.piece" class="finish stacked gap-12">
    <p v-for="warning in warnings" :key="warning" class="look" role="alert">{{ warning }}</p>
    <fieldset class="choice" aria-label="Top coat">
      <label v-for="each in KINDS" :key="each" :class="{ on: kind === each }">
        <input v-model="kind" type="radio" name="coat" :value="each" />{{ COAT_LABELS[each] }}
      </label>
    </fieldset>
    <form v-if="kind === 'resin'" class="resin" @submit.prevent="atTheScale">
      <div class="fields">
        <QuantityField v-model="kit.resin.thicknessMm" label="Thickness of the coat" quantity="depth" />
        <NumberField v-model="kit.resin.dripPercent" label="Drips off" unit="%" :digits="0" />
        <QuantityField v-model="kit.resin.leftAMg" label="A still holds" quantity="mass" />
        <QuantityField v-model="kit.resin.leftBMg" label="B still holds" quantity="mass" />
      </div>
      <details>
        <summary>
          The kit
          <span class="soft">
            {{ kit.resin.a ?? '?' }} to {{ kit.resin.b ?? '?' }} by
            {{ kit.resin.by === 'mass' ? 'weight' : 'volume' }}, at most
            {{ units.show('depth', kit.resin.maxPourMm ?? 0) }} a pour, open
            {{ kit.resin.openMinutes ?? '?' }}&nbsp;min
          </span>
        </summary>
        <div class="fields">
          <NumberField v-model="kit.resin.a" label="Part A of the ratio" unit="" />
          <NumberField v-model="kit.resin.b" label="Part B of the ratio" unit="" />
          <fieldset class="choice by" aria-label="The ratio is">
            <label v-for="by in ['volume', 'mass'] as const" :key="by" :class="{ on: kit.resin.by === by }">
              <input v-model="kit.resin.by" type="radio" name="resin-by" :value="by" />by
              {{ by === 'mass' ? 'weight' : by }}
            </label>
          </fieldset>
          <DensityField v-model="kit.resin.densityA" label="Density of A" />
          <DensityField v-model="kit.resin.densityB" label="Density of B" />
          <QuantityField v-model="kit.resin.maxPourMm" label="Deepest pour of the kit" quantity="depth" />
          <NumberField v-model="kit.resin.openMinutes" label="Open time" unit="min" :digits="0" />
        </div>
      </details>
    </form>
    <form v-else-if="kind === 'varnish'" class="fields" @submit.prevent="atTheScale">
      <NumberField v-model="kit.varnish.coats" label="Coats" unit="" :digits="0" />
      <QuantityField v-model="kit.varnish.wetMm" label="Thickness while wet" quantity="depth" />
      <DensityField v-model="kit.varnish.densityGPerMl" label="Density" />
      <QuantityField v-model="kit.varnish.leftMg" label="Bottle still holds" quantity="mass" />
    </form>
    <div v-if="kind !== 'film'" class="fields">
      <NumberField v-model="alike" label="Alike, as a set" unit="×" :digits="0" />
    </div>
    <fieldset v-if="others.length > 0 && kind !== 'film'" class="with">
      <legend>Coated with it</legend>
      <Checkbox
        v-for="{ piece } in others"
        :key="piece.id"
        :checked="together.includes(piece.id)"
        @update:checked="
          together = $event ? [...together, piece.id] : together.filter((id) => id !== piece.id)
        "
        >{{ piece.name }}</Checkbox
      >
    </fieldset>
    <template v-if="answer">
      <p v-if="answer.wrong" class="alarm" role="alert">{{ answer.wrong }}</p>
      <table v-else class="rows">
        <tbody>
          <tr v-for="part in answer.parts" :key="part.name">
            <th scope="row">{{ part.name }}</th>
            <td class="number big">{{ units.show('volume', part.ml) }}</td>
            <td class="number big">{{ units.show('mass', part.mg) }}</td>
          </tr>
        </tbody>
      </table>
      <p v-if="!answer.wrong">
        <template v-if="answer.times > 1"
          >{{ answer.times }} {{ kind === 'resin' ? 'pours' : 'coats' }} of it, each
          {{ kind === 'resin' ? 'set' : 'dry' }} before the next: wait
          {{ kind === 'resin' ? '24' : '4' }}&nbsp;h between them. </template
        ><template v-if="pieces.length > 1">For {{ pieces.length }} pieces together. </template>
        <ComputedFrom v-if="kind === 'resin'" calculation="resin" />
      </p>
      <p v-for="lack in lacks" :key="lack" class="look">{{ lack }}</p>
    </template>
    <p v-else>Lay the film dust-free, from the middle outward; press the bubbles out to the edge.</p>
    <div class="actions abreast">
      <Button v-if="kind !== 'film'" type="primary" :disabled="Boolean(answer?.wrong)" @click="atTheScale">
        At the scale
      </Button>
      <Button @click="noteCoat">It is on already</Button>
    </div>
    <p class="soft">{{ caution }} {{ CAUTIONS.food }} {{ CAUTIONS.drain }} {{ CAUTIONS.deferral }}</p>
    <ol v-if="store.care.coats.length > 0" class="log" aria-label="Coats so far">
      <li v-for="coat in store.care.coats" :key="coat.id">
        <strong>{{ COAT_LABELS[coat.data.kind] }}</strong>
        <span>
          {{ dateWords(coat.at) }}, {{ timeWords(coat.at)
          }}{{ coat.data.mg === null ? '' : `, ${units.show('mass', coat.data.mg)}`
          }}{{ coat.data.note && `, ${coat.data.note}` }}
        </span>
        <Button type="link" size="small" @click="takeBack(coat.id)">Take back</Button>
      </li>
    </ol>
  </div>
</template>

<style scoped>
.resin {
  display: grid;
  gap: 8px;
}

summary {
  min-height: 32px;
  cursor: pointer;
}

.fields {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 8px 12px;
  align-items: end;
}

.by {
  grid-column: span 2;
}

.with {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
}

.big {
  font-size: var(--type-title);
  font-weight: var(--weight-strong);
}

.log {
  margin: 0;
  padding: 0;
  list-style: none;
}

.log li {
  display: flex;
  gap: 12px;
  align-items: baseline;
  border-top: 1px solid var(--rule);
}

.log span {
  flex: 1;
}
</style>
