<script setup lang="ts">
import type { Blower, Equipment, EquipmentCreate, Vessel } from '@icy-ribbon/contract';
import { airTool } from '@icy-ribbon/core/flow/air';
import { Button } from 'ant-design-vue';
import { onMounted } from 'vue';
import RecordDrawer from '#field/RecordDrawer.vue';
import RowActions from '#field/RowActions.vue';
import { useRecordDrawer } from '#field/useRecordDrawer.ts';
import { say, sayProblem } from '#notice/notices.ts';
import { attempt } from '#notice/useTask.ts';
import { useEquipment } from '#store/equipment.ts';
import { useUnits } from '#store/units.ts';
import EquipmentForm from './EquipmentForm.vue';
import { emptyBlower, emptyVessel, equipmentDraft, type EquipmentDraft } from './equipmentDraft.ts';

const equipment = useEquipment();
const units = useUnits();

const drawer = useRecordDrawer<Equipment, EquipmentDraft>(emptyVessel(), async (target, draft) => {
  const input = draft as EquipmentCreate;
  if (target === 'new') await equipment.add(input);
  else await equipment.change(target, input);
});
const { draft, problem } = drawer;

onMounted(() => equipment.load().catch(sayProblem));

const enter = (empty: EquipmentDraft) => drawer.begin('new', empty);
const edit = (item: Vessel | Blower) => drawer.begin(item, equipmentDraft(item));

const remove = (item: Equipment) =>
  attempt(async () => {
    const removed = await equipment.remove(item);
    say(`"${removed.name}" is off the shelf.`, () => attempt(() => equipment.restore(removed)));
  });
</script>

<template>
  <div class="two">
    <section aria-labelledby="vessels">
      <header>
        <h2 id="vessels">Cups and bottles</h2>
        <Button @click="enter(emptyVessel())">Enter a cup</Button>
      </header>
      <table class="rows">
        <thead>
          <tr>
            <th scope="col">Name</th>
            <th scope="col" class="number">Holds</th>
            <th scope="col" class="number">Weighs empty</th>
            <th scope="col"><span class="visually-hidden">What to do</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="vessel in equipment.vessels" :key="vessel.id">
            <th scope="row">{{ vessel.name }}</th>
            <td class="number">{{ units.show('volume', vessel.capacityMl) }}</td>
            <td class="number">
              {{ vessel.tareMg === null ? 'not weighed' : units.show('mass', vessel.tareMg) }}
            </td>
            <td class="number">
              <RowActions
                :name="vessel.name"
                :take-off="`Take off ${vessel.name}`"
                @change="edit(vessel)"
                @remove="remove(vessel)"
              />
            </td>
          </tr>
        </tbody>
      </table>
    </section>
    <section aria-labelledby="blowers">
      <header>
        <h2 id="blowers">Blowers</h2>
        <Button @click="enter(emptyBlower())">Enter a blower</Button>
      </header>
      <table class="rows">
        <thead>
          <tr>
            <th scope="col">Name</th>
            <th scope="col" class="number">Exit</th>
            <th scope="col" class="number">Air</th>
            <th scope="col"><span class="visually-hidden">What to do</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="blower in equipment.blowers" :key="blower.id">
            <th scope="row">
              {{ blower.name }}
              <span class="soft small">
                {{ airTool(blower.tool).label === blower.name ? '' : airTool(blower.tool).label
                }}{{ blower.baffle ? ', cup baffle' : '' }}
              </span>
            </th>
            <td class="number">{{ units.show('length', blower.exitDiameterMm) }}</td>
            <td class="number">
              <span class="soft small">{{ blower.exitTrust }}</span> {{ blower.exitSpeedMS }} m/s
            </td>
            <td class="number">
              <RowActions
                :name="blower.name"
                :take-off="`Take off ${blower.name}`"
                @change="edit(blower)"
                @remove="remove(blower)"
              />
            </td>
          </tr>
        </tbody>
      </table>
    </section>
  </div>
  <RecordDrawer
    :drawer="drawer"
    form="equipment"
    :title="draft.kind === 'vessel' ? 'A cup or bottle' : 'A blower'"
  >
    <EquipmentForm v-model="draft" :problem="problem" />
  </RecordDrawer>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(420px, 1fr));
  gap: 48px;
}

header {
  display: flex;
  align-items: center;
  justify-content: space-between;
  margin-bottom: 8px;
}

.small {
  font-size: var(--type-note);
  font-weight: var(--weight-plain);
}
</style>
