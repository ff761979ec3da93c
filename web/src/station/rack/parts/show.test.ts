import type { PieceSummary } from '@icy-ribbon/contract';
import { careInShort, type LoggedCare } from '@icy-ribbon/core/piece/care';
import { LABEL_SHEETS, pagesOf, sheetMargins } from './labelSheets.ts';
import { showsOf, yearRows } from './showRows.ts';

const NOW = Date.parse('2026-03-20T12:00:00Z');
const DRYING = { hours: 34, low: 24, high: 48 };
let count = 0;
const line = (kind: string, data: object, at = '2026-03-10T10:00:00.000Z') =>
  ({ id: `e${(count += 1)}`, at, kind, data }) as LoggedCare;
const piece = (name: string, care: LoggedCare[], changes: object = {}) =>
  ({
    ...{ id: name, name, technique: 'dutch', phase: 'judged', pouredAt: '2026-03-01T10:00:00.000Z' },
    ...{ touchDryAt: null, mixes: [], photo: {}, judgement: { hangingDeg: 0 }, origin: null },
    support: { shape: 'rectangle', widthMm: 300, heightMm: 400 },
    care: careInShort(care, null),
    ...changes,
  }) as unknown as PieceSummary;
const show = (opensOn: string | null, hanging = 'wire') =>
  line('show', { name: 'Lichen and Brass', opensOn, hanging });
const price = line('price', {
  ...{ hours: 2, paintCents: 500, supportCents: 900, coatCents: 0, otherCents: 100, askedCents: 20_000 },
});

describe('the list of a show', () => {
  const only = (pieces: PieceSummary[]) => showsOf(pieces, NOW, () => DRYING);

  it('says what each piece lacks until it opens', () => {
    const ready = piece('A', [show('2026-05-03'), price, line('decide', { what: 'hang', note: '' })]);
    const bare = piece('B', [show('2026-05-03', '')], { photo: null, judgement: null });
    const [found] = only([ready, bare]);
    expect(found).toMatchObject({ name: 'Lichen and Brass', opensOn: '2026-05-03' });
    expect(found?.pieces[0]?.missing).toEqual([]);
    expect(found?.pieces[1]?.missing).toEqual([
      'what becomes of it is not decided',
      'a photo',
      'which edge is up',
      'how it hangs',
      'a price',
    ]);
  });

  it('a coat that will not have cured until then is said; one that will is not', () => {
    const coat = line('coat', { kind: 'resin', mg: null, potId: null, note: '' }, '2026-03-19T10:00:00.000Z');
    const finish = line('decide', { what: 'finish', note: '' });
    const missing = (opensOn: string) =>
      only([piece('A', [show(opensOn), price, coat, finish])])[0]!.pieces[0]!.missing;
    expect(missing('2026-03-21')).toEqual(['its coat will not have cured']);
    expect(missing('2026-04-21')).toEqual([]);
  });

  it('what was scraped off goes nowhere', () => {
    expect(only([piece('A', [show(null), line('decide', { what: 'scrape', note: '' })])])).toEqual([]);
  });
});

describe('a year’s list', () => {
  it('holds what was poured or sold in it, in money as it was reckoned', () => {
    const sold = piece('A', [price, line('sale', { to: 'a neighbor', cents: 18_000 })]);
    const old = piece('B', [], { pouredAt: '2025-06-01T10:00:00.000Z' });
    expect(yearRows([sold, old], 2026)).toEqual([
      expect.objectContaining({
        piece: 'A',
        size_cm: '30 x 40',
        materials: '15.00',
        asked: '200.00',
        sold_for: '180.00',
      }),
    ]);
    expect(yearRows([sold, old], 2025).map((row) => row.piece)).toEqual(['B']);
  });
});

describe('sheets of labels', () => {
  it.each(LABEL_SHEETS.map((sheet) => [sheet.key, sheet] as const))('%s fit their page', (_label, sheet) => {
    const { pageWidthMm, pageHeightMm, leftMm, topMm } = sheetMargins(sheet);
    expect(2 * leftMm + sheet.columns * sheet.widthMm).toBeLessThanOrEqual(pageWidthMm + 0.01);
    expect(2 * topMm + sheet.rows * sheet.heightMm).toBeLessThanOrEqual(pageHeightMm + 0.01);
  });

  it('places that were used before stay empty, and what does not fit goes onto the next sheet', () => {
    const [sheet] = LABEL_SHEETS;
    const pages = pagesOf([1, 2, 3], sheet, 22);
    expect(pages).toHaveLength(2);
    expect(pages[0]?.filter((each) => each !== null)).toEqual([1, 2]);
    expect(pages[1]).toEqual([3]);
  });
});
