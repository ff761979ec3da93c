/** @jest-environment jsdom */
import { mount } from '@vue/test-utils';
import ToleranceBand from './ToleranceBand.vue';

/** Where the bead stands along the line, %. */
const beadAt = (toGoMg: number, toleranceMg = 200) =>
  Number.parseFloat(
    /left: ([\d.]+)%/.exec(
      mount(ToleranceBand, { props: { toGoMg, toleranceMg } }).get('.bead').attributes('style')!,
    )![1]!,
  );

describe('how near the weight is', () => {
  it('on target the bead stands in the middle, at the tolerance on the edge of the band', () => {
    expect(beadAt(0)).toBe(50);
    expect(beadAt(200)).toBe(40);
    expect(beadAt(-200)).toBe(60);
  });

  it('far off it waits at the end of the line', () => {
    expect(beadAt(40_000)).toBe(0);
    expect(beadAt(-40_000)).toBe(100);
  });
});
