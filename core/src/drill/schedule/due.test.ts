import { dueOf, points } from './index.ts';

const day = (n: number) => new Date(Date.UTC(2026, 0, 1 + n)).toISOString();
const NOW = day(100);

it('a drill that was never played is due', () => {
  expect(dueOf([], NOW)).toEqual({ everyDays: 0, at: null, isDue: true });
});

it('the first time it comes back the next day, however well it went', () => {
  expect(dueOf([{ at: day(0), score: 95 }], day(0)).at).toBe(day(1));
  expect(dueOf([{ at: day(0), score: 10 }], day(1)).isDue).toBe(true);
});

it('rests grow while it sits, and start over when it fails', () => {
  const well = [0, 1, 4, 9, 20].map((n) => ({ at: day(n), score: 90 }));
  const rests = well.map((_, count) => dueOf(well.slice(0, count + 1), NOW).everyDays);
  rests.slice(1).forEach((rest, at) => expect(rest / rests[at]!).toBeCloseTo(2.2, 6));
  expect(dueOf([...well, { at: day(50), score: 30 }], NOW).everyDays).toBe(1);
});

it('just passed grows less than sits; nothing rests longer than 60 days', () => {
  const played = (score: number) => [0, 1, 3].map((n) => ({ at: day(n), score }));
  expect(dueOf(played(70), NOW).everyDays).toBeLessThan(dueOf(played(85), NOW).everyDays);
  const often = Array.from({ length: 40 }, (_, n) => ({ at: day(60 * n), score: 100 }));
  expect(dueOf(often, NOW).everyDays).toBe(60);
});

it('ten times in one evening are not ten days of rest', () => {
  const evening = Array.from({ length: 10 }, () => ({ at: day(0), score: 100 }));
  expect(dueOf(evening, NOW).everyDays).toBe(1);
});

it('a time that cannot be read is named', () => {
  expect(() => dueOf([{ at: 'yesterday', score: 50 }], NOW)).toThrow(
    expect.objectContaining({ field: 'played.0.at' }) as Error,
  );
});

it.each([
  [0.873, 87],
  [1.4, 100],
  [-1, 0],
  [Number.NaN, 0],
])('%p makes %p points', (share, expected) => expect(points(share)).toBe(expected));
