import fc from 'fast-check';
import { gaussian, seededRandom } from '../../base/random/index.ts';
import { combine } from '../reading/index.ts';
import {
  beliefOf,
  cupStates,
  evidenceOf,
  expected,
  learn,
  learnedMaterials,
  disagreement,
  observe,
  observeBelow,
  responseCurve,
  thicknessOf,
  withUnknown,
  forget,
  type LearnCup,
  type ReadingRecord,
} from './index.ts';

const AT = '2026-03-01T09:30:00.000Z';

const material = (materialId: string, kind: string, viscosityPaS: number) =>
  ({ materialId, kind, viscosityPaS, viscosityTrust: 'typical' }) as const;

/** A Dutch cup 2 : 1 with some water, of a shared medium. */
const cup = (id: string, paint: string): LearnCup =>
  ({
    id,
    ingredients: [
      { id: `${id} medium`, material: material('medium', 'flow-conditioner', 1.2) },
      { id: `${id} paint`, material: material(paint, 'artist-tube', 45) },
      { id: `${id} water`, material: material('water', 'water', 0.001002) },
    ],
  }) as LearnCup;

const CONTENTS = [30_000, 15_000, 11_250];

let count = 0;
const reading = (
  of: LearnCup,
  measure: ReadingRecord['measure'],
  more: Partial<ReadingRecord> & { mg?: number[] } = {},
): ReadingRecord => ({
  id: `reading ${(count += 1)}`,
  cupId: of.id,
  raceId: null,
  at: AT,
  contents: of.ingredients.map((each, at) => ({
    ingredientId: each.id,
    mg: (more.mg ?? CONTENTS)[at] ?? 0,
  })),
  measure,
  struck: false,
  ...more,
});

const direct = (of: LearnCup, paS: number, more: Partial<ReadingRecord> & { mg?: number[] } = {}) =>
  reading(
    of,
    {
      kind: 'drain-cup',
      cup: 'own',
      own: { name: 'x', a: 1, b: 0, sdLn: 0.01 },
      seconds: paS * 1000,
      densityGPerMl: 1,
    },
    more,
  );

const lane = (of: LearnCup, seconds: number, raceId = 'race') =>
  reading(of, { kind: 'race', by: 'time', value: seconds, liquid: null, card: null }, { raceId });

const now = (cups: LearnCup[], readings: ReadingRecord[], at = 0, mg = CONTENTS) =>
  thicknessOf(learn(cups, readings), cups[at]!.ingredients, mg);

describe('a belief', () => {
  it('learns a line as least squares does (NIST StRD Norris, first points, from memory)', () => {
    const points = [
      [0.2, 0.1],
      [337.4, 338.8],
      [118.2, 118.1],
      [884.6, 888],
      [10.1, 9.2],
    ] as const;
    const vague = beliefOf([
      { name: 'a', mean: 0, sd: 1e3 },
      { name: 'b', mean: 0, sd: 1e3 },
    ]);
    const learned = points.reduce((so, [x, y]) => observe(so, { a: 1, b: x }, y, 1), vague);
    const meanX = points.reduce((sum, [x]) => sum + x, 0) / 5;
    const meanY = points.reduce((sum, [, y]) => sum + y, 0) / 5;
    const slope =
      points.reduce((sum, [x, y]) => sum + (x - meanX) * (y - meanY), 0) /
      points.reduce((sum, [x]) => sum + (x - meanX) ** 2, 0);
    expect(learned.mean[1]).toBeCloseTo(slope, 5);
    expect(learned.mean[0]).toBeCloseTo(meanY - slope * meanX, 3);
  });

  it('repeated readings of one number are combined by inverse variance', () => {
    const values = [0.8, 1.1, 0.7];
    const vague = beliefOf([{ name: 'x', mean: 0, sd: 1e3 }]);
    const learned = values.reduce((so, paS) => observe(so, { x: 1 }, Math.log(paS), 0.12), vague);
    const together = combine(values.map((viscosityPaS) => ({ viscosityPaS, sdLn: 0.12 })));
    expect(Math.exp(learned.mean[0]!)).toBeCloseTo(together.viscosityPaS, 6);
    expect(expected(learned, { x: 1 }).sd).toBeCloseTo(together.sdLn, 6);
  });

  it('does not depend on the order of what it saw', () => {
    const value = fc.double({ min: -2, max: 2, noNaN: true });
    fc.assert(
      fc.property(value, value, value, (a, b, c) => {
        const prior = beliefOf([
          { name: 'x', mean: 0, sd: 1 },
          { name: 'y', mean: 0, sd: 2 },
        ]);
        const seen = [
          [{ x: 1 }, a],
          [{ x: 0.5, y: 0.5 }, b],
          [{ y: 1, x: -1 }, c],
        ] as const;
        const forth = seen.reduce((so, [weights, v]) => observe(so, weights, v, 0.3), prior);
        const back = [...seen].reverse().reduce((so, [weights, v]) => observe(so, weights, v, 0.3), prior);
        forth.mean.forEach((each, at) => expect(each).toBeCloseTo(back.mean[at]!, 9));
      }),
    );
  });

  it('never gets less sure by looking, and forgets a number without losing the others', () => {
    const prior = withUnknown(beliefOf([{ name: 'x', mean: 0, sd: 1 }]), 'c', 0, 5);
    const seen = observe(prior, { x: 1, c: -1 }, 0.4, 0.1);
    expect(expected(seen, { x: 1 }).sd).toBeLessThanOrEqual(1);
    const rest = forget(seen, 'c');
    expect(rest.names).toEqual(['x']);
    expect(expected(rest, { x: 1 })).toEqual(expected(seen, { x: 1 }));
    expect(withUnknown(prior, 'x', 9, 9)).toBe(prior);
  });

  it('asks for a spread, and knows what it does not know', () => {
    const belief = beliefOf([{ name: 'x', mean: 0, sd: 1 }]);
    expect(() => observe(belief, { x: 1 }, 0, 0)).toThrow(expect.objectContaining({ field: 'sd' }));
    expect(() => expected(belief, { y: 1 })).toThrow(expect.objectContaining({ field: 'y' }));
  });
});

describe('a bound', () => {
  const prior = beliefOf([{ name: 'x', mean: 1, sd: 0.5 }]);

  it('leaves mean and spread of the normal distribution that is cut off there', () => {
    for (const bound of [0.2, 1, 1.6]) {
      const seen = observeBelow(prior, { x: 1 }, bound, 1e-4);
      // Summed over a fine grid.
      let [mass, first, second] = [0, 0, 0];
      for (let x = -3; x < bound; x += 1e-4) {
        const density = Math.exp(-((x - 1) ** 2) / 0.5);
        mass += density;
        first += density * x;
        second += density * x * x;
      }
      const mean = first / mass;
      expect(seen.mean[0]).toBeCloseTo(mean, 3);
      expect(expected(seen, { x: 1 }).sd).toBeCloseTo(Math.sqrt(second / mass - mean ** 2), 3);
    }
  });

  it('that is far off changes nothing when it holds, and pulls to it when it does not', () => {
    expect(observeBelow(prior, { x: 1 }, 9, 0.1)).toBe(prior);
    expect(observeBelow(prior, { x: 1 }, -5, 0.1).mean[0]).toBeCloseTo(-5, 0);
    expect(() => observeBelow(prior, { x: 1 }, 0, 0)).toThrow(expect.objectContaining({ field: 'sd' }));
  });
});

describe('what one person’s readings share', () => {
  const a = cup('a', 'rust');
  const words = (of = a) => reading(of, { kind: 'words', stage: 'trace' });

  it('many words do not make a cup known: their common bias stays', () => {
    const many = Array.from({ length: 40 }, () => words());
    expect(now([a], many).spreadLn).toBeGreaterThan(0.25);
    expect(now([a], many).spreadLn).toBeLessThan(now([a], [words()]).spreadLn);
  });

  it('a drain cup beside them teaches the bias, and with it what words say of the next cup', () => {
    const b = cup('b', 'rain');
    const told = [words(), words(), words(), words(), words(b), words(b), words(b)];
    const before = now([a, b], told, 1);
    const after = now([a, b], [...told, direct(a, 2.4)], 1);
    expect(after.spreadLn).toBeLessThan(before.spreadLn);
    expect(after.viscosityPaS).toBeGreaterThan(before.viscosityPaS);
  });

  it('a quick mound bounds a cup from above only', () => {
    const quick = reading(a, { kind: 'mound', seconds: 0.2, constant: { ln: 0, sdLn: 0.1 } });
    const plain = now([a], []);
    const seen = now([a], [quick]);
    expect(seen.viscosityPaS).toBeLessThan(plain.viscosityPaS);
    expect(now([a], [direct(a, 0.2), quick]).viscosityPaS).toBeCloseTo(0.2, 2);
    expect(evidenceOf('a', [a], [quick])[0]!.says).toMatchObject({ viscosityPaS: 0.5, atMost: true });
  });
});

describe('readings that disagree', () => {
  const [a, b] = [cup('a', 'rust'), cup('b', 'rain')];

  it('are named: which stands out, and what the cup is without it', () => {
    const odd = direct(a, 4);
    const all = [direct(a, 0.8), odd, direct(a, 0.82), direct(b, 1)];
    const found = disagreement(a, [a, b], all, CONTENTS)!;
    expect(found.reading).toBe(odd);
    expect(found.without.viscosityPaS).toBeCloseTo(0.81, 1);
    const struck = all.map((each) => (each === odd ? { ...each, struck: true } : each));
    expect(disagreement(a, [a, b], struck, CONTENTS)).toBeUndefined();
  });

  it('words that are a stage off, and a single reading, contradict nothing', () => {
    expect(disagreement(a, [a, b], [direct(a, 0.8)], CONTENTS)).toBeUndefined();
    const near = [direct(a, 0.8), reading(a, { kind: 'words', stage: 'trace' })];
    expect(disagreement(a, [a, b], near, CONTENTS)).toBeUndefined();
  });

  it('good readings are called in contradiction about once in a hundred cups', () => {
    const random = seededRandom(5);
    const noise = () => 0.081 * gaussian(random);
    let called = 0;
    for (let index = 0; index < 600; index += 1) {
      const all = [0, 1, 2, 3].map(() => direct(a, 0.8 * Math.exp(noise())));
      if (disagreement(a, [a], all, CONTENTS)) called += 1;
    }
    expect(called / 600).toBeLessThan(0.03);
    expect(called).toBeGreaterThan(0);
  });
});

describe('what readings teach', () => {
  it('without any, a cup is what the mixing law says', () => {
    const found = now([cup('a', 'rust')], []);
    const plain = Math.exp((30 * Math.log(1.2) + 15 * Math.log(45) + 11.25 * Math.log(0.001002)) / 56.25);
    expect(found.viscosityPaS).toBeCloseTo(plain, 9);
    expect(found.spreadLn).toBeGreaterThan(0.4);
  });

  it('a good reading is believed, and typical values give way', () => {
    const a = cup('a', 'rust');
    const found = now([a], [direct(a, 1.4)]);
    expect(found.viscosityPaS).toBeCloseTo(1.4, 1);
    expect(found.spreadLn).toBeLessThan(0.1);
  });

  it('struck out, it counts no more', () => {
    const a = cup('a', 'rust');
    expect(now([a], [direct(a, 1.4, { struck: true })])).toEqual(now([a], []));
  });

  it('a reading before water was added still tells of the thinned cup', () => {
    const a = cup('a', 'rust');
    const thinned = [30_000, 15_000, 15_000];
    const before = now([a], [], 0, thinned);
    const after = now([a], [direct(a, 1.4)], 0, thinned);
    expect(after.spreadLn).toBeLessThan(before.spreadLn / 2);
    expect(after.viscosityPaS).toBeGreaterThan(before.viscosityPaS);
    expect(after.viscosityPaS).toBeLessThan(1.4);
  });

  it('a medium that cups share is learned from all of them', () => {
    const [a, b] = [cup('a', 'rust'), cup('b', 'rain')];
    const alone = now([a, b], [], 1);
    const shared = now([a, b], [direct(a, 1.6)], 1);
    expect(shared.viscosityPaS).toBeGreaterThan(alone.viscosityPaS);
    expect(shared.spreadLn).toBeLessThan(alone.spreadLn);
  });
});

describe('a race', () => {
  const [a, b] = [cup('a', 'rust'), cup('b', 'rain')];

  it('teaches the ratio of its cups, not their common thickness', () => {
    const cups = [a, b];
    const raced = [lane(a, 9), lane(b, 6)];
    const ratio = now(cups, raced, 0).viscosityPaS / now(cups, raced, 1).viscosityPaS;
    expect(ratio).toBeGreaterThan(1.35);
    expect(ratio).toBeLessThan(1.5);
    expect(now(cups, raced, 0).spreadLn).toBeGreaterThan(0.25);
  });

  it('with glycerine on a lane tells Pa·s', () => {
    const liquid = { name: 'glycerine', viscosityPaS: 1.414, sdLn: 0.04 };
    const reference = reading(
      a,
      { kind: 'race', by: 'time', value: 12, liquid, card: null },
      { raceId: 'race', cupId: null, contents: [] },
    );
    const found = now([a, b], [lane(a, 9), lane(b, 6), reference], 0);
    expect(found.viscosityPaS / (1.414 * (9 / 12))).toBeCloseTo(1, 0);
    expect(found.spreadLn).toBeLessThan(0.13);
  });

  it('on a calibrated card needs no reference', () => {
    const card = { ln: Math.log(0.12), sdLn: 0.06 };
    const tied = reading(a, { kind: 'race', by: 'time', value: 9, liquid: null, card }, { raceId: 'race' });
    expect(now([a], [tied]).spreadLn).toBeLessThan(0.13);
  });

  it('leaves no unknown of its own, in whatever order its lanes come', () => {
    const cups = [a, b];
    const lanes = [lane(a, 9, 'one'), lane(b, 6, 'one'), lane(a, 4, 'two'), lane(b, 3, 'two')];
    const learned = learn(cups, lanes);
    expect(learned.names.every((name) => !name.startsWith('race'))).toBe(true);
    const mingled = learn(cups, [lanes[2]!, lanes[0]!, lanes[3]!, lanes[1]!]);
    learned.mean.forEach((each, at) => expect(mingled.mean[at]).toBeCloseTo(each, 9));
  });

  it('two races are two cards: their clocks are not compared', () => {
    const cups = [a, b];
    const apart = [lane(a, 9, 'one'), lane(b, 6, 'two')];
    expect(now(cups, apart, 0).viscosityPaS).toBeCloseTo(now(cups, [], 0).viscosityPaS, 2);
  });

  it('a mound teaches its own constant as other readings tell what is in the cup', () => {
    const mound = (of: LearnCup, seconds: number) => reading(of, { kind: 'mound', seconds, constant: null });
    const cups = [a, b];
    const before = now(cups, [mound(b, 0.5)], 1);
    const after = now(cups, [direct(a, 2), mound(a, 0.5), mound(b, 0.5)], 1);
    expect(after.spreadLn).toBeLessThan(before.spreadLn);
    expect(after.viscosityPaS).toBeGreaterThan(before.viscosityPaS * 0.9);
  });
});

describe('evidence', () => {
  const [a, b] = [cup('a', 'rust'), cup('b', 'rain')];

  it('lists what each reading of a cup says by itself', () => {
    const said = evidenceOf(
      'a',
      [a, b],
      [direct(a, 1.4), direct(b, 3), reading(a, { kind: 'words', stage: 'trace' })],
    );
    expect(said).toHaveLength(2);
    expect(said[0]!.says!.viscosityPaS).toBeCloseTo(1.4, 9);
    expect(said[1]!.says!.spreadLn).toBeCloseTo(Math.hypot(0.5, 0.35), 12);
  });

  it('a lane is tied to Pa·s by what is known of the other lanes', () => {
    const [, raced] = evidenceOf('a', [a, b], [direct(b, 1), lane(a, 9), lane(b, 6)]).map(
      (each) => each.says,
    ) as [unknown, unknown];
    expect(raced).toBeUndefined();
    const [only] = evidenceOf('a', [a, b], [direct(b, 1), lane(a, 9), lane(b, 6)]);
    expect(only!.says!.viscosityPaS).toBeGreaterThan(1.35);
    expect(only!.says!.viscosityPaS).toBeLessThan(1.65);
  });

  it('a lane that ran alone says nothing', () => {
    expect(evidenceOf('a', [a, b], [lane(a, 9)])[0]!.says).toBeUndefined();
  });
});

describe('learned materials and the response', () => {
  it('are learned from cups of whatever piece, with how many readings', () => {
    const [a, b] = [cup('a', 'rust'), cup('b', 'rust')];
    const learned = learnedMaterials(
      [a, b],
      [direct(a, 1.6), direct(b, 1.6), direct(b, 1.5, { struck: true })],
    );
    expect(learned.get('rust')!.readings).toBe(2);
    expect(learned.get('rust')!.viscosityPaS).toBeGreaterThan(45);
    expect(learned.get('rust')!.waterBend).not.toBeNull();
    expect(learned.get('medium')!.waterBend!.sd).toBeLessThan(3.5);
    expect(learned.has('water')).toBe(false);
    expect(learnedMaterials([a], []).size).toBe(0);
  });

  it('a curve falls with water and is surest near its readings', () => {
    const a = cup('a', 'rust');
    const curve = responseCurve(learn([a], [direct(a, 0.9)]), a.ingredients, CONTENTS, 2);
    expect(curve).toHaveLength(41);
    for (const [at, point] of curve.slice(1).entries()) {
      expect(point.viscosityPaS).toBeLessThan(curve[at]!.viscosityPaS);
    }
    const spread = (share: number) => curve.find((point) => point.share >= share)!.spreadLn;
    expect(spread(0.2)).toBeLessThan(spread(0));
    expect(spread(0.2)).toBeLessThan(spread(0.45));
    expect(responseCurve(learn([a], []), a.ingredients, [0, 0, 10], 2)).toEqual([]);
  });

  it('states carry the thickness that was read, and how often', () => {
    const a = {
      ...cup('a', 'rust'),
      ingredients: cup('a', 'rust').ingredients.map((each, at) => ({
        ...each,
        role: ['medium', 'paint', 'water'][at]!,
        targetMg: CONTENTS[at]!,
        material: { ...each.material, densityGPerMl: 1.1 },
      })),
      additions: [],
    } as never;
    const { states } = cupStates([a], [direct(a, 1.4)], () => 0);
    expect(states[0]).toMatchObject({ readings: 1, lastReadAt: AT, trust: 'measured', phase: 'planned' });
    expect(states[0]!.properties.viscosityPaS).toBeCloseTo(1.4, 1);
    const said = cupStates([a], [reading(a, { kind: 'words', stage: 'fading' })], () => 0).states[0]!;
    expect(said.trust).toBe('read');
    expect(cupStates([a], [], () => 0).states[0]!.trust).toBe('typical');
  });
});
