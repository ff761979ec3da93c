import { onBeforeUnmount, ref, shallowRef } from 'vue';
import type { FrameCorners } from '../../drawing/corners.ts';
import { useTask } from '../../notice/useTask.ts';
import { photoWorker } from '../../worker/photo.ts';

/** A picture that was chosen to be read, and the corners of what it shows. */
export function usePicture(shape: () => 'rectangle' | 'round' = () => 'rectangle') {
  /** Why it could not be read, and what to do. */
  const trouble = ref<string | null>(null);
  const { busy, run: runTask } = useTask((error) => {
    trouble.value = error instanceof Error ? error.message : String(error);
  });
  let turn: Promise<unknown> = Promise.resolve();
  /** One after the other: what is asked meanwhile is not lost. */
  function run<Result>(work: () => Promise<Result>): Promise<Result | undefined> {
    const mine = turn.then(() => {
      trouble.value = null;
      return runTask(work);
    });
    turn = mine;
    return mine;
  }
  const file = shallowRef<File | null>(null);
  const src = ref('');
  const size = ref({ widthPx: 1, heightPx: 1 });
  const corners = ref<FrameCorners | null>(null);
  /** The thing could not be told from what it lies on: its corners are to be pulled. */
  const isUnsure = ref(false);

  async function take(given: File): Promise<void> {
    await run(async () => {
      const opened = await photoWorker().openPicture(given, shape());
      URL.revokeObjectURL(src.value);
      src.value = URL.createObjectURL(given);
      file.value = given;
      size.value = { widthPx: opened.widthPx, heightPx: opened.heightPx };
      corners.value = opened.corners.map(([x, y]) => [x, y]) as FrameCorners;
      isUnsure.value = !opened.isSure;
    });
  }

  function drop(): void {
    URL.revokeObjectURL(src.value);
    src.value = '';
    file.value = null;
    corners.value = null;
  }
  onBeforeUnmount(drop);

  return { busy, run, trouble, file, src, size, corners, isUnsure, take, drop };
}
