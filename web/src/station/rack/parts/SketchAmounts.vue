<script setup lang="ts">
import type { SketchAmount } from '@icy-ribbon/core/piece/sketch';
import ColorDot from '#drawing/ColorDot.vue';
import { useUnits } from '#store/units.ts';
import { useMeasures } from '#words/useMeasures.ts';

/** How much of each paint a sketch takes, and whether its cup holds it. */
defineProps<{ amounts: readonly SketchAmount[]; heldMg: (materialId: string) => number }>();

const units = useUnits();
const measures = useMeasures();
</script>

<template>
  <table v-if="amounts.length > 0" class="rows">
    <tbody>
      <tr v-for="each in amounts" :key="each.materialId">
        <th scope="row"><ColorDot :color="each.colorHex" inline /> {{ each.name }}</th>
        <td class="number">{{ measures.area(each.areaMm2 / 100) }}</td>
        <td class="number">
          <strong>{{ units.show('mass', 1000 * each.massG) }}</strong>
          <span v-if="heldMg(each.materialId) >= 1000 * each.massG" class="soft"> in its cup</span>
        </td>
      </tr>
    </tbody>
  </table>
  <p v-else class="soft">
    Choose a paint and draw. Do not cover too much at once; sleep on it before it is done.
  </p>
</template>
