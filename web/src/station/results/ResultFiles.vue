<script setup lang="ts">
import { archiveResultSchema } from '@icy-ribbon/contract';
import { Button, Popover } from 'ant-design-vue';
import { ref } from 'vue';
import { upload } from '../../api/client.ts';
import { say, sayProblem } from '../../notice/notices.ts';
import { usePieces } from '../../store/pieces.ts';

/** Everything out and in again. */
defineProps<{ search: string }>();
const store = usePieces();
const chooser = ref<HTMLInputElement | null>(null);
const busy = ref(false);

async function bringIn(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  if (!file) return;
  busy.value = true;
  try {
    const form = new FormData();
    form.set('archive', file);
    const { pieces } = await upload('/api/archive', form, archiveResultSchema);
    await store.load();
    say(
      `${pieces.added} pieces came in${pieces.kept > 0 ? `, ${pieces.kept} were here already and were left as they are` : ''}.`,
    );
  } catch (error) {
    sayProblem(error);
  } finally {
    busy.value = false;
    input.value = '';
  }
}
</script>

<template>
  <Popover trigger="click" placement="bottomRight" title="Out and in">
    <template #content>
      <div class="files">
        <a href="/api/archive.zip" download>Everything as one zip, photos too</a>
        <a :href="`/api/pieces.csv?${search}`" download>This list as CSV</a>
        <a href="/api/mixes.csv" download>All mixes as CSV</a>
        <a href="/api/passes.csv" download>All passes as CSV</a>
        <input
          ref="chooser"
          class="visually-hidden"
          type="file"
          accept=".zip,application/zip"
          tabindex="-1"
          aria-label="A studio as a zip"
          @change="bringIn"
        />
        <Button :loading="busy" @click="chooser?.click()">Bring in a zip</Button>
      </div>
    </template>
    <Button type="link">Files</Button>
  </Popover>
</template>

<style scoped>
.files {
  display: grid;
  gap: 10px;
}
</style>
