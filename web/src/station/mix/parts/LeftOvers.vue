<script setup lang="ts">
import type { PieceSummary } from '@icy-ribbon/contract';
import type { CupRole, Technique } from '@icy-ribbon/core/paint/stage';
import { Button } from 'ant-design-vue';
import { computed, onMounted, ref } from 'vue';
import ColorDot from '../../../drawing/ColorDot.vue';
import { sayProblem } from '../../../notice/notices.ts';
import { attempt } from '../../../notice/useTask.ts';
import { useCups } from '../../../store/cups.ts';
import { usePiece } from '../../../store/piece/piece.ts';
import { usePieces } from '../../../store/pieces.ts';
import { useUnits } from '../../../store/units.ts';
import { ageWords } from '../../../words/general.ts';

/** Cups that other pieces left over and that would do here: used first. */
const props = defineProps<{ technique: Technique; role: CupRole }>();

const WORTH_MG = 5_000;
const USABLE_DAYS = 30;
const SHOWN = 4;

const pieces = usePieces();
const cups = useCups();
const store = usePiece();
const units = useUnits();
const recent = ref<PieceSummary[]>([]);

const load = async () => {
  recent.value = await pieces.allHaving('paint');
};
onMounted(() => load().catch(sayProblem));

/** Left over is only what its own piece has finished with. */
const offers = computed(() =>
  recent.value
    .filter(
      (piece) =>
        piece.id !== store.piece?.id && piece.technique === props.technique && piece.passes.length > 0,
    )
    .flatMap((piece) => piece.mixes.map((mix) => ({ piece, mix })))
    .filter(
      ({ mix }) =>
        mix.role === props.role &&
        mix.leftMg >= WORTH_MG &&
        mix.mixedAt !== null &&
        Date.now() - Date.parse(mix.mixedAt) < USABLE_DAYS * 86_400_000,
    )
    .slice(0, SHOWN),
);

async function take(mix: PieceSummary['mixes'][number]): Promise<void> {
  const { piece } = store;
  if (!piece) return;
  await attempt(async () => {
    await cups.combine(piece.id, mix.name, [mix.id]);
    await Promise.all([store.reload(), load()]);
  });
}
</script>

<template>
  <p v-if="offers.length > 0" class="offers">
    <span class="soft">Left over:</span>
    <Button
      v-for="{ piece, mix } in offers"
      :key="mix.id"
      type="link"
      size="small"
      :title="`From ${piece.name}. Look at its thickness again before the pour.`"
      @click="take(mix)"
    >
      <ColorDot :color="mix.colorHex" :size-px="12" inline />
      {{ units.show('mass', mix.leftMg) }} {{ mix.name }}, {{ mix.mixedAt ? ageWords(mix.mixedAt) : '' }}
    </Button>
  </p>
</template>

<style scoped>
.offers {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px;
  font-size: 14px;
}
</style>
