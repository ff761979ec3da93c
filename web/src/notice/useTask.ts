import { ref, type Ref } from 'vue';
import { sayProblem } from './notices.ts';

export interface RunningTask {
  /** Whether it runs. */
  readonly busy: Ref<boolean>;
  /**
   * Runs it unless it runs already; what goes wrong is told.
   *
   * @returns what it gave; undefined when it failed or was not started
   */
  run<Result>(work: () => Promise<Result>): Promise<Result | undefined>;
}

/**
 * Something a button starts that takes a while and may fail.
 *
 * @param tell what is done with a failure: told as a notice where nothing is said
 */
export function useTask(tell: (error: unknown) => void = sayProblem): RunningTask {
  const busy = ref(false);
  return {
    busy,
    async run(work) {
      if (busy.value) return undefined;
      busy.value = true;
      try {
        return await work();
      } catch (error) {
        tell(error);
        return undefined;
      } finally {
        busy.value = false;
      }
    },
  };
}

/** Does something at once, whatever else is under way; what goes wrong is told. @returns undefined when it failed */
export async function attempt<Result>(work: () => Promise<Result>): Promise<Result | undefined> {
  try {
    return await work();
  } catch (error) {
    sayProblem(error);
    return undefined;
  }
}
