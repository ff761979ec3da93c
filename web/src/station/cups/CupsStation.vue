<script setup lang="ts">
import type { PieceSummary } from '@icy-ribbon/contract';
import { CAUTIONS } from '@icy-ribbon/core/paint/caution';
import { stageOf } from '@icy-ribbon/core/paint/stage';
import { Button, Input, Popconfirm } from 'ant-design-vue';
import { computed, onMounted, ref } from 'vue';
import ColorDot from '../../drawing/ColorDot.vue';
import { sayProblem } from '../../notice/notices.ts';
import { attempt } from '../../notice/useTask.ts';
import { useCups } from '../../store/cups.ts';
import { usePieces } from '../../store/pieces.ts';
import { useUnits } from '../../store/units.ts';
import { PHASE_WORDS, stageWords } from '../../words/cup.ts';
import { ageWords, ROLE_LABELS } from '../../words/general.ts';
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

const rows = computed(() =>
  recent.value.flatMap((piece) =>
    piece.mixes.filter((mix) => mix.leftMg > TRIFLE_MG).map((mix) => ({ piece, mix, ...restOf(mix) })),
  ),
);

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
    <form v-if="chosenRows.length > 1" class="combine" @submit.prevent="combine">
      <Input v-model:value="name" aria-label="Name of the combined cup" />
      <Button type="primary" html-type="submit">Pour {{ chosenRows.length }} cups into one</Button>
    </form>
    <table v-if="rows.length > 0" class="rows">
      <thead>
        <tr>
          <th scope="col"><span class="visually-hidden">Choose</span></th>
          <th scope="col">Cup</th>
          <th scope="col">Piece</th>
          <th scope="col" class="number">Left</th>
          <th scope="col">Thickness</th>
          <th scope="col">Age</th>
          <th scope="col">Lid</th>
          <th scope="col"><span class="visually-hidden">What to do</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ piece, mix, rest, waiting } in rows" :key="mix.id">
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
          <td>
            <RouterLink :to="`/mix/${piece.id}`">{{ piece.name }}</RouterLink>
          </td>
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
    <p v-else-if="loaded" class="soft">No cup holds paint.</p>
  </main>
</template>

<style scoped>
main {
  display: grid;
  gap: 12px;
  align-content: start;
  padding: 16px 24px;
}

.combine {
  display: flex;
  gap: 8px;
  max-width: 520px;
}

.small {
  font-size: 13px;
  font-weight: 400;
}

.actions {
  white-space: nowrap;
}
</style>
