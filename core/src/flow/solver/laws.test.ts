import { runFilm, type FilmRun } from './filmRun.ts';

const paint = (name: string, viscosityPaS = 1, densityKgM3 = 1100) => ({ name, viscosityPaS, densityKgM3 });
const run = (given: Partial<FilmRun>): ReturnType<typeof runFilm> =>
  runFilm({
    widthMm: 100,
    heightMm: 100,
    cellMm: 2,
    edge: 'open',
    layers: [paint('paint')],
    films: [],
    puddles: [],
    steps: [],
    tauHalfPa: null,
    ...given,
  });
const layer = (result: ReturnType<typeof runFilm>, name: string) =>
  result.layers.find((each) => each.name === name)!;

it('a puddle spreads like Huppert 1982a says (from memory)', () => {
  const disc = { layer: 'paint', xMm: 100, yMm: 100, radiusMm: 25, volumeMl: 20 };
  const radius = (seconds: number) =>
    layer(
      run({
        widthMm: 200,
        heightMm: 200,
        layers: [paint('paint', 2, 1200)],
        films: [{ layer: 'paint', thicknessMm: 0.02 }],
        puddles: [disc],
        steps: [{ kind: 'rest', seconds }],
      }),
      'paint',
    );
  // The film of 0.02 mm is 0.8 ml of its own, in the whole face: taken out of the moment.
  const own = (measured: ReturnType<typeof radius>) => {
    const film = 0.8;
    const filmSquare = (200 ** 2 + 200 ** 2) / 12;
    return Math.sqrt((measured.rmsRadiusMm ** 2 * (film + 20) - filmSquare * film) / 20);
  };
  const exact = (seconds: number) => {
    const nu = 2 / 1200;
    // The mean square of the volume's distance is 3/7 of the front's.
    return 1000 * Math.sqrt(3 / 7) * 0.894 * ((9.81 * 20e-6 ** 3 * seconds) / (3 * nu)) ** (1 / 8);
  };
  expect(own(radius(30)) / exact(30)).toBeCloseTo(1, 1.7);
});

it('a spun film thins like Emslie, Bonner & Peck 1958 say (from memory)', () => {
  const result = run({
    films: [{ layer: 'paint', thicknessMm: 2 }],
    steps: [{ kind: 'spin', rpm: 120, xMm: 50, yMm: 50, seconds: 6 }],
  });
  const w = 4 * Math.PI;
  const exact = 2 / Math.sqrt(1 + (4 * 1100 * w ** 2 * 2e-3 ** 2 * 6) / 3);
  expect(layer(result, 'paint').meanMm / exact).toBeCloseTo(1, 2);
});

it('a tilted film drains like Jeffreys 1930 says (from memory)', () => {
  const result = run({
    widthMm: 20,
    heightMm: 300,
    layers: [paint('paint', 0.5)],
    films: [{ layer: 'paint', thicknessMm: 2 }],
    steps: [{ kind: 'tilt', deg: 10, directionDeg: 180, seconds: 100 }],
  });
  // Mean over the face: 2/3 of the thickness at the lower edge.
  const exact = (2 / 3) * 1000 * Math.sqrt((0.5 * 0.3) / (1100 * 9.81 * Math.sin(Math.PI / 18) * 100));
  expect(layer(result, 'paint').meanMm / exact).toBeGreaterThan(0.97);
  expect(layer(result, 'paint').meanMm / exact).toBeLessThan(1.05);
});

const breath = (toward: number, xMm: number) => ({
  kind: 'air' as const,
  exitSpeedMS: 20,
  exitDiameterMm: 12,
  distanceMm: 90,
  slantDeg: 25,
  directionDeg: toward,
  xMm,
  yMm: 50,
  seconds: 1,
});
const bloom = (given: { toward: number; xMm: number; puddleX: number; tauHalfPa?: number }) =>
  run({
    layers: [paint('base', 2, 1080), paint('color', 1.5, 1120), paint('activator', 0.6, 1190)],
    films: [{ layer: 'base', thicknessMm: 3 }],
    puddles: [
      { layer: 'color', xMm: given.puddleX, yMm: 50, radiusMm: 22, volumeMl: 1.6 },
      { layer: 'activator', xMm: given.puddleX, yMm: 50, radiusMm: 15, volumeMl: 0.4 },
    ],
    steps: [
      { kind: 'rest', seconds: 1 },
      breath(given.toward, given.xMm),
      { kind: 'rest', seconds: 1 },
      { kind: 'tilt', deg: 8, directionDeg: given.toward, seconds: 1 },
    ],
    tauHalfPa: given.tauHalfPa ?? 3,
  });

it('what is laid stays or is counted as lost, to 1e-9', () => {
  const result = bloom({ toward: 90, xMm: 75, puddleX: 80 });
  const volumes = { base: 30, color: 1.6, activator: 0.4 };
  for (const [name, volume] of Object.entries(volumes)) {
    const { volumeMl, lostMl } = layer(result, name);
    expect(Math.abs((volumeMl + lostMl) / volume - 1)).toBeLessThan(1e-9);
  }
  expect(layer(result, 'base').lostMl).toBeGreaterThan(0.01);
});

it('a mirrored pour gives the mirrored answer', () => {
  const right = bloom({ toward: 90, xMm: 46, puddleX: 40 });
  const left = bloom({ toward: 270, xMm: 54, puddleX: 60 });
  for (const [index, each] of right.layers.entries()) {
    for (const key of ['volumeMl', 'maxMm', 'rmsRadiusMm', 'lostMl'] as const) {
      expect(left.layers[index]![key]).toBeCloseTo(each[key], 7);
    }
  }
});

it.each([
  [null, 1e-5],
  [3, 5e-3],
])('one liquid cut into three layers moves like one (tauHalf %p, within %p)', (tauHalfPa, within) => {
  const apart = (steps: FilmRun['steps']) => {
    const lost = (names: readonly string[]) =>
      run({
        layers: names.map((name) => paint(name)),
        films: names.map((name) => ({ layer: name, thicknessMm: 3 / names.length })),
        steps,
        tauHalfPa,
      }).layers.reduce((sum, each) => sum + each.lostMl, 0);
    const whole = lost(['whole']);
    expect(whole).toBeGreaterThan(0.2);
    return Math.abs(lost(['a', 'b', 'c']) / whole - 1);
  };
  expect(apart([breath(90, 42)])).toBeLessThan(1e-5);
  // Cut paint runs in layers of which the top is the fastest: its steps are shorter, and that is the difference.
  expect(apart([{ kind: 'tilt', deg: 15, directionDeg: 90, seconds: 2 }])).toBeLessThan(within);
});

it('behind walls nothing is lost', () => {
  const result = run({
    edge: 'wall',
    films: [{ layer: 'paint', thicknessMm: 2 }],
    steps: [{ kind: 'tilt', deg: 10, directionDeg: 45, seconds: 5 }],
  });
  expect(layer(result, 'paint').lostMl).toBe(0);
  expect(layer(result, 'paint').maxMm).toBeGreaterThan(2.5);
});
