<script setup lang="ts">
import { Button, Input } from 'ant-design-vue';
import { ref, watch } from 'vue';
import { messageAt } from '#api/problem.ts';
import FieldRow from '#field/FieldRow.vue';
import { say, sayProblem } from '#notice/notices.ts';
import { useSafekeeping } from '#store/safekeeping.ts';

/** A folder that every backup is copied to as well: a second disk, a stick. */
const keeping = useSafekeeping();
const path = ref(keeping.shown?.secondFolder ?? '');
const problem = ref<string | undefined>();
const busy = ref(false);

watch(
  () => keeping.shown?.secondFolder,
  (now) => (path.value = now ?? ''),
);

async function choose(next: string | null): Promise<void> {
  busy.value = true;
  problem.value = undefined;
  try {
    await keeping.chooseSecond(next);
    say(
      next === null ? 'Backups stay in the data folder only.' : 'Every backup from now on goes there, too.',
    );
  } catch (error) {
    problem.value = messageAt(error, 'path');
    if (problem.value === undefined) sayProblem(error);
  } finally {
    busy.value = false;
  }
}
</script>

<template>
  <section aria-labelledby="second-folder">
    <h2 id="second-folder">A second folder</h2>
    <p class="soft">
      A copy beside the original is lost with its disk. Enter a folder on another disk or stick, and every
      backup is copied there, photos too. The copies get a folder of their own inside, and nothing else in
      there is touched.
    </p>
    <p v-if="keeping.shown?.isSameDisk" class="care">
      This folder is on the same disk as the studio. Its photos are hard links to the same files, so a failing
      disk takes both. A folder on another disk gets real copies.
    </p>
    <form class="row abreast gap-12" @submit.prevent="choose(path.trim() || null)">
      <FieldRow label="Folder" for="second-path" :error="problem">
        <Input id="second-path" v-model:value="path" placeholder="/media/stick/icy-ribbon" />
      </FieldRow>
      <Button html-type="submit" :loading="busy">Use it</Button>
      <Button v-if="keeping.shown?.secondFolder" type="link" :disabled="busy" @click="choose(null)">
        Stop using it
      </Button>
    </form>
  </section>
</template>

<style scoped>
.care {
  margin: 0 0 12px;
  padding: 8px 12px;
  border-left: 4px solid var(--alarm);
}

.row {
  align-items: end;
}

.row > :first-child {
  flex: 1;
  max-width: 560px;
}
</style>
