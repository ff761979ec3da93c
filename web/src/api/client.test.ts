import { api } from '@icy-ribbon/contract/addresses';
import { call, upload } from './client.ts';
import { serverAway, storageTrouble } from './connection.ts';
import { ApiProblem, messageAt } from './problem.ts';

const answer = (body: unknown, status = 200, type = 'application/json') =>
  new Response(JSON.stringify(body), { status, headers: { 'Content-Type': type } });

const fetched = jest.fn<Promise<Response>, [string, RequestInit]>();
beforeEach(() => {
  fetched.mockReset();
  globalThis.fetch = fetched as never;
});

const HEALTH = { status: 'ok', version: '1', demo: false };
const PAGE = { items: [], total: 0, page: 1, pageSize: 50 };
const ID = '3f0e8a52-1f5b-4b61-9d2c-6f8d1f3f9a10';

describe('one call of the contract', () => {
  it('fills the address, leaves out what is empty, and gives the answer', async () => {
    fetched.mockResolvedValueOnce(answer(PAGE));
    const query = { q: 'low & high', technique: undefined, pageSize: 50 };
    await expect(call(api.pieces.list, { query })).resolves.toEqual(PAGE);
    expect(fetched.mock.calls[0]?.[0]).toBe('/api/pieces?q=low+%26+high&pageSize=50');
  });

  it('sends a body as JSON, and none where the call has none', async () => {
    fetched.mockResolvedValueOnce(answer({ mg: 0, settled: true, overload: false, pouring: false }));
    await call(api.scale.pour, { body: { mg: 500 } });
    const [, init] = fetched.mock.calls[0]!;
    const tab = { 'x-icy-ribbon-tab': expect.stringMatching(/^[0-9a-f-]{36}$/) as string };
    const headers = { ...tab, 'Content-Type': 'application/json' };
    expect(init).toEqual({ method: 'POST', body: '{"mg":500}', headers });
    fetched.mockResolvedValueOnce(answer(HEALTH));
    await call(api.health);
    expect(fetched.mock.calls[1]?.[1]).toEqual({ method: 'GET', headers: tab });
  });

  it('puts parameters into the path', async () => {
    fetched.mockResolvedValueOnce(answer({}, 404));
    await expect(call(api.mixes.takeBack, { params: { id: ID, additionId: ID } })).rejects.toThrow(
      ApiProblem,
    );
    expect(fetched.mock.calls[0]?.[0]).toBe(`/api/mixes/${ID}/additions/${ID}`);
  });
});

describe('an answer that breaks off', () => {
  it.each([
    ['cut in the middle', () => new Response('{"items":[{"id":"3f0e', { status: 200 })],
    [
      'lost on its way',
      () => ({ ok: true, status: 200, text: () => Promise.reject(new TypeError('network')) }) as never,
    ],
  ])('%s', async (_what, broken) => {
    jest.useFakeTimers();
    try {
      // What only reads is asked again.
      fetched.mockResolvedValueOnce(broken());
      fetched.mockResolvedValueOnce(answer(HEALTH));
      const health = call(api.health);
      await jest.advanceTimersByTimeAsync(1000);
      await expect(health).resolves.toEqual(HEALTH);
      // Where it breaks off again and again, that is said, and is no fault of the program.
      fetched.mockImplementation(() => Promise.resolve(broken()));
      const pending = call(api.pieces.list, { query: {} }).catch((error: unknown) => error);
      await jest.advanceTimersByTimeAsync(60_000);
      expect(await pending).toMatchObject({
        message: expect.stringContaining('went away while it answered'),
      });
      // A write that was answered was done: it is not sent again.
      fetched.mockReset();
      fetched.mockResolvedValueOnce(broken());
      const kept = call(api.filmFit.put, { body: { fit: null } });
      await expect(kept).rejects.toThrow(/went away while it answered/);
      expect(fetched).toHaveBeenCalledTimes(1);
    } finally {
      jest.useRealTimers();
    }
  });
});

describe('problems', () => {
  const problem = {
    type: 'about:blank',
    title: 'Some fields need a change',
    status: 422,
    detail: 'Some fields need a change.',
    errors: [{ path: 'name', message: 'Give it a name.' }],
  };

  it('come back with their field errors', async () => {
    fetched.mockResolvedValueOnce(answer(problem, 422, 'application/problem+json; charset=utf-8'));
    const error: unknown = await call(api.health).catch((caught: unknown) => caught);
    expect(messageAt(error, 'name')).toBe('Give it a name.');
    expect(messageAt(error, 'kind')).toBeUndefined();
    expect((error as ApiProblem).isStale).toBe(false);
  });

  it('a stale write is told apart and carries what is there now', async () => {
    const stale = { ...problem, status: 409, current: { version: 3 } };
    fetched.mockResolvedValueOnce(answer(stale, 409, 'application/problem+json'));
    const error = (await call(api.health).catch((caught: unknown) => caught)) as ApiProblem;
    expect(error.isStale).toBe(true);
    expect(error.problem.current).toEqual({ version: 3 });
  });

  it('a conflict that carries no record is no stale write', async () => {
    fetched.mockResolvedValueOnce(answer({ ...problem, status: 409 }, 409, 'application/problem+json'));
    const error = (await call(api.health).catch((caught: unknown) => caught)) as ApiProblem;
    expect(error.isStale).toBe(false);
  });

  it('a full disk is told on every page until something can be written again', async () => {
    const full = { ...problem, status: 507, detail: 'The disk is full.' };
    fetched.mockResolvedValueOnce(answer(full, 507, 'application/problem+json'));
    await expect(call(api.health)).rejects.toThrow('The disk is full.');
    expect(storageTrouble.value).toBe('The disk is full.');
    fetched.mockResolvedValueOnce(answer(HEALTH));
    await call(api.health);
    expect(storageTrouble.value).toBeNull();
  });

  it('an answer that is no problem document still becomes one', async () => {
    fetched.mockResolvedValueOnce(new Response('<html>', { status: 502 }));
    await expect(call(api.health)).rejects.toThrow('The server answered with 502.');
  });
});

describe('while the server is away', () => {
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());

  it('tries again, says so meanwhile, and goes on when it is back', async () => {
    fetched.mockRejectedValueOnce(new TypeError('failed to fetch'));
    fetched.mockRejectedValueOnce(new TypeError('failed to fetch'));
    fetched.mockResolvedValueOnce(answer(HEALTH));
    const pending = call(api.health);
    await jest.advanceTimersByTimeAsync(100);
    expect(serverAway.value).toBe(true);
    await jest.advanceTimersByTimeAsync(2000);
    await expect(pending).resolves.toEqual(HEALTH);
    expect(serverAway.value).toBe(false);
    expect(fetched).toHaveBeenCalledTimes(3);
  });

  it('gives up after a while and says what to do', async () => {
    fetched.mockRejectedValue(new TypeError('failed to fetch'));
    const pending = call(api.health).catch((error: unknown) => error);
    await jest.advanceTimersByTimeAsync(60_000);
    expect(await pending).toMatchObject({ message: expect.stringContaining('Start the server') });
  });

  it('sends the very same body again, so that an id makes it harmless', async () => {
    fetched.mockRejectedValueOnce(new TypeError('failed to fetch'));
    fetched.mockResolvedValueOnce(answer({ id: 'x' }, 201));
    const form = new FormData();
    const pending = upload(api.photos.upload, form, { pieceId: ID });
    await jest.advanceTimersByTimeAsync(1000);
    await expect(pending).resolves.toEqual({ id: 'x' });
    expect(fetched.mock.calls[0]?.[1].body).toBe(fetched.mock.calls[1]?.[1].body);
  });
});
