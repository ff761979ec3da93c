<script setup lang="ts">
import { CALCULATIONS, runCalculation } from '@icy-ribbon/core/registry';
import type { Calculation } from '@icy-ribbon/core/base/calculation';
import { onMounted } from 'vue';
import '#api/plainSchemas.ts';
import TypesetLaw from '#drawing/TypesetLaw.vue';

/** Every calculation as the registry describes it, each with an example that is computed here and now. */
const cards = (CALCULATIONS as readonly unknown[] as readonly Calculation[]).map((calculation) => ({
  ...calculation,
  given: JSON.stringify(calculation.example, null, 1),
  answer: JSON.stringify(
    runCalculation(calculation, calculation.example),
    (_key, value: unknown) => (typeof value === 'number' ? Number(value.toPrecision(6)) : value),
    1,
  ),
}));

onMounted(() => {
  const asked = window.location.hash.slice(1);
  if (asked) document.getElementById(asked)?.scrollIntoView();
});
</script>

<template>
  <main>
    <header>
      <h1>How it computes</h1>
      <p>
        Every number on every screen comes from one of these, or from the artist’s own readings. “From memory”
        marks a source whose formula was written down without the paper at hand; “common practice” has no
        published source. What others made and these pages bring along is listed with its
        <a href="/notices.txt">licenses</a>.
      </p>
    </header>
    <nav aria-label="Calculations">
      <a v-for="card in cards" :key="card.name" :href="`#${card.name}`">{{ card.name }}</a>
    </nav>
    <article v-for="card in cards" :id="card.name" :key="card.name">
      <h2>{{ card.title }}</h2>
      <p class="law"><TypesetLaw :law="card.law" /></p>
      <dl>
        <dt>Source</dt>
        <dd>{{ card.source }}</dd>
        <dt>Holds for</dt>
        <dd>{{ card.range }}</dd>
        <dt>Assumes</dt>
        <dd>{{ card.assumes }}</dd>
        <dt>Typical</dt>
        <dd>{{ card.typical }}</dd>
      </dl>
      <details>
        <summary>An example, computed now</summary>
        <div class="example stacked gap-16">
          <pre>{{ card.given }}</pre>
          <pre>{{ card.answer }}</pre>
        </div>
      </details>
    </article>
  </main>
</template>

<style scoped>
main {
  height: 100%;
  padding: 16px 24px 48px;
  overflow: auto;
}

header,
article {
  max-width: 820px;
}

nav {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  max-width: 820px;
  padding: 12px 0 4px;
}

article {
  padding: 16px 0;
  border-top: 1px solid var(--rule);
}

.law {
  margin: 6px 0;
  font-size: var(--type-lead);
}

dl {
  display: grid;
  grid-template-columns: 90px minmax(0, 1fr);
  gap: 4px 12px;
}

dt {
  color: var(--ink-soft);
}

details {
  margin-top: 8px;
}

.example {
  grid-template-columns: 1fr 1fr;
}

pre {
  margin: 6px 0 0;
  font-size: var(--type-note);
  white-space: pre-wrap;
}
</style>
