import type { Measurement, Photo, PhotoDetail } from '@icy-ribbon/contract';
import { api } from '@icy-ribbon/contract/addresses';
import { call, upload } from '#api/client.ts';
import { sendVersioned } from '../versioned.ts';
import type { InHand } from './inHand.ts';

/** What is done to the photos of the piece in hand. */
export function photoWrites(hand: InHand) {
  /** Shows a photo as the server has it. */
  function replacePhoto(photo: Photo): void {
    const list = photo.state === 'rehearsal' ? 'rehearsals' : 'photos';
    const known = hand.current()[list];
    const next = known.some((each) => each.id === photo.id)
      ? known.map((each) => (each.id === photo.id ? photo : each))
      : [...known, photo];
    hand.change({ [list]: next });
  }

  /** Lets the camera stand-in take a photo. */
  async function takePhoto(state: 'wet' | 'dry'): Promise<Photo> {
    const body = { id: crypto.randomUUID(), state, megapixels: 3 };
    const photo = await call(api.photos.shutter, { params: { pieceId: hand.current().id }, body });
    replacePhoto(photo);
    return photo;
  }

  async function keepMeasurement(photo: Photo, measurement: Measurement, detail: PhotoDetail): Promise<void> {
    const changed = await sendVersioned(photo.version, {}, (version) =>
      call(api.photos.measure, { params: { id: photo.id }, body: { version, measurement, detail } }),
    );
    if (changed) replacePhoto(changed);
    else await hand.reload();
  }

  async function attachPhoto(file: Blob, state: Photo['state']): Promise<Photo> {
    const form = new FormData();
    form.set('id', crypto.randomUUID());
    form.set('state', state);
    form.set('photo', file);
    const photo = await upload(api.photos.upload, form, { pieceId: hand.current().id });
    replacePhoto(photo);
    return photo;
  }

  async function removePhoto({ id, version }: Photo): Promise<Photo> {
    const removed = await call(api.photos.remove, { params: { id }, query: { version } });
    const without = (list: readonly Photo[]) => list.filter((photo) => photo.id !== id);
    const { photos, rehearsals } = hand.current();
    hand.change({ photos: without(photos), rehearsals: without(rehearsals) });
    return removed;
  }

  async function restorePhoto({ id, version }: Photo): Promise<void> {
    await call(api.photos.restore, { params: { id }, body: { version } });
    await hand.reload();
  }

  return { showPhoto: replacePhoto, attachPhoto, takePhoto, keepMeasurement, removePhoto, restorePhoto };
}
