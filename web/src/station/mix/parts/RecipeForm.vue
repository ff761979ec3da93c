<script setup lang="ts">
import { MATERIAL_KINDS, type MaterialKind } from '@icy-ribbon/core/paint/material';
import { PART_UNITS, type PartUnit } from '@icy-ribbon/core/paint/recipe';
import { STAGES, type CupRole, type StageName, type Technique } from '@icy-ribbon/core/paint/stage';
import { Button, Input, Select, Textarea } from 'ant-design-vue';
import { computed } from 'vue';
import { messageAt } from '#api/problem.ts';
import BareSelect from '#field/BareSelect.vue';
import FieldRow from '#field/FieldRow.vue';
import NumberField from '#field/NumberField.vue';
import { useRecipes, type RecipeInput } from '#store/recipes.ts';
import { ROLE_LABELS, TECHNIQUE_LABELS } from '#words/general.ts';
import { sourceKey, sourceOf } from './recipeDraft.ts';

defineProps<{ problem: unknown }>();
const draft = defineModel<RecipeInput>({ required: true });
const recipes = useRecipes();

const change = (changes: Partial<RecipeInput>) => {
  draft.value = { ...draft.value, ...changes };
};

const sourceOptions = computed(() => [
  { value: 'paint', label: 'the paint' },
  { value: 'white', label: 'white tube paint' },
  ...MATERIAL_KINDS.filter((kind) => kind.group !== 'paint').map(({ kind, label }) => ({
    value: `material ${kind}`,
    label,
  })),
  ...recipes.all
    .filter((recipe) => recipe.cupRoles.length === 0)
    .map((recipe) => ({ value: `recipe ${recipe.id}`, label: `recipe: ${recipe.name}` })),
]);
const unitOptions = PART_UNITS.map((value) => ({ value, label: value }));
const stageOptions = STAGES.map(({ name }) => ({ value: name, label: name }));
const thinnerOptions = MATERIAL_KINDS.filter(
  (kind) => kind.group === 'thinner' || kind.group === 'medium',
).map(({ kind, label }) => ({ value: kind, label }));
const paintKinds = MATERIAL_KINDS.filter((kind) => kind.group === 'paint').map(({ kind, label }) => ({
  value: kind,
  label,
}));
const asPercent = (share: number | null | undefined) => (typeof share === 'number' ? share * 100 : null);

function refuse(kinds: MaterialKind[]): void {
  change({ never: kinds.length > 0 ? { kinds, because: draft.value.never?.because ?? '' } : null });
}

const optionsOf = (labels: Readonly<Record<string, string>>) =>
  Object.entries(labels).map(([value, label]) => ({ value, label }));

function changePart(index: number, changes: Partial<RecipeInput['parts'][number]>): void {
  change({ parts: draft.value.parts.map((part, at) => (at === index ? { ...part, ...changes } : part)) });
}

const addPart = () =>
  change({
    parts: [
      ...draft.value.parts,
      { of: { kind: 'material', material: 'water' }, amount: 1, unit: draft.value.parts[0]?.unit ?? 'part' },
    ],
  });
const dropPart = (index: number) => change({ parts: draft.value.parts.filter((_, at) => at !== index) });
</script>

<template>
  <div class="recipe stacked gap-12">
    <FieldRow label="Name" for="recipe-name" :error="messageAt(problem, 'name')">
      <Input id="recipe-name" :value="draft.name" @update:value="change({ name: $event })" />
    </FieldRow>
    <fieldset>
      <legend>What goes in</legend>
      <div v-for="(part, index) in draft.parts" :key="index" class="part stacked">
        <NumberField
          :model-value="part.amount"
          :label="`Amount ${index + 1}`"
          unit=""
          :digits="4"
          bare
          :error="messageAt(problem, `parts.${index}.amount`)"
          @update:model-value="changePart(index, { amount: $event ?? Number.NaN })"
        />
        <BareSelect
          :value="part.unit"
          :options="unitOptions"
          :label="`Unit ${index + 1}`"
          @update:value="changePart(index, { unit: $event as PartUnit })"
        />
        <BareSelect
          :value="sourceKey(part.of)"
          :options="sourceOptions"
          show-search
          option-filter-prop="label"
          :label="`Ingredient ${index + 1}`"
          @update:value="changePart(index, { of: sourceOf(String($event)) })"
        />
        <Button type="text" :aria-label="`Drop ingredient ${index + 1}`" @click="dropPart(index)"
          >Drop</Button
        >
        <p
          v-if="messageAt(problem, `parts.${index}.unit`) || messageAt(problem, `parts.${index}.of`)"
          class="alarm"
        >
          {{ messageAt(problem, `parts.${index}.unit`) ?? messageAt(problem, `parts.${index}.of`) }}
        </p>
      </div>
      <p v-if="messageAt(problem, 'parts')" class="alarm" role="alert">{{ messageAt(problem, 'parts') }}</p>
      <Button @click="addPart">Add an ingredient</Button>
    </fieldset>
    <div class="row stacked gap-12">
      <FieldRow label="Techniques" for="recipe-techniques" :error="messageAt(problem, 'techniques')">
        <Select
          id="recipe-techniques"
          mode="multiple"
          :value="draft.techniques"
          :options="optionsOf(TECHNIQUE_LABELS)"
          @update:value="change({ techniques: $event as Technique[] })"
        />
      </FieldRow>
      <FieldRow label="For cups of" for="recipe-roles" hint="None: only goes into other recipes.">
        <Select
          id="recipe-roles"
          mode="multiple"
          :value="draft.cupRoles"
          :options="optionsOf(ROLE_LABELS)"
          @update:value="change({ cupRoles: $event as CupRole[] })"
        />
      </FieldRow>
    </div>
    <div class="row stacked gap-12">
      <FieldRow label="Thinned afterwards with" for="recipe-thinner">
        <Select
          id="recipe-thinner"
          allow-clear
          :value="draft.thinning?.with"
          :options="thinnerOptions"
          @update:value="
            change({
              thinning: $event ? { with: $event as MaterialKind, to: draft.thinning?.to ?? 'fading' } : null,
            })
          "
        />
      </FieldRow>
      <FieldRow v-if="draft.thinning" label="until it is" for="recipe-stage">
        <Select
          id="recipe-stage"
          :value="draft.thinning.to"
          :options="stageOptions"
          @update:value="change({ thinning: { with: draft.thinning!.with, to: $event as StageName } })"
        />
      </FieldRow>
      <NumberField
        :model-value="draft.restHours"
        label="Rests before the pour"
        unit="h"
        :digits="0"
        @update:model-value="change({ restHours: $event })"
      />
    </div>
    <div class="row stacked gap-12">
      <NumberField
        :model-value="asPercent(draft.waterLimit)"
        label="Water it bears at most"
        unit="%"
        :digits="1"
        hint="Empty: the paint’s own limit."
        :error="messageAt(problem, 'waterLimit')"
        @update:model-value="change({ waterLimit: $event === null ? null : $event / 100 })"
      />
      <FieldRow label="Not to be made from" for="recipe-never">
        <Select
          id="recipe-never"
          mode="multiple"
          :value="draft.never?.kinds ?? []"
          :options="paintKinds"
          option-filter-prop="label"
          @update:value="refuse($event as MaterialKind[])"
        />
      </FieldRow>
      <FieldRow
        v-if="draft.never"
        label="because"
        for="recipe-because"
        :error="messageAt(problem, 'never.because')"
      >
        <Input
          id="recipe-because"
          :value="draft.never.because"
          @update:value="change({ never: { kinds: draft.never!.kinds, because: $event } })"
        />
      </FieldRow>
    </div>
    <FieldRow label="Good for" for="recipe-good">
      <Textarea
        id="recipe-good"
        :value="draft.goodFor"
        :rows="2"
        @update:value="change({ goodFor: $event })"
      />
    </FieldRow>
    <FieldRow label="Watch" for="recipe-trouble">
      <Textarea
        id="recipe-trouble"
        :value="draft.trouble"
        :rows="2"
        @update:value="change({ trouble: $event })"
      />
    </FieldRow>
  </div>
</template>

<style scoped>
fieldset {
  display: grid;
  gap: 8px;
}

legend {
  padding: 0 0 4px;
  font-size: var(--type-note);
  color: var(--ink-soft);
}

.part {
  grid-template-columns: 90px 130px minmax(0, 1fr) auto;
}

.part .alarm {
  grid-column: 1 / -1;
  font-size: var(--type-note);
}

.row {
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
}
</style>
