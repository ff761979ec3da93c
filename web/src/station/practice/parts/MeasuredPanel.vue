<script setup lang="ts">
import type { Scene } from '@icy-ribbon/core/piece/rehearse';
import { Button } from 'ant-design-vue';
import { ref, shallowRef } from 'vue';
import { saveFile } from '#drawing/saveFile.ts';
import { fileOf } from './keepRehearsal.ts';
import { attempt } from '#notice/useTask.ts';
import { useUnits } from '#store/units.ts';
import type { MeasuredRehearsal } from '#worker/film.worker.ts';
import type { Film } from './useFilm.ts';
import { percent } from '#words/percent.ts';
import { petalsCounted } from '#words/petals.ts';

/** The rehearsal measured as a photo is: the same numbers as in Results. */
const props = defineProps<{
  film: Film;
  scene: Scene;
  title: string;
  /** Keeps it with its piece; left out for a pour that has none. */
  keep?: ((result: MeasuredRehearsal) => Promise<void>) | undefined;
}>();
const units = useUnits();
const result = shallowRef<MeasuredRehearsal | null>(null);
const busy = ref(false);
const measure = () =>
  attempt(async () => {
    busy.value = true;
    try {
      props.film.pause();
      result.value = await props.film.measure();
      await props.keep?.(result.value);
    } finally {
      busy.value = false;
    }
  });

const save = () =>
  attempt(async () => {
    if (!result.value) return;
    saveFile(await fileOf(result.value.picture, 'image/png'), `${props.title}, rehearsal.png`);
  });
</script>

<template>
  <section class="measured stacked" aria-label="Measured">
    <div class="actions flowing">
      <Button :loading="busy" @click="measure">{{ keep ? 'Measure and keep it' : 'Measure it' }}</Button>
      <Button v-if="result" @click="save">Save the picture</Button>
    </div>
    <p v-if="busy" class="soft" role="status">Drawing it finely and measuring it as a photo.</p>
    <dl v-if="result">
      <dt>Base left open</dt>
      <dd>{{ percent(result.numbers.negativeSpace) }}</dd>
      <dt>Cells</dt>
      <dd>
        {{ result.numbers.cells.count }}
        <template v-if="result.numbers.cells.medianMm > 0">
          of {{ units.show('depth', result.numbers.cells.medianMm) }} (usual)
        </template>
      </dd>
      <dt>Net</dt>
      <dd>{{ percent(result.numbers.lacing.areaShare) }}</dd>
      <dt>Petals</dt>
      <dd>
        {{ petalsCounted(result.numbers.petals.count)
        }}<template v-if="result.numbers.petals.symmetry > 0"
          >, even to {{ percent(result.numbers.petals.symmetry) }}</template
        >
      </dd>
    </dl>
  </section>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 4px 12px;
}
</style>
