import { effectScope } from 'vue';
import type { BeforePourNote } from '@icy-ribbon/core/thickness/match';
import { runShare, trailPath } from '#drawing/card.ts';
import { RUN_S, stickfulAt, surfacePath, TURN_S } from '#drawing/mound.ts';
import { groupNotes } from './groupNotes.ts';
import { emptyPoint, pointOf } from './liquidDraft.ts';
import { laneRatio, raceOutcome, raceReadings, useRace, type Lane } from './race.ts';
import { measureWords as measures } from '#words/measure.ts';
import { additionWords, limitWords, measureWords, paS, spreadWords, sureWords } from '#words/thickness.ts';

const grams = (mg: number) => `${(mg / 1000).toFixed(2)}\u00a0g`;

const METRIC = measures({ mass: 'g', volume: 'ml', length: 'cm', temperature: 'C' });

describe('in words', () => {
  it('a spread is a percentage while it is small, a factor when it is not', () => {
    expect(spreadWords(0.12)).toBe('±\u00a022\u00a0%');
    expect(spreadWords(0)).toBe('±\u00a01\u00a0%');
    expect(spreadWords(Math.log(2.5))).toBe('within a factor of 4.5');
    expect(paS(0.7612)).toBe('0.76\u00a0Pa·s');
  });

  it.each([
    [{ kind: 'words', stage: 'fading' }, 'looks like fading'],
    [{ kind: 'mound', seconds: 1.25, constant: null }, 'mound gone after 1.3\u00a0s, not calibrated'],
    [{ kind: 'mound', seconds: 1, constant: { ln: 0, sdLn: 1 } }, 'mound gone after 1.0\u00a0s'],
    [
      { kind: 'drain-cup', cup: 'zahn-2', own: null, seconds: 30, densityGPerMl: 1 },
      'Zahn 2: drained in 30.0\u00a0s',
    ],
    [
      {
        kind: 'drain-cup',
        cup: 'own',
        own: { name: 'jam jar', a: 1, b: 0, sdLn: 1 },
        seconds: 9,
        densityGPerMl: 1,
      },
      'jam jar: drained in 9.0\u00a0s',
    ],
    [{ kind: 'race', by: 'time', value: 8, liquid: null, card: null }, 'race: at the line after 8.0\u00a0s'],
    [{ kind: 'race', by: 'length', value: 61.7, liquid: null, card: null }, 'race: ran 62\u00a0mm'],
  ])('%j is "%s"', (measure, words) => {
    expect(measureWords({ measure } as never)).toBe(words);
  });

  it('the next addition is one sentence with its number, and says how sure it is', () => {
    const now = { viscosityPaS: 1, spreadLn: 0.1 };
    const water = { ingredientId: 'w', name: 'Water', mg: 3_100 };
    const next = {
      kind: 'thin',
      now,
      need: [{ ...water, mg: 3_875 }],
      step: [water],
      after: { viscosityPaS: 0.8, spreadLn: 0.1 },
      overshoot: 0.004,
      limit: null,
    } as const;
    expect(additionWords(next, grams)).toBe('Stir in 3.10\u00a0g water, then look again.');
    expect(sureWords(next, grams)).toBe(
      '3.88\u00a0g would reach it by the best guess; the step leaves it at 0.80\u00a0Pa·s, ±\u00a018\u00a0%; chance to go too far below 1\u00a0%.',
    );
    expect(additionWords({ kind: 'there', now }, grams)).toBe('It is there.');
    expect(additionWords({ kind: 'stuck', now, because: 'no-thinner' }, grams)).toMatch(
      /nothing to thin it with/,
    );
    expect(sureWords({ kind: 'there', now }, grams)).toBe('');
    expect(limitWords({ code: 'water', water: 0.347, most: 0.3 }, METRIC)).toMatch(
      /^35\u00a0% water .* 30\u00a0%/,
    );
    expect(limitWords({ code: 'capacity', wantedMl: 70.2, capacityMl: 60 }, METRIC)).toMatch(
      /holds 60\u00a0ml and would need 70\u00a0ml/,
    );
  });

  it('notes that say the same of several cups become one; top-ups stay apart', () => {
    const fresh = (name: string): BeforePourNote => ({ cupId: name, name, code: 'not-today', facts: {} });
    const lost = (name: string): BeforePourNote => ({
      cupId: name,
      name,
      code: 'evaporated',
      facts: { lostMg: 500, waterId: 'w' },
    });
    const topUp = { ingredientId: 'w', mg: 500 };
    const all = [fresh('rust'), lost('rust'), fresh('rain'), lost('rain'), fresh('ink')];
    expect(groupNotes(all, METRIC)).toEqual([
      { words: 'rust, rain, and ink: not tested today.', cupId: 'rust', topUp: null },
      { words: 'rust: lost 0.5\u00a0g of water: stir it in again, then test it.', cupId: 'rust', topUp },
      { words: 'rain: lost 0.5\u00a0g of water: stir it in again, then test it.', cupId: 'rain', topUp },
    ]);
    const inOunces = measures({ mass: 'oz', volume: 'fl oz', length: 'in', temperature: 'F' });
    expect(groupNotes([lost('rust')], inOunces)[0]!.words).toMatch(/0\.02\u00a0oz of water/);
  });
});

describe('a race on the card', () => {
  const lane = (key: string, liquid: Lane['liquid'] = null): Lane => ({
    key,
    name: key,
    colorHex: '#888888',
    viscosityPaS: 0.8,
    cupId: liquid ? null : key,
    liquid,
  });

  it('is kept as the lanes that ran, all of one race', () => {
    let count = 0;
    const glycerine = { name: 'glycerine', viscosityPaS: 1.4, sdLn: 0.04 };
    const readings = raceReadings(
      [lane('rust'), lane('rain'), lane('reference', glycerine)],
      { by: 'time', results: { rust: 8.1, reference: 12 } },
      { temperatureC: 21, card: null, makeId: () => `id ${(count += 1)}` },
    );
    expect(readings.map((each) => [each.cupId, each.raceId])).toEqual([
      ['rust', 'id 1'],
      [null, 'id 1'],
    ]);
    expect(readings[1]!.measure).toMatchObject({ value: 12, liquid: glycerine });
  });

  it('is told beside the reference, or as so many times the thinnest', () => {
    const words = (...given: Parameters<typeof raceOutcome>) =>
      raceOutcome(...given).map((each) => each.words);
    const cups = [lane('rust'), lane('rain')];
    const results = { rust: 12, rain: 8 };
    expect(words(cups, 'time', results, true)).toEqual(['1.50 × as thick as rain', 'the thinnest']);
    expect(words(cups, 'time', results, false)).toEqual(['1.50 × as thick as rain', '']);
    expect(words(cups, 'time', {}, false)).toEqual(['', '']);
    const reference = lane('glycerine', { name: 'glycerine', viscosityPaS: 1.4, sdLn: 0.04 });
    expect(words([...cups, reference], 'time', { ...results, glycerine: 12 }, true)).toEqual([
      '1.4\u00a0Pa·s',
      '0.93\u00a0Pa·s',
      '1.4\u00a0Pa·s',
    ]);
  });

  it('the longest run is the thinnest lane', () => {
    const told = raceOutcome([lane('rust'), lane('rain')], 'length', { rust: 40, rain: 80 }, true);
    expect(told.map(({ words }) => words)).toEqual(['8.00 × as thick as rain', 'the thinnest']);
  });

  it('a calibrated card counts for times, not for run lengths', () => {
    const about = { temperatureC: null, card: { ln: -2, sdLn: 0.1 }, makeId: () => 'x' };
    const card = (by: 'time' | 'length') =>
      raceReadings([lane('rust')], { by, results: { rust: 8 } }, about)[0]!.measure;
    expect(card('time')).toMatchObject({ card: about.card });
    expect(card('length')).toMatchObject({ card: null });
  });

  it('a length that was read off a picture says how unsure it is, until it is set by hand', () => {
    const { results, spreads, takeLengths, setResult } = effectScope().run(() => useRace())!;
    takeLengths({ rust: { mm: 82, sdMm: 0.4 }, rain: { mm: 64, sdMm: 0.3 } });
    setResult('rain', 65);
    const race = { by: 'length' as const, results: results.value, spreads: spreads.value };
    const readings = raceReadings([lane('rust'), lane('rain')], race, {
      ...{ temperatureC: null, card: null, makeId: () => 'x' },
    });
    expect(readings.map(({ measure }) => measure.kind === 'race' && measure.sdMm)).toEqual([0.4, undefined]);
    expect(measureWords({ measure: readings[0]!.measure })).toBe(
      'race: ran 82\u00a0mm, read off a picture (±\u00a00.7\u00a0mm)',
    );
  });

  it('ratios go with times, and with the inverse cube of lengths', () => {
    expect(laneRatio('time', 9, 6)).toBeCloseTo(1.5, 12);
    expect(laneRatio('length', 50, 100)).toBeCloseTo(8, 12);
  });

  it('a dot runs with the cube root of time, waits before the line, and lies at it once it crossed', () => {
    expect(runShare(0.8, 0.8, null) / runShare(0.8, 0.1, null)).toBeCloseTo(2, 9);
    expect(runShare(2, 1, null)).toBeLessThan(runShare(0.5, 1, null));
    expect(runShare(0.3, 500, null)).toBe(0.97);
    expect(runShare(5, 0.1, 0.1)).toBe(1);
    expect(trailPath(10, 0, 80, 12)).toMatch(/^M.*Z$/);
  });
});

describe('a stickful', () => {
  const highest = (paS: number) =>
    Math.max(...Array.from({ length: 100 }, (_, at) => stickfulAt(paS, (at * TURN_S) / 100).heightMm));

  it('piles up higher and stays longer the thicker it is', () => {
    const heights = [9, 2.7, 1.2, 0.56, 0.2].map(highest);
    expect(heights).toEqual([...heights].sort((a, b) => b - a));
    const late = RUN_S + 1;
    expect(stickfulAt(9, late).heightMm).toBeGreaterThan(1);
    expect(stickfulAt(0.56, late).heightMm).toBeLessThan(0.05);
  });

  it('dents the surface when it is thinner than "gone"', () => {
    expect(stickfulAt(0.07, 1).heightMm).toBeLessThan(0);
    expect(stickfulAt(0.07, 4).heightMm).toBe(0);
    expect(stickfulAt(0.2, 1).heightMm).toBeGreaterThan(0);
  });

  it('hangs as a wide ribbon when thick, a narrow one when thin, and runs out', () => {
    expect(stickfulAt(9, 1).widthMm).toBeGreaterThan(3 * stickfulAt(0.1, 1).widthMm);
    expect(stickfulAt(1, 1).ribbon).toBe(1);
    expect(stickfulAt(1, TURN_S - 0.1).ribbon).toBe(0);
    expect(stickfulAt(1, TURN_S + 1)).toEqual(stickfulAt(1, 1));
    expect(surfacePath(3, { width: 60, level: 30, bottom: 40 })).toContain('30.0 27.00');
  });
});

describe('a reference reading while it is written', () => {
  it('is whole with its seconds and a share between 0 and 100 %', () => {
    const draft = emptyPoint(21);
    expect(pointOf(draft)).toBeUndefined();
    expect(pointOf({ ...draft, seconds: 12 })).toEqual({
      liquid: { kind: 'glycerine', massFraction: 1, temperatureC: 21 },
      seconds: 12,
    });
    expect(pointOf({ ...draft, seconds: 12, percent: 120 })).toBeUndefined();
    expect(pointOf({ ...draft, seconds: 12, temperatureC: null })).toBeUndefined();
  });

  it('of another liquid needs its name, viscosity and density', () => {
    const draft = {
      ...emptyPoint(null),
      kind: 'known' as const,
      seconds: 9,
      name: ' oil ',
      viscosityPaS: 0.98,
    };
    expect(pointOf(draft)).toEqual({
      liquid: { kind: 'known', name: 'oil', viscosityPaS: 0.98, densityGPerMl: 1 },
      seconds: 9,
    });
    expect(pointOf({ ...draft, name: ' ' })).toBeUndefined();
    expect(pointOf({ ...draft, viscosityPaS: null })).toBeUndefined();
  });
});
