<script setup lang="ts">
import { isPlanFix, type Fix } from '@icy-ribbon/core/piece/check';
import { CAUTIONS } from '@icy-ribbon/core/paint/caution';
import { Button } from 'ant-design-vue';
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import { usePlan } from '#store/plan/plan.ts';
import { useUnits } from '#store/units.ts';
import { alikeRows } from '#words/alike.ts';
import { findingWords, fixWords } from '#words/finding.ts';

/** What is to be seen to before the pour, worst first; each with its number and what mends it. */
const props = defineProps<{ pieceId: string }>();
const emit = defineEmits<{ mix: [cupId: string | null] }>();

const plan = usePlan();
const units = useUnits();
const router = useRouter();

const LEVEL_WORDS = { wrong: 'Wrong', look: 'Look', do: 'To do' } as const;

const clean = computed(() => plan.reckoning.wrong === null && plan.findings.length === 0);

/** Does what one finding asks for, or all that are alike. */
function mendAll(fixes: readonly Fix[]): void {
  const [first] = fixes;
  if (!first) return;
  if (fixes.length > 1 && first.kind === 'mix') emit('mix', null);
  else if (isPlanFix(first) || first.kind === 'tick') fixes.forEach(mend);
  else mend(first);
}

function mend(fix: Fix): void {
  if (isPlanFix(fix)) plan.mend(fix);
  else if (fix.kind === 'tick') plan.tick(fix.id);
  else if (fix.kind === 'mix') emit('mix', fix.cupId);
  else void router.push({ name: fix.to, params: { pieceId: props.pieceId } });
}

/** The findings with what is said of each; those that say the same of several cups are one. */
const said = computed(() =>
  alikeRows(plan.findings).map(({ findings, words }) => {
    const finding = findings[0]!;
    const { fix, level, id, code } = finding;
    const each = findings.map((one) => findingWords(one, units.chosen));
    return {
      id,
      level,
      isEmpty: code === 'empty',
      fixes: findings.flatMap((one) => one.fix ?? []),
      mends: fix && fixWords(fix, units.chosen),
      words: words ?? each[0]!.words,
      because: words ? [...new Set(each.map(({ because }) => because))].join('; ') : each[0]!.because,
    };
  }),
);
</script>

<template>
  <section aria-label="The check">
    <p v-if="plan.reckoning.wrong" class="alarm" role="alert">{{ plan.reckoning.wrong }}</p>
    <p v-else-if="clean" class="clean">Nothing is left to see to. Pour it.</p>
    <ul>
      <li v-for="finding in said" :key="finding.id" :class="finding.isEmpty ? 'do' : finding.level">
        <p>
          <strong v-if="!finding.isEmpty">{{ LEVEL_WORDS[finding.level] }}</strong> {{ finding.words }}
        </p>
        <p v-if="!finding.isEmpty" class="soft small">{{ finding.because }}</p>
        <Button
          v-if="finding.fixes.length > 0"
          size="small"
          :aria-label="`${finding.mends}: ${finding.words}`"
          @click="mendAll(finding.fixes)"
        >
          {{ finding.mends }}
        </Button>
      </li>
    </ul>
    <p class="soft small">{{ CAUTIONS.deferral }}</p>
  </section>
</template>

<style scoped>
ul {
  margin: 0 0 12px;
}

li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0 8px;
  align-items: center;
  padding: 6px 0 6px 8px;
  margin-bottom: 6px;
  border-left: 3px solid var(--ice-deep);
}

li p:first-child {
  grid-column: 1 / -1;
}

li.wrong {
  border-left-color: var(--alarm);
}

li.look {
  border-left-color: var(--brass);
  color: var(--ink);
}

.clean {
  padding: 12px 0;
  font-size: var(--type-lead);
  font-weight: var(--weight-strong);
}
</style>
