import {
  api,
  type ImportResult,
  type PieceCreate,
  type PieceDocument,
  type PieceListQuery,
  type PieceSummary,
} from '@icy-ribbon/contract';
import { defineStore } from 'pinia';
import { ref } from 'vue';
import { call } from '../api/client.ts';

export type PieceFilter = Pick<PieceListQuery, 'page' | 'pageSize' | 'technique' | 'q' | 'sort'>;

/** The list of pieces, a page at a time as the server filters and sorts it. */
export const usePieces = defineStore('pieces', () => {
  const items = ref<PieceSummary[]>([]);
  const total = ref(0);
  const filter = ref<PieceFilter>({
    page: 1,
    pageSize: 50,
    technique: undefined,
    q: '',
    sort: 'newest',
  });

  async function load(): Promise<void> {
    const page = await call(api.pieces.list, { query: filter.value });
    items.value = page.items;
    total.value = page.total;
  }

  /** The newest pieces whatever the list is filtered by. */
  async function newest(count: number): Promise<PieceSummary[]> {
    const page = await call(api.pieces.list, { query: { pageSize: count } });
    return page.items;
  }

  async function start(input: Omit<PieceCreate, 'id' | 'note'>): Promise<string> {
    const body = { id: crypto.randomUUID(), ...input };
    return (await call(api.pieces.create, { body })).id;
  }

  async function remove({ id, version }: { id: string; version: number }) {
    const removed = await call(api.pieces.remove, { params: { id }, query: { version } });
    await load();
    return removed;
  }

  async function restore({ id, version }: { id: string; version: number }): Promise<void> {
    await call(api.pieces.restore, { params: { id }, body: { version } });
    await load();
  }

  /** The server checks the document; what does not fit comes back as a problem. */
  async function importDocument(document: unknown): Promise<ImportResult> {
    const result = await call(api.pieces.importDocument, { body: document as PieceDocument });
    await load();
    return result;
  }

  return { items, total, filter, load, newest, start, remove, restore, importDocument };
});
