import { gaussian, seededRandom, type Random } from '../../base/random/index.ts';
import { byteOf, linearRgb } from '../oklab.ts';
import { inverseOf, project, rectangleTo } from '../homography.ts';
import type { Corners, PhotoPixels } from '../photo.ts';
import { measureRace } from './index.ts';

/** A card whose lanes are known, and its picture: invented, by another way than it is measured. */
interface Drawn {
  readonly photo: PhotoPixels;
  readonly corners: Corners;
  readonly lanes: readonly { readonly key: string; readonly hex: string; readonly lengthMm: number }[];
}

const CARD = { widthMm: 150, heightMm: 200 };
const PAINTS = ['#24557a', '#a8431f', '#2f7a5c', '#b98a2b', '#4a3a6b', '#1d1f22', '#7a8f3a', '#c46a78'];
const COATS = ['#eeece6', '#d8d8d4', '#b9bcbc'];

function draw(
  random: Random,
  bare = COATS[Math.floor(random() * COATS.length)]!,
  count = 2 + Math.floor(5 * random()),
): Drawn {
  const between = (low: number, high: number) => low + (high - low) * random();
  const pool = [...PAINTS].sort(() => random() - 0.5);
  const lanes = Array.from({ length: count }, (_, index) => {
    const lean = between(-0.07, 0.07);
    const x = ((index + 0.5) * CARD.widthMm) / count;
    return {
      key: `cup ${index}`,
      hex: pool[index]!,
      rgb: linearRgb(pool[index]!),
      lengthMm: between(28, 140),
      ...{ x, lean, top: between(14, 22), radius: between(3.2, 5.5) },
      ...{ wave: between(0, 0.5), phase: between(0, 6), bend: between(-2, 2) },
      drip: random() < 0.5 ? { wide: between(0.5, 0.9), long: between(6, 22) } : null,
    };
  });
  const glares = Array.from({ length: 3 }, () => {
    const lane = lanes[Math.floor(random() * count)]!;
    return {
      x: lane.x + between(-3, 3),
      // Not over an end: there no picture can tell.
      y: lane.top + lane.radius + between(0.25, 0.7) * (lane.lengthMm - 2 * lane.radius),
      wide: between(1, 2.5),
      high: between(1, 3.5),
    };
  });
  const splashes = Array.from({ length: 4 }, () => ({
    ...{ x: between(6, 144), y: between(170, 192), radius: between(0.5, 1.6) },
    rgb: linearRgb(pool[0]!),
  }));
  const coat = linearRgb(bare);
  const table = [0.05, 0.045, 0.04];

  /** What lies at a place of the card, mm: linear light. */
  const at = (x: number, y: number): readonly number[] => {
    for (const lane of lanes) {
      // A trail leans, bends, and its sides wave.
      const down = (y - lane.top) / Math.cos(lane.lean);
      const middle =
        lane.x + (y - lane.top) * Math.tan(lane.lean) + lane.bend * Math.sin((Math.PI * down) / 160);
      const aside = Math.abs(x - middle) * Math.cos(lane.lean);
      const wide = lane.radius + lane.wave * Math.sin(down / 7 + lane.phase);
      const [first, last] = [lane.radius, lane.lengthMm - lane.radius];
      const beyond = down < first ? first - down : down > last ? down - last : 0;
      if (Math.hypot(aside, beyond * (wide / lane.radius)) < wide) return lane.rgb;
      if (lane.drip && aside < lane.drip.wide && down > last && down < lane.lengthMm + lane.drip.long)
        return lane.rgb;
    }
    for (const splash of splashes) {
      if (Math.hypot(x - splash.x, y - splash.y) < splash.radius) return splash.rgb;
    }
    return coat;
  };

  const [wide, high] = [720, 960];
  const corner = (x: number, y: number) => [x + between(-45, 45), y + between(-45, 45)] as const;
  const corners: Corners = [corner(90, 90), corner(630, 90), corner(630, 870), corner(90, 870)];
  const toCard = inverseOf(rectangleTo(corners, CARD.widthMm, CARD.heightMm));
  const [tiltX, tiltY, dim] = [between(-0.3, 0.3), between(-0.3, 0.3), between(0.72, 0.95)];
  const data = new Uint8Array(3 * wide * high);
  for (let v = 0; v < high; v += 1) {
    for (let u = 0; u < wide; u += 1) {
      const light = dim * (1 + tiltX * (u / wide - 0.5) + tiltY * (v / high - 0.5));
      const sum = [0, 0, 0];
      for (const [du, dv] of [
        [0.25, 0.25],
        [0.75, 0.25],
        [0.25, 0.75],
        [0.75, 0.75],
      ] as const) {
        const [x, y] = project(toCard, u + du, v + dv);
        const isCard = x >= 0 && y >= 0 && x <= CARD.widthMm && y <= CARD.heightMm;
        const color = isCard ? at(x, y) : table;
        const isGlare = glares.some(
          (glare) => ((x - glare.x) / glare.wide) ** 2 + ((y - glare.y) / glare.high) ** 2 < 1,
        );
        color.forEach((value, channel) => (sum[channel]! += 0.25 * (isGlare && isCard ? 3 : value * light)));
      }
      sum.forEach((value, channel) => {
        data[3 * (v * wide + u) + channel] = Math.min(255, byteOf(Math.min(1, value)) + 2 * gaussian(random));
      });
    }
  }
  const found = corners.map(([x, y]) => [x + 0.7 * gaussian(random), y + 0.7 * gaussian(random)] as const);
  return {
    photo: { widthPx: wide, heightPx: high, channels: 3, data },
    corners: found as unknown as Corners,
    lanes: lanes.map(({ key, hex, lengthMm }) => ({ key, hex, lengthMm })),
  };
}

it('lanes on unseen pictures are measured within 3 %: 98 of a hundred; each goes to its cup', () => {
  const random = seededRandom(71);
  let [within, all, named] = [0, 0, 0];
  for (let picture = 0; picture < 10; picture += 1) {
    const { photo, corners, lanes } = draw(random);
    const shuffled = [...lanes].sort(() => random() - 0.5);
    const measured = measureRace(photo, { corners, ...CARD, lanes: shuffled });
    measured.lanes.forEach((lane, at) => {
      const truth = lanes[at]!;
      all += 1;
      if (Math.abs(lane.lengthMm / truth.lengthMm - 1) < 0.03) within += 1;
      if (lane.key === truth.key) named += 1;
    });
  }
  expect(all).toBeGreaterThan(30);
  expect(within / all).toBeGreaterThanOrEqual(0.98);
  expect(named / all).toBeGreaterThanOrEqual(0.98);
});

describe('what a picture does not carry', () => {
  const { photo, corners, lanes } = draw(seededRandom(5), '#eeece6', 4);
  const fault = (given: Partial<Parameters<typeof measureRace>[1]>) => {
    try {
      return measureRace(photo, { corners, ...CARD, lanes, ...given }).warnings;
    } catch (error) {
      return (error as Error).message;
    }
  };

  it('more lanes than there are on the card, one lane, or seven: what to do is said', () => {
    const more = [...lanes, ...lanes].slice(0, Math.min(6, lanes.length + 1));
    expect(fault({ lanes: more.map((lane, at) => ({ ...lane, key: `${at}` })) })).toMatch(
      /^Only \d of \d lanes can be told from the card\. Take a card of another color/,
    );
    expect(fault({ lanes: lanes.slice(0, 1) })).toBe('A card has two to six lanes.');
    expect(fault({ lanes: Array.from({ length: 7 }, (_, at) => ({ key: `${at}`, hex: '#000000' })) })).toBe(
      'A card has two to six lanes.',
    );
  });

  it('cups of one color cannot be told apart, and too small a card is soft', () => {
    const alike = lanes.map(({ key }) => ({ key, hex: '#24557a' }));
    expect(fault({ lanes: alike })).toContain('alike');
    expect(fault({ widthMm: 450, heightMm: 600 })).toContain('soft');
  });
});
