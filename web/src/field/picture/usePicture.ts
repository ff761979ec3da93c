import { onBeforeUnmount, ref, shallowRef } from 'vue';
import type { FrameCorners } from '#drawing/corners.ts';
import { useTask } from '#notice/useTask.ts';
import { photoWorker } from '#worker/workers.ts';

/**
 * A picture that was chosen to be read, and the corners of what it shows.
 *
 * @param read reads it, once its corners are known and again when they were moved
 */
export function usePicture(
  read: (file: File, corners: FrameCorners) => Promise<void>,
  shape: () => 'rectangle' | 'round' = () => 'rectangle',
) {
  /** Why it could not be read, and what to do. */
  const trouble = ref<string | null>(null);
  const { busy, run } = useTask((error) => {
    trouble.value = error instanceof Error ? error.message : String(error);
  });
  let turn: Promise<unknown> = Promise.resolve();
  /** One after the other: what is asked meanwhile is not lost. */
  function inTurn(work: () => Promise<void>): Promise<void> {
    const mine = turn.then(() => {
      trouble.value = null;
      return run(work);
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
  /** Its corners are being pulled. */
  const isMoving = ref(false);

  async function readNow(): Promise<void> {
    if (!file.value || !corners.value) return;
    await read(file.value, corners.value);
    isMoving.value = false;
  }

  /** Takes another picture in place of the one before; one that cannot be opened leaves none. */
  const take = (given: File) =>
    inTurn(async () => {
      drop();
      const opened = await photoWorker().openPicture(given, shape());
      src.value = URL.createObjectURL(given);
      file.value = given;
      size.value = { widthPx: opened.widthPx, heightPx: opened.heightPx };
      corners.value = opened.corners.map(([x, y]) => [x, y]) as FrameCorners;
      isUnsure.value = !opened.isSure;
      isMoving.value = isUnsure.value;
      if (!isUnsure.value) await readNow();
    });

  function drop(): void {
    URL.revokeObjectURL(src.value);
    src.value = '';
    file.value = null;
    corners.value = null;
    isMoving.value = false;
  }
  onBeforeUnmount(drop);

  const readAgain = () => inTurn(readNow);
  return { busy, trouble, file, src, size, corners, isUnsure, isMoving, take, readAgain, drop };
}
