<script setup lang="ts">
import type { ColorMatch } from '@icy-ribbon/core/paint/color';
import { findSchool } from '@icy-ribbon/core/paint/recipe';
import { TECHNIQUES } from '@icy-ribbon/core/paint/stage';
import { isPaint } from '@icy-ribbon/core/paint/material';
import { useDebounceFn } from '@vueuse/core';
import { Button, Input, Select } from 'ant-design-vue';
import { computed, onMounted, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import ColorDot from '#drawing/ColorDot.vue';
import ColorField from '#field/ColorField.vue';
import FieldRow from '#field/FieldRow.vue';
import { say, sayProblem } from '#notice/notices.ts';
import { attempt } from '#notice/useTask.ts';
import { usePiece } from '#store/piece/piece.ts';
import { copyOf, useRecipes } from '#store/recipes.ts';
import { useSetDraft } from '#store/setDraft.ts';
import { useShelf } from '#store/shelf.ts';
import { colorWorker } from '#worker/workers.ts';
import ColorFromPicture from './ColorFromPicture.vue';

const ANSWERS = 6;
/** A saved color is mixed by the measured Dutch recipe until another is chosen for it. */
const USUAL_RECIPE = 'D2';
const SPOONS: Readonly<Record<number, string>> = { 1: '1', 0.5: '1/2', 0.25: '1/4', 0.125: '1/8' };

const shelf = useShelf();
const recipes = useRecipes();
const router = useRouter();
const piece = usePiece();
const target = ref('#6b8f8a');
const without = ref<string[]>([]);
const answers = ref<ColorMatch[]>([]);
const busy = ref(false);
const tookMs = ref(0);

const paints = computed(() =>
  shelf.materials.filter((each) => isPaint(each.kind) && !without.value.includes(each.id)),
);
const paintOptions = computed(() =>
  shelf.materials.filter((each) => isPaint(each.kind)).map(({ id, name }) => ({ value: id, label: name })),
);
const paintNamed = (id: string) => shelf.materials.find((each) => each.id === id);
const isColor = computed(() => /^#[0-9a-f]{6}$/i.test(target.value));

async function match(): Promise<void> {
  if (!isColor.value) return;
  busy.value = true;
  const startedAt = performance.now();
  try {
    const colors = paints.value.map(({ id, colorHex, tintingStrength }) => ({
      id,
      hex: colorHex,
      strength: tintingStrength,
    }));
    answers.value = colors.length === 0 ? [] : await colorWorker().match(target.value, colors, ANSWERS);
    tookMs.value = performance.now() - startedAt;
  } catch (error) {
    sayProblem(error);
  } finally {
    busy.value = false;
  }
}

const matchSoon = useDebounceFn(match, 150);
watch([target, paints], matchSoon);
onMounted(matchSoon);

/** How near a mix comes, in words (common practice for CIEDE2000). */
function nearness(de2000: number): string {
  if (de2000 < 1) return 'close, by estimate';
  if (de2000 < 2.5) return 'very near';
  return de2000 < 6 ? 'near' : 'another color';
}

/** The mix becomes a color cup of the piece in hand: its paints wait at Mix with their parts. */
async function mixIt(answer: ColorMatch): Promise<void> {
  const pieceId = piece.piece?.id;
  if (!pieceId) return;
  useSetDraft(pieceId).value.color.blend = answer.parts.map(({ id, amount }) => ({
    materialId: id,
    parts: amount,
  }));
  await router.push({ name: 'mix', params: { pieceId } });
}

/** What the color is called among the recipes. */
const savedAs = ref('');

/** The mix becomes a recipe of one's own with its very paints, to be chosen at Mix. */
async function save(answer: ColorMatch): Promise<void> {
  const usual = findSchool(USUAL_RECIPE);
  if (!usual) return;
  await attempt(async () => {
    const name = savedAs.value.trim() || `Color ${answer.hex}`;
    await recipes.add({
      ...copyOf(usual),
      name,
      cupRoles: ['color'],
      techniques: [...TECHNIQUES],
      goodFor: `A saved color, mixed to ${target.value}.`,
      trouble: '',
      blend: answer.parts.map(({ id, amount }) => ({ materialId: id, parts: amount })),
    });
    savedAs.value = '';
    say(`"${name}" is among your recipes: choose it at Mix, and its paints are there.`);
  });
}
</script>

<template>
  <div class="match">
    <section class="ask stacked gap-12">
      <ColorField
        :model-value="target"
        label="The color you want"
        :error="isColor ? undefined : 'Write a color like #6b8f8a.'"
        @update:model-value="target = $event ?? ''"
      />
      <ColorFromPicture @found="target = $event" />
      <div class="from flowing gap-4">
        <Button
          v-for="cup in piece.cups"
          :key="cup.mix.id"
          type="text"
          :aria-label="`The color of ${cup.mix.name}`"
          @click="target = cup.colorHex"
        >
          <ColorDot :color="cup.colorHex" inline /> {{ cup.mix.name }}
        </Button>
      </div>
      <FieldRow label="Saved as" for="match-name">
        <Input id="match-name" v-model:value="savedAs" placeholder="Sea glass" autocomplete="off" />
      </FieldRow>
      <FieldRow label="Not with (a paint that is no longer sold, say)" for="match-without">
        <Select
          id="match-without"
          v-model:value="without"
          mode="multiple"
          show-search
          :options="paintOptions"
          option-filter-prop="label"
        />
      </FieldRow>
      <p class="soft small">
        Mixed by Kubelka-Munk from the colors on the shelf; an estimate that knows nothing of the pigments.
        Try a spoonful first. {{ busy ? 'Looking …' : `${paints.length} paints, ${Math.round(tookMs)} ms.` }}
      </p>
    </section>
    <ol aria-label="Mixes that come near">
      <li v-for="answer in answers" :key="answer.parts.map((part) => part.id + part.amount).join()">
        <span class="pair" aria-hidden="true">
          <span :style="{ background: target }"></span><span :style="{ background: answer.hex }"></span>
        </span>
        <span class="parts">
          <span v-for="part in answer.parts" :key="part.id" class="part">
            <strong>{{ SPOONS[part.amount] }}</strong> {{ paintNamed(part.id)?.name }}
          </span>
        </span>
        <div>
          <p class="soft">dE2000 {{ answer.de2000.toFixed(1) }}, {{ nearness(answer.de2000) }}</p>
          <span class="do">
            <Button v-if="piece.piece" size="small" @click="mixIt(answer)">A cup of it</Button>
            <Button v-if="answer.parts.length > 1" size="small" @click="save(answer)">Save the color</Button>
          </span>
        </div>
      </li>
      <li v-if="paints.length === 0" class="soft">There is no paint on the shelf to mix from.</li>
    </ol>
  </div>
</template>

<style scoped>
.match {
  display: grid;
  grid-template-columns: 320px minmax(0, 1fr);
  gap: 32px;
}

.ask {
  align-content: start;
}

li {
  display: grid;
  grid-template-columns: 150px minmax(0, 1fr) 210px;
  align-items: center;
  gap: 16px;
  padding: 8px 0;
  border-bottom: 1px solid var(--rule);
}

.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  height: 56px;
  border: var(--paint-edge) solid var(--edge);
}

.parts {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  font-size: var(--type-lead);
}

.do {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}

@media (width < 1000px) {
  .match {
    grid-template-columns: 1fr;
  }
}
</style>
