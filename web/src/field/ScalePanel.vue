<script setup lang="ts">
import type { ScaleInfo, ScaleReading } from '@icy-ribbon/contract';
import { Button } from 'ant-design-vue';
import { ref } from 'vue';
import QuantityField from './QuantityField.vue';
import { useUnits } from '../store/units.ts';

defineProps<{ reading: ScaleReading | null; info: ScaleInfo | null; active: boolean }>();
const emit = defineEmits<{
  pour: [];
  drops: [];
  stop: [];
  tare: [];
  done: [];
  disturb: [kind: 'bump' | 'overload' | 'drop-out'];
}>();

/** What the artist's own scale showed, when the number is typed. */
const typed = defineModel<number | null>('typed', { required: true });
const units = useUnits();
/** The scale that stands in for the artist's own shows what can be done with it. */
const trying = ref(false);
</script>

<template>
  <section class="panel flowing centered" aria-label="Scale">
    <div v-if="info" class="device">
      <p class="display numeral" :class="{ moving: reading && !reading.settled }">
        <template v-if="reading?.overload">overload</template>
        <template v-else-if="reading">{{ units.show('mass', reading.mg, true) }}</template>
        <template v-else>no reading</template>
      </p>
      <p class="soft small">
        {{ info.name }},
        {{ reading ? (reading.pouring ? 'pouring' : reading.settled ? 'settled' : 'moving') : 'away' }}
      </p>
    </div>
    <Button v-if="info" @click="emit('tare')">Zero</Button>
    <Button v-if="info?.standIn" type="text" :aria-expanded="trying" @click="trying = !trying"
      >Stand-in</Button
    >
    <QuantityField
      v-if="active"
      v-model="typed"
      class="typed"
      :label="info ? 'Or type what your scale shows' : 'What your scale shows'"
      quantity="mass"
      @keydown.enter.stop.prevent="emit('done')"
    />
    <div class="end flowing centered gap-4"><slot /></div>
    <div v-if="trying" class="tries flowing centered" role="group" aria-labelledby="stands-in">
      <p id="stands-in" class="soft">A scale that stands in for yours:</p>
      <template v-if="active">
        <Button v-if="reading?.pouring" @click="emit('stop')">Stop</Button>
        <Button v-else @click="emit('pour')">Pour to target</Button>
        <Button @click="emit('drops')">A few drops</Button>
      </template>
      <Button @click="emit('disturb', 'bump')">Bump the table</Button>
      <Button @click="emit('disturb', 'overload')">Overload it</Button>
      <Button @click="emit('disturb', 'drop-out')">Drop out</Button>
    </div>
  </section>
</template>

<style scoped>
.panel {
  grid-column: 1 / -1;
  padding: 8px 24px;
  background: var(--paper);
  border-top: 1px solid var(--rule);
}

.device {
  width: 132px;
}

.display {
  font-size: var(--type-title);
  line-height: 1.2;
}

.moving {
  color: var(--ink-soft);
}

.typed {
  width: 190px;
}

.tries {
  flex-basis: 100%;
}

.end {
  margin-left: auto;
}
</style>
