import { activatorDose } from './dose.ts';

const bloom = { footprintMm: 200, sheetMm: 0.3, densityGPerMl: 1.1, puddleG: 80, blooms: 1 };

it('a sheet of 0.3 mm over a circle of 20 cm is pi/4 d^2 h of volume: 9.42 ml, 10.4 g', () => {
  const dose = activatorDose(bloom);
  expect(dose.perBloomG).toBeCloseTo((Math.PI / 4) * 20 ** 2 * 0.03 * 1.1, 9);
  expect(dose.shareOfPuddle).toBeCloseTo(dose.perBloomG / 80, 12);
  expect(dose.verdict).toBe('usual');
});

it('three blooms take three times as much', () => {
  expect(activatorDose({ ...bloom, blooms: 3 }).totalG).toBeCloseTo(3 * activatorDose(bloom).totalG, 12);
});

it('tells what too much and too little will do (common practice)', () => {
  expect(activatorDose({ ...bloom, sheetMm: 1 })).toMatchObject({
    verdict: 'much',
    expect: expect.stringMatching(/white blob/),
  });
  expect(activatorDose({ ...bloom, sheetMm: 0.1 })).toMatchObject({
    verdict: 'little',
    expect: expect.stringMatching(/without lacing/),
  });
});

it.each(['footprintMm', 'sheetMm', 'densityGPerMl', 'puddleG', 'blooms'])('asks for %s above 0', (field) => {
  expect(() => activatorDose({ ...bloom, [field]: 0 })).toThrow(expect.objectContaining({ field }));
});
