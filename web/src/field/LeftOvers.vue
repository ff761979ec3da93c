<script setup lang="ts">
import type { PieceSummary } from '@icy-ribbon/contract';
import { windowFit, type CupRole, type Technique } from '@icy-ribbon/core/paint/stage';
import { Button } from 'ant-design-vue';
import { computed, onMounted, ref } from 'vue';
import ColorDot from '../drawing/ColorDot.vue';
import { sayProblem } from '../notice/notices.ts';
import { attempt } from '../notice/useTask.ts';
import { useCups } from '../store/cups.ts';
import { usePiece } from '../store/piece/piece.ts';
import { usePieces } from '../store/pieces.ts';
import { useUnits } from '../store/units.ts';
import { ageWords } from '../words/general.ts';

/** Cups that other pieces left over and that would do here: used first. */
const props = defineProps<{ technique: Technique; role: CupRole }>();
const emit = defineEmits<{ taken: [cupId: string] }>();

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
    .filter(({ id, phase }) => id !== store.piece?.id && (phase === 'poured' || phase === 'judged'))
    .flatMap((piece) => piece.mixes.map((mix) => ({ piece, mix })))
    .filter(
      ({ piece, mix }) =>
        mix.role === props.role &&
        // The very same paint may be poured another way; it only has to be as thick as that asks for.
        (piece.technique === props.technique ||
          windowFit(props.technique, mix.role, mix.viscosityPaS) === 'fits') &&
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
    const taken = await cups.combine(piece.id, mix.name, [mix.id]);
    await Promise.all([store.reload(), load()]);
    emit('taken', taken.id);
  });
}
</script>

<template>
  <p v-if="offers.length > 0" class="offers flowing centered gap-4">
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
  font-size: var(--type-text);
}
</style>
