<script setup lang="ts">
import { baseAreas } from '@icy-ribbon/core/piece/amount';
import { InputError } from '@icy-ribbon/core/base/error';
import {
  pillowPlace,
  USUAL_FILM,
  withBasePaint,
  withPillow,
  type BaseFilm,
  type BasePattern,
  type PillowPlace,
  type PlanBase,
} from '@icy-ribbon/core/piece/plan';
import { Button, RadioButton, RadioGroup } from 'ant-design-vue';
import { computed } from 'vue';
import BareSelect from '#field/BareSelect.vue';
import ComputedFrom from '#field/ComputedFrom.vue';
import NumberField from '#field/NumberField.vue';
import QuantityField from '#field/QuantityField.vue';
import { usePiece } from '#store/piece/piece.ts';
import { newId, usePlan } from '#store/plan/plan.ts';
import { useMeasures } from '#words/useMeasures.ts';
import { baseIn, USUAL_THICKNESS, withThird } from './basePattern.ts';

/** The base under everything: how it lies, of which paints, and what stays of it. */
const plan = usePlan();
const measures = useMeasures();
const store = usePiece();

const support = computed(() => store.piece!.support);
const base = computed(() => plan.body.base);
const options = computed(() =>
  plan.paints.map(({ id, name, role }) => ({ value: id, label: `${name}, ${role}` })),
);

const films = computed(() => {
  if (!base.value) return [];
  try {
    return baseAreas(support.value, base.value, plan.paints);
  } catch (error) {
    if (error instanceof InputError) return [];
    throw error;
  }
});

const setBase = (next: PlanBase | null) => plan.edit((now) => ({ ...now, base: next }));

const hasPillow = computed(() => plan.paints.some(({ role }) => role === 'pillow'));
const pillow = computed(() => pillowPlace(plan.body, plan.paints));
const setPillow = (place: PillowPlace) =>
  plan.edit((now) => ({ ...now, ...withPillow(now, place, plan.paints, newId) }));

const NONE = 'none';
function setPattern(pattern: BasePattern | typeof NONE): void {
  if (pattern === NONE) setBase(null);
  else setBase(baseIn(pattern, base.value, plan.paints, support.value) ?? base.value);
}

const setPaint = (index: number, cupId: string) => plan.edit((now) => withBasePaint(now, index, cupId));

function setShare(index: number, share: number): void {
  if (!base.value) return;
  const areas = base.value.areas.map((area, at) => (at === index ? { ...area, share } : area));
  setBase({ ...base.value, areas });
}

const setFilm = (film: BaseFilm) => base.value && setBase({ ...base.value, film });
</script>

<template>
  <div class="base stacked">
    <h3>Base <ComputedFrom calculation="film-left" /></h3>
    <RadioGroup
      :value="base?.pattern ?? NONE"
      name="base-pattern"
      size="small"
      aria-label="How the base lies"
      @update:value="setPattern($event)"
    >
      <RadioButton :value="NONE">None</RadioButton>
      <RadioButton value="one">One</RadioButton>
      <RadioButton value="split">Split</RadioButton>
      <RadioButton value="marbled">Marbled</RadioButton>
    </RadioGroup>
    <div v-if="hasPillow" class="pillow">
      <span class="label">Pillow&ensp;</span>
      <RadioGroup
        :value="pillow"
        name="pillow-place"
        size="small"
        aria-label="Where the pillow lies"
        @update:value="setPillow($event)"
      >
        <RadioButton value="flower">Under it</RadioButton>
        <RadioButton value="face">Whole face</RadioButton>
        <RadioButton value="none">None</RadioButton>
      </RadioGroup>
    </div>
    <template v-if="base">
      <div v-for="(area, index) in base.areas" :key="index" class="area stacked">
        <BareSelect
          :label="`Base paint ${index + 1}`"
          :value="area.cupId"
          :options="options"
          @update:value="setPaint(index, String($event))"
        />
        <NumberField
          v-if="base.pattern === 'marbled'"
          bare
          :label="`Share of base ${index + 1}`"
          unit="%"
          :digits="0"
          :model-value="area.share * 100"
          @commit="$event !== null && setShare(index, Math.min(1, Math.max(0, $event / 100)))"
        />
        <span v-else class="soft small">{{ Math.round((films[index]?.share ?? 0) * 100) }} %</span>
        <span class="numeral small">{{ films[index] ? measures.depth(films[index].filmMm, 2) : '' }}</span>
      </div>
      <Button
        v-if="base.pattern === 'marbled'"
        size="small"
        @click="setBase(withThird(base, base.areas.length < 3))"
      >
        {{ base.areas.length < 3 ? 'A third base' : 'Two bases' }}
      </Button>
      <p v-if="base.areas.length > 1 && base.areas[0]?.cupId === base.areas[1]?.cupId" class="look small">
        Both are the same base: choose another, or plan one not mixed yet.
      </p>
      <p v-if="base.pattern === 'split'" class="soft small">
        Pull the ends and the middle of the seam to bend it.
      </p>
      <RadioGroup
        :value="base.film.kind"
        name="base-film"
        size="small"
        aria-label="What stays of it"
        @update:value="setFilm($event === 'thickness' ? USUAL_THICKNESS : USUAL_FILM)"
      >
        <RadioButton value="run-off">Run off</RadioButton>
        <RadioButton value="thickness">A thickness</RadioButton>
      </RadioGroup>
      <div v-if="base.film.kind === 'run-off'" class="grid stacked">
        <NumberField
          label="Tilted by"
          unit="°"
          :model-value="base.film.tiltDeg"
          @commit="
            $event &&
            base?.film.kind === 'run-off' &&
            setFilm({ ...base.film, tiltDeg: Math.min(90, Math.abs($event)) })
          "
        />
        <NumberField
          label="For"
          unit="s"
          :model-value="base.film.seconds"
          @commit="
            $event &&
            base?.film.kind === 'run-off' &&
            setFilm({ ...base.film, seconds: Math.min(3600, Math.abs($event)) })
          "
        />
      </div>
      <QuantityField
        v-else
        quantity="depth"
        label="Film"
        :model-value="base.film.mm"
        @commit="$event && setFilm({ kind: 'thickness', mm: Math.min(20, Math.abs($event)) })"
      />
    </template>
  </div>
</template>

<style scoped>
.base {
  align-content: start;
}

.area {
  grid-template-columns: minmax(0, 1fr) 74px 62px;
  align-items: center;
}

.grid {
  grid-template-columns: repeat(2, minmax(0, 1fr));
}
</style>
