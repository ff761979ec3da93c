import { randomUUID } from 'node:crypto';
import type { JsonSchema, Piece } from '@icy-ribbon/contract';
import { whyOf } from './pageWork.ts';
import { seededRandom } from '@icy-ribbon/core/base/random';
import fc from 'fast-check';
import { arbitraryOf } from './arbitrary.ts';
import { deep, NASTY, placesOf, textWith } from './nasty.ts';

/** One request, and what came of it. */
export interface Sent {
  readonly method: string;
  readonly path: string;
  readonly body: string | undefined;
  /** In place of those of JSON. */
  readonly headers?: Readonly<Record<string, string>>;
}
export interface Answered {
  readonly status: number;
  readonly ms: number;
  readonly json: unknown;
}
export type Send = (request: Sent) => Promise<Answered>;

/** Sends to a server at an address. */
export const sendTo =
  (address: string): Send =>
  async ({ method, path, body, headers: given }) => {
    const startedAt = performance.now();
    const headers = given ?? { 'Content-Type': 'application/json' };
    const answer = await fetch(address + path, { method, ...(body !== undefined && { headers, body }) });
    const text = await answer.text();
    const isJson = answer.headers.get('content-type')?.includes('json') ?? false;
    const json = isJson && text !== '' ? (JSON.parse(text) as unknown) : text;
    return { status: answer.status, ms: performance.now() - startedAt, json };
  };

export interface FuzzReport {
  readonly requests: number;
  readonly statuses: Readonly<Record<string, number>>;
  /** Requests that were answered with a fault of the server, too late, or after which something could not be read. */
  readonly failures: readonly { readonly what: string; readonly request: Sent }[];
  readonly slowestMs: number;
}

interface Operation {
  readonly method: string;
  readonly path: string;
  readonly parameters: readonly {
    readonly name: string;
    readonly in: 'path' | 'query';
    readonly schema: JsonSchema;
  }[];
  readonly body: JsonSchema | undefined;
}

/** What takes seconds of painting or copying each time: only where there is time. */
const SLOW = [/\/camera$/, /\/sample$/, /safekeeping\/backups/, /archive/];
/** Reading a backup list, say, may show nothing of a write: these do. */
const LISTS = [
  '/api/pieces?pageSize=200',
  '/api/pieces?tool=mouth&stage=fading&q=a',
  '/api/materials?pageSize=20000',
  '/api/materials?archived=yes',
  '/api/equipment',
  '/api/recipes',
  '/api/supports?pageSize=200',
  '/api/calibrations',
  '/api/views',
  '/api/results/numbers',
  '/api/pieces.csv',
  '/api/mixes.csv',
  '/api/passes.csv',
];
const LATE_MS = 2000;
/** The camera stand-in paints twelve megapixels. */
const SLOW_MS = 120_000;
/** Uploads speak a protocol of their own. */
const UPLOAD_EVERY = 20;

/**
 * Sends made-up requests to every route that the OpenAPI document names, and after every write that was taken reads
 * every list that could show it.
 *
 * @param seed repeats a run; @param withSlow calls that take seconds, too
 * @param random how many requests of random values; @param systematic how many of one bad value at one place each
 */
export async function fuzz(
  send: Send,
  given: { seed: number; random: number; systematic: number; withSlow?: boolean },
): Promise<FuzzReport> {
  const random = seededRandom(given.seed);
  const pick = <Value>(values: readonly Value[]): Value => values[Math.floor(random() * values.length)]!;
  const operations = (await readOperations(send)).filter(
    ({ path }) => given.withSlow === true || !SLOW.some((each) => each.test(path)),
  );
  const pool = await Pool.of(send, random);
  const statuses: Record<string, number> = {};
  const failures: { what: string; request: Sent }[] = [];
  let [requests, slowestMs] = [0, 0];

  async function attempt(request: Sent): Promise<void> {
    const answer = await send(request);
    requests += 1;
    slowestMs = Math.max(slowestMs, answer.ms);
    statuses[answer.status] = 1 + (statuses[answer.status] ?? 0);
    const fail = (what: string) => failures.push({ what, request });
    if (answer.status >= 500 && answer.status !== 503) fail(`answered ${answer.status}`);
    const isSlow = SLOW.some((each) => each.test(request.path));
    if (answer.ms > (isSlow ? SLOW_MS : LATE_MS)) fail(`answered after ${answer.ms.toFixed(0)} ms`);
    if (request.method === 'GET' || answer.status >= 300) return;
    if (answer.status === 202) await settled(send, answer.json);
    for (const path of [
      ...LISTS,
      ...pool
        .pieceIds()
        .slice(0, 3)
        .map((id) => `/api/pieces/${id}`),
    ]) {
      const read = await send({ method: 'GET', path, body: undefined });
      // It may be this very piece that was deleted.
      if (read.status === 404 && path.startsWith('/api/pieces/')) continue;
      if (read.status !== 200) fail(`afterwards ${path} answered ${read.status}`);
      if (read.ms > LATE_MS) fail(`afterwards ${path} took ${read.ms.toFixed(0)} ms`);
      const trouble = troubleIn(path, read.json);
      if (trouble) fail(`afterwards ${path}: ${trouble}`);
    }
    if (requests % 20 === 0) await pool.learn(send);
  }

  for (let turn = 0; turn < given.random; turn += 1) {
    if (turn % UPLOAD_EVERY === 0) {
      await attempt(upload(pick, pool));
      continue;
    }
    const operation = pick(operations);
    const seed = Math.floor(random() * 2 ** 31);
    const address = addressOf(operation, seed, pool);
    if (!operation.body) {
      await attempt({ ...address, body: undefined });
      continue;
    }
    const body = pool.fill(sample(arbitraryOf(operation.body), seed));
    const isSpoilt = random() < 0.35;
    const text = isSpoilt ? textWith(body, pick(placesOf(body)), pick(NASTY)[1]) : JSON.stringify(body);
    await attempt({ ...address, body: random() < 0.01 ? deep() : text });
  }

  const writes = operations.filter((each) => each.body);
  for (let turn = 0; turn < given.systematic;) {
    for (const operation of writes) {
      const seed = Math.floor(random() * 2 ** 31);
      const body = pool.fill(sample(arbitraryOf(operation.body!), seed));
      const places = placesOf(body);
      const place = places[turn % places.length]!;
      for (const [, nasty] of NASTY) {
        await attempt({ ...addressOf(operation, seed, pool), body: textWith(body, place, nasty) });
        turn += 1;
        if (turn >= given.systematic) return { requests, statuses, failures, slowestMs };
      }
    }
  }
  return { requests, statuses, failures, slowestMs };
}

/** A request to where photos come in, whole or nonsense. */
function upload(pick: <Value>(values: readonly Value[]) => Value, pool: Pool): Sent {
  const id = pick([
    '',
    `/${'0'.repeat(32)}`,
    `/${'f'.repeat(32)}.json`,
    '/../x',
    '/%2e%2e',
    `/${'é'.repeat(9)}`,
  ]);
  const meta = pick([
    `id ${btoa(randomUUID())},pieceId ${btoa(pick([...pool.pieceIds(), 'none']))},state ${btoa('wet')}`,
    'id',
    ',,,',
    `state ${'A'.repeat(5000)}`,
    '',
  ]);
  return {
    method: pick(['POST', 'PATCH', 'HEAD', 'DELETE', 'GET', 'OPTIONS']),
    path: `/api/uploads${encodeURI(id)}`,
    body: undefined,
    headers: {
      'Tus-Resumable': pick(['1.0.0', '9', '']),
      'Upload-Length': pick(['10', '-1', '999999999999', 'x', '0']),
      'Upload-Offset': pick(['0', '-5', 'x', '99']),
      'Upload-Metadata': meta,
      'Content-Type': pick(['application/offset+octet-stream', 'text/plain']),
    },
  };
}

const sample = (arbitrary: fc.Arbitrary<unknown>, seed: number): unknown =>
  fc.sample(arbitrary, { seed, numRuns: 1 })[0];

async function readOperations(send: Send): Promise<Operation[]> {
  const { json } = await send({ method: 'GET', path: '/api/openapi.json', body: undefined });
  const { paths } = json as {
    paths: Record<
      string,
      Record<
        string,
        {
          parameters: Operation['parameters'];
          requestBody?: { content: { 'application/json'?: { schema: JsonSchema } } };
          responses: Record<string, { content: object }>;
        }
      >
    >;
  };
  return Object.entries(paths).flatMap(([path, methods]) =>
    Object.entries(methods)
      .filter(([, { responses }]) => !('text/event-stream' in (responses['200']?.content ?? {})))
      .map(([method, { parameters, requestBody }]) => ({
        method: method.toUpperCase(),
        path,
        parameters,
        body: requestBody?.content['application/json']?.schema,
      })),
  );
}

/** A path with real ids where it names any, and a query of what its schema takes. */
function addressOf(operation: Operation, seed: number, pool: Pool): { method: string; path: string } {
  const query = new URLSearchParams();
  let { path } = operation;
  for (const { name, in: place, schema } of operation.parameters) {
    if (place === 'path') {
      path = path.replace(`{${name}}`, encodeURIComponent(pool.forPath(operation.path, name)));
    } else if (seed % 3 !== 0 || name === 'version') {
      query.set(
        name,
        name === 'version'
          ? String(1 + (seed % 3))
          : String(pool.fill(sample(arbitraryOf(schema, name), seed))),
      );
    }
  }
  const text = query.toString();
  return { method: operation.method, path: text ? `${path}?${text}` : path };
}

async function settled(send: Send, job: unknown): Promise<void> {
  const { id } = job as { id: string };
  for (let turn = 0; turn < 200; turn += 1) {
    const { json } = await send({ method: 'GET', path: `/api/imports/${id}`, body: undefined });
    const { state } = json as { state?: string };
    if (state !== 'waiting' && state !== 'running') return;
    await new Promise((resolve) => setTimeout(resolve, 10));
  }
}

/** What a page that was given this answer could not show. */
function troubleIn(path: string, json: unknown): string | undefined {
  if (/^\/api\/pieces\/[^?]+$/.test(path)) return whyOf(json as Piece);
  if (!path.startsWith('/api/pieces')) return undefined;
  const { items } = (json ?? {}) as { items?: readonly { trouble?: string | null }[] };
  const troubled = items?.find((each) => typeof each.trouble === 'string');
  return troubled ? `a piece is in trouble: ${troubled.trouble}` : undefined;
}

/** Ids that are there, by what they belong to. */
class Pool {
  readonly #ids = new Map<string, string[]>();
  readonly #random: () => number;

  private constructor(random: () => number) {
    this.#random = random;
  }

  static async of(send: Send, random: () => number): Promise<Pool> {
    const pool = new Pool(random);
    await pool.learn(send);
    return pool;
  }

  pieceIds(): readonly string[] {
    return this.#ids.get('piece') ?? [];
  }

  async learn(send: Send): Promise<void> {
    const get = async (path: string) =>
      ((await send({ method: 'GET', path, body: undefined })).json as { items?: { id: string }[] }).items ??
      [];
    this.#ids.set(
      'material',
      (await get('/api/materials?pageSize=40')).map(({ id }) => id),
    );
    this.#ids.set(
      'support',
      (await get('/api/supports')).map(({ id }) => id),
    );
    this.#ids.set(
      'equipment',
      (await get('/api/equipment')).map(({ id }) => id),
    );
    this.#ids.set(
      'recipe',
      (await get('/api/recipes')).map(({ id }) => id),
    );
    this.#ids.set(
      'calibration',
      (await get('/api/calibrations')).map(({ id }) => id),
    );
    this.#ids.set(
      'view',
      (await get('/api/views')).map(({ id }) => id),
    );
    const pieces = (await get('/api/pieces?pageSize=12')).map(({ id }) => id);
    this.#ids.set('piece', pieces);
    const parts: Record<string, string[]> = {
      mix: [],
      ingredient: [],
      addition: [],
      event: [],
      reading: [],
      photo: [],
    };
    for (const id of pieces.slice(0, 5)) {
      const { json } = await send({ method: 'GET', path: `/api/pieces/${id}`, body: undefined });
      const piece = json as Partial<Piece>;
      for (const mix of piece.mixes ?? []) {
        parts.mix!.push(mix.id);
        parts.ingredient!.push(...mix.ingredients.map((each) => each.id));
        parts.addition!.push(...mix.additions.map((each) => each.id));
      }
      parts.event!.push(...(piece.events ?? []).map((each) => each.id));
      parts.reading!.push(...(piece.readings ?? []).map((each) => each.id));
      parts.photo!.push(...(piece.photos ?? []).map((each) => each.id));
    }
    for (const [kind, ids] of Object.entries(parts)) this.#ids.set(kind, ids);
  }

  /** The same value with real ids where it says what they are to be. */
  fill(value: unknown): unknown {
    const text = JSON.stringify(value) ?? 'null';
    return JSON.parse(
      text.replace(/@(\w+)@(\d+)@/g, (_, kind: string, index: string) => this.#id(kind, Number(index))),
    );
  }

  forPath(path: string, name: string): string {
    const kind = /^\/api\/(\w+?)s?\//.exec(path)?.[1] ?? 'any';
    if (name === 'name') return this.#random() < 0.5 ? 'convert' : 'mix';
    if (name === 'ingredientId') return this.#id('ingredient', Math.floor(this.#random() * 100));
    if (name === 'additionId') return this.#id('addition', Math.floor(this.#random() * 100));
    const wanted = { mixe: 'mix', pieceId: 'piece' }[name === 'id' ? kind : name] ?? kind;
    if (this.#random() < 0.03) return 'no-id';
    return this.#id(wanted === 'mixe' ? 'mix' : wanted, Math.floor(this.#random() * 100));
  }

  #id(kind: string, index: number): string {
    if (kind === 'fresh') return randomUUID();
    const ids = kind === 'any' ? [...this.#ids.values()].flat() : (this.#ids.get(kind) ?? []);
    return ids.length > 0 ? ids[index % ids.length]! : randomUUID();
  }
}
