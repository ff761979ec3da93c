import { ApiProblem } from '../api/problem.ts';
import { dismiss, notices, say, sayProblem } from './notices.ts';

beforeEach(() => jest.useFakeTimers());
afterEach(() => {
  jest.runAllTimers();
  jest.useRealTimers();
});

it('says what was done, offers to undo it, and goes away by itself', () => {
  const undo = jest.fn();
  say('The cup is off the bench.', undo);
  expect(notices.at(-1)).toMatchObject({
    kind: 'done',
    text: 'The cup is off the bench.',
    action: { label: 'Undo' },
  });
  void notices.at(-1)?.action?.run();
  expect(undo).toHaveBeenCalledTimes(1);
  jest.advanceTimersByTime(10_000);
  expect(notices).toHaveLength(0);
});

it('keeps the newest three', () => {
  for (const text of ['a', 'b', 'c', 'd']) say(text);
  expect(notices.map((notice) => notice.text)).toEqual(['b', 'c', 'd']);
});

it('is closed by hand', () => {
  say('a');
  dismiss(notices[0]!.id);
  dismiss(12_345);
  expect(notices).toHaveLength(0);
});

it('a problem says what to change; a fault of the page says so and is logged', () => {
  const log = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  sayProblem(new ApiProblem({ type: 'about:blank', title: 'x', status: 422, detail: 'Give grams.' }));
  expect(notices.at(-1)).toMatchObject({ kind: 'problem', text: 'Give grams.' });
  sayProblem(new RangeError('oops'));
  expect(notices.at(-1)?.text).toMatch(/Reload it/);
  expect(log).toHaveBeenCalledTimes(1);
  log.mockRestore();
});

it('what a worker refused is said in its words', () => {
  const sent = new Error('Give at least two colors to look for.');
  sent.name = 'InputError';
  sayProblem(sent);
  expect(notices.at(-1)).toMatchObject({ kind: 'problem', text: 'Give at least two colors to look for.' });
});
