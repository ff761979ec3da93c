import type { PieceSummary } from '@icy-ribbon/contract';
import { lifeAt, lifeDates, LIFE_STAGES } from '@icy-ribbon/core/flow/drying';
import { careInShort, lifeFacts, workDates, type LoggedCare } from '@icy-ribbon/core/piece/care';
import { pieceProgress } from '@icy-ribbon/core/piece/progress';
import fc from 'fast-check';
import { coatWarnings } from './rack/parts/coatWarnings.ts';
import { showsOf } from './rack/parts/showRows.ts';
import { dueFrom } from './today/parts/due.ts';

/** What every station says of the same piece after its pour, held against each other. */
const NOW = Date.parse('2026-06-20T12:00:00Z');
const DAY = 86_400_000;
const HOUR = DAY / 24;

const day = fc.double({ min: 0, max: 60, noNaN: true });
const any = fc.record({
  poured: fc.double({ min: 0.05, max: 40, noNaN: true }),
  hours: fc.double({ min: 8, max: 200, noNaN: true }),
  spread: fc.double({ min: 1.1, max: 2, noNaN: true }),
  touched: fc.option(day),
  coats: fc.array(day, { maxLength: 3 }),
  decision: fc.option(fc.constantFrom('finish', 'hang', 'alter', 'scrape', 'ground' as const)),
});

let count = 0;
const line = (kind: string, data: object, at: number) =>
  ({ id: `e${(count += 1)}`, at: new Date(at).toISOString(), kind, data }) as LoggedCare;

function told({
  poured,
  hours,
  spread,
  touched,
  coats,
  decision,
}: typeof any extends fc.Arbitrary<infer T> ? T : never) {
  const pouredMs = NOW - poured * DAY;
  const since = (days: number) => Math.min(NOW, pouredMs + days * DAY);
  const drying = { hours, low: hours / spread, high: hours * spread };
  const log = [
    ...coats.map((days) => line('coat', { kind: 'varnish', mg: null, potId: null, note: '' }, since(days))),
    ...(decision ? [line('decide', { what: decision, note: '' }, since(1))] : []),
    line('show', { name: 'Lichen and Brass', opensOn: '2026-07-30', hanging: 'wire' }, NOW),
  ];
  const piece = {
    ...{ id: 'p', name: 'Rain shutter', technique: 'dutch', phase: 'judged', mixes: [], passes: [{}] },
    pouredAt: new Date(pouredMs).toISOString(),
    touchDryAt: touched === null ? null : new Date(since(touched)).toISOString(),
    ...{ drying: null, photo: {}, judgement: null, origin: null, updatedAt: '' },
    care: careInShort(log, null),
  } as unknown as PieceSummary;
  return { piece, drying, pouredMs };
}

it('Today, the calendar, the rack, the coat and the show say the same of a piece (property)', () => {
  fc.assert(
    fc.property(any, (given) => {
      const { piece, drying } = told(given);
      const facts = lifeFacts(piece, drying);
      const due = dueFrom([piece], NOW, () => drying);
      const dates = workDates(piece, drying);
      if (!facts) {
        // What was scraped off is asked for nowhere.
        expect(piece.care.isGone).toBe(true);
        expect(due).toEqual([]);
        expect(dates).toEqual([]);
        expect(showsOf([piece], NOW, () => drying)).toEqual([]);
        return;
      }
      const life = lifeAt(facts, NOW);
      const { coatable } = lifeDates(facts);
      expect(due.length).toBeLessThanOrEqual(1);
      // Today asks for a coat only when the calendar has one due, and the rack calls the piece ready or nearly so.
      if (due[0]?.topCoat) {
        expect(dates.find(({ kind }) => kind === 'coat')!.when.fromMs).toBeLessThanOrEqual(NOW);
        expect(LIFE_STAGES.indexOf(life.stage)).toBeGreaterThanOrEqual(LIFE_STAGES.indexOf('skin'));
      }
      // The coat itself does not warn of a piece that the rack calls ready.
      const warned = coatWarnings(
        { cups: [], pouredAt: piece.pouredAt },
        { nowMs: NOW, roomC: 22, coatableMs: coatable.fromMs },
      );
      if (life.stage === 'coatable') expect(warned).toEqual([]);
      if (NOW < coatable.fromMs - HOUR) expect(warned).not.toEqual([]);
      // One stage begins when the date that was told for it is over.
      if (life.next) expect(life.next.when.toMs).toBeGreaterThan(NOW);
      // The show does not call wet what will have dried, nor fresh what will have cured.
      const missing = showsOf([piece], NOW, () => drying)[0]!.pieces[0]!.missing;
      const atOpening = lifeAt(facts, new Date('2026-07-30T00:00:00').getTime()).stage;
      expect(missing.includes('will still be wet')).toBe(atOpening === 'wet' || atOpening === 'skin');
      expect(missing.includes('its coat will not have cured')).toBe(atOpening === 'curing');
      // Whoever looks at the piece is sent on by its record, and not to a coat it has.
      const { next } = pieceProgress({
        ...{ cups: [], planned: false, layers: 1, passes: 1, photos: 1, judged: true, verdict: 'finish' },
        care: { isCoated: piece.care.coats.length > 0, isDone: piece.care.isDone },
      });
      if (piece.care.coats.length > 0) expect(next).not.toMatch(/finish/);
    }),
    { numRuns: 600 },
  );
});
