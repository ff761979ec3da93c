import { CALCULATIONS } from '@icy-ribbon/core/registry';
import type { Calculation } from '@icy-ribbon/core/base/calculation';
import { runBench } from './bench.ts';

const all = CALCULATIONS as readonly unknown[] as readonly Calculation[];
const run = (name: string, input: unknown) => runBench([name], () => JSON.stringify(input));

it('has the calculations of its contract', () => {
  expect(all.map((each) => each.name)).toEqual([
    'convert',
    'mix',
    'thin',
    'next-addition',
    'glycerine',
    'drain-cup',
    'tilt-race',
    'combine',
    'eye',
    'film-left',
    'drift',
    'rim',
    'resting',
    'tip-test',
    'spin',
    'spin-shear',
    'spread',
    'level',
    'cells',
    'jet',
    'deep-dent',
    'reach',
    'film-run',
    'color-difference',
    'mix-color',
    'amounts',
    'dry',
    'touch-dry',
    'resin',
    'difference',
    'own-cells',
  ]);
});

it.each(all.map((each) => [each.name, each] as const))(
  '%s answers its example as its output schema says, with finite numbers',
  async (name, calculation) => {
    const { exitCode, document } = await run(name, calculation.example);
    expect(exitCode).toBe(0);
    expect(calculation.output.safeParse(document).success).toBe(true);
    expect(JSON.stringify(document)).not.toMatch(/null(?!able)/);
    expect(await runBench(['schema', name], () => '')).toMatchObject({
      exitCode: 0,
      document: { title: name },
    });
  },
);

it.each(all.map((each) => [each.name, each] as const))(
  '%s names the field when one is missing, one is no number, or one is too many',
  async (name, calculation) => {
    const example = calculation.example as Record<string, unknown>;
    const without = (key: string) => {
      const { [key]: gone, ...rest } = example;
      void gone;
      return run(name, rest);
    };
    const required: string[] = [];
    for (const key of Object.keys(example)) if ((await without(key)).exitCode === 2) required.push(key);
    expect(required.length).toBeGreaterThan(0);
    for (const key of required) {
      const missing = (await without(key)).document as { error: { field: string; message: string } };
      expect(missing.error.field.split('.')[0]).toBe(key);
      expect(missing.error.message).toMatch(/\.$/);
      const odd = (await run(name, { ...example, [key]: true })).document as { error: { field: string } };
      expect(odd.error.field.split('.')[0]).toBe(key);
    }
    expect(await run(name, { ...example, surprise: 1 })).toMatchObject({
      exitCode: 2,
      document: { error: { field: 'surprise' } },
    });
  },
);

it.each([
  ['glycerine', { glycerineMassFraction: 1, temperatureC: 20 }, 'viscosityPaS', 1.4138, 2],
  ['drain-cup', { cup: 'iso-4', seconds: 60, densityGPerMl: 1.1 }, 'kinematicMm2S', 78.8667, 4],
  ['tilt-race', { lengthMm: 50, referenceLengthMm: 100, referencePaS: 1 }, 'viscosityPaS', 8, 9],
  [
    'film-left',
    { viscosityPaS: 0.8, densityKgM3: 1100, lengthM: 0.3, tiltDeg: 30, seconds: 30 },
    'thicknessMm',
    1.218,
    3,
  ],
  [
    'film-left',
    { viscosityPaS: 0.8, densityKgM3: 1100, lengthM: 0.3, tiltDeg: 30, seconds: 30 },
    'meanMm',
    0.812,
    3,
  ],
  [
    'spin',
    { thicknessMm: 3, viscosityPaS: 3, densityKgM3: 1150, rpm: 60, seconds: 10 },
    'thicknessMm',
    1.788,
    3,
  ],
  ['spread', { volumeMl: 50, viscosityPaS: 3, densityKgM3: 1150, seconds: 60 }, 'radiusMm', 88.7, 1],
  ['color-difference', { a: [50, 2.6772, -79.7751], b: [50, 0, -82.7485] }, 'de2000', 2.0425, 4],
] as const)('%s of its reference gives %s', async (name, input, key, value, digits) => {
  const { document } = await run(name, input);
  expect((document as Record<string, number>)[key]).toBeCloseTo(value, digits);
});

it.each([
  ['tilt-race', { seconds: 3, referencePaS: 1 }, 'referenceSeconds'],
  ['tilt-race', { lengthMm: 3, referencePaS: 1 }, 'referenceLengthMm'],
  ['tilt-race', { seconds: 3, lengthMm: 3, referencePaS: 1 }, 'lengthMm'],
  ['drain-cup', { cup: 'iso-9', seconds: 40, densityGPerMl: 1 }, 'cup'],
  ['drain-cup', { cup: 'iso-3', seconds: 15, densityGPerMl: 1 }, 'seconds'],
  ['film-left', { viscosityPaS: 1, densityKgM3: 1100, lengthM: 1, tiltDeg: 120, seconds: 3 }, 'tiltDeg'],
  ['spin', { thicknessMm: 3, viscosityPaS: 3, densityKgM3: 1.15, rpm: 60, seconds: 10 }, 'densityKgM3'],
  ['color-difference', { a: [50, 0], b: [50, 0, 0] }, 'a'],
  ['color-difference', { a: [50, 0, 0], b: [150, 0, 0] }, 'b.0'],
  ['glycerine', { glycerineMassFraction: 2, temperatureC: 20 }, 'glycerineMassFraction'],
  [
    'cells',
    { lower: { thicknessMm: 0, viscosityPaS: 1, densityKgM3: 1000 }, upper: {} },
    'lower.thicknessMm',
  ],
])('%s of %j is refused at %s', async (name, input, field) => {
  expect(await run(name, input)).toMatchObject({
    exitCode: 2,
    document: { error: { field: expect.stringContaining(field) } },
  });
});

it('two layers with the lighter one on top are stable, and say nothing of cells', async () => {
  const layer = (densityKgM3: number) => ({ thicknessMm: 1, viscosityPaS: 1, densityKgM3 });
  const { document } = await run('cells', { lower: layer(1200), upper: layer(1100) });
  expect(document).toEqual({
    stable: true,
    wavelengthMm: null,
    growthPerS: null,
    openingSeconds: null,
  });
});
