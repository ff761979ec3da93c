import { effectScope } from 'vue';
import { useHoldTimer } from './holdTimer.ts';

beforeEach(() => {
  jest.useFakeTimers();
  jest.spyOn(console, 'warn').mockImplementation(() => {});
});
afterEach(() => {
  jest.useRealTimers();
  jest.restoreAllMocks();
});

function timer() {
  const told: number[] = [];
  const hold = effectScope().run(() => useHoldTimer((seconds) => told.push(seconds)))!;
  return { hold, told };
}

it('counts while it is held and tells the whole when it is let go', () => {
  const { hold, told } = timer();
  hold.press();
  jest.advanceTimersByTime(1250);
  expect(hold.running.value).toBe(true);
  hold.release();
  expect(told.at(-1)).toBeCloseTo(1.3, 1);
  expect(told.length).toBeGreaterThan(5);
  expect(hold.running.value).toBe(false);
});

it('a mere tap measures nothing', () => {
  const { hold, told } = timer();
  hold.press();
  jest.advanceTimersByTime(120);
  hold.release();
  expect(told).toEqual([]);
});

it('a key that repeats itself while it is held does not begin anew', () => {
  const { hold, told } = timer();
  hold.press();
  for (let repeat = 0; repeat < 20; repeat += 1) {
    jest.advanceTimersByTime(50);
    hold.press();
  }
  hold.release();
  expect(told.at(-1)).toBeCloseTo(1, 1);
});

it('let go of without having been held is nothing', () => {
  const { hold, told } = timer();
  hold.release();
  expect(told).toEqual([]);
});
