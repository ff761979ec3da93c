import type {
  ArchiveResult,
  ImportResult,
  Piece,
  PieceCreate,
  PieceListQuery,
  PieceSummary,
  SavedView,
  SavedViewCreate,
} from '@icy-ribbon/contract';
import { api } from '@icy-ribbon/contract/addresses';
import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';
import { allPages } from '../api/allPages.ts';
import { call, upload } from '../api/client.ts';
import { useImports } from './imports.ts';
import { useRecords } from './records.ts';

export type PieceFilter = { [Key in keyof PieceListQuery]?: PieceListQuery[Key] | undefined } & Pick<
  PieceListQuery,
  'page' | 'pageSize' | 'sort'
>;

const EVERYTHING: PieceFilter = { page: 1, pageSize: 50, q: '', sort: 'finished' };

/** The list of pieces, a page at a time as the server filters and sorts it. */
export const usePieces = defineStore('pieces', () => {
  const imports = useImports();
  const items = shallowRef<PieceSummary[]>([]);
  const total = ref(0);
  const filter = ref<PieceFilter>({ ...EVERYTHING });
  /** Pieces marked for comparing, in the order they were marked. */
  const marked = ref<string[]>([]);
  const saved = useRecords<SavedView, SavedViewCreate>(api.views);

  function narrow(changes: Partial<PieceFilter>): void {
    filter.value = { ...filter.value, page: 1, ...changes };
  }

  function clear(): void {
    filter.value = { ...EVERYTHING };
  }

  function mark(id: string, on: boolean): void {
    marked.value = on
      ? [...marked.value.filter((each) => each !== id), id]
      : marked.value.filter((each) => each !== id);
  }

  async function saveView(name: string): Promise<void> {
    const { page, pageSize, ...kept } = filter.value;
    void [page, pageSize];
    await saved.add({ name, filter: kept });
  }

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

  /** All pieces of which a cup still holds paint, that are not judged yet, lie on the rack, or go to a show. */
  const allHaving = (having: 'paint' | 'open' | 'place' | 'show'): Promise<PieceSummary[]> =>
    allPages((query) => call(api.pieces.list, { query: { ...query, having } }), 200);

  /** All pieces poured on a day or after it. */
  const allPouredSince = (day: string): Promise<PieceSummary[]> =>
    allPages((query) => call(api.pieces.list, { query: { ...query, from: day } }), 200);

  async function start(input: Omit<PieceCreate, 'id' | 'note' | 'origin'>): Promise<string> {
    const body = { id: crypto.randomUUID(), ...input };
    return (await call(api.pieces.create, { body })).id;
  }

  /** Notes when a piece got its top coat or was found touch-dry; null takes that back. */
  async function noteWhen(
    { id, version }: Pick<PieceSummary, 'id' | 'version'>,
    what: 'topCoatedAt' | 'touchDryAt',
    at: string | null,
  ): Promise<Piece> {
    return call(api.pieces.update, { params: { id }, body: { version, [what]: at } });
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

  /**
   * Sends a piece's document in as the file it is; the server checks it.
   *
   * @returns undefined when it was called off
   */
  async function importDocument(file: Blob): Promise<ImportResult | undefined> {
    const result = await imports.follow(upload(api.pieces.importDocument, file));
    await load();
    return result?.piece;
  }

  /** Sends a whole studio in as the zip it is. */
  async function importStudio(file: Blob): Promise<ArchiveResult | undefined> {
    const form = new FormData();
    form.set('archive', file);
    const result = await imports.follow(upload(api.imports.archive, form));
    await load();
    return result?.studio;
  }

  return {
    marked,
    mark,
    views: saved.items,
    loadViews: saved.load,
    saveView,
    removeView: saved.remove,
    restoreView: saved.restore,
    narrow,
    clear,
    items,
    total,
    filter,
    load,
    newest,
    allHaving,
    allPouredSince,
    start,
    noteWhen,
    remove,
    restore,
    importDocument,
    importStudio,
  };
});
