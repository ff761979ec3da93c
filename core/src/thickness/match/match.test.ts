import fc from 'fast-check';
import { learn, thicknessOf, type Belief } from '../learn/index.ts';
import { mixProperties, thin } from '../../paint/mix/index.ts';
import { toG } from '../../base/unit/mass.ts';
import { beforePour, contrast, matchSet, nextAddition, nextRace, THERE_LN, type SetCup } from './index.ts';

const WATER = {
  materialId: 'water',
  name: 'Water',
  kind: 'water',
  viscosityPaS: 0.001002,
  densityGPerMl: 0.9982,
};
const MEDIUM = {
  materialId: 'medium',
  name: 'Conditioner',
  kind: 'flow-conditioner',
  viscosityPaS: 1.2,
  densityGPerMl: 1.03,
};
const VARNISH = {
  materialId: 'varnish',
  name: 'Varnish',
  kind: 'varnish',
  viscosityPaS: 0.35,
  densityGPerMl: 1.03,
};

function cup(
  name: string,
  waterMg: number,
  more: Partial<SetCup> & { paintPaS?: number; trust?: 'typical' | 'measured' } = {},
): SetCup {
  const { paintPaS = 45, trust = 'measured', ...rest } = more;
  const paint = { materialId: name, name, kind: 'artist-tube', viscosityPaS: paintPaS, densityGPerMl: 1.2 };
  const part = (material: object, role: string, share: number) => ({
    id: `${name} ${role}`,
    role,
    share,
    material: {
      ...material,
      viscosityTrust: trust,
      waterBend: trust === 'measured' ? { mean: 0, sd: 0 } : null,
    },
  });
  return {
    id: name,
    name,
    role: 'color',
    ingredients: [part(MEDIUM, 'medium', 2 / 3), part(paint, 'paint', 1 / 3), part(WATER, 'water', 0)],
    contentsMg: [30_000, 15_000, waterMg],
    capacityMl: 150,
    waterLimit: 0.3,
    ...rest,
  } as unknown as SetCup;
}

const beliefOf = (cups: readonly SetCup[]): Belief => learn(cups as never, []);
const thicknessIn = (belief: Belief, each: SetCup, contentsMg = each.contentsMg) =>
  thicknessOf(belief, each.ingredients, contentsMg).viscosityPaS;

describe('the next addition', () => {
  it('needs what the plain mixing law says, and covers 80 % of the way at most (Arrhenius 1887, from memory)', () => {
    const one = cup('rust', 5_000);
    const next = nextAddition(beliefOf([one]), one, 0.76);
    const parts = one.ingredients.map(({ material }, at) => ({
      massG: toG(one.contentsMg[at]!),
      viscosityPaS: material.viscosityPaS,
      densityGPerMl: material.densityGPerMl,
    }));
    const plain = thin(parts, 0.76, WATER);
    if (next.kind !== 'thin') throw new Error(next.kind);
    expect(toG(next.need[0]!.mg)).toBeCloseTo(plain.addG, 2);
    expect(toG(next.step[0]!.mg)).toBeLessThanOrEqual(plain.adviseG + 0.2);
    expect(toG(next.step[0]!.mg)).toBeGreaterThan(0.6 * plain.addG);
    expect(next.step[0]).toMatchObject({ ingredientId: 'rust water', name: 'Water' });
    expect(next.after.viscosityPaS).toBeGreaterThan(0.76);
  });

  it('what it needs reaches the target, whichever side it comes from', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1_000, max: 20_000 }),
        fc.double({ min: 0.2, max: 3, noNaN: true }),
        (waterMg, target) => {
          const one = cup('rust', waterMg);
          const belief = beliefOf([one]);
          const next = nextAddition(belief, one, target);
          if (next.kind === 'there') {
            expect(Math.abs(Math.log(next.now.viscosityPaS / target))).toBeLessThanOrEqual(THERE_LN);
            return;
          }
          // So near that no step is worth its risk: it is read again.
          if (next.kind === 'read') {
            expect(Math.abs(Math.log(next.now.viscosityPaS / target))).toBeLessThanOrEqual(2 * THERE_LN);
            return;
          }
          if (next.kind !== 'thin' && next.kind !== 'thicken') throw new Error(next.kind);
          const then = one.contentsMg.map(
            (mg, at) =>
              mg + (next.need.find((each) => each.ingredientId === one.ingredients[at]!.id)?.mg ?? 0),
          );
          expect(thicknessIn(belief, one, then) / target).toBeCloseTo(1, 2);
          for (const each of next.step) expect(each.mg).toBeGreaterThanOrEqual(0);
        },
      ),
    );
  });

  it('a cup that is too thin gets its own medium and paint in the recipe’s proportion', () => {
    const one = cup('rust', 18_000);
    const next = nextAddition(beliefOf([one]), one, 0.9);
    if (next.kind !== 'thicken') throw new Error(next.kind);
    const [medium, paint] = next.need;
    expect(medium!.mg / paint!.mg).toBeCloseTo(2, 2);
    expect(next.need.map((each) => each.name)).toEqual(['Conditioner', 'rust']);
  });

  it('says when water would be above the limit, or the cup too small', () => {
    const wet = cup('rust', 15_000, { waterLimit: 0.3 });
    const thinner = nextAddition(beliefOf([wet]), wet, 0.2);
    expect(thinner).toMatchObject({ kind: 'thin', limit: { code: 'water', most: 0.3 } });
    const full = cup('rust', 5_000, { capacityMl: 50 });
    expect(nextAddition(beliefOf([full]), full, 0.5)).toMatchObject({
      limit: { code: 'capacity', capacityMl: 50 },
    });
  });

  it('thins with what was chosen', () => {
    const base = cup('rust', 5_000);
    const varnish = {
      id: 'v',
      role: 'thinner',
      share: 0,
      material: { ...VARNISH, viscosityTrust: 'measured' },
    };
    const one = {
      ...base,
      ingredients: [...base.ingredients, varnish],
      contentsMg: [...base.contentsMg, 0],
    } as unknown as SetCup;
    const next = nextAddition(beliefOf([one]), one, 1.2, { thinnerId: 'v' });
    expect(next).toMatchObject({ kind: 'thin', step: [{ name: 'Varnish' }] });
  });

  it('fluid paint is thinned with its varnish rather than water, any other with water (common practice)', () => {
    const base = cup('rust', 5_000);
    const varnish = {
      ...{ id: 'v', role: 'thinner', share: 0 },
      material: { ...VARNISH, viscosityTrust: 'measured' },
    };
    const withVarnish = (isFluid: boolean) =>
      ({
        ...base,
        ingredients: [
          ...base.ingredients.map((each) =>
            isFluid && each.role === 'paint'
              ? { ...each, material: { ...each.material, kind: 'fluid' } }
              : each,
          ),
          varnish,
        ],
        contentsMg: [...base.contentsMg, 0],
      }) as unknown as SetCup;
    const stepOf = (one: SetCup) => {
      const next = nextAddition(beliefOf([one]), one, 1.2);
      return next.kind === 'thin' ? next.step.map(({ name }) => name) : next.kind;
    };
    expect(stepOf(withVarnish(true))).toEqual(['Varnish']);
    expect(stepOf(withVarnish(false))).toEqual(['Water']);
  });

  it('is stuck without a thinner, below its thinner, or above its stock, and says so', () => {
    const dry = cup('rust', 0);
    const without = {
      ...dry,
      ingredients: dry.ingredients.slice(0, 2),
      contentsMg: dry.contentsMg.slice(0, 2),
    };
    expect(nextAddition(beliefOf([without]), without, 0.5)).toMatchObject({
      kind: 'stuck',
      because: 'no-thinner',
    });
    const stock = cup('rust', 10_000);
    expect(nextAddition(beliefOf([stock]), stock, 30)).toMatchObject({
      kind: 'stuck',
      because: 'stock-too-thin',
    });
    expect(() => nextAddition(beliefOf([stock]), stock, 0)).toThrow(
      expect.objectContaining({ field: 'targetPaS' }),
    );
  });

  it('the less is known, the smaller the step, until nothing is stirred in before a reading', () => {
    const known = cup('rust', 0);
    const guessed = cup('rust', 0, { trust: 'typical' });
    const stepOf = (one: SetCup, targetPaS: number) => {
      const next = nextAddition(beliefOf([one]), one, targetPaS);
      return next.kind === 'thin' ? next.step[0]!.mg : next.kind;
    };
    expect(stepOf(guessed, 0.5)).toBeLessThan(stepOf(known, 0.5) as number);
    expect(stepOf(guessed, 2.5)).toBe('read');
    expect(stepOf(known, 2.5)).toBeGreaterThan(50);
  });

  it('is there only when four fifths of what is believed lies in the window', () => {
    const guessed = cup('rust', 11_250, { trust: 'typical' });
    const belief = beliefOf([guessed]);
    const target = thicknessIn(belief, guessed);
    expect(nextAddition(belief, guessed, target)).toMatchObject({ kind: 'read', need: [] });
    const known = cup('rust', 11_250);
    expect(nextAddition(beliefOf([known]), known, target).kind).toBe('there');
    const wide = { thinPaS: 0.05, thickPaS: 10 };
    expect(nextAddition(belief, guessed, target, { window: wide }).kind).toBe('there');
  });
});

describe('matching a set', () => {
  it('a Dutch set comes to one thickness in the window, with the least added', () => {
    const cups = [
      cup('base', 60_000, { role: 'base', contentsMg: [160_000, 80_000, 60_000], capacityMl: 500 }),
      cup('rust', 8_000),
      cup('rain', 15_000),
    ];
    const belief = beliefOf(cups);
    const plan = matchSet(belief, 'dutch', cups);
    const [group] = plan.groups;
    expect(plan.feasible).toBe(true);
    expect(group!.targetPaS!).toBeGreaterThanOrEqual(0.35);
    expect(group!.targetPaS!).toBeLessThanOrEqual(0.9);
    // The large base would cost most to move, so the others come to it.
    expect(group!.paceId).toBe('base');
    for (const target of [0.4, 0.5, 0.6, 0.7, 0.85]) {
      const grams = cups.reduce((sum, each) => {
        const next = nextAddition(belief, each, target);
        return sum + ('need' in next ? next.need.reduce((total, part) => total + part.mg, 0) : 0);
      }, 0);
      expect(plan.addMg).toBeLessThanOrEqual(grams + 1);
    }
  });

  it('raced against each other, cups are known to be level without a reference', () => {
    const [one, other] = [
      cup('rust', 11_250, { trust: 'typical' }),
      cup('rain', 11_250, { trust: 'typical' }),
    ];
    const cups = [one!, other!];
    const lane = (of: SetCup, value: number) => ({
      ...{ id: of.id, cupId: of.id, raceId: 'race', at: '2026-03-01T09:30:00.000Z', struck: false },
      contents: of.ingredients.map(({ id }, at) => ({ ingredientId: id, mg: of.contentsMg[at]! })),
      measure: { kind: 'race', by: 'time', value, liquid: null, card: null } as const,
    });
    const kinds = (readings: ReturnType<typeof lane>[]) =>
      matchSet(learn(cups as never, readings), 'dutch', cups).cups.map(({ addition }) => addition.kind);
    expect(kinds([])).toContain('read');
    const again = [lane(one!, 6), lane(other!, 6)].map((each, at) => ({
      ...each,
      id: `again ${at}`,
      raceId: 'again',
    }));
    const raced = kinds([lane(one!, 6), lane(other!, 6), ...again]);
    expect(raced.filter((kind) => kind === 'there').length).toBeGreaterThan(0);
  });

  it('nothing is added to a set that is alike and in its window', () => {
    const cups = [cup('rust', 11_250), cup('rain', 11_500)];
    expect(matchSet(beliefOf(cups), 'dutch', cups).addMg).toBe(0);
  });

  it('a bloom’s cups come each into their own window, just inside', () => {
    const cups = [
      cup('tide', 18_000),
      cup('gilt', 3_000),
      cup('white', 1_000, { role: 'activator', contentsMg: [30_000, 5_000, 1_000] }),
    ];
    const plan = matchSet(beliefOf(cups), 'bloom', cups);
    const of = (id: string) => plan.cups.find((each) => each.id === id)!;
    expect(of('tide').addition.kind).toBe('thicken');
    expect(of('tide').targetPaS).toBeGreaterThan(1.6);
    expect(of('gilt').addition).toMatchObject({ kind: 'there' });
    expect(of('white').addition.kind).toBe('thin');
    expect(of('white').targetPaS).toBeLessThan(0.6 * 1.6);
  });

  it('a swipe wants the swiped color thinner than the rest', () => {
    const cups = [cup('rust', 11_250), cup('pearl', 11_250, { role: 'swipe' })];
    const plan = matchSet(beliefOf(cups), 'swipe', cups);
    expect(plan.cups[0]!.addMg).toBe(0);
    expect(plan.cups[1]!.targetPaS).toBeLessThanOrEqual(0.35);
    expect(plan.cups[1]!.addition.kind).toBe('thin');
  });

  it('a medium is left alone, and a cup that cannot get there is named', () => {
    const small = cup('rust', 2_000, { capacityMl: 42 });
    const medium = cup('bloom medium', 0, { role: 'medium' });
    const plan = matchSet(beliefOf([small, medium]), 'dutch', [small, medium]);
    expect(plan.feasible).toBe(false);
    expect(plan.groups[0]!.paceId).toBe('rust');
    expect(plan.cups[1]).toMatchObject({ targetPaS: null, addMg: 0 });
  });
});

describe('matching, to the number', () => {
  it('a bloom’s cup is brought just inside its window from the nearer end: by 0.15 in ln', () => {
    const cups = [
      cup('tide', 18_000),
      cup('white', 1_000, { role: 'activator', contentsMg: [30_000, 5_000, 1_000] }),
      cup('thin', 40_000, { role: 'activator' }),
      cup('wall', 0, { role: 'pillow', contentsMg: [20_000, 15_000, 6_000] }),
    ];
    const { cups: matched } = matchSet(beliefOf(cups), 'bloom', cups);
    expect(matched[0]!.targetPaS).toBeCloseTo(1.6 * Math.exp(0.15), 9);
    // Clearly thinner than the color will be: a third of it.
    expect(matched[1]!.targetPaS).toBeCloseTo(1.6 / 3, 9);
    expect(matched.map(({ addMg }) => addMg > 0)).toEqual(
      matched.map(({ addition }) => 'need' in addition && addition.need.length > 0),
    );
  });

  it('the grams of a set are those of its cups, of all that has to be added', () => {
    const cups = [cup('rust', 8_000), cup('rain', 15_000)];
    const belief = beliefOf(cups);
    const plan = matchSet(belief, 'dutch', cups);
    const needed = plan.cups.map(({ addition }) =>
      'need' in addition ? addition.need.reduce((sum, each) => sum + each.mg, 0) : 0,
    );
    expect(plan.cups.map(({ addMg }) => addMg)).toEqual(needed);
    expect(plan.addMg).toBe(needed.reduce((sum, each) => sum + each, 0));
    expect(plan.addMg).toBeGreaterThan(0);
  });

  it('a thickness every cup can reach goes before one that costs less and leaves a cup behind', () => {
    // The small cup cannot take what would bring it to the large one.
    const large = cup('base', 60_000, {
      role: 'base',
      contentsMg: [160_000, 80_000, 60_000],
      capacityMl: 500,
    });
    const small = cup('rust', 7_000, { capacityMl: 54 });
    const belief = beliefOf([large, small]);
    const plan = matchSet(belief, 'dutch', [large, small]);
    expect(plan.feasible).toBe(true);
    const cheapest = nextAddition(belief, small, thicknessIn(belief, large));
    expect(cheapest).toMatchObject({ limit: { code: 'capacity' } });
  });

  it('of cups that need nothing the one nearest to the target sets the pace', () => {
    const cups = [cup('rust', 11_250), cup('rain', 11_400), cup('ink', 11_500)];
    const plan = matchSet(beliefOf(cups), 'dutch', cups);
    const target = plan.groups[0]!.targetPaS!;
    const off = (id: string) =>
      Math.abs(Math.log(plan.cups.find((each) => each.id === id)!.addition.now.viscosityPaS / target));
    for (const { id } of cups) expect(off(plan.groups[0]!.paceId!)).toBeLessThanOrEqual(off(id));
  });

  it('the step covers four fifths of the way in ln, from 50 mg on', () => {
    const one = cup('rust', 5_000);
    const belief = beliefOf([one]);
    const next = nextAddition(belief, one, 0.5);
    if (next.kind !== 'thin') throw new Error(next.kind);
    const way = Math.log(next.now.viscosityPaS / 0.5);
    expect(Math.log(next.now.viscosityPaS / next.after.viscosityPaS) / way).toBeCloseTo(0.8, 2);
    expect(next.after.viscosityPaS).toBeCloseTo(
      thicknessIn(
        belief,
        one,
        one.contentsMg.map((mg, at) => mg + (at === 2 ? next.step[0]!.mg : 0)),
      ),
      9,
    );
    const tiny = cup('drop', 0, { contentsMg: [40, 20, 8] });
    const almost = thicknessIn(beliefOf([tiny]), tiny) * Math.exp(-0.14);
    expect(nextAddition(beliefOf([tiny]), tiny, almost).kind).not.toBe('thin');
  });

  it('the chance to go too far is that of ending thinner than the target by more than 15 %, hardly ever', () => {
    const guessed = cup('rust', 0, { trust: 'typical' });
    const next = nextAddition(beliefOf([guessed]), guessed, 0.5);
    if (next.kind !== 'thin') throw new Error(next.kind);
    const z = (Math.log(0.5 * 0.85) - Math.log(next.after.viscosityPaS)) / next.after.spreadLn;
    // The normal distribution by its Taylor series.
    let [term, sum] = [z, z];
    for (let k = 1; k < 60; k += 1) {
      term *= (-z * z) / (2 * k);
      sum += term / (2 * k + 1);
    }
    expect(next.overshoot).toBeCloseTo(0.5 + sum / Math.sqrt(2 * Math.PI), 4);
    expect(next.overshoot).toBeLessThanOrEqual(0.006);
    expect(next.overshoot).toBeGreaterThan(0.0055);
  });
});

describe('the race that tells most, to the number', () => {
  const typical = { trust: 'typical' as const };

  it('one reading of a race joins what was known: 1/s2 = 1/a2 + 1/0.12^2', () => {
    const cups = [cup('rust', 11_250, typical), cup('rain', 11_250, typical)];
    const { spreadLn, afterLn } = nextRace(beliefOf(cups), 'dutch', cups)!;
    expect(afterLn).toBeCloseTo(1 / Math.sqrt(1 / spreadLn ** 2 + 1 / 0.12 ** 2), 9);
    expect(spreadLn).toBeGreaterThan(0.2);
  });

  it('a cup that may lie outside its window brings a reference onto the card', () => {
    const unsure = [cup('rust', 3_000, typical), cup('rain', 3_000)];
    expect(nextRace(beliefOf(unsure), 'dutch', unsure)!.withReference).toBe(true);
    // Far too thick for all that is known: no reference is needed to see that.
    const thick = [
      cup('rust', 0, { ...typical, paintPaS: 4000 }),
      cup('rain', 0, { ...typical, paintPaS: 4000 }),
    ];
    expect(nextRace(beliefOf(thick), 'dutch', thick)).toMatchObject({ withReference: false });
  });

  it('cups without a window are raced only for their difference', () => {
    const media = [
      cup('a', 5_000, { ...typical, role: 'medium' }),
      cup('b', 5_000, { ...typical, role: 'medium' }),
    ];
    expect(nextRace(beliefOf(media), 'dutch', media)).toMatchObject({
      cupIds: ['a', 'b'],
      withReference: false,
    });
  });
});

describe('the race that tells most', () => {
  it('is between the cups whose difference is least known', () => {
    const cups = [
      cup('rust', 11_250),
      cup('rain', 11_250, { trust: 'typical' }),
      cup('ink', 11_250, { trust: 'typical' }),
    ];
    const proposal = nextRace(beliefOf(cups), 'dutch', cups)!;
    expect(proposal.cupIds).toEqual(expect.arrayContaining(['rain', 'ink']));
    expect(proposal.afterLn).toBeLessThan(proposal.spreadLn);
    expect(proposal.afterLn).toBeLessThan(0.12);
  });

  it('is not needed when all is known', () => {
    const cups = [cup('rust', 11_250), cup('rain', 11_250)];
    expect(nextRace(beliefOf(cups), 'dutch', cups)).toBeUndefined();
  });

  it('takes at most six lanes', () => {
    const cups = 'abcdefgh'.split('').map((name) => cup(name, 11_250, { trust: 'typical' }));
    expect(nextRace(beliefOf(cups), 'dutch', cups)!.cupIds.length).toBeLessThanOrEqual(6);
  });
});

describe('the contrast of a set (common practice, no published source)', () => {
  const one = (name: string, role: string, viscosityPaS: number, spreadLn = 0.1) =>
    ({ id: name, name, role, viscosityPaS, spreadLn }) as never;

  it('a thin bloom color lets the activator sink and washes out', () => {
    const [first] = contrast('bloom', [one('tide', 'color', 0.4), one('white', 'activator', 0.15)]);
    expect(first).toMatchObject({
      level: 'wrong',
      cupIds: ['tide'],
      code: 'outside',
      facts: { side: 'thin', isSure: true, consequence: 'activator-sinks-into-it', viscositiesPaS: [0.4] },
    });
  });

  it('an activator that is thicker than a color sinks; one not clearly thinner makes few cells', () => {
    const find = (activator: number) =>
      contrast('bloom', [one('tide', 'color', 2), one('white', 'activator', activator)]);
    expect(find(2.4)).toContainEqual(expect.objectContaining({ level: 'wrong', code: 'activator-thicker' }));
    expect(find(1.3)).toContainEqual(expect.objectContaining({ level: 'look', code: 'activator-close' }));
    expect(find(0.6)).toMatchObject([{ level: 'fine', code: 'activator-held', facts: { ratio: 0.3 } }]);
  });

  it('cups that nobody has read are never called wrong beside each other, however they lie', () => {
    for (const paS of [0.5, 1, 2, 2.4, 3]) {
      const unread = [one('tide', 'color', 2, 0.55), one('white', 'activator', paS, 0.7)];
      const beside = contrast('bloom', unread).filter(({ code }) => code !== 'outside');
      expect(beside.map(({ level }) => level)).not.toContain('wrong');
      expect(beside.length).toBe(1);
    }
    const dutch = [
      one('base', 'base', 0.6, 0.5),
      one('rain', 'color', 0.6, 0.5),
      one('rust', 'color', 0.3, 0.5),
    ];
    expect(contrast('dutch', dutch).find(({ code }) => code === 'one-thinner')).toMatchObject({
      level: 'look',
      facts: { name: 'rust' },
    });
  });

  it('of two cups a chance is never lower the farther they lie apart (property)', () => {
    const chanceAt = (ratio: number, spread: number) => {
      const [found] = contrast('bloom', [
        one('tide', 'color', 2, spread),
        one('white', 'activator', 2 * ratio, spread),
      ]).filter(({ code }) => code === 'activator-thicker');
      return found ? (found.facts as { chance: number }).chance : 0;
    };
    fc.assert(
      fc.property(
        fc.double({ min: 0.3, max: 3, noNaN: true }),
        fc.double({ min: 1, max: 2, noNaN: true }),
        fc.double({ min: 0.02, max: 0.6, noNaN: true }),
        (ratio, more, spread) => {
          expect(chanceAt(ratio * more, spread)).toBeGreaterThanOrEqual(chanceAt(ratio, spread) - 1e-9);
        },
      ),
    );
  });

  it('of several colors the one nearest to the activator counts', () => {
    const colors = [one('rust', 'color', 4), one('tide', 'color', 2), one('rain', 'color', 3)];
    const [only] = contrast('bloom', [...colors, one('white', 'activator', 0.5)]);
    expect(only).toMatchObject({ code: 'activator-held', facts: { color: 'tide', ratio: 0.25 } });
  });

  it('one Dutch cup thinner than the rest spreads, one thicker gets eaten', () => {
    const rest = [one('base', 'base', 0.6), one('rain', 'color', 0.6)];
    expect(contrast('dutch', [...rest, one('rust', 'color', 0.4)])[0]).toMatchObject({
      level: 'look',
      code: 'one-thinner',
      facts: { name: 'rust' },
    });
    const thick = contrast('dutch', [...rest, one('rust', 'color', 0.88)]);
    expect(thick).toContainEqual(
      expect.objectContaining({ code: 'one-thicker', facts: expect.objectContaining({ name: 'rust' }) }),
    );
  });

  it.each([
    [0.8, 'separate'],
    [0.65, 'separate'],
    [0.6, 'spread'],
    [0.42, 'spread'],
    [0.4, 'swarms'],
  ])('an alike Dutch set at %f Pa·s makes %s', (paS, makes) => {
    const findings = contrast('dutch', [one('base', 'base', paS), one('rain', 'color', paS * 1.02)]);
    expect(findings.at(-1)).toMatchObject({ level: 'fine', code: 'alike', facts: { makes } });
  });

  it('cups that may lie outside are told together, with their chances', () => {
    const findings = contrast('dutch', [one('rust', 'color', 2, 0.4), one('rain', 'color', 2, 0.5)]);
    expect(findings[0]).toMatchObject({
      level: 'look',
      cupIds: ['rust', 'rain'],
      facts: { names: ['rust', 'rain'], side: 'thick', isSure: false, consequence: 'does-not-blow-out' },
    });
  });
});

describe('the contrast of a set, cup by cup (common practice, no published source)', () => {
  const one = (name: string, role: string, viscosityPaS: number, spreadLn = 0.05) =>
    ({ id: name, name, role, viscosityPaS, spreadLn }) as never;
  const first = (technique: 'dutch' | 'bloom' | 'swipe', role: string, paS: number) => {
    const [finding] = contrast(technique, [one('x', role, paS)]);
    return finding?.code === 'outside' ? `${finding.level} ${finding.facts.consequence}` : undefined;
  };

  it.each([
    ['bloom', 'activator', 0.05, 'wrong runs-off-the-colors'],
    ['bloom', 'activator', 3, 'wrong no-sheet'],
    ['bloom', 'pillow', 0.4, 'wrong colors-sink-into-it'],
    ['bloom', 'pillow', 20, 'wrong does-not-run-in-the-spin'],
    ['bloom', 'color', 0.4, 'wrong activator-sinks-into-it'],
    ['bloom', 'color', 9, 'wrong does-not-move-in-the-air'],
    ['dutch', 'color', 0.1, 'wrong cells-wreck'],
    ['dutch', 'base', 3, 'wrong does-not-blow-out'],
    ['swipe', 'swipe', 0.05, 'wrong slides-off-the-rest'],
    ['swipe', 'swipe', 3, 'wrong drags-the-colors'],
    ['swipe', 'color', 0.1, 'wrong swiped-color-sinks'],
    ['swipe', 'base', 7, 'wrong card-leaves-ridges'],
    ['dutch', 'color', 0.6, undefined],
    ['dutch', 'medium', 40, undefined],
  ] as const)('%s, %s at %d Pa·s: %s', (technique, role, paS, told) => {
    expect(first(technique, role, paS)).toBe(told);
  });

  it('what may lie outside is looked at from a chance of a quarter, and wrong from four fifths on', () => {
    const level = (paS: number, spreadLn: number) =>
      contrast('dutch', [one('x', 'color', paS, spreadLn)]).map((each) => each.level);
    // 2.2 Pa·s is the end of the window; z = ln(2.2 / paS) / spread.
    const at = (z: number) => 2.2 * Math.exp(-z * 0.2);
    expect(level(at(0.7), 0.2)).toEqual([]); // 24 %
    expect(level(at(0.65), 0.2)).toEqual(['look']); // 26 %
    expect(level(at(-0.8), 0.2)).toEqual(['look']); // 79 %
    expect(level(at(-0.88), 0.2)).toEqual(['wrong']); // 81 %
  });

  it('wrong comes before what is to be looked at, and that before what is fine', () => {
    const cups = [
      one('a', 'activator', 0.5),
      one('b', 'color', 3),
      one('c', 'color', 0.4),
      one('d', 'color', 0.8),
    ];
    const levels = contrast('bloom', cups).map(({ level }) => level);
    expect(levels).toEqual([...levels].sort((x, y) => 'wlf'.indexOf(x[0]!) - 'wlf'.indexOf(y[0]!)));
    expect(new Set(levels).size).toBeGreaterThan(1);
    // The cup that may be too thin is looked at first and told last.
    const told = contrast('bloom', [one('a', 'color', 0.48, 0.2), one('b', 'activator', 1)]);
    expect(told[0]).toMatchObject({ level: 'wrong' });
    expect(told.at(-1)).toMatchObject({ level: 'look', cupIds: ['a'] });
  });

  it.each([
    [1.34, 'fine'],
    [1.36, 'look'],
    [1.82, 'look'],
    [1.83, 'wrong'],
  ])('Dutch cups of 1 to %d are %s', (ratio, level) => {
    const cups = [one('a', 'base', 0.45), one('b', 'color', 0.45), one('c', 'color', 0.45 * ratio)];
    expect(contrast('dutch', cups).find(({ code }) => code !== 'outside')!.level).toBe(level);
  });
});

describe('before the pour', () => {
  const HOUR = 3_600_000;
  const NOW = Date.parse('2026-03-05T15:00:00Z');
  const at = (hoursAgo: number) => new Date(NOW - hoursAgo * HOUR).toISOString();
  const cupThen = (more: object = {}) => ({
    id: 'rust',
    name: 'Rust',
    mixed: true,
    lid: true,
    restHours: null,
    additions: [{ ingredientId: 'water', mg: 5_000, at: at(5) }],
    movements: [],
    waterId: 'water',
    lastReadAt: at(1),
    ...more,
  });
  const notes = (more: object) => beforePour([cupThen(more)], NOW, NOW - 15 * HOUR).map((note) => note.code);

  it('says nothing of a cup that was tested today', () => {
    expect(notes({})).toEqual([]);
  });

  it.each([
    [{ mixed: false }, ['unmixed']],
    [{ lastReadAt: null }, ['never-tested']],
    [{ lastReadAt: at(6) }, ['changed-since']],
    [{ lastReadAt: at(30), additions: [{ ingredientId: 'water', mg: 1, at: at(40) }] }, ['not-today']],
    [{ restHours: 24 }, ['resting']],
    [{ restHours: 4 }, []],
    [{ lid: false }, ['open']],
    [{ lid: false, lastReadAt: at(0.2), additions: [{ ingredientId: 'water', mg: 1, at: at(0.9) }] }, []],
    [
      { lid: false, lastReadAt: at(0.2), additions: [{ ingredientId: 'water', mg: 1, at: at(1.1) }] },
      ['open'],
    ],
    [{ lastReadAt: null, additions: [] }, ['never-tested', 'aged']],
    [{ lastReadAt: at(47), additions: [{ ingredientId: 'water', mg: 1, at: at(47.5) }] }, ['not-today']],
    [
      { lastReadAt: at(70), additions: [{ ingredientId: 'water', mg: 1, at: at(80) }] },
      ['not-today', 'aged'],
    ],
  ])('%j gives %j', (more, kinds) => {
    expect(notes(more)).toEqual(kinds);
  });

  it('what dried away and was not stirred in again is to be topped up, to the milligram', () => {
    const [note] = beforePour(
      [
        cupThen({
          movements: [{ kind: 'loss', mg: 1_200, at: at(4) }],
          additions: [
            { ingredientId: 'water', mg: 5_000, at: at(50) },
            { ingredientId: 'water', mg: 500, at: at(3) },
          ],
        }),
      ],
      NOW,
      NOW - 15 * HOUR,
    );
    expect(note).toMatchObject({ code: 'evaporated', facts: { waterId: 'water', lostMg: 700 } });
  });
});

it('the plain law and the learned one agree where nothing was learned', () => {
  const one = cup('rust', 11_250);
  const plain = mixProperties(
    one.ingredients.map(({ material }, at) => ({
      massG: one.contentsMg[at]!,
      viscosityPaS: material.viscosityPaS,
      densityGPerMl: material.densityGPerMl,
    })),
  );
  expect(thicknessIn(beliefOf([one]), one)).toBeCloseTo(plain.viscosityPaS, 9);
});
