/** @jest-environment jsdom */
import type { Photo } from '@icy-ribbon/contract';
import { createPinia, setActivePinia } from 'pinia';
import { ApiProblem } from '../api/problem.ts';
import { sendInPieces } from '../api/resumable.ts';
import { dropPhoto, keepPhoto, keptPhotos, type KeptPhoto } from './keptPhotos.ts';
import { usePiece } from './piece/piece.ts';
import { useSending } from './sending.ts';

jest.mock('../api/resumable.ts', () => ({ sendInPieces: jest.fn() }));
jest.mock('./keptPhotos.ts', () => ({ keptPhotos: jest.fn(), keepPhoto: jest.fn(), dropPhoto: jest.fn() }));

const PIECE = { id: 'a piece', name: 'Rain' };
const FILE = new Blob(['picture']);
const problem = (status: number) => new ApiProblem({ type: 'about:blank', title: '', status, detail: 'No.' });

/** What the browser's database holds. */
let held: Map<string, KeptPhoto>;
const send = jest.mocked(sendInPieces);

beforeEach(() => {
  setActivePinia(createPinia());
  held = new Map();
  Object.defineProperty(globalThis, 'crypto', {
    value: { randomUUID: () => `id ${held.size}` },
    configurable: true,
  });
  jest.mocked(keptPhotos).mockImplementation(() => Promise.resolve([...held.values()]));
  jest.mocked(keepPhoto).mockImplementation((photo) => Promise.resolve(void held.set(photo.id, photo)));
  jest.mocked(dropPhoto).mockImplementation((id) => Promise.resolve(void held.delete(id)));
  send.mockReset();
});

const photo = (id: string) => ({ id, state: 'wet' }) as Photo;

it('a photo is kept here until the server has it, with where the first part of it is', async () => {
  const sending = useSending();
  send.mockImplementation((_file, fields, { onUrl, onShare }) => {
    onUrl('/api/uploads/1');
    onShare(0.5);
    expect(held.get(fields.id!)).toMatchObject({ url: '/api/uploads/1', state: 'wet', pieceId: PIECE.id });
    expect([...sending.underway.values()]).toEqual([
      { id: fields.id, pieceName: 'Rain', share: 0.5, waits: false },
    ]);
    return Promise.resolve(photo(fields.id!));
  });
  expect(await sending.send(FILE, PIECE, 'wet')).toMatchObject({ state: 'wet' });
  expect(held.size).toBe(0);
  expect(sending.underway.size).toBe(0);
});

it('it is shown at the piece in hand, and at no other', async () => {
  const sending = useSending();
  const store = usePiece();
  const shown = jest.spyOn(store, 'showPhoto').mockImplementation(() => undefined);
  send.mockImplementation((_file, fields) => Promise.resolve(photo(fields.id!)));
  await sending.send(FILE, PIECE, 'wet');
  expect(shown).not.toHaveBeenCalled();
});

it('what the server will not take is not kept; why is told', async () => {
  const sending = useSending();
  send.mockRejectedValue(problem(422));
  await expect(sending.send(FILE, PIECE, 'dry')).rejects.toThrow('No.');
  expect(held.size).toBe(0);
});

it.each([0, 401, 500, 507])(
  'without a line, a place to write or a welcome (%i) it waits, and goes on when there is one',
  async (status) => {
    const sending = useSending();
    send.mockRejectedValueOnce(problem(status));
    send.mockImplementation((_file, fields) => Promise.resolve(photo(fields.id!)));
    const sent = sending.send(FILE, PIECE, 'wet');
    await new Promise((resolve) => setTimeout(resolve, 20));
    expect([...sending.underway.values()]).toMatchObject([{ waits: true }]);
    expect(held.size).toBe(1);
    window.dispatchEvent(new Event('online'));
    expect(await sent).toMatchObject({ state: 'wet' });
    expect(held.size).toBe(0);
  },
);

it('one that waits can be called off', async () => {
  const sending = useSending();
  send.mockRejectedValue(problem(0));
  const sent = sending.send(FILE, PIECE, 'wet');
  await new Promise((resolve) => setTimeout(resolve, 20));
  sending.stop([...sending.underway.keys()][0]!);
  expect(await sent).toBeNull();
  expect(held.size).toBe(0);
});

it('what another day left behind goes on from where it was', async () => {
  const left: KeptPhoto = {
    ...{ id: 'left', pieceId: PIECE.id, pieceName: 'Rain', state: 'dry', keepOriginal: true },
    ...{ file: FILE, url: '/api/uploads/7', takenAt: '2026-01-01T10:00:00.000Z' },
  };
  held.set(left.id, left);
  send.mockImplementation((_file, fields, { url }) => {
    expect({ url, keepOriginal: fields.keepOriginal }).toEqual({
      url: '/api/uploads/7',
      keepOriginal: 'yes',
    });
    return Promise.resolve(photo(fields.id!));
  });
  const tell = jest.fn();
  await useSending().resume(tell);
  expect(send).toHaveBeenCalledTimes(1);
  expect(tell).not.toHaveBeenCalled();
  expect(held.size).toBe(0);
});
