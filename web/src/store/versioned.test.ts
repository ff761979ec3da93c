import { ApiProblem } from '../api/problem.ts';
import { conflict, decideConflict, sendVersioned } from './versioned.ts';

const stale = (current: unknown) =>
  new ApiProblem({ type: 'about:blank', title: 'Changed elsewhere', status: 409, current });

/** A record that others change: refuses every version but its own. */
function shared(version: number) {
  const record = { version, name: 'theirs' };
  const send = jest.fn(async (from: number) => {
    if (from !== record.version) throw stale({ ...record });
    record.version += 1;
    return { ...record };
  });
  return { record, send };
}

const settled = () => new Promise((resolve) => setTimeout(resolve, 0));

it('an edit of the newest version goes through without a question', async () => {
  const { send } = shared(3);
  await expect(sendVersioned(3, { name: 'mine' }, send)).resolves.toMatchObject({ version: 4 });
  expect(conflict.value).toBeNull();
});

it('an edit of an old version shows both, and sends again from the newer one when mine is kept', async () => {
  const { send } = shared(5);
  const pending = sendVersioned(3, { name: 'mine' }, send);
  await settled();
  expect(conflict.value).toEqual({ mine: { name: 'mine' }, theirs: { version: 5, name: 'theirs' } });
  decideConflict(true);
  await expect(pending).resolves.toMatchObject({ version: 6 });
  expect(send.mock.calls.map(([version]) => version)).toEqual([3, 5]);
  expect(conflict.value).toBeNull();
});

it('taking what is there sends nothing', async () => {
  const { record, send } = shared(5);
  const pending = sendVersioned(3, { name: 'mine' }, send);
  await settled();
  decideConflict(false);
  await expect(pending).resolves.toBeUndefined();
  expect(record.version).toBe(5);
});

it('asks again when it moved on once more while the artist was deciding', async () => {
  const { record, send } = shared(5);
  const pending = sendVersioned(3, { name: 'mine' }, send);
  await settled();
  record.version = 8;
  decideConflict(true);
  await settled();
  expect(conflict.value?.theirs).toMatchObject({ version: 8 });
  decideConflict(true);
  await expect(pending).resolves.toMatchObject({ version: 9 });
});

it('another problem is passed on', async () => {
  const broken = new ApiProblem({ type: 'about:blank', title: 'Not found', status: 404 });
  await expect(sendVersioned(1, {}, () => Promise.reject(broken))).rejects.toBe(broken);
});

it('there is nothing to ask when the first try was kept and only its answer was lost', async () => {
  const { record, send } = shared(3);
  record.name = 'mine';
  record.version = 4;
  await expect(sendVersioned(3, { name: 'mine' }, send)).resolves.toEqual({ version: 4, name: 'mine' });
  expect(conflict.value).toBeNull();
});

it('two conflicts at once are asked one after the other, and both are answered', async () => {
  const [one, two] = [shared(5), shared(7)];
  const both = [sendVersioned(3, { name: 'one' }, one.send), sendVersioned(3, { name: 'two' }, two.send)];
  await settled();
  expect(conflict.value?.mine).toEqual({ name: 'one' });
  decideConflict(true);
  await settled();
  expect(conflict.value?.mine).toEqual({ name: 'two' });
  decideConflict(false);
  await expect(Promise.all(both)).resolves.toEqual([expect.objectContaining({ version: 6 }), undefined]);
});
