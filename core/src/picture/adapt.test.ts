import { seededRandom } from '../base/random/index.ts';
import {
  FLAT_HEX as HEX,
  flatInput as input,
  flatPhoto as photo,
  halves,
  inDisc,
  ring,
} from '../../testing/index.ts';
import { measurePhoto } from './index.ts';

describe('a palette that is off', () => {
  const random = seededRandom(11);
  const off = (hex: string, step: number) =>
    `#${[1, 3, 5]
      .map((at) => Number.parseInt(hex.slice(at, at + 2), 16) + (random() < 0.5 ? -step : step))
      .map((value) => Math.max(0, Math.min(255, value)).toString(16).padStart(2, '0'))
      .join('')}`;
  const dotted = (x: number, y: number) => (inDisc(x, y, 45, 32, 6) ? HEX.gold : halves(x, y));
  const picture = photo(dotted);
  const wanted = measurePhoto(picture, input).shares;

  it.each(ring([16, 24, 28], [8, 12, 16, 20, 22, 24, 26, 28, 32, 40]))(
    'by %d steps a channel is found in the picture, or asked for, never wrong in silence',
    (step) => {
      for (let round = 0; round < ring(4, 12); round += 1) {
        const palette = input.palette.map(({ name, hex }) => ({ name, hex: off(hex, step) }));
        const { shares, warnings } = measurePhoto(picture, { ...input, palette });
        const worst = Math.max(...Object.keys(wanted).map((name) => Math.abs(shares[name]! - wanted[name]!)));
        const isSaid = warnings.some(({ code }) => code === 'colors-off' || code === 'no-pour');
        expect(worst < 0.01 || isSaid).toBe(true);
      }
    },
  );

  it('asks for the color by its name', () => {
    // Blue and rose swapped to be as near to one as to the other.
    const palette = input.palette.map((color) =>
      color.name === 'rose' ? { ...color, hex: '#7a5090' } : color,
    );
    const { warnings } = measurePhoto(picture, { ...input, palette });
    expect(warnings.map(({ message }) => message).join()).toContain('rose');
  });
});
