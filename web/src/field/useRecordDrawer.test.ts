import { useRecordDrawer } from './useRecordDrawer.ts';

interface Cup {
  readonly id: string;
}
const kept: unknown[] = [];
const drawer = (
  save = (target: Cup | 'new', draft: { name: string }) => Promise.resolve(kept.push([target, draft])),
) => useRecordDrawer<Cup, { name: string }>({ name: '' }, save);

it('keeps what was typed and closes', async () => {
  const one = drawer();
  one.begin('new', { name: '' });
  one.draft.value.name = 'Tub';
  await one.keep();
  expect(kept).toEqual([['new', { name: 'Tub' }]]);
  expect(one.target.value).toBeNull();
});

it('closes at once when nothing was changed, and asks when something was', () => {
  const one = drawer();
  one.begin({ id: 'a' }, { name: 'Tub' });
  one.leave();
  expect(one.target.value).toBeNull();
  one.begin({ id: 'a' }, { name: 'Tub' });
  one.draft.value.name = 'Tub 500';
  one.leave();
  expect(one.asking.value).toBe(true);
  expect(one.target.value).toEqual({ id: 'a' });
  one.goOn();
  expect(one.draft.value.name).toBe('Tub 500');
  one.leave();
  one.throwAway();
  expect(one.target.value).toBeNull();
});

it('a refusal stands there, and what was typed too', async () => {
  const refusal = new Error('no');
  const one = drawer(() => Promise.reject(refusal));
  one.begin('new', { name: 'Tub' });
  await one.keep();
  expect(one.problem.value).toBe(refusal);
  expect(one.draft.value.name).toBe('Tub');
  one.begin('new', { name: '' });
  expect(one.problem.value).toBeNull();
});

it('is not kept when nothing is open', async () => {
  const before = kept.length;
  await drawer().keep();
  expect(kept).toHaveLength(before);
});
