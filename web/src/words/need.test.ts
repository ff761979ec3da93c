import { needWords } from './need.ts';

it('says how much of what, each once', () => {
  const needed = [
    { role: 'pillow', count: 1, massG: 140 },
    { role: 'color', count: 4, massG: 19 },
    { role: 'activator', count: 1, massG: 9 },
  ] as const;
  expect(needWords(needed, (mg) => `${mg / 1000}\u00a0g`)).toBe(
    'pillow 140\u00a0g, 4 colors 19\u00a0g each, activator 9\u00a0g',
  );
});
