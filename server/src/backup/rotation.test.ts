import fc from 'fast-check';
import { keepers, mostBackupBytes, type Dated } from './rotation.ts';

const NOW = new Date('2026-03-15T12:00:00.000Z');
const at = (daysAgo: number, hour = 10): Dated => {
  const day = new Date(NOW.getTime() - daysAgo * 86_400_000);
  day.setUTCHours(hour);
  return { name: day.toISOString(), madeAt: day.toISOString(), bytes: 1000 };
};

it('of a year of daily backups, the last week, one a week and one a month stay', () => {
  const kept = keepers(
    Array.from({ length: 365 }, (_, day) => at(day)),
    NOW,
  );
  for (let day = 0; day < 7; day += 1) expect(kept.has(at(day).name)).toBe(true);
  expect(kept.size).toBeGreaterThanOrEqual(7 + 3 + 10);
  expect(kept.size).toBeLessThanOrEqual(7 + 4 + 12);
  expect([...kept].some((name) => name.startsWith('2025-05'))).toBe(true);
});

it('of the last two days the newest 24 stay', () => {
  const many = Array.from({ length: 20 }, (_, hour) => at(1, hour));
  expect(keepers(many, NOW).size).toBe(20);
  const more = [...many, ...Array.from({ length: 11 }, (_, hour) => at(0, hour))];
  const kept = keepers(more, NOW);
  expect(kept.size).toBeLessThanOrEqual(24 + 1);
  expect(kept.has(at(0, 10).name)).toBe(true);
  expect(kept.has(at(1, 3).name)).toBe(false);
});

it('from the first hour on they weigh no more than they may, and the newest stays whatever it weighs', () => {
  fc.assert(
    fc.property(
      fc.array(
        fc.record({ hours: fc.integer({ min: 0, max: 4000 }), bytes: fc.integer({ min: 1, max: 900 }) }),
        {
          minLength: 1,
          maxLength: 60,
        },
      ),
      fc.integer({ min: 1, max: 5000 }),
      (given, mostBytes) => {
        const all = given.map(({ hours, bytes }, index) => {
          const madeAt = new Date(NOW.getTime() - hours * 3_600_000 - index).toISOString();
          return { name: madeAt, madeAt, bytes };
        });
        const kept = keepers(all, NOW, mostBytes);
        const newest = all.reduce((a, b) => (a.madeAt > b.madeAt ? a : b));
        expect(kept.has(newest.name)).toBe(true);
        const weight = all.filter(({ name }) => kept.has(name)).reduce((sum, { bytes }) => sum + bytes, 0);
        expect(weight).toBeLessThanOrEqual(Math.max(mostBytes, newest.bytes));
      },
    ),
  );
});

it('they may weigh 2 GB, or a quarter of what would be free without them', () => {
  expect(mostBackupBytes(100e9, 0)).toBe(2 * 1024 ** 3);
  expect(mostBackupBytes(3e9, 1e9)).toBe(1e9);
});

it('a backup that seems to come from the future stays', () => {
  expect(keepers([at(-400), at(0), at(1)], NOW).has(at(-400).name)).toBe(true);
});

const dates = fc.array(fc.integer({ min: -5, max: 900 }), { minLength: 1, maxLength: 80 });

it('the newest always stays, and never more than the rule allows beyond the last two days', () => {
  fc.assert(
    fc.property(dates, (days) => {
      const all = [...new Set(days)].map((day) => at(day));
      const kept = keepers(all, NOW);
      const newest = all.reduce((a, b) => (a.madeAt > b.madeAt ? a : b));
      expect(kept.has(newest.name)).toBe(true);
      const older = [...kept].filter((name) => NOW.getTime() - Date.parse(name) > 48 * 3_600_000);
      expect(older.length).toBeLessThanOrEqual(7 + 4 + 12);
    }),
  );
});

it('what was dropped once is not missed later: rotating day by day keeps what rotating at the end would', () => {
  let held: Dated[] = [];
  for (let day = 200; day >= 0; day -= 1) {
    held.push(at(day));
    const now = new Date(NOW.getTime() - day * 86_400_000);
    const kept = keepers(held, now);
    held = held.filter(({ name }) => kept.has(name));
  }
  const months = new Set(held.map(({ name }) => name.slice(0, 7)));
  expect(months.size).toBeGreaterThanOrEqual(7);
  expect(held.length).toBeLessThanOrEqual(23);
});
