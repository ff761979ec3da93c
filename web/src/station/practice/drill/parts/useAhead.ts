import { proxy } from 'comlink';
import { onBeforeUnmount, ref } from 'vue';
import { newFilmWorker } from '#worker/workers.ts';

type Remote = ReturnType<typeof newFilmWorker>['remote'];
type Progress = (share: number) => void;

/** Something worked out in a film worker of its own while the artist plays. */
export function useAhead() {
  const { remote, stop } = newFilmWorker();
  const share = ref(0);
  onBeforeUnmount(stop);
  return {
    /** How far it has come, 0 to 1. */
    share,
    work: <Value>(ask: (remote: Remote, onProgress: Progress) => Promise<Value>): Promise<Value> =>
      ask(
        remote,
        proxy((done: number) => (share.value = done)),
      ),
  };
}
