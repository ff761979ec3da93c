<script setup lang="ts">
import { TECHNIQUES } from '@icy-ribbon/core/paint/stage';
import { Button, Input, RadioButton, RadioGroup, Select } from 'ant-design-vue';
import { computed, onMounted, ref, watchEffect } from 'vue';
import { useRouter } from 'vue-router';
import { messageAt } from '#api/problem.ts';
import FieldRow from '#field/FieldRow.vue';
import { sayProblem } from '#notice/notices.ts';
import { usePieces } from '#store/pieces.ts';
import { emptyStart, useStartDraft } from './startDraft.ts';
import { useShelf } from '#store/shelf.ts';
import AimFields from '#field/AimFields.vue';
import NumberField from '#field/NumberField.vue';
import SupportForm from '#field/SupportForm.vue';
import { TECHNIQUE_LABELS } from '#words/general.ts';
import HowMuch from './HowMuch.vue';
import { useSupportChoice } from '#field/useSupportChoice.ts';

const props = defineProps<{
  closable: boolean;
  /** It was asked for: the name comes first. */ asked: boolean;
}>();
const emit = defineEmits<{ close: [] }>();

const shelf = useShelf();
onMounted(() => {
  if (props.asked) document.getElementById('piece-name')?.focus();
  shelf.load().catch(sayProblem);
});

const pieces = usePieces();
const router = useRouter();

const typed = useStartDraft();
const problem = ref<unknown>(null);
const busy = ref(false);

const part = <Key extends 'supportId' | 'support'>(key: Key) =>
  computed({ get: () => typed.value[key], set: (next) => (typed.value[key] = next) });
const { options, isNew, support, keep } = useSupportChoice(part('supportId'), part('support'));

watchEffect(() => {
  if (shelf.supports.length === 0) return;
  const known = shelf.supports.some(({ id }) => id === typed.value.supportId);
  if (!known && !isNew.value) typed.value.supportId = shelf.supports[0]?.id ?? '';
});

async function start(): Promise<void> {
  busy.value = true;
  problem.value = null;
  try {
    // Whoever is quicker than the shelf gets the support that stands first.
    await shelf.ensure();
    const { name, technique, aims, colors } = typed.value;
    const supportId = await keep();
    const pieceId = await pieces.start({ name, technique, supportId, aims, colors });
    typed.value = { ...emptyStart(), technique, supportId, colors };
    await router.push({ name: 'mix', params: { pieceId } });
  } catch (error) {
    problem.value = error;
    if (!messageAt(error, 'name') && !isNew.value) sayProblem(error);
  } finally {
    busy.value = false;
  }
}
</script>

<template>
  <section aria-labelledby="start-piece">
    <header>
      <h2 id="start-piece">Start a piece</h2>
      <Button v-if="closable" size="small" type="text" @click="emit('close')">Not now</Button>
    </header>
    <form @submit.prevent="start">
      <FieldRow label="Name" for="piece-name" :error="isNew ? undefined : messageAt(problem, 'name')">
        <Input
          id="piece-name"
          v-model:value="typed.name"
          placeholder="What will you call it?"
          autocomplete="off"
        />
      </FieldRow>
      <FieldRow label="Technique" for="piece-technique">
        <RadioGroup id="piece-technique" v-model:value="typed.technique" name="technique">
          <RadioButton v-for="each in TECHNIQUES" :key="each" :value="each">
            {{ TECHNIQUE_LABELS[each] }}
          </RadioButton>
        </RadioGroup>
      </FieldRow>
      <FieldRow label="Support" for="piece-support" :error="messageAt(problem, 'supportId')">
        <Select id="piece-support" v-model:value="typed.supportId" :options="options" />
      </FieldRow>
      <NumberField
        v-model="typed.colors"
        label="Colors"
        unit=""
        :digits="0"
        :error="messageAt(problem, 'colors')"
      />
      <details>
        <summary class="soft">What you want of it</summary>
        <AimFields v-model="typed.aims" :technique="typed.technique" />
      </details>
      <SupportForm v-if="isNew" v-model="typed.support" :problem="problem" />
      <HowMuch
        v-if="support"
        :support="support"
        :technique="typed.technique"
        :colors="typed.colors"
        :aims="typed.aims"
      />
      <Button type="primary" html-type="submit" size="large" :loading="busy">Start and mix</Button>
    </form>
  </section>
</template>

<style scoped>
header {
  display: flex;
  align-items: center;
  justify-content: space-between;
  min-height: 32px;
}

form {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
  margin-top: 12px;
}
</style>
