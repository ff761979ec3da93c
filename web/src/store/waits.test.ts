import { createPinia, setActivePinia } from 'pinia';
import { notices } from '../notice/notices.ts';
import { clockWords, leftOf, useWaits } from './waits.ts';

const wait = { pieceName: 'Door', seconds: 60, forWhat: 'the cells to open', stepId: null };

beforeEach(() => {
  jest.useFakeTimers({ now: 1_000_000 });
  setActivePinia(createPinia());
});
afterEach(() => jest.useRealTimers());

it('counts down, and over', () => {
  expect(leftOf({ ...wait, startedAt: 1000 }, 31_000)).toBe(30);
  expect([65, 60, 9.2, 0, -12].map(clockWords)).toEqual(['1:05', '1:00', '0:10', '0:00', '+0:12']);
});

it('waits of two pieces run side by side; ending one leaves the other', () => {
  const waits = useWaits();
  waits.start('a', wait);
  jest.advanceTimersByTime(20_000);
  waits.start('b', { ...wait, pieceName: 'Moth', seconds: 90 });
  jest.advanceTimersByTime(10_000);
  expect(leftOf(waits.of('a')!, waits.now)).toBeCloseTo(30, 0);
  expect(waits.tookSeconds('a')).toBe(30);
  waits.end('a');
  expect(waits.of('a')).toBeUndefined();
  expect(leftOf(waits.of('b')!, waits.now)).toBeCloseTo(80, 0);
});

it('says once that a wait is over, and counts on', () => {
  const waits = useWaits();
  const before = notices.length;
  waits.start('a', wait);
  jest.advanceTimersByTime(61_000);
  expect(notices.slice(before).map(({ text }) => text)).toEqual([
    'Door: the wait for the cells to open is over.',
  ]);
  jest.advanceTimersByTime(3_000);
  expect(notices).toHaveLength(before + 1);
  expect(waits.tookSeconds('a')).toBe(64);
});

it('a wait that never was took no time', () => {
  expect(useWaits().tookSeconds('nobody')).toBe(0);
});
