import type { ImportJob } from '@icy-ribbon/contract';
import { createPinia, setActivePinia } from 'pinia';
import { useImports } from './imports.ts';

const ID = '3f0e8a52-1f5b-4b61-9d2c-6f8d1f3f9a10';
const job = (changes: Partial<ImportJob>): ImportJob => ({
  ...{ id: ID, kind: 'studio', state: 'running', phase: 'Photos', done: 3, total: 12 },
  ...{ result: null, problem: null, ...changes },
});
const fetched = jest.fn<Promise<Response>, [string, RequestInit]>();
const answer = (body: unknown) =>
  new Response(JSON.stringify(body), { status: 200, headers: { 'Content-Type': 'application/json' } });

beforeEach(() => {
  setActivePinia(createPinia());
  fetched.mockReset();
  globalThis.fetch = fetched as never;
  jest.useFakeTimers();
});
afterEach(() => jest.useRealTimers());

it('a file is followed until it is in, and shows how far it has come', async () => {
  const imports = useImports();
  fetched.mockResolvedValueOnce(answer(job({ done: 9 })));
  fetched.mockResolvedValueOnce(
    answer(job({ state: 'done', result: { materials: { added: 4, changed: 0 } } })),
  );
  const followed = imports.follow(Promise.resolve(job({})));
  await jest.advanceTimersByTimeAsync(0);
  expect(imports.share).toBe(0.25);
  await jest.advanceTimersByTimeAsync(300);
  expect(imports.share).toBe(0.75);
  await jest.advanceTimersByTimeAsync(300);
  expect(await followed).toEqual({ materials: { added: 4, changed: 0 } });
  expect(imports.job).toBeNull();
  expect(fetched.mock.calls.map(([url]) => url)).toEqual([`/api/imports/${ID}`, `/api/imports/${ID}`]);
});

it('one that is refused says why, one that is called off gives nothing', async () => {
  const imports = useImports();
  const problem = { type: 'about:blank', title: 'No', status: 422, detail: 'A photo is damaged.' };
  await expect(imports.follow(Promise.resolve(job({ state: 'refused', problem })))).rejects.toThrow(
    'A photo is damaged.',
  );
  expect(await imports.follow(Promise.resolve(job({ state: 'cancelled' })))).toBeUndefined();
});

it('is called off by its id', async () => {
  const imports = useImports();
  const followed = imports.follow(Promise.resolve(job({})));
  await jest.advanceTimersByTimeAsync(0);
  fetched.mockResolvedValueOnce(answer(job({ state: 'running' })));
  fetched.mockResolvedValueOnce(answer(job({ state: 'cancelled' })));
  await imports.cancel();
  expect(fetched.mock.calls[0]).toEqual([
    `/api/imports/${ID}`,
    expect.objectContaining({ method: 'DELETE' }),
  ]);
  await jest.advanceTimersByTimeAsync(300);
  expect(await followed).toBeUndefined();
});
