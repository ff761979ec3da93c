import { api } from '@icy-ribbon/contract/addresses';
import { defineStore } from 'pinia';
import { call } from '../api/client.ts';

/** What can be done to any cup on the table, whichever piece it belongs to. */
export const useCups = defineStore('cups', () => {
  const move = (id: string, kind: 'loss' | 'thrown', mg: number) =>
    call(api.mixes.move, { params: { id }, body: { id: crypto.randomUUID(), kind, mg } });

  return {
    noteLoss: (id: string, mg: number) => move(id, 'loss', mg),
    throwOut: (id: string, mg: number) => move(id, 'thrown', mg),
    setLid: ({ id, version }: { id: string; version: number }, lid: boolean) =>
      call(api.mixes.update, { params: { id }, body: { version, lid } }),
    combine: (pieceId: string, name: string, cupIds: readonly string[]) =>
      call(api.mixes.combine, {
        params: { pieceId },
        body: { id: crypto.randomUUID(), name, cupIds: [...cupIds] },
      }),
  };
});
