<script setup lang="ts">
import type { ArchiveResult } from '@icy-ribbon/contract';
import { Button, Popover } from 'ant-design-vue';
import { ref } from 'vue';
import { say, sayProblem } from '#notice/notices.ts';
import { usePieces } from '#store/pieces.ts';

/** Everything out and in again. */
defineProps<{ search: string }>();
const store = usePieces();
const chooser = ref<HTMLInputElement | null>(null);
const busy = ref(false);
const open = ref(false);

async function bringIn(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  if (!file) return;
  busy.value = true;
  open.value = false;
  try {
    const result = await store.importStudio(file);
    if (result) say(cameIn(result));
  } catch (error) {
    sayProblem(error);
  } finally {
    busy.value = false;
    input.value = '';
  }
}

function cameIn({ pieces, photosMissing }: ArchiveResult): string {
  const kept = pieces.kept > 0 ? `, ${pieces.kept} were here already and were left as they are` : '';
  const missing = photosMissing > 0 ? ` ${photosMissing} photos were missing where it was written.` : '';
  return `${pieces.added} pieces came in${kept}.${missing}`;
}
</script>

<template>
  <Popover v-model:open="open" trigger="click" placement="bottomRight" title="Out and in">
    <template #content>
      <div class="files stacked">
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
        <RouterLink :to="{ name: 'safekeeping' }">Backups</RouterLink>
      </div>
    </template>
    <Button type="link">Files</Button>
  </Popover>
</template>
