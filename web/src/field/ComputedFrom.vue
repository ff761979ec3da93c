<script setup lang="ts">
import type { CalculationCard, CalculationName } from '@icy-ribbon/core/registry';
import type { Trust } from '@icy-ribbon/core/paint/material';
import { Popover } from 'ant-design-vue';
import { ref } from 'vue';

/** A small mark beside a number that tells, on request, by which law it was computed. */
const props = defineProps<{ calculation: CalculationName; trust?: Trust | undefined }>();

const TRUST_WORDS: Readonly<Record<Trust, string>> = {
  typical: 'Rests on typical values of the kind, not yet measured by you.',
  read: 'Read by eye, or by readings that leave more than about a third: race it to measure it.',
  measured: 'Measured: by races or drain cups of this cup, or of every paint and medium in it.',
};

const card = ref<CalculationCard | null>(null);

/** The laws are fetched when they are first asked for. */
async function fetchCard(): Promise<void> {
  const { listCalculations } = await import('@icy-ribbon/core/registry');
  card.value = listCalculations().find((each) => each.name === props.calculation) ?? null;
}
</script>

<template>
  <Popover trigger="click" placement="bottom" @open-change="fetchCard">
    <template #content>
      <dl v-if="card" class="card">
        <dt>What</dt>
        <dd>{{ card.title }}</dd>
        <dt>Law</dt>
        <dd>{{ card.law }}</dd>
        <dt>Source</dt>
        <dd>{{ card.source }}</dd>
        <dt>Holds for</dt>
        <dd>{{ card.range }}</dd>
        <dt>Assumes</dt>
        <dd>{{ card.assumes }}</dd>
        <template v-if="trust">
          <dt>Trust</dt>
          <dd>
            {{ TRUST_WORDS[trust] }}
          </dd>
        </template>
      </dl>
      <RouterLink class="all" :to="{ name: 'computation', hash: `#${calculation}` }"
        >How it computes</RouterLink
      >
    </template>
    <button type="button" class="plain-button origin" aria-label="Where this number comes from">
      {{ trust ?? 'law' }}
    </button>
  </Popover>
</template>

<style scoped>
.origin {
  font-size: var(--type-note);
  color: var(--ink-soft);
  border-bottom: 1px dotted var(--ink-soft);
}

.card {
  display: grid;
  grid-template-columns: 80px minmax(0, 320px);
  gap: 4px 12px;
}

dt {
  color: var(--ink-soft);
}

.all {
  display: block;
  margin-top: 8px;
}
</style>
