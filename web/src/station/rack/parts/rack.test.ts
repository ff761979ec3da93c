import type { WorkDate } from '@icy-ribbon/core/piece/care';
import type { Pot } from '#store/coatKit.ts';
import { rackConflicts } from './conflicts.ts';
import { cropSize, onFace } from './cropRequest.ts';
import { datesByDay } from './datesByDay.ts';
import { withWeight } from './weighPot.ts';
import { coatAnswer } from './coatAmounts.ts';
import { partToWeigh, potSentence } from './potWords.ts';

const NOW = Date.parse('2026-03-20T12:00:00');
const DAY = 86_400_000;
const date = (changes: Partial<WorkDate>): WorkDate => ({
  ...{ key: 'k', kind: 'coat', pieceId: 'p', name: 'Rust and rain', day: null, note: '' },
  when: { fromMs: NOW, toMs: NOW },
  ...changes,
});

describe('what does not go together on the rack', () => {
  const calm = {
    dates: [],
    nowMs: NOW,
    roomC: 22,
    warm: '20 °C',
    coming: [],
    fitsSomewhere: () => true,
    crowded: [],
  };

  it('a top coat that is due while the room is cold', () => {
    const dates = [date({})];
    expect(rackConflicts({ ...calm, dates })).toEqual([]);
    expect(rackConflicts({ ...calm, dates, roomC: 16 })[0]).toMatch(/Rust and rain.*too cold/);
    const later = [date({ when: { fromMs: NOW + 6 * DAY, toMs: NOW + 6 * DAY } })];
    expect(rackConflicts({ ...calm, dates: later, roomC: 16 })).toEqual([]);
  });

  it('two pieces that need one shelf, and one that fits nowhere', () => {
    expect(rackConflicts({ ...calm, crowded: [{ slot: 'upper', names: ['A', 'B'] }] })[0]).toBe(
      'A and B do not fit into "upper" together.',
    );
    const coming = [{ name: 'C', support: {} }] as never;
    expect(rackConflicts({ ...calm, coming, fitsSomewhere: () => false })[0]).toMatch(
      /No slot is free that "C"/,
    );
  });
});

describe('the calendar', () => {
  it('shows a range on each of its days, a show on its own, a wide forecast no longer than two weeks', () => {
    const days = datesByDay([
      date({ key: 'a', when: { fromMs: NOW, toMs: NOW + 2 * DAY } }),
      date({ key: 'b', day: '2026-03-29' }),
      date({ key: 'c', when: { fromMs: NOW, toMs: NOW + 90 * DAY } }),
    ]);
    expect(days.get('2026-03-22')?.map(({ key }) => key)).toEqual(['a', 'c']);
    expect(days.get('2026-03-23')?.map(({ key }) => key)).toEqual(['c']);
    expect(days.get('2026-03-29')?.map(({ key }) => key)).toContain('b');
    expect(days.get('2026-04-20')).toBeUndefined();
  });
});

describe('a pot at the scale', () => {
  const pot: Pot = {
    ...({
      id: 'x',
      kind: 'resin',
      pieces: [],
      step: 'weigh',
      sinceMs: 0,
      stirredAtMs: null,
      note: '',
    } as const),
    parts: [
      { name: 'Part A', mg: 60_000, bottle: 0 },
      { name: 'Part B', mg: 30_000, bottle: 1 },
    ],
    weighed: [0, 0],
  };

  it('what came of the first part sets the other: the ratio counts', () => {
    const next = withWeight(pot, 0, 66_000, 300);
    expect(next.parts[1]?.mg).toBe(33_000);
    expect(partToWeigh(next)).toBe(1);
    const grams = (mg: number) => `${mg / 1000} g`;
    expect(potSentence(next, 'weigh', grams)).toBe('Weigh in 33 g of Part B.');
  });

  it('too much of the second asks for more of the first', () => {
    const next = withWeight(withWeight(pot, 0, 60_000, 300), 1, 33_000, 300);
    expect(next.parts[2]).toMatchObject({ mg: 6000, bottle: 0 });
    expect(partToWeigh(withWeight(next, 2, 6000, 300))).toBeUndefined();
  });

  it('on target it is done', () => {
    expect(partToWeigh(withWeight(withWeight(pot, 0, 60_000, 300), 1, 30_100, 300))).toBeUndefined();
  });
});

describe('a coat by the kit', () => {
  const resin = {
    ...{ by: 'volume', a: 1, b: 1, densityA: 1.12, densityB: 1.02, maxPourMm: 3, thicknessMm: 1.5 },
    ...{ dripPercent: 15, openMinutes: 40, leftAMg: null, leftBMg: null },
  } as const;
  const varnish = { coats: 4, wetMm: 0.1, densityGPerMl: 1.03, leftMg: null };
  const canvas = { shape: 'rectangle', widthMm: 250, heightMm: 250, sideDepthMm: 18 } as const;

  it('worked out by hand: 25 x 25 cm with sides of 1.8 cm, 1.5 mm and 15 % drips are 138.9 ml', () => {
    const { parts } = coatAnswer('resin', { resin, varnish } as never, [canvas]);
    expect(parts[0]?.ml).toBeCloseTo(69.43, 2);
    expect(parts[0]?.mg).toBe(77_763);
  });

  it('two pieces take twice as much; a depth over the limit comes in several pours, each its share', () => {
    const two = coatAnswer('resin', { resin, varnish } as never, [canvas, canvas]);
    expect(two.parts[0]?.mg).toBe(155_526);
    const deep = coatAnswer('resin', { resin: { ...resin, thicknessMm: 7 }, varnish } as never, [canvas]);
    expect(deep.times).toBe(3);
  });

  it('a ratio of 0 is answered with what to change', () => {
    expect(coatAnswer('resin', { resin: { ...resin, a: 0 }, varnish } as never, [canvas]).wrong).toMatch(
      /above 0/,
    );
    expect(
      coatAnswer('varnish', { resin, varnish: { ...varnish, coats: null } } as never, [canvas]).wrong,
    ).toMatch(/coat/);
  });
});

describe('a crop', () => {
  it('stays on the face', () => {
    expect(onFace({ x: 0.8, y: -0.2, width: 0.5, height: 0.5 })).toEqual({
      x: 0.5,
      y: 0,
      width: 0.5,
      height: 0.5,
    });
    expect(onFace({ x: 0, y: 0, width: 2, height: 1 })).toEqual({ x: 0, y: 0, width: 1, height: 0.5 });
  });

  it('prints by its own pixels: 1200 px are 4 inches at 300 dpi', () => {
    const corners = [
      [0, 0],
      [1200, 0],
      [1200, 1200],
      [0, 1200],
    ] as never;
    const { widthPx, printMm } = cropSize(
      corners,
      { widthMm: 300, heightMm: 300 },
      { x: 0, y: 0, width: 1, height: 0.5 },
    );
    expect(widthPx).toBe(1200);
    expect(printMm.width).toBeCloseTo(101.6, 6);
  });
});
