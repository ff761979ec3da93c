import { inTurn } from './inTurn.ts';

/** A write that ends when it is told to. */
function held() {
  let end: (fails?: Error) => void = () => {};
  const run = jest.fn(
    () =>
      new Promise<void>((resolve, reject) => {
        end = (error) => (error ? reject(error) : resolve());
      }),
  );
  return { run, end: (error?: Error) => end(error) };
}

const settled = () => new Promise((resolve) => setTimeout(resolve, 0));

it('a second write of a record waits for the first; one of another record does not', async () => {
  const [first, second, other] = [held(), held(), held()];
  const all = [inTurn('a', first.run), inTurn('a', second.run), inTurn('b', other.run)];
  await settled();
  expect([first, second, other].map(({ run }) => run.mock.calls.length)).toEqual([1, 0, 1]);
  first.end();
  await settled();
  expect(second.run).toHaveBeenCalledTimes(1);
  second.end();
  other.end();
  await Promise.all(all);
});

it('a write that fails is told so, and the next goes on', async () => {
  const [first, second] = [held(), held()];
  const failed = inTurn('a', first.run);
  const next = inTurn('a', second.run);
  await settled();
  first.end(new Error('no room'));
  await expect(failed).rejects.toThrow('no room');
  await settled();
  second.end();
  await expect(next).resolves.toBeUndefined();
});
