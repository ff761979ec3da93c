import { randomUUID } from 'node:crypto';
import { sql } from 'kysely';
import type { z } from 'zod';
import { fromJson, toJson, type JsonText } from './json.ts';
import { ALL, rowsOf, type Page } from './page.ts';
import { found, newRecord, timestamp, updateVersioned, type Reader, type Writer } from './record.ts';

type Table = 'equipment' | 'recipe' | 'support' | 'calibration' | 'drillRun' | 'savedView';
type Row = Readonly<Record<string, unknown>>;

export interface Input {
  readonly id?: string | undefined;
}

/** How a kind of record lies in its table. */
interface RecordKind<Shown> {
  readonly table: Table;
  /** What the artist calls one. */
  readonly what: string;
  readonly schema: z.ZodType<Shown>;
  /** How its list is sorted; equal rows keep the order in which they were added. */
  readonly order: readonly (readonly [column: string, way: 'asc' | 'desc'])[];
  /** Columns that hold JSON. */
  readonly json?: readonly string[];
  /** Columns besides those of every record; everything else lies in `body`. */
  readonly columns?: readonly string[];
  /** Values for fields that older rows don't have. */
  readonly before?: Row;
  /** @throws HttpProblem or InputError when it makes no sense beside the others */
  readonly check?: (trx: Writer, id: string, input: never) => Promise<void>;
}

/** One kind of record: read, added once, changed from a version. */
export interface Records<Shown, Create extends Input> {
  readonly kind: RecordKind<Shown>;
  list(db: Reader, page?: Page): Promise<Shown[]>;
  /** Deleted ones too, in the order they came. */
  all(db: Reader): Promise<Shown[]>;
  find(db: Reader, id: string): Promise<Shown | undefined>;
  byId(db: Reader, ids: readonly string[]): Promise<Map<string, Shown>>;
  /** Keeps it, once however often it is sent. */
  create(trx: Writer, input: Create): Promise<Shown>;
  /** As it is, with its version and times. */
  insert(trx: Writer, record: Shown): Promise<void>;
  /** @throws HttpProblem 404, 409 with the present record */
  update(trx: Writer, id: string, input: { readonly version: number }): Promise<Shown>;
}

const ENVELOPE = ['id', 'version', 'createdAt', 'updatedAt', 'deletedAt'];

export function recordsOf<Shown extends { readonly id: string }, Create extends Input>(
  kind: RecordKind<Shown>,
): Records<Shown, Create> {
  const { table, json = [], columns, before = {}, check } = kind;

  function toShown({ body, ...row }: Row): Shown {
    const read = Object.fromEntries(json.map((name) => [name, fromJson(row[name] as JsonText<unknown>)]));
    const rest = columns ? (fromJson(body as JsonText<unknown>) as object) : {};
    return { ...row, ...read, ...before, ...rest } as unknown as Shown;
  }

  /** Of a record, or of what changes of it. */
  function toRow(record: Row): Row {
    const written = Object.fromEntries(
      json.flatMap((name) => (name in record ? [[name, toJson(record[name])]] : [])),
    );
    if (!columns) return { ...record, ...written };
    const isColumn = (name: string) => columns.includes(name) || ENVELOPE.includes(name);
    const entries = Object.entries(record);
    return {
      ...Object.fromEntries(entries.filter(([name]) => isColumn(name))),
      ...written,
      body: toJson(Object.fromEntries(entries.filter(([name]) => !isColumn(name) && !json.includes(name)))),
    };
  }

  const from = (db: Reader) => db.selectFrom(table as 'support').selectAll();

  const records: Records<Shown, Create> = {
    kind,
    async list(db, page = ALL) {
      const { limit, offset } = rowsOf(page);
      let rows = from(db).where('deletedAt', 'is', null);
      for (const [column, way] of kind.order) rows = rows.orderBy(sql.ref(column), way);
      return (
        await rows
          .orderBy(sql`rowid`)
          .limit(limit)
          .offset(offset)
          .execute()
      ).map(toShown);
    },
    async all(db) {
      return (await from(db).orderBy('createdAt').orderBy('id').execute()).map(toShown);
    },
    async find(db, id) {
      const row = await from(db).where('id', '=', id).executeTakeFirst();
      return row && toShown(row);
    },
    async byId(db, ids) {
      const rows = await from(db).where('id', 'in', ids).execute();
      return new Map(rows.map((row) => [row.id, toShown(row)]));
    },
    async create(trx, { id = randomUUID(), ...input }) {
      const existing = await records.find(trx, id);
      if (existing) return existing;
      await check?.(trx, id, input as never);
      await records.insert(trx, { ...newRecord(id, timestamp()), ...input } as unknown as Shown);
      return (await records.find(trx, id))!;
    },
    async insert(trx, record) {
      await trx
        .insertInto(table as 'support')
        .values(toRow(record as unknown as Row) as never)
        .execute();
    },
    async update(trx, id, { version, ...changes }) {
      await check?.(trx, id, changes as never);
      await updateVersioned(trx, table, { id, version }, toRow(changes), () => records.find(trx, id));
      return found(await records.find(trx, id), kind.what);
    },
  };
  return records;
}
