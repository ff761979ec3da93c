import type { Photo } from '@icy-ribbon/contract';
import { useEventListener, useStorage } from '@vueuse/core';
import { defineStore } from 'pinia';
import { shallowReactive } from 'vue';
import { ApiProblem } from '../api/problem.ts';
import { sendInPieces } from '../api/resumable.ts';
import { dropPhoto, keepPhoto, keptPhotos, type KeptPhoto } from './keptPhotos.ts';
import { usePiece } from './piece/piece.ts';

/** A photo on its way, as it is shown. */
export interface SentPhoto {
  readonly id: string;
  readonly pieceName: string;
  /** How much the server has, 0 to 1. */
  readonly share: number;
  /** The server cannot be reached: it goes on by itself. */
  readonly waits: boolean;
}

const AGAIN_MS = 10_000;

/** Photos on their way to the server: they go on from any page, after a broken line, and after a reload. */
export const useSending = defineStore('sending', () => {
  const store = usePiece();
  const underway = shallowReactive(new Map<string, SentPhoto>());
  const stops = new Map<string, AbortController>();
  /** The camera's own file is kept on the server's machine as well. */
  const keepOriginal = useStorage('icy-ribbon.keep-original', false);

  /**
   * Sends a photo of a piece.
   *
   * @returns the photo; null when it was called off
   * @throws ApiProblem when the server will not take it
   */
  async function send(
    file: Blob,
    of: { readonly id: string; readonly name: string },
    state: Photo['state'],
  ): Promise<Photo | null> {
    const kept: KeptPhoto = {
      id: crypto.randomUUID(),
      ...{ pieceId: of.id, pieceName: of.name, state, file, url: null },
      keepOriginal: keepOriginal.value,
      takenAt: new Date().toISOString(),
    };
    await keepPhoto(kept);
    return deliver(kept);
  }

  /** One tab sends a photo, where the browser can tell tabs apart. */
  function deliver(kept: KeptPhoto): Promise<Photo | null> {
    if (!('locks' in navigator)) return sendKept(kept);
    return navigator.locks.request(`icy-ribbon-photo-${kept.id}`, { ifAvailable: true }, (lock) =>
      lock ? sendKept(kept) : null,
    );
  }

  async function sendKept(given: KeptPhoto): Promise<Photo | null> {
    let kept = given;
    const { id, pieceName } = kept;
    const stop = new AbortController();
    stops.set(id, stop);
    const show = (share: number, waits = false) => underway.set(id, { id, pieceName, share, waits });
    show(0);
    try {
      for (;;) {
        try {
          const { pieceId, state, file, url } = kept;
          const fields = { id, pieceId, state, keepOriginal: kept.keepOriginal ? 'yes' : 'no' };
          const photo = await sendInPieces(file, fields, {
            url,
            signal: stop.signal,
            onUrl: (at) => {
              kept = { ...kept, url: at };
              void keepPhoto(kept);
            },
            onShare: show,
          });
          if (photo && store.piece?.id === pieceId) store.showPhoto(photo);
          await dropPhoto(id);
          return photo;
        } catch (error) {
          if (isRefused(error)) {
            // What the server will not take, it will not take later.
            await dropPhoto(id);
            throw error;
          }
          show(underway.get(id)?.share ?? 0, true);
          await soon(stop.signal);
          if (stop.signal.aborted) {
            await dropPhoto(id);
            return null;
          }
        }
      }
    } finally {
      underway.delete(id);
      stops.delete(id);
    }
  }

  /** Goes on with what a reload or another day left behind. */
  async function resume(tell: (error: unknown) => void): Promise<void> {
    for (const kept of await keptPhotos()) {
      if (!underway.has(kept.id)) await deliver(kept).catch(tell);
    }
  }

  const stop = (id: string) => stops.get(id)?.abort();

  return { underway, keepOriginal, send, stop, resume };
});

const UNKNOWN_DEVICE = 401;

/** Whether a photo itself is at fault: not the line, a full disk, or a device that has to join again. */
function isRefused(error: unknown): boolean {
  if (!(error instanceof ApiProblem)) return true;
  const { status = 0 } = error.problem;
  return status >= 400 && status < 500 && status !== UNKNOWN_DEVICE;
}

/** A while, or until the line is there again. */
function soon(signal: AbortSignal): Promise<void> {
  return new Promise((resolve) => {
    const timer = setTimeout(done, AGAIN_MS);
    const quiet = [useEventListener(window, 'online', done), useEventListener(signal, 'abort', done)];
    function done(): void {
      clearTimeout(timer);
      for (const off of quiet) off();
      resolve();
    }
  });
}
