import fc from 'fast-check';
import { mixProperties } from './properties.ts';
import { thin } from './thin.ts';

const WATER = { viscosityPaS: 1.002e-3, densityGPerMl: 0.9982 };
const parts = [
  { massG: 30, viscosityPaS: 1.2, densityGPerMl: 1.03 },
  { massG: 15, viscosityPaS: 45, densityGPerMl: 1.2 },
];

it('the water that measured Dutch asks for brings its medium and paint to 0.764 Pa·s', () => {
  const { addG, adviseG } = thin(parts, 0.764293581714468, WATER);
  expect(addG).toBeCloseTo(11.25, 6);
  expect(adviseG).toBeCloseTo(9, 6);
});

it('a mix at its target needs nothing', () => {
  expect(thin(parts, mixProperties(parts).viscosityPaS, WATER)).toEqual({ addG: 0, adviseG: 0 });
});

it('the full addition lands on the target, and 80 % of it stays short of it', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.05, max: 4, noNaN: true }),
      fc.double({ min: 0.001, max: 0.04, noNaN: true }),
      (target, thinnerPaS) => {
        const thinner = { viscosityPaS: thinnerPaS, densityGPerMl: 1 };
        const { addG, adviseG } = thin(parts, target, thinner);
        const after = (massG: number) => mixProperties([...parts, { ...thinner, massG }]).viscosityPaS;
        expect(after(addG) / target).toBeCloseTo(1, 9);
        expect(after(adviseG)).toBeGreaterThanOrEqual(target * (1 - 1e-9));
      },
    ),
  );
});

it('says what to change when it cannot be done', () => {
  expect(() => thin(parts, 50, WATER)).toThrow(
    expect.objectContaining({ field: 'targetPaS', message: expect.stringContaining('already thinner') }),
  );
  expect(() => thin(parts, 0.5, { viscosityPaS: 0.8, densityGPerMl: 1 })).toThrow(
    expect.objectContaining({ field: 'thinner.viscosityPaS' }),
  );
  expect(() => thin(parts, -1, WATER)).toThrow(expect.objectContaining({ field: 'targetPaS' }));
});
