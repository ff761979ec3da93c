import { finePercent, percent } from './percent.ts';

it('a share is told in percent, and never as minus nothing', () => {
  expect(percent(0.424)).toBe('42\u00a0%');
  expect(percent(0.0256, 1)).toBe('2.6\u00a0%');
  expect(percent(-0.001)).toBe('0\u00a0%');
  expect([finePercent(0.094), finePercent(0.2)]).toEqual(['9.4\u00a0%', '20\u00a0%']);
});
