<script setup lang="ts">
import type { Aims, AimKey } from '@icy-ribbon/core/paint/stage';
import type { RehearsalNumbers } from '@icy-ribbon/core/judgement/rehearsal';
import type { Scene } from '@icy-ribbon/core/piece/rehearse';
import { computed } from 'vue';
import { useUnits } from '#store/units.ts';
import { AIM_WORDS } from '#words/aims.ts';
import { percent } from '#words/percent.ts';
import { petalsCounted } from '#words/petals.ts';

/** What the rehearsal has come to, against the aim of the piece. */
const props = defineProps<{ scene: Scene; numbers: RehearsalNumbers | null; aims: Aims | null }>();
const units = useUnits();

/** Paints of the scene as they are seen, the largest share first. */
const shares = computed(() => {
  const { numbers, scene } = props;
  if (!numbers) return [];
  return Object.entries(numbers.shares)
    .map(([name, share]) => ({
      name,
      share,
      hex: scene.layers.find((layer) => layer.name === name)!.colorHex,
    }))
    .filter(({ share }) => share > 0.002)
    .sort((a, b) => b.share - a.share);
});
const aimed = (key: AimKey): string => {
  const value = props.aims?.[key];
  return value ? (AIM_WORDS[key].options[value]?.label ?? '') : '';
};
const lines = computed(() => {
  const { numbers: now } = props;
  if (!now) return [];
  return [
    {
      label: 'Base left open',
      value: percent(now.negativeSpace),
      aim: aimed('negativeSpace'),
    },
    { label: 'Left in the middle', value: units.show('depth', now.middleMm), aim: '' },
    {
      label: 'Cells open',
      value:
        now.cells.open > 0 ? `${now.cells.open}, about ${units.show('depth', now.cells.medianMm)}` : 'none',
      aim: aimed('cells'),
    },
    {
      label: 'Petals',
      value:
        petalsCounted(now.petals.count) +
        (now.petals.count === 0 ? '' : `, out to ${units.show('length', now.petals.reachMm)}`),
      aim: aimed('reach'),
    },
    {
      label: 'Over the sides',
      value:
        now.wetRim > 0
          ? `${units.show('volume', now.onSidesMl)}, along ${percent(now.wetRim)} of the rim`
          : 'none',
      aim: '',
    },
    { label: 'Dripped off', value: units.show('volume', now.drippedMl - now.onSidesMl), aim: '' },
    ...(now.bare > 0.01 ? [{ label: 'Bare support', value: percent(now.bare), aim: '' }] : []),
  ];
});
</script>

<template>
  <section class="now stacked" aria-label="What it has come to">
    <div
      class="bar"
      role="img"
      :aria-label="
        shares.map(({ name, share }) => `${name} ${percent(share)}`).join(', ') || 'Shares of the paints'
      "
    >
      <span
        v-for="each in shares"
        :key="each.name"
        :style="{ flexGrow: each.share, background: each.hex }"
        :title="`${each.name} ${percent(each.share)}`"
      ></span>
    </div>
    <table>
      <tbody>
        <tr v-for="line in lines" :key="line.label">
          <th scope="row">{{ line.label }}</th>
          <td class="numeral">{{ line.value }}</td>
          <td v-if="line.aim" class="soft">aim {{ line.aim }}</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.bar {
  display: flex;
  height: 24px;
  border: 1px solid var(--edge);
}

table {
  border-collapse: collapse;
}

th {
  padding: 4px 12px 4px 0;
  font-weight: var(--weight-plain);
  text-align: left;
}

td {
  padding: 4px 8px 4px 0;
}
</style>
