import { ORDER_RULES, orderReasons, type OrderLayer } from '@icy-ribbon/core/piece/order';
import { hintWords, reasonWords } from './order.ts';

it.each(ORDER_RULES.map(({ name }) => name))('the rule "%s" is said with the paints it is about', (rule) => {
  const words = reasonWords({ rule, weight: 1, strength: 1, lower: 'rust', upper: 'rain' });
  expect(words).toMatch(/rust|rain/);
  expect(words).toMatch(/\.$/);
});

it('what is heavier lies above what it sinks into', () => {
  const layer = (name: string, densityGPerMl: number) =>
    ({
      id: name,
      massG: 10,
      paint: {
        id: name,
        name,
        role: 'color',
        colorHex: '#888888',
        viscosityPaS: 0.6,
        densityGPerMl,
        opacity: 'opaque',
        finish: 'plain',
      },
    }) satisfies OrderLayer;
  const [reason] = orderReasons('dutch', [layer('rust', 1.05), layer('rain', 1.3)]);
  expect(reasonWords(reason!)).toBe('rain is heavier than rust below it and sinks.');
});

it('hints name the paint they are about', () => {
  expect(hintWords({ code: 'into-the-pillow', name: 'rust' })).toMatch(/^rust is awkwardly thick/);
  expect(hintWords({ code: 'repeat-at-the-end', name: 'rust' })).toBe(
    'Repeat rust at the end: it contrasts most.',
  );
  expect(hintWords({ code: 'touches-of-base' })).toMatch(/touches of base/);
});
