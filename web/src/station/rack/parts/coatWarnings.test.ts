import { coatWarnings } from './coatWarnings.ts';

const DAY = 86_400_000;
const NOW = Date.parse('2026-03-20T12:00:00Z');
const poured = (days: number | null, cups: object[] = []) =>
  ({ cups, pouredAt: days === null ? null : new Date(NOW - days * 86_400_000).toISOString() }) as never;
const said = (days: number | null, cups?: object[], roomC: number | null = 22) =>
  coatWarnings(poured(days, cups), {
    nowMs: NOW,
    roomC,
    coatableMs: days === null ? null : NOW + (7 - days) * DAY,
  });

describe('before a coat (common practice, no published source)', () => {
  it('paint waits a week, and never less than three days', () => {
    expect(said(0)[0]).toMatch(/today: wait about 7 days, never less than 3/);
    expect(said(2)[0]).toMatch(/2 days ago: wait/);
    expect(said(5)).toEqual(['Poured 5 days ago: as it dries, leave it until Sun 22 Mar.']);
    expect(said(9)).toEqual([]);
    expect(said(null)[0]).toMatch(/not poured yet/);
  });

  it('silicone in any layer is said first, by its cup; what stayed in its cup does no harm', () => {
    const cup = { name: 'Net', hasSilicone: true, laidMg: 4000 };
    expect(said(1, [cup])[0]).toMatch(/Silicone lies in it \(Net\).*Degrease/);
    expect(said(9, [{ ...cup, laidMg: 0 }])).toEqual([]);
  });

  it('a cold room keeps the bubbles', () => {
    expect(said(9, [], 16)).toHaveLength(1);
    expect(said(9, [], null)).toEqual([]);
  });
});
