<script setup lang="ts">
import { Button } from 'ant-design-vue';
import { ref } from 'vue';
import { useRouter } from 'vue-router';
import { ApiProblem, fieldProblem } from '#api/problem.ts';
import { say, sayProblem } from '#notice/notices.ts';
import { usePieces } from '#store/pieces.ts';

/** Brings in a piece that was exported as JSON, here or elsewhere. */
const store = usePieces();
const router = useRouter();
const chooser = ref<HTMLInputElement | null>(null);

async function read(file: File | undefined): Promise<void> {
  if (!file) return;
  try {
    const result = await store.importDocument(file);
    if (!result) return;
    say(result.copied ? 'This piece was here already: it came in as a copy.' : 'The piece is in.');
    await router.push({ name: 'result', params: { pieceId: result.pieceId } });
  } catch (error) {
    sayProblem(worded(error, file.name));
  }
}

/** A refusal with the name of the file, so that one of several can be told. */
function worded(error: unknown, name: string): unknown {
  if (!(error instanceof ApiProblem)) return error;
  if (error.problem.status === 400) {
    return fieldProblem('file', `"${name}" is no JSON file: choose one that was exported here.`);
  }
  const [first] = error.fieldErrors;
  return first
    ? fieldProblem('file', `"${name}" does not fit at ${first.path || 'the top'}: ${first.message}`)
    : error;
}

function chosen(event: Event): void {
  const input = event.target as HTMLInputElement;
  void read(input.files?.[0]);
  input.value = '';
}
</script>

<template>
  <input
    ref="chooser"
    class="visually-hidden"
    type="file"
    accept="application/json,.json"
    tabindex="-1"
    aria-label="A piece as JSON"
    @change="chosen"
  />
  <Button type="link" @click="chooser?.click()">Import a piece</Button>
</template>
