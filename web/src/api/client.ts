import { JSON_MEDIA_TYPE, PROBLEM_MEDIA_TYPE, TAB_HEADER } from '@icy-ribbon/contract';
import type { Address } from '@icy-ribbon/contract/addresses';
import type { z } from 'zod';
import { ApiProblem, problemIn } from './problem.ts';
import { tabId } from './tab.ts';
import { reportAway, reportBack, reportSignedOut, reportStorage, storageTrouble } from './connection.ts';

type Part<Name extends string, Schema extends z.ZodType> = Schema extends z.ZodUndefined
  ? unknown
  : { [Key in Name]: z.input<Schema> };

type Arguments<P extends z.ZodType, Q extends z.ZodType, B extends z.ZodType> = Part<'params', P> &
  Part<'query', Q> &
  Part<'body', B>;

/** The server has nowhere to write: said on every page until it can again. */
const NO_STORAGE = 507;
/** The server does not know who asks. */
const UNKNOWN = 401;
const RETRY_MS = [300, 600, 1000, 2000, 2000, 3000, 3000, 4000, 5000];

/**
 * Calls one endpoint of the contract; the server has checked what it answers. While it is away this keeps trying for
 * about twenty seconds: every write carries an id or a version, so that sending it twice is harmless.
 *
 * @throws ApiProblem when the server answered with a problem
 */
export async function call<
  P extends z.ZodType,
  Q extends z.ZodType,
  B extends z.ZodType,
  R extends z.ZodType,
>(
  address: Address<P, Q, B, R>,
  ...[given]: unknown extends Arguments<P, Q, B> ? [] : [Arguments<P, Q, B>]
): Promise<z.output<R>> {
  const parts = (given ?? {}) as { params?: object; query?: object; body?: unknown };
  const answer = await fetchPatiently(urlOf(address.path, parts.params, parts.query), {
    method: address.method,
    headers: {
      [TAB_HEADER]: tabId(),
      ...(address.hasBody && { 'Content-Type': JSON_MEDIA_TYPE }),
    },
    ...(address.hasBody && { body: JSON.stringify(parts.body) }),
  });
  return readAnswer(answer) as z.output<R>;
}

/** Uploads a form (a photo), or a file as it is; the same rules as `call`. */
export async function upload<R extends z.ZodType>(
  address: Address<z.ZodType, z.ZodType, z.ZodType, R>,
  body: FormData | Blob,
  params: object = {},
): Promise<z.output<R>> {
  const headers = {
    [TAB_HEADER]: tabId(),
    ...(!(body instanceof FormData) && { 'Content-Type': JSON_MEDIA_TYPE }),
  };
  const init = { method: address.method, body, headers };
  return readAnswer(await fetchPatiently(urlOf(address.path, params), init)) as z.output<R>;
}

function urlOf(path: string, params: object = {}, query: object = {}): string {
  const filled = Object.entries(params).reduce(
    (url, [name, value]) => url.replace(`:${name}`, encodeURIComponent(String(value))),
    path,
  );
  const search = new URLSearchParams(
    Object.entries(query)
      .filter(([, value]) => value !== undefined && value !== '')
      .map(([name, value]): [string, string] => [name, String(value)]),
  ).toString();
  return search ? `${filled}?${search}` : filled;
}

/** An answer with its text; null when it broke off. */
interface Answer {
  readonly response: Response;
  readonly text: string | null;
}

/** Asks until there is an answer. What only reads is asked again when its answer broke off, too: a write that was answered was done. */
async function fetchPatiently(url: string, init: RequestInit): Promise<Answer> {
  const onlyReads = init.method === 'GET';
  let isBroken = false;
  for (const waitMs of RETRY_MS) {
    isBroken = false;
    try {
      const response = await fetch(url, init);
      const text = await response.text().catch(() => null);
      isBroken = onlyReads && response.ok && isCut(text);
      if (isBroken) throw new TypeError('The answer broke off.');
      reportBack();
      return { response, text };
    } catch {
      reportAway();
      await new Promise((resolve) => setTimeout(resolve, waitMs));
    }
  }
  if (isBroken) throw new ApiProblem(BROKEN_OFF);
  throw new ApiProblem({
    type: 'about:blank',
    title: 'The server is away',
    status: 0,
    detail: "Can't reach the studio. Nothing was lost. Start the server, then try this step again.",
  });
}

const BROKEN_OFF = {
  type: 'about:blank',
  title: 'The answer broke off',
  status: 0,
  detail: 'The server went away while it answered. Repeat this step; nothing else was lost.',
};

/** Undefined when it is no JSON. */
function jsonOf(text: string | null): unknown {
  try {
    return text === null || text === '' ? undefined : (JSON.parse(text) as unknown);
  } catch {
    return undefined;
  }
}

/** Cut off in the middle: the server went away while it answered. */
const isCut = (text: string | null): boolean => text === null || (text !== '' && jsonOf(text) === undefined);

function readAnswer({ response, text }: Answer): unknown {
  const answer = jsonOf(text);
  if (response.ok) {
    reportSignedOut(false);
    if (isCut(text)) throw new ApiProblem(BROKEN_OFF);
    if (storageTrouble.value !== null) reportStorage(null);
    return answer;
  }
  const isProblem = response.headers.get('Content-Type')?.startsWith(PROBLEM_MEDIA_TYPE);
  const problem = isProblem ? problemIn(answer) : undefined;
  if (response.status === UNKNOWN) reportSignedOut(true);
  if (response.status === NO_STORAGE) reportStorage(problem?.detail ?? 'The server cannot write.');
  throw new ApiProblem(
    problem ?? {
      type: 'about:blank',
      title: 'Something broke',
      status: response.status,
      detail: `The server answered with ${response.status}.`,
    },
  );
}
