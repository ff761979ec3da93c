import { flatInput as input, flatPhoto as photo, halves } from '../../testing/index.ts';
import { measurePhoto } from './index.ts';

describe('something in front of the face', () => {
  const present = { ...input, palette: input.palette.slice(0, 3) };
  const whole = measurePhoto(photo(halves), present);

  it('a hand is left out and said; the shares stay', () => {
    const hand = (x: number, y: number) => ((x - 60) / 22) ** 2 + ((y - 22) / 7) ** 2 < 1;
    const found = measurePhoto(
      photo((x, y) => (hand(x, y) ? '#d8a184' : halves(x, y))),
      present,
    );
    expect(found.warnings.map(({ code }) => code)).toContain('foreign');
    expect(found.quality.foreignShare).toBeGreaterThan(0.08);
    for (const [name, share] of Object.entries(whole.shares)) {
      expect(Math.abs(found.shares[name]! - share)).toBeLessThan(0.02);
    }
  });

  it('a picture of something else is said to be none of the pour', () => {
    const meadow = photo((x, y) => (Math.sin(x) * Math.cos(y * 2) > 0 ? '#5d8a34' : '#7fae4d'));
    expect(measurePhoto(meadow, input).warnings.map(({ code }) => code)).toContain('no-pour');
  });
});
