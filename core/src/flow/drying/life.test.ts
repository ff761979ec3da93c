import fc from 'fast-check';
import { isDryTooSoon, LIFE_STAGES, lifeAt, lifeDates, type LifeFacts } from './index.ts';

const HOUR = 3_600_000;
const DAY = 24 * HOUR;
const thin: LifeFacts = {
  pouredMs: 0,
  technique: 'dutch',
  drying: { hours: 24 * Math.SQRT2, low: 24, high: 48 },
  touchDryMs: null,
  coats: [],
  isDone: false,
};

describe('the waits of a piece (common practice, no published source)', () => {
  it('of a thin Dutch pour in a usual room: touch-dry in 1 to 2 days, laid over after 3, coated after 7', () => {
    const dates = lifeDates(thin);
    expect(dates.dry).toEqual({ fromMs: DAY, toMs: 2 * DAY });
    expect(dates.alterable).toEqual({ fromMs: 3 * DAY, toMs: 3 * DAY });
    expect(dates.coatable.fromMs).toBeCloseTo(7 * DAY, -3);
  });

  it('the week of the top coat follows room and log, and is never under three days', () => {
    const slow = lifeDates({ ...thin, drying: { hours: 48 * Math.SQRT2, low: 48, high: 96 } });
    expect(slow.coatable.fromMs).toBeCloseTo(14 * DAY, -3);
    const fast = lifeDates({ ...thin, drying: { hours: 6, low: 4, high: 8 } });
    expect(fast.coatable.fromMs).toBe(3 * DAY);
  });

  it('whoever touched it late has not made it dry late', () => {
    const late = lifeDates({ ...thin, touchDryMs: 6 * DAY });
    expect(late.coatable.fromMs).toBeLessThan(11 * DAY);
    expect(late.dry).toEqual({ fromMs: 6 * DAY, toMs: 6 * DAY });
  });

  it('a coat of resin has cured after three days, varnish takes its next coat after four hours', () => {
    const resin = lifeDates({ ...thin, coats: [{ kind: 'resin', ms: 8 * DAY }] });
    expect(resin.curedMs).toBe(11 * DAY);
    const varnish = lifeDates({
      ...thin,
      coats: [
        { kind: 'varnish', ms: 8 * DAY },
        { kind: 'varnish', ms: 9 * DAY },
      ],
    });
    expect(varnish.nextCoat).toBe(9 * DAY + 4 * HOUR);
  });
});

describe('how far a piece is', () => {
  it.each([
    [2, 'wet'],
    [20, 'skin'],
    [50, 'touch-dry'],
    [80, 'alterable'],
    [24 * 8, 'coatable'],
  ] as const)('%d h after its pour it is %s', (hours, stage) => {
    expect(lifeAt(thin, hours * HOUR).stage).toBe(stage);
  });

  it('found touch-dry early it has had its skin, and what comes next is later', () => {
    const early = { ...thin, touchDryMs: 2 * HOUR };
    const { skin, dry } = lifeDates(early);
    expect(skin.toMs).toBeLessThanOrEqual(dry.fromMs);
    expect(lifeAt(early, 3 * HOUR)).toMatchObject({ stage: 'touch-dry', next: { stage: 'alterable' } });
  });

  it('said to be dry long before its forecast it is asked about', () => {
    expect(isDryTooSoon(thin.drying, 0.2)).toBe(true);
    expect(isDryTooSoon(thin.drying, 0.9 * thin.drying.low)).toBe(false);
  });

  it('cures under its coat, and is finished then', () => {
    const coated = { ...thin, coats: [{ kind: 'resin', ms: 8 * DAY }] } as const;
    expect(lifeAt(coated, 9 * DAY).stage).toBe('curing');
    expect(lifeAt(coated, 12 * DAY)).toEqual({ stage: 'finished', share: 1, next: null });
  });

  it('that hangs as it is is finished once it is dry, not before', () => {
    expect(lifeAt({ ...thin, isDone: true }, 10 * HOUR).stage).toBe('wet');
    expect(lifeAt({ ...thin, isDone: true }, 50 * HOUR).stage).toBe('finished');
  });

  it('never goes back, whatever it dries like (property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 2, max: 400, noNaN: true }),
        fc.double({ min: 1.05, max: 3, noNaN: true }),
        fc.array(fc.double({ min: 0, max: 60, noNaN: true }), { minLength: 2, maxLength: 20 }),
        (hours, spread, days) => {
          const facts = { ...thin, drying: { hours, low: hours / spread, high: hours * spread } };
          const stages = [...days]
            .sort((a, b) => a - b)
            .map((day) => LIFE_STAGES.indexOf(lifeAt(facts, day * DAY).stage));
          expect(stages).toEqual([...stages].sort((a, b) => a - b));
          for (const day of days) {
            const { share, next } = lifeAt(facts, day * DAY);
            expect(share).toBeGreaterThanOrEqual(0);
            expect(share).toBeLessThanOrEqual(1);
            if (next) expect(next.when.toMs).toBeGreaterThan(day * DAY);
          }
        },
      ),
    );
  });
});
