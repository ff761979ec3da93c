<script setup lang="ts">
import { listCalculations, type CalculationName } from '@icy-ribbon/core/calculation';
import { Popover } from 'ant-design-vue';
import { computed } from 'vue';

/** A small mark beside a number that tells, on request, by which law it was computed. */
const props = defineProps<{ calculation: CalculationName; trust?: 'typical' | 'measured' | undefined }>();

const card = computed(() => listCalculations().find((each) => each.name === props.calculation));
</script>

<template>
  <Popover v-if="card" trigger="click" placement="bottom">
    <template #content>
      <dl class="card">
        <dt>What</dt>
        <dd>{{ card.title }}</dd>
        <dt>Law</dt>
        <dd>{{ card.law }}</dd>
        <dt>Source</dt>
        <dd>{{ card.source }}</dd>
        <dt>Holds for</dt>
        <dd>{{ card.range }}</dd>
        <template v-if="trust">
          <dt>Trust</dt>
          <dd>
            {{
              trust === 'typical'
                ? 'Rests on typical values of the kind, not yet measured by you.'
                : 'Every paint and medium in it was measured.'
            }}
          </dd>
        </template>
      </dl>
    </template>
    <button class="plain-button origin" :aria-label="`Where this number comes from: ${card.title}`">
      {{ trust ?? 'law' }}
    </button>
  </Popover>
</template>

<style scoped>
.origin {
  font-size: 12px;
  color: var(--ink-soft);
  border-bottom: 1px dotted var(--ink-soft);
}

.card {
  display: grid;
  grid-template-columns: 80px minmax(0, 320px);
  gap: 4px 12px;
  margin: 0;
}

dt {
  color: var(--ink-soft);
}

dd {
  margin: 0;
}
</style>
