import type { Photo } from '@icy-ribbon/contract';
import { moveCorners } from '@icy-ribbon/core/picture';
import type { Scene } from '@icy-ribbon/core/piece/rehearse';
import type { usePiece } from '#store/piece/piece.ts';
import type { MeasuredRehearsal } from '#worker/film.worker.ts';

/** A drawn picture as a file. */
export async function fileOf(picture: ImageData, type: 'image/jpeg' | 'image/png'): Promise<Blob> {
  const canvas = new OffscreenCanvas(picture.width, picture.height);
  canvas.getContext('2d')!.putImageData(picture, 0, 0);
  return canvas.convertToBlob({ type, quality: 0.92 });
}

/** Keeps a measured rehearsal with the piece in hand: its picture and the same numbers as of a photo. */
export async function keepRehearsal(
  store: ReturnType<typeof usePiece>,
  scene: Scene,
  { numbers, detail, input, picture }: MeasuredRehearsal,
): Promise<Photo> {
  const photo = await store.attachPhoto(await fileOf(picture, 'image/jpeg'), 'rehearsal');
  const cups = new Set(store.cups.map(({ mix }) => mix.id));
  const paintOf = (name: string) => scene.layers.find((layer) => layer.name === name)?.cupId ?? '';
  const measurement = {
    ...numbers,
    corners: moveCorners(input.corners),
    palette: input.palette.map(({ name, hex }) => ({
      ...{ name, hex },
      cupId: cups.has(paintOf(name)) ? paintOf(name) : null,
    })),
    base: input.base,
    activator: input.activator ?? null,
    measuredAt: new Date().toISOString(),
  };
  await store.keepMeasurement(photo, measurement, detail);
  return photo;
}
