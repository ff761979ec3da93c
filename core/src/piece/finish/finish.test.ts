import fc from 'fast-check';
import { lineRounds, openSecondsLeft, resinLine, sharesOfPot, varnishAmounts } from './index.ts';

describe('gloss varnish (arithmetic)', () => {
  const job = { areaMm2: 100_000, coats: 4, wetMm: 0.1, densityGPerMl: 1.05, lossShare: 0.2 };

  it('worked out by hand: 10 cm2 x 0.1 mm x 100 x 1.2 are 12 ml, 12.6 g, four coats 50.4 g', () => {
    const { coatMl, coatG, totalG } = varnishAmounts(job);
    expect(coatMl).toBeCloseTo(12, 9);
    expect(coatG).toBeCloseTo(12.6, 9);
    expect(totalG).toBeCloseTo(50.4, 9);
  });

  it.each([
    ['coats', 0],
    ['coats', 1.5],
    ['areaMm2', 0],
    ['wetMm', -1],
    ['lossShare', -0.1],
  ] as const)('%s of %d is an input error there', (field, value) => {
    expect(() => varnishAmounts({ ...job, [field]: value })).toThrow(expect.objectContaining({ field }));
  });
});

describe('a pot for several pieces', () => {
  it('is shared by area, to the milligram (property)', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 5_000_000 }),
        fc.array(fc.integer({ min: 1, max: 1_000_000 }), { minLength: 1, maxLength: 12 }),
        (mg, areas) => {
          const shares = sharesOfPot(mg, areas);
          expect(shares.reduce((sum, share) => sum + share, 0)).toBe(mg);
          const total = areas.reduce((sum, area) => sum + area, 0);
          shares.forEach((share, index) => {
            expect(Math.abs(share - (mg * areas[index]!) / total)).toBeLessThanOrEqual(1);
          });
        },
      ),
    );
    expect(() => sharesOfPot(1000, [])).toThrow(expect.objectContaining({ field: 'areasMm2' }));
  });

  it('its open time counts down from when it was stirred, and below 0', () => {
    const pot = { stirredAtMs: 1_000_000, openMinutes: 40 };
    expect(openSecondsLeft(pot, 1_000_000)).toBe(2400);
    expect(openSecondsLeft(pot, 1_000_000 + 41 * 60_000)).toBe(-60);
  });
});

describe('lines', () => {
  it('of resin are drawn half as wide, with gaps (common practice)', () => {
    expect(resinLine({ wantedMm: 6, lengthMm: 200 })).toMatchObject({ drawMm: 3, gapMm: 6 });
    expect(() => resinLine({ wantedMm: 0, lengthMm: 10 })).toThrow(
      expect.objectContaining({ field: 'wantedMm' }),
    );
  });

  const across = (y: number) => ({ from: [0, y], to: [300, y], widthMm: 3 }) as const;
  const down = (x: number) => ({ from: [x, 0], to: [x, 300], widthMm: 3 }) as const;

  it('that cross or lie close wait for each other, those that keep apart do not', () => {
    expect(lineRounds([across(50), across(150), down(100)])).toEqual([[0, 1], [2]]);
    expect(lineRounds([across(50), across(58)])).toEqual([[0], [1]]);
    expect(lineRounds([])).toEqual([]);
    expect(() => lineRounds([{ from: [1, 1], to: [1, 1], widthMm: 2 }])).toThrow(
      expect.objectContaining({ field: 'lines.0' }),
    );
  });

  it('no two of a round ever touch (property, against sampled distances)', () => {
    const place = fc.tuple(fc.integer({ min: 0, max: 400 }), fc.integer({ min: 0, max: 400 }));
    const any = fc
      .record({ from: place, to: place, widthMm: fc.constantFrom(1, 3, 8) })
      .filter(({ from, to }) => from[0] !== to[0] || from[1] !== to[1]);
    const along = ({ from, to }: { from: readonly number[]; to: readonly number[] }, t: number) =>
      [from[0]! + t * (to[0]! - from[0]!), from[1]! + t * (to[1]! - from[1]!)] as const;
    fc.assert(
      fc.property(fc.array(any, { maxLength: 7 }), (lines) => {
        const rounds = lineRounds(lines);
        expect(rounds.flat().sort((a, b) => a - b)).toEqual(lines.map((_, index) => index));
        for (const round of rounds) {
          for (const one of round) {
            for (const other of round) {
              if (other <= one) continue;
              for (let s = 0; s <= 20; s += 1) {
                for (let t = 0; t <= 20; t += 1) {
                  const [a, b] = [along(lines[one]!, s / 20), along(lines[other]!, t / 20)];
                  expect(Math.hypot(a[0] - b[0], a[1] - b[1])).toBeGreaterThan(
                    (lines[one]!.widthMm + lines[other]!.widthMm) / 2,
                  );
                }
              }
            }
          }
        }
      }),
      { numRuns: 40 },
    );
  });
});
