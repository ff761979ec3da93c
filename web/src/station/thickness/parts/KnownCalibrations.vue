<script setup lang="ts">
import type { Calibration } from '@icy-ribbon/contract';
import { referenceProperties } from '@icy-ribbon/core/thickness/reading';
import { Button } from 'ant-design-vue';
import { say } from '#notice/notices.ts';
import { attempt } from '#notice/useTask.ts';
import { useCalibrations } from '#store/calibrations.ts';
import { dateWords } from '#words/general.ts';
import { KINDS, resultWords } from './calibrationWords.ts';

/** The calibrations of this studio, the newest first. */
const calibrations = useCalibrations();

const remove = (calibration: Calibration) =>
  attempt(async () => {
    const removed = await calibrations.remove(calibration);
    say(`"${removed.name}" is gone.`, () => attempt(() => calibrations.restore(removed)));
  });
</script>

<template>
  <section aria-label="Kept calibrations">
    <h2>Kept</h2>
    <p v-if="calibrations.items.length === 0" class="soft">
      None yet. With glycerine on a card, every race tells Pa·s and not only which cup is thicker.
    </p>
    <table v-else class="rows">
      <thead>
        <tr>
          <th>Name</th>
          <th>What</th>
          <th>Result</th>
          <th>From</th>
          <th>On</th>
          <th></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="each in calibrations.items" :key="each.id">
          <th scope="row">{{ each.name }}</th>
          <td>{{ KINDS.find((one) => one.value === each.kind)?.label }}</td>
          <td>{{ resultWords(each.kind, each.points) }}</td>
          <td>{{ each.points.map((point) => referenceProperties(point.liquid).name).join('; ') }}</td>
          <td>{{ dateWords(each.createdAt) }}</td>
          <td>
            <Button type="link" size="small" :aria-label="`Remove ${each.name}`" @click="remove(each)"
              >Remove</Button
            >
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>
