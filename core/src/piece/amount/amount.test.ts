import { runCalculation } from '../../base/calculation/index.ts';
import { findCalculation } from '../../registry/index.ts';
import { meanFilmLeftMm } from '../../flow/film/index.ts';
import { EMPTY_PLAN, type Plan, type PlanBase } from '../plan/index.ts';
import { paint } from '../../../testing/index.ts';
import type { SupportSize } from '../support/index.ts';
import { amounts, baseAreas, deepestDentMm, pieceFilm, pillowMassG, secondsToSpin } from './index.ts';

const board: SupportSize = { shape: 'rectangle', widthMm: 300, heightMm: 400, sideDepthMm: 20 };
const white = paint('white', { role: 'base', viscosityPaS: 0.8, densityGPerMl: 1.1 });
const gray = paint('gray', { role: 'base', viscosityPaS: 0.8, densityGPerMl: 1.1 });
const pillow = paint('pillow', { role: 'pillow', viscosityPaS: 4, densityGPerMl: 1.35 });
const rust = paint('rust');
const net = paint('net', { role: 'activator', viscosityPaS: 0.5, densityGPerMl: 1.15 });
const paints = [white, gray, pillow, rust, net];

const base = (changes: Partial<PlanBase> = {}): PlanBase => ({
  pattern: 'one',
  areas: [{ cupId: 'white', share: 1 }],
  seam: null,
  film: { kind: 'run-off', tiltDeg: 30, seconds: 30 },
  ...changes,
});
const plan = (changes: Partial<Plan> = {}): Plan => ({ ...EMPTY_PLAN, ...changes });
const plainly = { ...EMPTY_PLAN.settings, dripShare: 0, reserveShare: 0, cupLossG: 0 };

describe('base paint', () => {
  it('is the mean film that stays (Jeffreys 1930, from memory) times face and sides', () => {
    const [area] = baseAreas({ ...board, widthMm: 200, heightMm: 300, sideDepthMm: 0 }, base(), paints);
    expect(area!.filmMm).toBeCloseTo(0.812, 3);
    expect(area!.volumeMl).toBeCloseTo(0.0812 * 600, 1);
    expect(area!.filmMm).toBe(
      meanFilmLeftMm({ viscosityPaS: 0.8, densityKgM3: 1100, lengthM: 0.3, tiltDeg: 30, seconds: 30 }),
    );
  });

  it('a millimeter on a 30 x 40 canvas, 2 cm deep, is 148 ml', () => {
    const film = { kind: 'thickness', mm: 1 } as const;
    expect(baseAreas(board, base({ film }), paints)[0]!.volumeMl).toBeCloseTo(148, 9);
  });

  it('two bases share it along their seam, marbled ones as the artist says', () => {
    const areas = [
      { cupId: 'white', share: 0.5 },
      { cupId: 'gray', share: 0.5 },
    ];
    const seam = { start: { x: 100, y: 0 }, control: { x: 100, y: 200 }, end: { x: 100, y: 400 } };
    const split = baseAreas(board, base({ pattern: 'split', areas, seam }), paints);
    expect(split.map(({ share }) => share)).toEqual([expect.closeTo(2 / 3, 9), expect.closeTo(1 / 3, 9)]);
    const uneven = [
      { cupId: 'white', share: 0.6 },
      { cupId: 'gray', share: 0.2 },
    ];
    const marbled = baseAreas(board, base({ pattern: 'marbled', areas: uneven }), paints);
    expect(marbled.map(({ share }) => share)).toEqual([0.75, 0.25].map((share) => expect.closeTo(share, 12)));
  });

  it.each([
    [{ areas: [] }, 'base.areas'],
    [{ areas: [{ cupId: 'nowhere', share: 1 }] }, 'base.areas.0.cupId'],
    [{ film: { kind: 'thickness', mm: 0 } as const }, 'base.film.mm'],
    [{ film: { kind: 'run-off', tiltDeg: 0, seconds: 30 } as const }, 'tiltDeg'],
  ])('refuses %j and names %s', (changes, field) => {
    expect(() => baseAreas(board, base(changes), paints)).toThrow(expect.objectContaining({ field }));
  });
});

describe('a stack', () => {
  const stack = {
    id: 's',
    at: { x: 150, y: 200 },
    footprintMm: 200,
    layers: [
      { id: 'a', cupId: 'pillow', massG: null },
      { id: 'b', cupId: 'rust', massG: 22 },
      { id: 'c', cupId: 'net', massG: null },
    ],
  };
  const mouth = {
    id: 'p',
    tool: 'mouth' as const,
    blowerId: null,
    setting: '',
    at: { x: 150, y: 200 },
    directionDeg: 0,
    distanceMm: 100,
    slantDeg: 90,
    seconds: 3,
  };

  it('takes a pillow as deep as the dent and the margin, or generously deep, under the flower', () => {
    const dent = deepestDentMm({ passes: [mouth] }, stack, 1.15, []);
    expect(dent).toBeCloseTo(3.74, 2);
    const found = amounts(board, plan({ stacks: [stack], passes: [mouth], settings: plainly }), paints);
    const dentInPillow = deepestDentMm({ passes: [mouth] }, stack, 1.35, []);
    expect(found.layers[0]!.massG).toBeCloseTo(
      pillowMassG({ footprintMm: 200, dentMm: dentInPillow, marginMm: 1, densityGPerMl: 1.35 }),
      12,
    );
    const calm = amounts(board, plan({ stacks: [stack], settings: plainly }), paints);
    expect(calm.layers[0]!.massG).toBeCloseTo(
      pillowMassG({ footprintMm: 200, dentMm: 3, marginMm: 0, densityGPerMl: 1.35 }),
      12,
    );
  });

  it('takes activator for a sheet over the whole flower: 200 mm at 0.25 mm and 1.15 g/ml are 9.0 g', () => {
    const found = amounts(board, plan({ stacks: [stack], settings: plainly }), paints);
    expect(found.layers[2]!.massG).toBeCloseTo(9.03, 2);
  });

  it('the activator is the smallest of the pile, and two share the dose unless their recipe asks for more', () => {
    const grams = (layers: (typeof stack)['layers'], all = paints) =>
      amounts(board, plan({ stacks: [{ ...stack, layers }], settings: plainly }), all).layers.map(
        ({ massG }) => massG,
      );
    const small = stack.layers.map((layer) => (layer.cupId === 'rust' ? { ...layer, massG: 4 } : layer));
    expect(grams(small)[2]).toBeCloseTo(3.6, 9);
    const two = [...stack.layers, { id: 'second', cupId: 'net', massG: null }];
    expect(grams(two)[2]).toBeCloseTo(9.03 / 2, 2);
    const double = paints.map((each) => (each.id === 'net' ? { ...each, doseFactor: 2 } : each));
    expect(grams(two, double)[3]).toBeCloseTo(2 * 9.03, 1);
  });

  it('a blower of the shelf digs by its own exit; a pass elsewhere does not dig here', () => {
    const blowers = [{ id: 'own', exitDiameterMm: 9, exitSpeedMS: 30 }];
    const own = { ...mouth, blowerId: 'own' };
    expect(deepestDentMm({ passes: [own] }, stack, 1.15, blowers)).toBeCloseTo(4 * 3.742, 1);
    expect(deepestDentMm({ passes: [{ ...mouth, at: { x: 10, y: 10 } }] }, stack, 1.15, [])).toBe(0);
  });

  it('a color must be given in grams', () => {
    const open = { ...stack, layers: [{ id: 'b', cupId: 'rust', massG: null }] };
    expect(() => amounts(board, plan({ stacks: [open] }), paints)).toThrow(
      expect.objectContaining({ field: 'massG' }),
    );
  });
});

describe('the film after spinning (Emslie, Bonner & Peck 1958, from memory)', () => {
  const honey = paint('honey', { role: 'base', viscosityPaS: 3, densityGPerMl: 1.15 });
  const spun = plan({
    base: base({ areas: [{ cupId: 'honey', share: 1 }], film: { kind: 'thickness', mm: 3 } }),
    settings: { ...plainly, spinRpm: 60, spinSeconds: 10 },
  });

  it('3 mm at 60 turns a minute for 10 s leave 1.788 mm, through the plan', () => {
    const film = pieceFilm(board, spun, [honey])!;
    expect(film.laidMm).toBeCloseTo(3, 12);
    expect(film.afterMm).toBeCloseTo(1.788, 3);
    expect(pieceFilm(board, plan(), [honey])).toBeNull();
  });

  it('the seconds that are advised bring the film where it shall be', () => {
    const film = { fromMm: 3, viscosityPaS: 3, densityKgM3: 1150, rpm: 60 };
    expect(secondsToSpin({ ...film, toMm: 1.788 })).toBeCloseTo(10, 1);
    expect(secondsToSpin({ ...film, toMm: 4 })).toBe(0);
  });
});

describe('what all of it takes', () => {
  const whole = plan({
    base: base(),
    paths: [
      {
        id: 'l',
        kind: 'ribbon',
        start: { x: 50, y: 50 },
        control: { x: 150, y: 60 },
        end: { x: 250, y: 50 },
        layers: [{ id: 'r', cupId: 'rust', massG: 20 }],
      },
    ],
  });

  it('adds what runs off, what is kept back and what stays in the cup', () => {
    const rustAmount = amounts(board, whole, paints).paints.find((each) => each.cupId === 'rust')!;
    expect(rustAmount).toEqual({
      cupId: 'rust',
      laidG: 20,
      dripG: expect.closeTo(3, 12),
      reserveG: 2,
      lossG: 3,
      massG: expect.closeTo(28, 12),
      volumeMl: expect.closeTo(28 / 1.1, 12),
    });
  });

  it('twelve tiles take twelve times as much, but each cup is emptied once', () => {
    const one = amounts(board, { ...whole, settings: { ...whole.settings, cupLossG: 0 } }, paints);
    const twelve = amounts(board, { ...whole, settings: { ...whole.settings, copies: 12 } }, paints);
    expect(twelve.total.massG).toBeCloseTo(12 * one.total.massG + 2 * 3, 9);
  });

  it('is the sum of its layers, in grams and in milliliters', () => {
    const found = amounts(board, { ...whole, settings: plainly }, paints);
    const sum = found.layers.reduce((total, layer) => total + layer.massG, 0);
    expect(found.total.massG).toBeCloseTo(sum, 12);
    expect(found.total.volumeMl).toBeCloseTo(sum / 1.1, 12);
  });

  it('agrees with the calculation bench to the last digit', () => {
    const answer = runCalculation(findCalculation('amounts'), {
      support: board,
      plan: { ...whole, paints },
    });
    const found = amounts(board, whole, paints);
    expect(answer).toEqual({ layers: found.layers, paints: found.paints, total: found.total });
  });

  it('the bench names the field that is wrong', () => {
    const wrong = { support: { ...board, widthMm: -1 }, plan: { paints } };
    expect(() => runCalculation(findCalculation('amounts'), wrong)).toThrow(
      expect.objectContaining({ field: 'support.widthMm' }),
    );
  });
});
