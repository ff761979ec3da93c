import { inEllipse } from '../../testing/index.ts';
import { findCorners, project, rectangleTo, type Corners, type PhotoPixels } from './index.ts';

const [WIDTH, HEIGHT] = [900, 700];
const TABLE = [111, 81, 56];

/** A photo of a table with something on it: its color by place, or undefined for the table. */
function photo(colorAt: (x: number, y: number) => readonly number[] | undefined): PhotoPixels {
  const data = new Uint8Array(WIDTH * HEIGHT * 3);
  for (let y = 0; y < HEIGHT; y += 1) {
    for (let x = 0; x < WIDTH; x += 1) {
      const grain = 6 * Math.sin(x / 40 + Math.sin(y / 90));
      const color = colorAt(x + 0.5, y + 0.5) ?? TABLE.map((value) => value + grain);
      data.set(color, 3 * (y * WIDTH + x));
    }
  }
  return { widthPx: WIDTH, heightPx: HEIGHT, channels: 3, data };
}

/** Petals of three colors on a base, by place on a face of 1 by 1. */
const paint = (u: number, v: number): readonly number[] => {
  const [x, y] = [u - 0.5, v - 0.5];
  const far = Math.hypot(x, y) / (0.35 + 0.08 * Math.cos(5 * Math.atan2(y, x)));
  if (far > 1) return [236, 233, 226];
  return far > 0.6 ? [31, 95, 168] : far > 0.3 ? [216, 69, 47] : [24, 24, 28];
};

describe('a round support', () => {
  it.each([
    ['straight from above', [450, 350, 280, 280, 0]],
    ['from the front', [460, 340, 300, 240, 0]],
    ['from a corner', [440, 360, 310, 230, 0.7]],
  ] as const)('seen %s is found by its rim', (_, ellipse) => {
    const [cx, cy, major, minor, angle] = ellipse;
    const round = photo((x, y) => {
      if (!inEllipse(x, y, [...ellipse])) return undefined;
      const [dx, dy] = [x - cx, y - cy];
      const u = (dx * Math.cos(angle) + dy * Math.sin(angle)) / major;
      const v = (dy * Math.cos(angle) - dx * Math.sin(angle)) / minor;
      return paint((u + 1) / 2, (v + 1) / 2);
    });
    const { corners, isSure } = findCorners(round, 'round');
    expect(isSure).toBe(true);
    // The rim of the frame's disc lies on the ellipse, all the way round.
    const map = rectangleTo(corners, 2, 2);
    for (let turn = 0; turn < 12; turn += 1) {
      const [x, y] = project(map, 1 + Math.cos((turn * Math.PI) / 6), 1 + Math.sin((turn * Math.PI) / 6));
      const along = ((x - cx) * Math.cos(angle) + (y - cy) * Math.sin(angle)) / major;
      const across = ((y - cy) * Math.cos(angle) - (x - cx) * Math.sin(angle)) / minor;
      expect(Math.abs(Math.hypot(along, across) - 1)).toBeLessThan(0.006);
    }
    const [topLeft, topRight, bottomRight] = corners;
    expect(topRight[0]).toBeGreaterThan(topLeft[0]);
    expect(bottomRight[1]).toBeGreaterThan(topRight[1]);
  });

  it('a square is not taken for a disc', () => {
    const square = photo((x, y) =>
      x > 200 && x < 700 && y > 100 && y < 600 ? paint((x - 200) / 500, (y - 100) / 500) : undefined,
    );
    expect(findCorners(square, 'round').isSure).toBe(false);
    expect(findCorners(square).isSure).toBe(true);
  });

  it('nothing but table is not taken for one', () => {
    expect(
      findCorners(
        photo(() => undefined),
        'round',
      ).isSure,
    ).toBe(false);
  });
});

it('a rectangle seen askew is found to a pixel', () => {
  const wanted: Corners = [
    [180, 120],
    [740, 90],
    [790, 610],
    [130, 580],
  ];
  const inside = (x: number, y: number) =>
    wanted.every(([ax, ay], index) => {
      const [bx, by] = wanted[(index + 1) % 4]!;
      return (bx - ax) * (y - ay) - (by - ay) * (x - ax) > 0;
    });
  const { corners, isSure } = findCorners(
    photo((x, y) => (inside(x, y) ? paint((x - 130) / 660, (y - 90) / 520) : undefined)),
  );
  expect(isSure).toBe(true);
  corners.forEach(([x, y], index) => {
    expect(Math.hypot(x - wanted[index]![0], y - wanted[index]![1])).toBeLessThan(1.2);
  });
});
