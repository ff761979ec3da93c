import { compiledFilmFromFile } from '../../../testing/compiledFilm.ts';
import { counting, paint } from '../../../testing/plan.ts';
import { forEachCell, volumeM3 } from '../../flow/solver/index.ts';
import { EMPTY_PLAN, layOut, type Plan } from '../plan/index.ts';
import {
  airOf,
  castOf,
  commonLayers,
  cutAcross,
  layMore,
  NO_PUSH,
  pushOn,
  rehearsedSpeed,
  sceneOf,
  scrape,
  sceneGrid,
  startRehearsal,
  stepBack,
  strokeOf,
  torch,
} from './index.ts';

const support = { shape: 'rectangle', widthMm: 240, heightMm: 200, sideDepthMm: 18 } as const;
const paints = [
  paint('base', { role: 'base', viscosityPaS: 3, densityGPerMl: 1.1 }),
  paint('pillow', { role: 'pillow', viscosityPaS: 3, densityGPerMl: 1.08 }),
  paint('rust', { viscosityPaS: 2, densityGPerMl: 1.14, opacity: 'transparent' }),
  paint('rain', { viscosityPaS: 2.1, densityGPerMl: 1.1 }),
  paint('act', { role: 'activator', viscosityPaS: 0.7, densityGPerMl: 1.2, doseFactor: 1.5 }),
];
const bloom: Plan = {
  ...EMPTY_PLAN,
  base: {
    ...{ pattern: 'one', areas: [{ cupId: 'base', share: 1 }], seam: null },
    film: { kind: 'thickness', mm: 2 },
  },
  stacks: [
    {
      ...{ id: 's', at: { x: 120, y: 100 }, footprintMm: 120 },
      layers: ['pillow', 'rust', 'rain', 'act'].map((cupId, index) => ({
        ...{ id: `l${index}`, cupId },
        massG: [12, 4, 4, 1][index]!,
      })),
    },
  ],
  passes: [
    {
      ...{ id: 'p', tool: 'mouth', blowerId: null, setting: 'soft', at: { x: 120, y: 88 } },
      ...{ directionDeg: 0, distanceMm: 100, slantDeg: 25, seconds: 1.2 },
      end: { distanceMm: 160, setting: 'strong' },
    },
  ],
};
const scene = sceneOf(support, bloom, paints, []);
const start = () => startRehearsal(scene, 60, compiledFilmFromFile);

describe('common layers', () => {
  it('keep every sequence in order, with as few layers as two that agree need', () => {
    expect(
      commonLayers([
        ['a', 'b', 'c'],
        ['b', 'c'],
        ['a', 'c'],
      ]),
    ).toEqual({
      layers: ['a', 'b', 'c'],
      places: [
        [0, 1, 2],
        [1, 2],
        [0, 2],
      ],
    });
    const { layers, places } = commonLayers([
      ['a', 'b'],
      ['b', 'a'],
    ]);
    expect(layers).toHaveLength(3);
    for (const each of places) expect(each[0]).toBeLessThan(each[1]!);
  });

  it('are no more than a film can move: what is too many goes into a layer of its own paint', () => {
    const { layers, places } = commonLayers(
      [
        ['a', 'b', 'c'],
        ['c', 'b', 'a'],
        ['b', 'a', 'c'],
        ['c', 'a', 'b'],
      ],
      5,
    );
    expect(layers.length).toBeLessThanOrEqual(5);
    const sequences = ['abc', 'cba', 'bac', 'cab'];
    places.forEach((each, index) => {
      expect(each.map((at) => layers[at]).join('')).toBe(sequences[index]);
    });
  });
});

it('a plan lays its grams: each paint weighs on the stage what the plan pours', () => {
  expect(scene.layers.map(({ cupId }) => cupId)).toEqual(['base', 'pillow', 'rust', 'rain', 'act']);
  const { film } = start();
  const { grid, thickness, lost } = film.kernel.fields;
  ['pillow', 'rust', 'rain', 'act'].forEach((_, index) => {
    const grams =
      (volumeM3(grid, thickness[index + 1]!) + lost[index + 1]!) * 1e3 * scene.layers[index + 1]!.densityKgM3;
    expect(grams).toBeCloseTo([12, 4, 4, 1][index]!, 6);
  });
  // The base is as thick on the face as it was asked for.
  expect(cutAcross({ film } as never, 10)[0]![5]).toBeCloseTo(2, 6);
});

it('the base of a split plan lies on both sides of its seam', () => {
  const split: Plan = {
    ...EMPTY_PLAN,
    base: {
      pattern: 'split',
      areas: [
        { cupId: 'base', share: 1 },
        { cupId: 'rain', share: 1 },
      ],
      seam: { start: { x: 120, y: 0 }, control: { x: 120, y: 100 }, end: { x: 120, y: 200 } },
      film: { kind: 'thickness', mm: 2 },
    },
  };
  const rehearsal = startRehearsal(sceneOf(support, split, paints, []), 60, compiledFilmFromFile);
  const [one, other] = cutAcross(rehearsal, 100);
  expect(one![5]! > 1.5 !== other![5]! > 1.5).toBe(true);
  expect(one!.at(-5)! > 1.5 !== other!.at(-5)! > 1.5).toBe(true);
  expect(one![5]! > 1.5).not.toBe(one!.at(-5)! > 1.5);
});

it('every ready layout can be set on the stage', () => {
  for (const [technique, name] of [
    ['bloom', 'center-bloom'],
    ['bloom', 'row'],
    ['dutch', 'diagonal'],
    ['dutch', 'edge-crescent'],
    ['swipe', 'swipe-across'],
    ['ring', 'ring-pair'],
    ['radial', 'rays'],
  ] as const) {
    const plan = layOut(name, { support, technique, paints, newId: counting(name), count: 3 });
    const made = sceneOf(support, plan, paints, []);
    expect(made.lays.length).toBeGreaterThan(1);
    expect(made.layers.length).toBeLessThanOrEqual(9);
    expect(made.strokes).toHaveLength(plan.passes.length);
    const { film } = startRehearsal(made, 40, compiledFilmFromFile);
    const most = Math.max(...film.kernel.fields.thickness.map((field) => Math.max(...field)));
    expect(Number.isFinite(most) && most > 1e-4).toBe(true);
  }
});

it('a pass becomes a stroke that goes past the rim of its pile, and ends farther off and harder', () => {
  const [stroke] = scene.strokes;
  expect(stroke!.to.y).toBeLessThan(stroke!.from.y - 10);
  expect(airOf(stroke!, 1).distanceMm).toBe(160);
  expect(airOf(stroke!, 1).exitSpeedMS).toBeGreaterThan(airOf(stroke!, 0).exitSpeedMS);
  expect(rehearsedSpeed('hair-dryer', 'high', 18)).toBe(18);
  const circling = strokeOf({ ...bloom.passes[0]!, way: 'circling' }, []);
  expect(airOf(circling, 0.3).xMm).not.toBeCloseTo(airOf(strokeOf(bloom.passes[0]!, []), 0.3).xMm, 1);
});

it('air carries the colors the way it goes; a step back is as if it had not been blown', () => {
  const rehearsal = start();
  const { thickness } = rehearsal.film.kernel.fields;
  const before = thickness.map((field) => Float64Array.from(field));
  const top = (field: Float64Array) => {
    let least = Infinity;
    forEachCell(rehearsal.film.kernel.fields.grid, (cell, _, row) => {
      if (field[cell]! > 5e-5) least = Math.min(least, row);
    });
    return least;
  };
  const [stroke] = scene.strokes;
  for (let part = 0; part < 12; part += 1) {
    pushOn(rehearsal, 0.1, { ...NO_PUSH, air: airOf(stroke!, part / 12) });
  }
  expect(top(thickness[2]!)).toBeLessThan(top(before[2]!));
  expect(rehearsal.airSeconds).toBeCloseTo(1.2, 9);
  expect(stepBack(rehearsal, true)).toBe(0);
  thickness.forEach((field, layer) => expect(field).toEqual(before[layer]));
  expect(rehearsal.airSeconds).toBe(0);
});

it('what is scraped is bare and counted, what is laid more lies there', () => {
  const rehearsal = start();
  const { grid, thickness, lost } = rehearsal.film.kernel.fields;
  const all = () => thickness.reduce((sum, field) => sum + volumeM3(grid, field), 0);
  const before = all();
  scrape(rehearsal, { x: 120, y: 100 }, 30);
  expect(cutAcross(rehearsal, 100).reduce((sum, layer) => sum + layer[30]!, 0)).toBe(0);
  expect(all() + lost.reduce((sum, each) => sum + each, 0)).toBeCloseTo(before, 12);
  layMore(rehearsal, {
    ...{ layer: 3, volumeMl: 2 },
    shape: { kind: 'puddle', at: { x: 120, y: 100 }, radiusMm: 15 },
  });
  expect(cutAcross(rehearsal, 100)[3]![30]).toBeGreaterThan(2);
});

it('a torch opens what had not opened yet; tilting lets it run down', () => {
  const rehearsal = start();
  pushOn(rehearsal, 0.3, NO_PUSH);
  const seeds = rehearsal.film.cells!.seeds;
  expect(seeds.length).toBeGreaterThan(20);
  for (const seed of seeds) seed.isOpen = false;
  expect(torch(rehearsal, { x: 120, y: 100 })).toBeGreaterThan(10);
  const lowest = () => {
    let [sum, weight] = [0, 0];
    forEachCell(rehearsal.film.kernel.fields.grid, (cell, _, row) => {
      const h = rehearsal.film.kernel.fields.thickness[2]![cell]!;
      sum += h * row;
      weight += h;
    });
    return sum / weight;
  };
  const before = lowest();
  pushOn(rehearsal, 2, { ...NO_PUSH, tilt: { deg: 12, directionDeg: 180 } });
  expect(lowest()).toBeGreaterThan(before + 0.3);
});

it('a skewer drags the paint along its way', () => {
  const rehearsal = start();
  const { thickness, grid } = rehearsal.film.kernel.fields;
  const before = Float64Array.from(thickness[4]!);
  for (let step = 0; step < 10; step += 1) {
    pushOn(rehearsal, 0.05, {
      ...NO_PUSH,
      skewer: { at: { x: 120 + 3 * step, y: 100 }, speed: { x: 60, y: 0 } },
    });
  }
  let [east, was] = [0, 0];
  forEachCell(grid, (cell, column) => {
    east += thickness[4]![cell]! * column;
    was += before[cell]! * column;
  });
  expect(east).toBeGreaterThan(1.002 * was);
});

it('a round support has no corners, and a transparent paint is seen through deeper', () => {
  const round = sceneGrid({ support: { shape: 'round', widthMm: 200, heightMm: 200, sideDepthMm: 5 } }, 40);
  expect(round.rim.inside[2 * round.stride + 2]).toBe(0);
  const { layers, sheet } = castOf(scene);
  expect(layers[2]!.depthM).toBeGreaterThan(layers[3]!.depthM);
  expect(sheet).toBe(4);
  expect(scene.dose).toBe(1.5);
});
