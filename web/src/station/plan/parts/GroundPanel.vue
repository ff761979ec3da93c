<script setup lang="ts">
import { baseAreas } from '@icy-ribbon/core/piece/amount';
import { InputError } from '@icy-ribbon/core/base/error';
import type { BaseFilm, BasePattern, PlanBase, PlanSettings } from '@icy-ribbon/core/piece/plan';
import { Button, RadioButton, RadioGroup } from 'ant-design-vue';
import { computed } from 'vue';
import BareSelect from '../../../field/BareSelect.vue';
import ComputedFrom from '../../../field/ComputedFrom.vue';
import { toG, toMg } from '@icy-ribbon/core/base/unit';
import NumberField from '../../../field/NumberField.vue';
import QuantityField from '../../../field/QuantityField.vue';
import { usePiece } from '../../../store/piece/piece.ts';
import { usePlan } from '../../../store/plan/plan.ts';
import { useMeasures } from '../../../words/useMeasures.ts';

/** The base under everything, and what the amounts reckon with. */
defineEmits<{ another: [] }>();
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

const NONE = 'none';
function setPattern(pattern: BasePattern | typeof NONE): void {
  if (pattern === NONE) {
    setBase(null);
    return;
  }
  const bases = plan.paints.filter((paint) => paint.role === 'base');
  const first = base.value?.areas[0]?.paintId ?? bases[0]?.id ?? plan.paints[0]?.id;
  if (!first) return;
  const second = base.value?.areas[1]?.paintId ?? bases.find(({ id }) => id !== first)?.id ?? first;
  const { widthMm, heightMm } = support.value;
  setBase({
    pattern,
    areas:
      pattern === 'one'
        ? [{ paintId: first, share: 1 }]
        : [
            { paintId: first, share: 0.5 },
            { paintId: second, share: 0.5 },
          ],
    seam:
      pattern === 'split'
        ? (base.value?.seam ?? {
            start: { x: widthMm / 2, y: 0 },
            control: { x: widthMm / 2, y: heightMm / 2 },
            end: { x: widthMm / 2, y: heightMm },
          })
        : null,
    film: base.value?.film ?? { kind: 'run-off', tiltDeg: 30, seconds: 30 },
  });
}

function setArea(index: number, changes: { paintId?: string; share?: number }): void {
  if (!base.value) return;
  const areas = base.value.areas.map((area, at) => (at === index ? { ...area, ...changes } : area));
  setBase({ ...base.value, areas });
}

/** A marbled base may have a third paint. */
function third(on: boolean): void {
  if (!base.value) return;
  const { areas } = base.value;
  const next = on
    ? [...areas, { paintId: areas[0]!.paintId, share: 1 / 3 }].map((area) => ({ ...area, share: 1 / 3 }))
    : areas.slice(0, 2).map((area) => ({ ...area, share: 0.5 }));
  setBase({ ...base.value, areas: next });
}

const setFilm = (film: BaseFilm) => base.value && setBase({ ...base.value, film });
const setSettings = (changes: Partial<PlanSettings>) =>
  plan.edit((now) => ({ ...now, settings: { ...now.settings, ...changes } }));

/** A cup that was only planned is planned no more, and lies nowhere. */
function forget(id: string): void {
  const without = <Item extends { layers: readonly { paintId: string }[] }>(items: readonly Item[]): Item[] =>
    items.map((item) => ({ ...item, layers: item.layers.filter((layer) => layer.paintId !== id) }));
  const { body } = plan;
  plan.change({
    ...body,
    base: body.base?.areas.some((area) => area.paintId === id) ? null : body.base,
    stacks: without(body.stacks),
    paths: without(body.paths),
    planned: body.planned.filter((cup) => cup.id !== id),
  });
}

const FIELDS = [
  ['marginMm', 'Film that stays under the dent', 'mm', 1, 0, 20],
  ['sheetMm', 'Activator, blown out', 'mm', 1, 0.05, 5],
  ['dripShare', 'Runs off the edges', '%', 100, 0, 100],
  ['reserveShare', 'Kept back for repairs', '%', 100, 0, 100],
  ['cupLossG', 'Stays in each cup', 'g', 1, 0, 200],
  ['copies', 'Pieces or tiles alike', '×', 1, 1, 200],
  ['standSeconds', 'Stands before the air', 's', 1, 1, 36000],
  ['waitSeconds', 'Waits for the cells', 's', 1, 0, 36000],
  ['spinRpm', 'Spun, turns a minute', '×', 1, 0, 600],
  ['spinSeconds', 'Spun for', 's', 1, 0, 3600],
] as const;

function setField(
  key: keyof PlanSettings,
  factor: number,
  low: number,
  high: number,
  shown: number | null,
): void {
  if (shown === null) return;
  const kept = Math.min(high, Math.max(low, shown)) / factor;
  setSettings({ [key]: key === 'copies' ? Math.round(kept) : kept });
}
</script>

<template>
  <section aria-label="Base and amounts">
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
    <template v-if="base">
      <div v-for="(area, index) in base.areas" :key="index" class="area">
        <BareSelect
          :label="`Base paint ${index + 1}`"
          :value="area.paintId"
          :options="options"
          @update:value="setArea(index, { paintId: String($event) })"
        />
        <NumberField
          v-if="base.pattern === 'marbled'"
          bare
          :label="`Share of base ${index + 1}`"
          unit="%"
          :digits="0"
          :model-value="area.share * 100"
          @commit="$event !== null && setArea(index, { share: Math.min(1, Math.max(0, $event / 100)) })"
        />
        <span v-else class="soft small">{{ Math.round((films[index]?.share ?? 0) * 100) }} %</span>
        <span class="numeral small">{{ films[index] ? measures.depth(films[index].filmMm, 2) : '' }}</span>
      </div>
      <Button v-if="base.pattern === 'marbled'" size="small" @click="third(base.areas.length < 3)">
        {{ base.areas.length < 3 ? 'A third base' : 'Two bases' }}
      </Button>
      <p v-if="base.areas.length > 1 && base.areas[0]?.paintId === base.areas[1]?.paintId" class="look small">
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
        @update:value="
          setFilm(
            $event === 'thickness'
              ? { kind: 'thickness', mm: 1 }
              : { kind: 'run-off', tiltDeg: 30, seconds: 30 },
          )
        "
      >
        <RadioButton value="run-off">Run off</RadioButton>
        <RadioButton value="thickness">A thickness</RadioButton>
      </RadioGroup>
      <div v-if="base.film.kind === 'run-off'" class="grid">
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
    <button class="plain-button link" @click="$emit('another')">Plan a paint not mixed yet</button>
    <p v-for="cup in plan.planned" :key="cup.id" class="small">
      {{ cup.name }}, not mixed yet
      <button class="plain-button link" :aria-label="`Plan without ${cup.name}`" @click="forget(cup.id)">
        Plan without it
      </button>
    </p>
    <h3>Reckoned with</h3>
    <div class="grid">
      <template v-for="[key, label, unit, factor, low, high] in FIELDS" :key="key">
        <QuantityField
          v-if="unit === 'mm'"
          quantity="depth"
          :label="label"
          :model-value="plan.body.settings[key]"
          @commit="setField(key, factor, low, high, $event)"
        />
        <QuantityField
          v-else-if="unit === 'g'"
          :label="label"
          quantity="mass"
          :model-value="toMg(plan.body.settings[key])"
          @commit="setField(key, factor, low, high, $event === null ? null : toG($event))"
        />
        <NumberField
          v-else
          :label="label"
          :unit="unit"
          :model-value="plan.body.settings[key] * factor"
          @commit="setField(key, factor, low, high, $event)"
        />
      </template>
    </div>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 8px;
  align-content: start;
}

.area {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 74px 62px;
  gap: 8px;
  align-items: center;
}

.link {
  justify-self: start;
  padding: 6px 0;
  color: var(--water);
  text-decoration: underline;
}

.small {
  font-size: 13px;
}

.grid {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 8px;
}
</style>
