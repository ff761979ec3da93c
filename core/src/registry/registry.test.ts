import { runCalculation } from '../base/calculation/index.ts';
import { CALCULATIONS, findCalculation, inputJsonSchema, listCalculations } from './index.ts';

const run = (name: string, input: unknown) => runCalculation(findCalculation(name), input);

it('every calculation says what it does, by which law, from which source, and where it holds', () => {
  for (const card of listCalculations()) {
    expect(Object.values(card).every((text) => text.length >= 3)).toBe(true);
  }
  expect(new Set(CALCULATIONS.map((each) => each.name)).size).toBe(CALCULATIONS.length);
});

it('gives the JSON Schema of an input', () => {
  expect(inputJsonSchema('convert')).toMatchObject({
    title: 'convert',
    type: 'object',
    required: ['value', 'from', 'to'],
    properties: { value: { type: 'number' } },
  });
});

it('mixes, thins and converts through one door', () => {
  const parts = [
    { massG: 30, viscosityPaS: 1.2, densityGPerMl: 1.03 },
    { massG: 15, viscosityPaS: 45, densityGPerMl: 1.2 },
    { massG: 11.25, viscosityPaS: 0.001002, densityGPerMl: 0.9982, waterFraction: 1 },
  ];
  expect(run('mix', { parts })).toMatchObject({ massG: 56.25, waterFraction: 0.2, stage: 'fading' });
  const thinner = { viscosityPaS: 0.001002, densityGPerMl: 0.9982 };
  expect(run('thin', { parts, targetPaS: 0.5, thinner })).toEqual({
    addG: expect.closeTo(3.84, 2),
    adviseG: expect.closeTo(3.07, 2),
  });
  expect(run('convert', { value: 1, from: 'tbsp', to: 'tsp' })).toEqual({ value: expect.closeTo(3, 12) });
});

it.each([
  ['mix', {}, 'parts'],
  ['mix', { parts: [] }, 'parts'],
  ['mix', { parts: [{ massG: 'ten', viscosityPaS: 1, densityGPerMl: 1 }] }, 'parts.0.massG'],
  ['mix', { parts: [{ massG: 1, viscosityPaS: 1, densityGPerMl: 1, color: 'red' }] }, 'parts.0.color'],
  ['thin', { parts: [{ massG: 1, viscosityPaS: 1, densityGPerMl: 1 }], targetPaS: 0.5 }, 'thinner'],
  ['convert', { value: '1', from: 'g', to: 'oz' }, 'value'],
  ['convert', 5, '(input)'],
])('%s refuses %j and names the field %s', (name, input, field) => {
  expect(() => run(name, input)).toThrow(expect.objectContaining({ field }));
});

it('names the calculations there are when asked for another', () => {
  expect(() => findCalculation('magic')).toThrow(/convert, mix, thin/);
});
