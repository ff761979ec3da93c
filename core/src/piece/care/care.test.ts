import fc from 'fast-check';
import {
  careInShort,
  careState,
  dryingRisks,
  fallLine,
  freeMm,
  GAP_MM,
  lyingIn,
  stillFits,
  workDates,
  type DatedPiece,
  type LoggedCare,
} from './index.ts';

let count = 0;
const line = (kind: string, data: object, at = '2026-03-01T10:00:00.000Z') =>
  ({ id: `e${(count += 1)}`, at, kind, data }) as LoggedCare;

describe('the log after a pour', () => {
  it('the newest of each kind counts, coats add up, and what was taken back counts for nothing', () => {
    const first = line('decide', { what: 'finish', note: '' });
    const slip = line('decide', { what: 'scrape', note: '' });
    const log = [
      first,
      slip,
      line('coat', { kind: 'varnish', mg: 1000, potId: null, note: '' }),
      line('coat', { kind: 'varnish', mg: 1200, potId: null, note: '' }),
      line('check', { what: 'cracks', found: true, mm: null, note: '' }),
      line('check', { what: 'cracks', found: false, mm: null, note: '' }),
      line('void', { eventId: slip.id }),
    ];
    const state = careState(log);
    expect(state.decision?.data.what).toBe('finish');
    expect(state.coats).toHaveLength(2);
    expect(state.checks.cracks?.data.found).toBe(false);
    expect(careInShort(log, null)).toMatchObject({ isGone: false, isDone: false, checked: ['cracks'] });
  });

  it('a piece that was scraped is gone, one that hangs or was sold is done', () => {
    expect(careInShort([line('decide', { what: 'wash-off', note: '' })], null).isGone).toBe(true);
    expect(careInShort([line('decide', { what: 'hang', note: '' })], null).isDone).toBe(true);
    expect(careInShort([line('sale', { to: '', cents: 1 })], null).isDone).toBe(true);
  });

  it('a piece taken off its shelf lies nowhere; one ticked as coated before the log was there has a coat', () => {
    const place = line('place', { shelfId: 's', slotId: 'left' });
    expect(careState([place, line('place', { shelfId: null, slotId: null })]).place).toBeNull();
    expect(careInShort([], '2026-03-01T10:00:00.000Z').coats).toHaveLength(1);
  });

  it('of a sketch the newest counts; one without marks was thrown away', () => {
    const sketch = (sketchId: string, marks: unknown[]) =>
      line('sketch', { sketchId, name: 'A', filmMm: 1, marks, chosen: false });
    const log = [sketch('a', [1]), sketch('b', [1]), sketch('a', [1, 2]), sketch('b', [])];
    expect(careState(log).sketches.map(({ sketchId, marks }) => [sketchId, marks.length])).toEqual([
      ['a', 2],
    ]);
  });
});

describe('a slope both ways', () => {
  it.each([
    [{ acrossMmPerM: 3, downMmPerM: 0 }, 3, 90],
    [{ acrossMmPerM: 0, downMmPerM: 2 }, 2, 180],
    [{ acrossMmPerM: -1, downMmPerM: 0 }, 1, 270],
    [{ acrossMmPerM: 0, downMmPerM: -4 }, 4, 0],
    [{ acrossMmPerM: 3, downMmPerM: 4 }, 5, 143.13],
  ])('%o falls %d mm on a meter toward %d degrees', (level, slope, deg) => {
    const { slopeMmPerM, directionDeg } = fallLine(level);
    expect(slopeMmPerM).toBeCloseTo(slope, 6);
    expect(directionDeg).toBeCloseTo(deg, 1);
  });
});

describe('what may happen while it dries (common practice, no published source)', () => {
  const codes = (film: Parameters<typeof dryingRisks>[0]) => dryingRisks(film).map(({ code }) => code);

  it('a thin film on cloth is spoken of by nothing; a thick one cracks, its middle dries last', () => {
    expect(codes({ isMiddle: false, thickMm: 0.8, kind: 'canvas' })).toEqual([]);
    expect(codes({ isMiddle: false, thickMm: 3, kind: 'canvas' })).toEqual(
      expect.arrayContaining(['cracks', 'middle-last', 'sags']),
    );
  });

  it('a board bows, a bare rim cracks first', () => {
    expect(codes({ isMiddle: false, thickMm: 1, kind: 'board' })).toEqual(['warps']);
    const tile = codes({ isMiddle: false, thickMm: 2.6, kind: 'tile' });
    expect(tile.indexOf('rim-cracks')).toBeLessThan(tile.indexOf('cracks'));
  });
});

describe('the rack', () => {
  const shelf = { id: 's', depthMm: 400, slots: [{ id: 'a', widthMm: 700 }] };

  it('a piece lies as it is, turned where only that fits, or not at all', () => {
    expect(lyingIn({ widthMm: 300, heightMm: 400 }, { freeMm: 700, depthMm: 400 })).toEqual({
      isTurned: false,
      frontMm: 300,
    });
    expect(lyingIn({ widthMm: 300, heightMm: 500 }, { freeMm: 700, depthMm: 400 })?.isTurned).toBe(true);
    expect(lyingIn({ widthMm: 500, heightMm: 500 }, { freeMm: 700, depthMm: 400 })).toBeNull();
  });

  it('worked out by hand: 70 cm hold two of 30 cm with 2 cm between, not three', () => {
    const none = () => [];
    const [fits] = stillFits(shelf, none, [{ widthMm: 300, heightMm: 300 }]);
    expect(fits?.count).toBe(2);
    expect(freeMm(shelf.slots[0]!, 400, [{ widthMm: 300, heightMm: 300 }])).toBe(700 - 300 - GAP_MM);
  });

  it('as many as it says fit can really be laid there, one more cannot (property)', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 100, max: 3000 }),
        fc.integer({ min: 100, max: 800 }),
        fc.integer({ min: 60, max: 700 }),
        fc.integer({ min: 60, max: 700 }),
        (slotMm, depthMm, widthMm, heightMm) => {
          const one = { id: 's', depthMm, slots: [{ id: 'a', widthMm: slotMm }] };
          const size = { widthMm, heightMm };
          const lying: (typeof size)[] = [];
          const said = stillFits(one, () => [], [size])[0]?.count ?? 0;
          const fits = () => lyingIn(size, { freeMm: freeMm(one.slots[0]!, depthMm, lying), depthMm });
          while (fits()) lying.push(size);
          expect(lying.length).toBe(said);
        },
      ),
    );
  });
});

describe('dates', () => {
  const HOURS = { hours: 34, low: 24, high: 48 };
  const piece = (
    changes: Omit<Partial<DatedPiece>, 'care'> & { care?: Partial<DatedPiece['care']> } = {},
  ): DatedPiece => ({
    ...{ id: 'p', name: 'Rain shutter', phase: 'judged', technique: 'dutch' },
    ...{ pouredAt: '2026-03-01T10:00:00.000Z', touchDryAt: null, mixes: [] },
    ...changes,
    care: { decision: null, coats: [], show: null, isGone: false, isDone: false, ...changes.care },
  });
  const kinds = (changes?: Parameters<typeof piece>[0]) =>
    workDates(piece(changes), HOURS).map(({ kind }) => kind);

  it('follow what was decided and done', () => {
    expect(kinds()).toEqual(['dry', 'coat']);
    expect(kinds({ touchDryAt: '2026-03-02T10:00:00.000Z' })).toEqual(['coat']);
    expect(kinds({ care: { decision: 'alter' } })).toEqual(['dry', 'alter']);
    expect(kinds({ care: { decision: 'hang', isDone: true } })).toEqual(['dry']);
    expect(kinds({ care: { isGone: true } })).toEqual([]);
    const coats = [{ kind: 'varnish', at: '2026-03-09T10:00:00.000Z' }] as const;
    expect(kinds({ care: { coats } })).toEqual(['next-coat', 'cured']);
  });

  it('of a mixed piece its cups rest; of a show it is the day, whatever the clock of the place', () => {
    const mixes = [{ mixedAt: '2026-03-01T10:00:00.000Z', restHours: null }];
    expect(kinds({ phase: 'mixed', pouredAt: null, mixes })).toEqual(['rested']);
    const show = { name: 'Lichen and Brass', opensOn: '2026-03-29' };
    const [date] = workDates(piece({ pouredAt: null, care: { show } }), HOURS);
    expect(date).toMatchObject({ kind: 'show', day: '2026-03-29', note: 'Lichen and Brass' });
  });

  it('while it is poured nothing dries, unless it was laid on the rack: not everybody logs the air', () => {
    expect(kinds({ phase: 'pouring' })).toEqual([]);
    expect(kinds({ phase: 'pouring', care: { place: { shelfId: 's', slotId: 'l' } } })).toEqual([
      'dry',
      'coat',
    ]);
  });

  it('each has a key of its own that stays when its time changes', () => {
    const all = workDates(piece(), HOURS);
    expect(new Set(all.map(({ key }) => key)).size).toBe(all.length);
    const later = workDates(piece({ touchDryAt: null }), { hours: 60, low: 50, high: 80 });
    expect(later.map(({ key }) => key)).toEqual(all.map(({ key }) => key));
  });
});
