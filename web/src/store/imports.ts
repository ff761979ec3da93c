import type { ImportJob } from '@icy-ribbon/contract';
import { api } from '@icy-ribbon/contract/addresses';
import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';
import { call } from '../api/client.ts';
import { ApiProblem } from '../api/problem.ts';

type Result = NonNullable<ImportJob['result']>;

const ASK_MS = 300;
const isOver = ({ state }: ImportJob) => state === 'done' || state === 'refused' || state === 'cancelled';
const pause = () => new Promise((resolve) => setTimeout(resolve, ASK_MS));

/** A file on its way in, which the server reads beside everything else. */
export const useImports = defineStore('imports', () => {
  const job = shallowRef<ImportJob | null>(null);

  /**
   * Follows a file that was sent until it is in.
   *
   * @returns what came of it, `undefined` when it was called off
   * @throws ApiProblem when it was refused; nothing of it was kept then
   */
  async function follow(sent: Promise<ImportJob>): Promise<Result | undefined> {
    try {
      job.value = await sent;
      while (!isOver(job.value)) {
        await pause();
        job.value = await call(api.imports.get, { params: { id: job.value.id } });
      }
      const { problem, result } = job.value;
      if (problem) throw new ApiProblem(problem);
      return result ?? undefined;
    } finally {
      job.value = null;
    }
  }

  async function cancel(): Promise<void> {
    if (job.value) await call(api.imports.cancel, { params: { id: job.value.id } });
  }

  /** How far it has come, 0 to 1. */
  const share = computed(() => (job.value && job.value.total > 0 ? job.value.done / job.value.total : 0));

  return { job, share, follow, cancel };
});
