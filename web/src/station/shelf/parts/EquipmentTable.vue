<script setup lang="ts">
import type { Equipment, EquipmentCreate } from '@icy-ribbon/contract';
import { airTool } from '@icy-ribbon/core/flow/air';
import { Button, Drawer } from 'ant-design-vue';
import { onMounted, ref, shallowRef } from 'vue';
import { say, sayProblem } from '../../../notice/notices.ts';
import { useEquipment } from '../../../store/equipment.ts';
import { useUnits } from '../../../store/units.ts';
import EquipmentForm from './EquipmentForm.vue';
import { emptyBlower, emptyVessel, equipmentDraft, type EquipmentDraft } from './equipmentDraft.ts';

const equipment = useEquipment();
const units = useUnits();
const editing = shallowRef<Equipment | 'new' | null>(null);
const draft = ref<EquipmentDraft>(emptyVessel());
const problem = ref<unknown>(null);

onMounted(() => equipment.load().catch(sayProblem));

function enter(empty: EquipmentDraft): void {
  editing.value = 'new';
  draft.value = empty;
  problem.value = null;
}

function edit(item: Equipment): void {
  editing.value = item;
  draft.value = equipmentDraft(item);
  problem.value = null;
}

async function save(): Promise<void> {
  if (!editing.value) return;
  problem.value = null;
  try {
    const input = draft.value as EquipmentCreate;
    if (editing.value === 'new') await equipment.add(input);
    else await equipment.change(editing.value, input);
    editing.value = null;
  } catch (error) {
    problem.value = error;
  }
}

async function remove(item: Equipment): Promise<void> {
  try {
    const removed = await equipment.remove(item);
    say(`"${removed.name}" is off the shelf.`, () => equipment.restore(removed).catch(sayProblem));
  } catch (error) {
    sayProblem(error);
  }
}
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
              <Button type="link" size="small" :aria-label="`Change ${vessel.name}`" @click="edit(vessel)">
                Change
              </Button>
              <Button
                type="link"
                size="small"
                :aria-label="`Take off ${vessel.name}`"
                @click="remove(vessel)"
              >
                Take off
              </Button>
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
              <Button type="link" size="small" :aria-label="`Change ${blower.name}`" @click="edit(blower)">
                Change
              </Button>
              <Button
                type="link"
                size="small"
                :aria-label="`Take off ${blower.name}`"
                @click="remove(blower)"
              >
                Take off
              </Button>
            </td>
          </tr>
        </tbody>
      </table>
    </section>
  </div>
  <Drawer
    :open="editing !== null"
    :title="draft.kind === 'vessel' ? 'A cup or bottle' : 'A blower'"
    :width="400"
    @close="editing = null"
  >
    <form id="equipment" @submit.prevent="save">
      <EquipmentForm v-model="draft" :problem="problem" />
    </form>
    <template #footer>
      <Button type="primary" html-type="submit" form="equipment">Keep it</Button>
      <Button type="text" @click="editing = null">Leave it</Button>
    </template>
  </Drawer>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(420px, 1fr));
  gap: 40px;
}

header {
  display: flex;
  align-items: center;
  justify-content: space-between;
  margin-bottom: 8px;
}

.small {
  font-size: 13px;
  font-weight: 400;
}
</style>
