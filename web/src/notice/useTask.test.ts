import { attempt, useTask } from './useTask.ts';

it('is busy while it runs, and gives what the work gave', async () => {
  const task = useTask();
  const running = task.run(() => Promise.resolve(5));
  expect(task.busy.value).toBe(true);
  await expect(running).resolves.toBe(5);
  expect(task.busy.value).toBe(false);
});

it('a second click while it runs starts nothing', async () => {
  const task = useTask();
  let started = 0;
  const work = () => Promise.resolve((started += 1));
  await Promise.all([task.run(work), task.run(work)]);
  expect(started).toBe(1);
});

it('a failure is told and leaves it ready for another try', async () => {
  const told: unknown[] = [];
  const task = useTask((error) => told.push(error));
  const failure = new Error('no');
  await expect(task.run(() => Promise.reject(failure))).resolves.toBeUndefined();
  expect(told).toEqual([failure]);
  expect(task.busy.value).toBe(false);
  await expect(task.run(() => Promise.resolve('yes'))).resolves.toBe('yes');
});

it('an attempt is not held back by what is under way', async () => {
  const both = await Promise.all([attempt(() => Promise.resolve(1)), attempt(() => Promise.resolve(2))]);
  expect(both).toEqual([1, 2]);
});
