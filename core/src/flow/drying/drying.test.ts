import { dryingPhase, TOP_COAT_DAYS, topCoatReadyMs } from './index.ts';

const DAY = 86_400_000;

it('a piece is usually ready for its top coat after a week, never before three days (common practice)', () => {
  expect(dryingPhase(0, 2 * DAY)).toBe('wet');
  expect(dryingPhase(0, 4 * DAY)).toBe('touch-dry');
  expect(dryingPhase(0, 7 * DAY)).toBe('top-coat');
  expect(topCoatReadyMs(0)).toBe(7 * DAY);
  expect(TOP_COAT_DAYS.least).toBe(3);
});
