import {
  MATERIAL_KINDS,
  isPaint,
  materialKind,
  pigmentDensity,
  takesMetallicParts,
  viscositySdLn,
} from './index.ts';

it('water is 1.002 mPa.s and 0.9982 g/ml at 20 C (standard tables, from memory)', () => {
  expect(materialKind('water')).toMatchObject({ viscosityPaS: 1.002e-3, densityGPerMl: 0.9982 });
});

it('every kind has a plausible density and thickness, and every paint its water limits', () => {
  for (const kind of MATERIAL_KINDS) {
    expect(kind.densityGPerMl).toBeGreaterThan(0.9);
    expect(kind.densityGPerMl).toBeLessThan(1.6);
    expect(kind.viscosityPaS).toBeGreaterThan(0);
    if (isPaint(kind.kind)) expect('waterLimit' in kind).toBe(true);
  }
});

it('knows a typical density by pigment', () => {
  expect(pigmentDensity('titanium-white')).toBe(1.45);
  expect(pigmentDensity(null)).toBeUndefined();
});

it('only metallics and pearls take the metallic parts', () => {
  expect(
    ['plain', 'metallic', 'pearl', 'interference', 'neon'].filter((each) =>
      takesMetallicParts(each as never),
    ),
  ).toEqual(['metallic', 'pearl']);
});

it('a typical paint is known to a factor of 2.5, a measured one far better, water exactly', () => {
  expect(Math.exp(viscositySdLn('artist-tube', 'typical'))).toBeCloseTo(2.5, 12);
  expect(viscositySdLn('artist-tube', 'measured')).toBeLessThan(0.2);
  expect(viscositySdLn('water', 'typical')).toBe(0);
});
