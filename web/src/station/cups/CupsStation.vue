<script setup lang="ts">
import type { PieceSummary } from '@icy-ribbon/contract';
import { CAUTIONS } from '@icy-ribbon/core/paint/caution';
import { stageOf } from '@icy-ribbon/core/paint/stage';
import { Button, Input, Popconfirm } from 'ant-design-vue';
import { computed, onMounted, ref } from 'vue';
import ColorDot from '#drawing/ColorDot.vue';
import EmptyDrawing from '#drawing/EmptyDrawing.vue';
import { sayProblem } from '#notice/notices.ts';
import { attempt } from '#notice/useTask.ts';
import { useCups } from '#store/cups.ts';
import { usePieces } from '#store/pieces.ts';
import { useUnits } from '#store/units.ts';
import { PHASE_WORDS, stageWords } from '#words/cup.ts';
import { ageWords, ROLE_LABELS } from '#words/general.ts';
import WeighAgain from './parts/WeighAgain.vue';

const TRIFLE_MG = 500;

const pieces = usePieces();
const cups = useCups();
const units = useUnits();
const recent = ref<PieceSummary[]>([]);
const loaded = ref(false);
const chosen = ref<string[]>([]);
const name = ref('Left-overs');

async function load(): Promise<void> {
  await attempt(async () => {
    recent.value = await pieces.allHaving('paint');
    loaded.value = true;
  });
}
onMounted(load);

/** The cups that hold paint, by the piece they were mixed for. */
const groups = computed(() =>
  recent.value
    .map((piece) => ({
      piece,
      rows: piece.mixes
        .filter((mix) => mix.leftMg > TRIFLE_MG)
        .map((mix) => ({ piece, mix, ...restOf(mix) })),
    }))
    .filter(({ rows: found }) => found.length > 0),
);
const rows = computed(() => groups.value.flatMap((group) => group.rows));
/** Pieces whose cups are shown one by one: those that are still worked at, until told otherwise. */
const opened = ref(new Map<string, boolean>());
const isOpen = (piece: PieceSummary) => opened.value.get(piece.id) ?? piece.phase !== 'judged';
const toggle = (piece: PieceSummary) => opened.value.set(piece.id, !isOpen(piece));
/** The cup one is at; what can be done with it stands there alone. */
const inHand = ref<string | null>(null);
const sumOf = (found: readonly { mix: PieceSummary['mixes'][number] }[]) =>
  found.reduce((sum, { mix }) => sum + mix.leftMg, 0);

/** A paint-and-water mix rests its hours; other cups are ready at once. */
function restOf(mix: PieceSummary['mixes'][number]): { rest: string; waiting: boolean } {
  if (!mix.mixedAt || mix.restHours === null) return { rest: '', waiting: false };
  const hoursLeft = mix.restHours - (Date.now() - Date.parse(mix.mixedAt)) / 3_600_000;
  return hoursLeft > 0
    ? { rest: `rests ${Math.ceil(hoursLeft)} h more`, waiting: true }
    : { rest: 'rested', waiting: false };
}

const chosenRows = computed(() => rows.value.filter((row) => chosen.value.includes(row.mix.id)));
async function guarded(work: () => Promise<unknown>): Promise<void> {
  try {
    await work();
    await load();
  } catch (error) {
    sayProblem(error);
  }
}

const throwOut = (mix: PieceSummary['mixes'][number]) => guarded(() => cups.throwOut(mix.id, mix.leftMg));

const combine = () =>
  guarded(async () => {
    const [first] = chosenRows.value;
    if (!first) return;
    await cups.combine(first.piece.id, name.value, chosen.value);
    chosen.value = [];
  });
</script>

<template>
  <main>
    <h1>Cups</h1>
    <p class="soft">Every cup with paint left in it. Left-overs first: look again, top up, use them.</p>
    <form v-if="chosenRows.length > 1" class="combine abreast" @submit.prevent="combine">
      <Input v-model:value="name" aria-label="Name of the combined cup" />
      <Button type="primary" html-type="submit">Pour {{ chosenRows.length }} cups into one</Button>
    </form>
    <table v-if="rows.length > 0" class="rows">
      <thead>
        <tr>
          <th scope="col"><span class="visually-hidden">Choose</span></th>
          <th scope="col">Cup</th>
          <th scope="col" class="number">Left</th>
          <th scope="col">Thickness</th>
          <th scope="col">Age</th>
          <th scope="col">Lid</th>
          <th scope="col"><span class="visually-hidden">What to do</span></th>
        </tr>
      </thead>
      <tbody v-for="{ piece, rows: found } in groups" :key="piece.id">
        <tr class="group">
          <td colspan="7">
            <button class="plain-button" :aria-expanded="isOpen(piece)" @click="toggle(piece)">
              <span class="name">{{ piece.name }}</span>
              <span class="soft">
                {{ found.length === 1 ? '1 cup' : `${found.length} cups` }},
                {{ units.show('mass', sumOf(found)) }}
              </span>
              <ColorDot v-for="{ mix } in found" :key="mix.id" :color="mix.colorHex" :size-px="16" />
            </button>
            <RouterLink :to="`/mix/${piece.id}`">Go to its cups</RouterLink>
          </td>
        </tr>
        <tr
          v-for="{ mix, rest, waiting } in isOpen(piece) ? found : []"
          :key="mix.id"
          :class="{ 'in-hand': inHand === mix.id }"
          @pointerenter="inHand = mix.id"
          @click="inHand = mix.id"
          @focusin="inHand = mix.id"
        >
          <td>
            <input
              v-model="chosen"
              type="checkbox"
              :value="mix.id"
              :aria-label="`Choose ${mix.name} of ${piece.name}`"
            />
          </td>
          <th scope="row">
            <ColorDot :color="mix.colorHex" :size-px="16" inline />{{ mix.name }}
            <span class="soft small">{{ ROLE_LABELS[mix.role] }}</span>
          </th>
          <td class="number">{{ units.show('mass', mix.leftMg) }}</td>
          <td>
            {{ stageWords(mix.phase, stageOf(mix.viscosityPaS).name) }},
            {{ mix.viscosityPaS.toPrecision(2) }} Pa·s
          </td>
          <td>
            {{ mix.mixedAt ? ageWords(mix.mixedAt) : PHASE_WORDS[mix.phase] }}
            <span v-if="rest" :class="waiting ? 'look' : 'soft'">{{ rest }}</span>
          </td>
          <td>
            <input
              type="checkbox"
              :checked="mix.lid"
              :aria-label="`The lid is on ${mix.name} of ${piece.name}`"
              @change="guarded(() => cups.setLid(mix, !mix.lid))"
            />
            <span v-if="!mix.lid" class="look small"> open: it thickens</span>
          </td>
          <td class="actions">
            <WeighAgain
              :name="mix.name"
              :expected-mg="mix.leftMg"
              @lost="(mg) => guarded(() => cups.noteLoss(mix.id, mg))"
            />
            <Popconfirm
              :title="`Throw ${units.show('mass', mix.leftMg)} of ${mix.name} away? ${CAUTIONS.drain}`"
              ok-text="Throw it away"
              cancel-text="Leave it"
              @confirm="throwOut(mix)"
            >
              <Button type="link" size="small" :aria-label="`Throw ${mix.name} away`">Throw away</Button>
            </Popconfirm>
          </td>
        </tr>
      </tbody>
    </table>
    <EmptyDrawing v-else-if="loaded" kind="cups">No cup holds paint.</EmptyDrawing>
  </main>
</template>

<style scoped>
main {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
  align-content: start;
  padding: 16px 24px;
  overflow-x: auto;
}

.combine {
  max-width: 520px;
}

.small {
  font-size: var(--type-note);
  font-weight: var(--weight-plain);
}

.group td {
  padding-top: 16px;
  border-bottom-color: var(--edge);
}

.group .plain-button {
  display: inline-flex;
  align-items: center;
  gap: 8px;
  min-height: 40px;
  margin-right: 24px;
}

.group .name {
  font-weight: var(--weight-strong);
}

.group [aria-expanded='true'] .name {
  text-decoration: underline 2px;
  text-underline-offset: 4px;
}

.in-hand {
  background: var(--ice);
}

/* They keep their place, so that nothing moves under the pointer. */
.actions {
  white-space: nowrap;
  opacity: 0;
}

.in-hand .actions {
  opacity: 1;
}

@media (width < 600px) {
  main {
    padding: 12px 16px;
  }

  .actions {
    opacity: 1;
  }
}
</style>
