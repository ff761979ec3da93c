<script setup lang="ts">
import type { ShelvedMaterial } from '@icy-ribbon/contract';
import type { api, BodyOf } from '@icy-ribbon/contract/addresses';
import { fittingPaints, partsFor, recipesFor, refusal } from '@icy-ribbon/core/paint/recipe';
import type { CupRole, Technique } from '@icy-ribbon/core/paint/stage';
import { Button, RadioButton, RadioGroup } from 'ant-design-vue';
import { computed, defineAsyncComponent, onMounted, ref } from 'vue';
import { messageAt } from '#api/problem.ts';
import BareSelect from '#field/BareSelect.vue';
import { sayProblem } from '#notice/notices.ts';
import { useNeeds } from '#store/needs.ts';
import { usePiece, type Cup } from '#store/piece/piece.ts';
import { useRecipes } from '#store/recipes.ts';
import { useShelf } from '#store/shelf.ts';
import { ROLE_LABELS, ROLES_OF } from '#words/general.ts';
import AmountField from './AmountField.vue';
import EnoughFor from './EnoughFor.vue';
import LeftOvers from '#field/LeftOvers.vue';
import { cupPlanOf } from './cupPlan.ts';
import { useSetDraft } from '#store/setDraft.ts';
import { partsInWords, recipeLabel } from '#words/recipe.ts';

const RecipeDrawer = defineAsyncComponent(() => import('./RecipeDrawer.vue'));
const WholeSet = defineAsyncComponent(() => import('./WholeSet.vue'));
const PaintBlend = defineAsyncComponent(() => import('./PaintBlend.vue'));
const ActivatorDose = defineAsyncComponent(() => import('./ActivatorDose.vue'));

type MixInput = BodyOf<typeof api.mixes.create>;

const props = defineProps<{ pieceId: string; technique: Technique; cups: readonly Cup[] }>();

const store = usePiece();
const shelf = useShelf();
const recipes = useRecipes();
const needs = useNeeds();

const roles = computed(() => ROLES_OF[props.technique]);
const set = useSetDraft(props.pieceId);
const role = ref<CupRole>(roles.value.find((each) => set.value[each].blend.length > 0) ?? missingRole());
const row = computed(() => set.value[role.value]);
/** As much as the piece needs, until another amount is typed. */
const totalMg = computed({
  get: () => row.value.totalMg ?? needs.roleMg(role.value) ?? null,
  set: (mg) => (row.value.totalMg = mg === needs.roleMg(role.value) ? null : mg),
});
const drawerOpen = ref(false);
const setOpen = ref(false);
const problem = ref<unknown>(null);

onMounted(() => recipes.ensure().catch(sayProblem));

/** The ground comes first, then colors. */
function missingRole(): CupRole {
  const ground = ROLES_OF[props.technique][0]!;
  return props.cups.some((cup) => cup.mix.role === ground) ? 'color' : ground;
}

const choices = computed(() => recipesFor(recipes.all, props.technique, role.value));
const recipe = computed(() => choices.value.find(({ id }) => id === row.value.recipeId) ?? choices.value[0]);

function chooseRecipe(recipeId: string): void {
  row.value.recipeId = recipeId;
  row.value.variant = '';
  // A saved color brings its paints along.
  const saved = choices.value.find(({ id }) => id === recipeId)?.blend;
  if (saved) {
    row.value.blend = saved.map((part) => ({ ...part }));
    isBlending.value = true;
  }
}

const recipeOptions = computed(() =>
  choices.value.map((each) => ({
    value: each.id,
    label: recipeLabel(each),
  })),
);
const variantOptions = computed(() => [
  {
    value: '',
    label: recipe.value?.variants?.some((each) => each.forMetallics) ? 'fits the paint' : 'as written',
  },
  ...(recipe.value?.variants ?? []).map(({ name }) => ({ value: name, label: name })),
]);

const takesPaint = computed(() => recipe.value?.parts.some((part) => part.of.kind === 'paint') ?? false);
const paints = computed(() => fittingPaints(recipe.value, role.value, shelf.materials));

const inUse = computed(
  () => new Set(props.cups.flatMap((cup) => cup.mix.ingredients.map((each) => each.material.materialId))),
);

/** What a click on a paint would do, or why it would not. */
function hint(paint: ShelvedMaterial): string {
  if (!recipe.value) return '';
  const because = refusal(recipe.value, paint.kind);
  if (because) return because;
  return partsInWords(partsFor(recipe.value, paint.finish, row.value.variant || null), recipes.find);
}

const MOST_PAINTS = 5;
const isBlending = ref(row.value.blend.length > 0);

/** A paint goes on the bench as a cup; while several are stirred together it goes into their cup. */
function take(paint: ShelvedMaterial): void {
  const { blend } = row.value;
  if (!isBlending.value) void add({ materialId: paint.id });
  else if (blend.length < MOST_PAINTS && !blend.some(({ materialId }) => materialId === paint.id)) {
    row.value.blend = [...blend, { materialId: paint.id, parts: 1 }];
  }
}

/** One that is left alone is a cup of one paint. */
async function addBlend(): Promise<void> {
  const { blend } = row.value;
  const [only] = blend;
  if (!only) return;
  if (await add(blend.length > 1 ? { blend } : { materialId: only.materialId })) {
    row.value.blend = [];
    isBlending.value = false;
  }
}

async function add(of: Pick<MixInput, 'materialId' | 'blend'>): Promise<boolean> {
  problem.value = null;
  try {
    await needs.refitting(() =>
      store.addCup({
        role: role.value,
        recipeId: recipe.value?.id ?? '',
        variant: row.value.variant || null,
        ...of,
        totalMg: totalMg.value ?? 0,
      }),
    );
    if (role.value === roles.value[0]) role.value = 'color';
    return true;
  } catch (error) {
    problem.value = error;
    if (!messageAt(error, 'totalMg')) sayProblem(error);
    return false;
  }
}

const plan = computed(() =>
  recipe.value
    ? cupPlanOf(recipe.value, row.value.variant || null, paints.value[0], shelf.materials, recipes.find)
    : undefined,
);
</script>

<template>
  <section aria-label="Put a cup on the bench">
    <div class="controls flowing centered">
      <RadioGroup v-model:value="role" name="cup-role" aria-label="What the cup is for">
        <RadioButton v-for="each in roles" :key="each" :value="each">{{ ROLE_LABELS[each] }}</RadioButton>
      </RadioGroup>
      <BareSelect
        :value="recipe?.id"
        class="school"
        :options="recipeOptions"
        label="Recipe"
        @update:value="chooseRecipe(String($event))"
      />
      <BareSelect
        v-if="variantOptions.length > 1"
        v-model:value="row.variant"
        class="variant"
        :options="variantOptions"
        label="Variant of the recipe"
        title="Fits the paint: plain paints and metallics get their own amounts"
      />
      <AmountField v-model="totalMg" :plan="plan" :error="messageAt(problem, 'totalMg')" />
      <ActivatorDose
        v-if="role === 'activator'"
        :cups="cups"
        :density="plan?.densityGPerMl ?? 1.1"
        @dose="totalMg = $event"
      />
      <Button v-if="takesPaint" type="link" :aria-pressed="isBlending" @click="isBlending = !isBlending">
        Several paints
      </Button>
      <Button type="link" @click="setOpen = true">Whole set</Button>
      <Button type="link" @click="drawerOpen = true">Recipes</Button>
    </div>
    <EnoughFor />
    <p v-if="recipe" class="soft words">
      {{ recipe.goodFor }}. {{ recipe.trouble }}.
      <template v-if="recipe.restHours"> Rest it {{ recipe.restHours }} h under a lid.</template>
      <template v-if="recipe.thinning">
        Then thin with {{ recipe.thinning.with }} to “{{ recipe.thinning.to }}”.
      </template>
    </p>
    <LeftOvers :technique="technique" :role="role" />
    <PaintBlend v-if="isBlending && takesPaint" v-model="row.blend" :paints="paints" @make="addBlend" />
    <ul class="swatches abreast gap-4">
      <li v-for="paint in paints" :key="paint.id">
        <button
          class="plain-button"
          :aria-label="`Put a cup of ${paint.name} on the bench`"
          :title="hint(paint)"
          @click="take(paint)"
        >
          <span class="swatch" :style="{ background: paint.colorHex }"></span>
          <span class="name" :class="{ used: inUse.has(paint.id) }">{{ paint.name }}</span>
        </button>
      </li>
      <li v-if="paints.length === 0" class="soft">
        Nothing for this on the shelf. <RouterLink to="/shelf">Enter one</RouterLink>.
      </li>
    </ul>
    <WholeSet v-if="setOpen" v-model="set" :technique="technique" @close="setOpen = false" />
    <RecipeDrawer v-if="drawerOpen" @close="drawerOpen = false" />
  </section>
</template>

<style scoped>
section {
  padding: 8px 24px 8px;
  border-top: 1px solid var(--rule);
  background: var(--paper);
}

.controls > :deep(.ant-btn-link) {
  padding-inline: 6px;
}

.school {
  width: 178px;
}

.variant {
  width: 116px;
}

.words {
  margin-top: 4px;
  font-size: var(--type-note);
  line-height: 1.3;
}

.swatches {
  margin: 6px 0 0;
  padding: 0 0 4px;
  overflow-x: auto;
}

.swatches button {
  display: grid;
  gap: 2px;
  width: 72px;
  padding: 2px;
  text-align: center;
}

.swatches button:hover .swatch {
  border-color: var(--ink);
}

.swatch {
  height: 28px;
  border: var(--paint-edge) solid var(--edge);
  border-radius: 50% 46% 52% 44%;
}

.name {
  font-size: var(--type-note);
  line-height: 1.15;
}

.used {
  color: var(--ink-soft);
  font-style: italic;
}
</style>
