import type { Address } from '@icy-ribbon/contract/addresses';
import { ref, shallowRef, type Ref, type ShallowRef } from 'vue';
import type { z } from 'zod';
import { allPages } from '../api/allPages.ts';
import { call } from '../api/client.ts';
import { sendVersioned } from './versioned.ts';

type One = z.ZodObject<{ id: z.ZodString }>;
type Version = z.ZodObject<{ version: z.ZodNumber }>;
type Paged = z.ZodType<{ page: number; pageSize: number }, { page?: number; pageSize?: number }>;
type None = z.ZodUndefined;

/** The calls of a kind of record, as far as they are alike. */
interface Calls<Shown, Create> {
  readonly list: Address<None, Paged, None, z.ZodType<{ items: Shown[]; total: number }>>;
  readonly create: Address<None, None, z.ZodType<unknown, Create & { id: string }>, z.ZodType<Shown>>;
  readonly update: Address<One, None, z.ZodType<unknown, object>, z.ZodType<Shown>>;
  readonly remove: Address<One, Version, None, z.ZodType<Shown>>;
  readonly restore: Address<One, None, Version, z.ZodType<Shown>>;
}

interface Versioned {
  readonly id: string;
  readonly version: number;
}

export interface Records<Shown extends Versioned, Create> {
  readonly items: ShallowRef<Shown[]>;
  readonly loaded: Ref<boolean>;
  load(): Promise<void>;
  ensure(): Promise<void>;
  add(input: Create): Promise<Shown>;
  /** @returns false when the artist kept what was changed elsewhere */
  change(record: Versioned, changes: object): Promise<boolean>;
  /** @returns the record as it was taken away, to be brought back by */
  remove(record: Versioned): Promise<Shown>;
  restore(record: Versioned): Promise<void>;
}

/**
 * Records of one kind, held whole so that they can be searched and sorted at once; read again after each write.
 *
 * @param given the kind's calls
 */
export function useRecords<Shown extends Versioned, Create extends object>(
  given: object,
  pageSize?: number,
): Records<Shown, Create> {
  const calls = given as Calls<Shown, Create>;
  const items = shallowRef<Shown[]>([]);
  const loaded = ref(false);

  async function load(): Promise<void> {
    items.value = await allPages((query) => call(calls.list, { query }), pageSize);
    loaded.value = true;
  }

  async function thenLoad<Answer>(write: Promise<Answer>): Promise<Answer> {
    const answer = await write;
    await load();
    return answer;
  }

  return {
    items,
    loaded,
    load,
    ensure: async () => {
      if (!loaded.value) await load();
    },
    add: (input) => thenLoad(call(calls.create, { body: { id: crypto.randomUUID(), ...input } })),
    change: ({ id, version }, changes) =>
      thenLoad(
        sendVersioned(version, { ...changes }, (now) =>
          call(calls.update, { params: { id }, body: { ...changes, version: now } }),
        ).then((done) => done !== undefined),
      ),
    remove: ({ id, version }) => thenLoad(call(calls.remove, { params: { id }, query: { version } })),
    restore: async ({ id, version }) => {
      await thenLoad(call(calls.restore, { params: { id }, body: { version } }));
    },
  };
}
