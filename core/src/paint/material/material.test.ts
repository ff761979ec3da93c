import {
  MATERIAL_KINDS,
  isPaint,
  densityInMix,
  materialKind,
  pigmentDensity,
  roleOf,
  substitutesFor,
  takesMetallicParts,
  viscositySdLn,
} from './index.ts';

it('water is 1.002 mPa·s and 0.9982 g/ml at 20 C (standard tables, from memory)', () => {
  expect(materialKind('water')).toMatchObject({ viscosityPaS: 1.002e-3, densityGPerMl: 0.9982 });
});

it('every kind has a plausible density and thickness, and every paint its water limits', () => {
  for (const kind of MATERIAL_KINDS) {
    const isPowder = kind.group === 'powder';
    expect(kind.densityGPerMl).toBeGreaterThan(isPowder ? 0.19 : 0.7);
    expect(kind.densityGPerMl).toBeLessThan(isPowder ? 0.41 : 1.6);
    const inMix = densityInMix(kind);
    expect(inMix).toBeGreaterThan(0.7);
    expect(inMix).toBeLessThan(isPowder ? 4 : 1.6);
    expect(kind.binder).toBeLessThanOrEqual(kind.solids);
    expect(kind.viscosityPaS).toBeGreaterThan(0);
    if (isPaint(kind.kind)) expect('waterLimit' in kind).toBe(true);
  }
});

it('a stand-in is never the thing itself, and says what to expect', () => {
  for (const { kind } of MATERIAL_KINDS) {
    for (const stand of substitutesFor(kind)) {
      expect(stand.parts.map((part) => part.kind)).not.toContain(kind);
      expect(stand.expect.length).toBeGreaterThan(10);
    }
  }
  expect(substitutesFor('cell-conditioner')[0]?.expect).toMatch(/A4/);
});

it.each([
  ['artist-tube', 'paint'],
  ['wall-paint', 'paint'],
  ['flow-conditioner', 'medium'],
  ['varnish', 'thinner'],
  ['water', 'water'],
  ['mica-powder', 'powder'],
] as const)('%s goes into a cup as %s', (kind, role) => {
  expect(roleOf(kind)).toBe(role);
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
