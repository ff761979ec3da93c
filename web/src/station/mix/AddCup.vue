<script setup lang="ts">
import { isPaint } from '@icy-ribbon/core/material';
import { partsFor, schoolsFor } from '@icy-ribbon/core/mix';
import type { CupRole, Technique } from '@icy-ribbon/core/thickness';
import { RadioButton, RadioGroup, Select } from 'ant-design-vue';
import { computed, ref, watch } from 'vue';
import { messageAt } from '../../api/problem.ts';
import QuantityField from '../../field/QuantityField.vue';
import { sayProblem } from '../../notice/notices.ts';
import { usePiece, type Cup } from '../../store/piece.ts';
import { useShelf } from '../../store/shelf.ts';
import { useUnits } from '../../store/units.ts';
import { partsWords, ROLE_LABELS, ROLES_OF } from '../words.ts';

const props = defineProps<{ technique: Technique; cups: readonly Cup[] }>();

/** What an amount field starts from until the artist types another. */
const USUAL_MG: Readonly<Record<CupRole, number>> = {
  base: 150_000,
  color: 40_000,
  pillow: 150_000,
  activator: 15_000,
};

const store = usePiece();
const shelf = useShelf();
const units = useUnits();

const roles = computed(() => ROLES_OF[props.technique]);
const role = ref<CupRole>(missingRole());
const amounts = ref<Record<CupRole, number | null>>({ ...USUAL_MG });
const schoolId = ref('');
const problem = ref<unknown>(null);

/** The ground comes first, then colors. */
function missingRole(): CupRole {
  const ground = ROLES_OF[props.technique][0]!;
  return props.cups.some((cup) => cup.mix.role === ground) ? 'color' : ground;
}

const schools = computed(() => schoolsFor(props.technique, role.value));
watch(schools, (next) => (schoolId.value = next[0]?.id ?? ''), { immediate: true });
const school = computed(() => schools.value.find((each) => each.id === schoolId.value));

const schoolOptions = computed(() =>
  schools.value.map((each) => ({
    value: each.id,
    label: `${each.name}, ${partsWords(each.parts.map((part) => part.parts))}`,
  })),
);

const paints = computed(() =>
  shelf.materials.filter((material) =>
    role.value === 'pillow'
      ? material.kind === 'wall-paint'
      : isPaint(material.kind) && material.kind !== 'wall-paint',
  ),
);

const inUse = computed(
  () => new Set(props.cups.flatMap((cup) => cup.mix.ingredients.map((each) => each.material.materialId))),
);

async function add(paintId: string): Promise<void> {
  problem.value = null;
  const totalMg = amounts.value[role.value];
  try {
    await store.addCup({
      role: role.value,
      schoolId: schoolId.value as never,
      paintId,
      totalMg: totalMg ?? 0,
    });
    if (role.value === roles.value[0]) role.value = 'color';
  } catch (error) {
    problem.value = error;
    if (!messageAt(error, 'totalMg')) sayProblem(error);
  }
}
</script>

<template>
  <section aria-label="Put a cup on the bench">
    <div class="controls">
      <RadioGroup v-model:value="role" name="cup-role" aria-label="What the cup is for">
        <RadioButton v-for="each in roles" :key="each" :value="each">{{ ROLE_LABELS[each] }}</RadioButton>
      </RadioGroup>
      <Select v-model:value="schoolId" class="school" :options="schoolOptions" aria-label="Recipe" />
      <QuantityField
        v-model="amounts[role]"
        class="amount"
        label="Amount of the new cup"
        quantity="mass"
        bare
        :error="messageAt(problem, 'totalMg')"
      />
      <p v-if="school" class="soft words">Good for: {{ school.goodFor }}. Watch: {{ school.trouble }}.</p>
    </div>
    <ul class="swatches">
      <li v-for="paint in paints" :key="paint.id">
        <button
          class="plain-button"
          :aria-label="`Put a cup of ${paint.name} on the bench`"
          :title="
            school
              ? `${partsWords(partsFor(school, paint.finish).map((part) => part.parts))}, ${units.show('mass', amounts[role] ?? 0)}`
              : ''
          "
          @click="add(paint.id)"
        >
          <span class="swatch" :style="{ background: paint.colorHex }"></span>
          <span class="name" :class="{ used: inUse.has(paint.id) }">{{ paint.name }}</span>
        </button>
      </li>
      <li v-if="paints.length === 0" class="soft">
        No paint for this on the shelf. <RouterLink to="/shelf">Enter one</RouterLink>.
      </li>
    </ul>
  </section>
</template>

<style scoped>
section {
  padding: 10px 24px 12px;
  border-top: 1px solid var(--rule);
  background: var(--paper);
}

.controls {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 12px;
}

.school {
  width: 320px;
}

.amount {
  width: 118px;
}

.words {
  flex: 1;
  min-width: 220px;
  font-size: 13px;
  line-height: 1.3;
}

.swatches {
  display: flex;
  gap: 4px;
  margin: 8px 0 0;
  padding: 0 0 4px;
  overflow-x: auto;
  list-style: none;
}

.swatches button {
  display: grid;
  gap: 2px;
  width: 74px;
  padding: 2px;
  text-align: center;
}

.swatches button:hover .swatch {
  border-color: var(--ink);
}

.swatch {
  height: 30px;
  border: 1px solid var(--ice-deep);
  border-radius: 50% 46% 52% 44%;
}

.name {
  font-size: 13px;
  line-height: 1.15;
}

.used {
  color: var(--ink-soft);
  font-style: italic;
}
</style>
