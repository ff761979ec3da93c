import {
  byteOf,
  inverseOf,
  linearRgb,
  project,
  rectangleTo,
  type Corners,
  type PatchMm,
} from '@icy-ribbon/core/picture';
import { gaussian, seededRandom, type Random } from '@icy-ribbon/core/base/random';
import { blurred } from './blur.ts';
import { layered, valueNoise } from './noise.ts';
import type { Face } from './face.ts';

/** How a photo is taken. */
export interface Shot {
  readonly seed: number;
  readonly megapixels: number;
  /** 0 straight from above, 1 clearly askew. */
  readonly askew: number;
  /** How much brighter one side is than the other. */
  readonly light: number;
  /** Color cast, 0 none. */
  readonly cast: number;
  /** Spots where a lamp shines back. */
  readonly glare: number;
  /** Spread of the blur in pixels. */
  readonly blurPx: number;
  /** Standard deviation of the noise, in steps of 0 to 255. */
  readonly noise: number;
  /** Strength of the camera's contrast curve. */
  readonly tone: number;
  /** Strength of the camera's sharpening. */
  readonly sharpen: number;
  /** Light that lies over everything, as a share of white. */
  readonly veil: number;
}

export const PLAIN_SHOT: Omit<Shot, 'seed'> = {
  megapixels: 6,
  askew: 0.7,
  light: 0.15,
  cast: 0.08,
  glare: 4,
  blurPx: 0.7,
  noise: 2,
  tone: 0,
  sharpen: 0,
  veil: 0,
};

export interface Photograph {
  readonly widthPx: number;
  readonly heightPx: number;
  /** RGB, 8 bits each. */
  readonly pixels: Uint8Array;
  readonly corners: Corners;
  readonly grayPatchMm: PatchMm;
}

const GRAY_PATCH: PatchMm = [-14, 23, -8, 32];
const WHITE_PATCH: PatchMm = [-14, 32, -8, 41];
const TABLE = linearRgb('#75573a');
const GRAY = linearRgb('#777777');
const WHITE = linearRgb('#e8e8e8');

/**
 * Takes a photo of a painting on a table: perspective, a lamp to one side, its reflections, a lens that is not
 * quite sharp, a sensor with noise, and what the camera does to contrast and edges.
 */
export function shoot(painting: Face, shot: Shot): Photograph {
  const random = seededRandom(shot.seed);
  const ratio = painting.scene.widthMm >= painting.scene.heightMm ? 4 / 3 : 3 / 4;
  const widthPx = Math.round(Math.sqrt(shot.megapixels * 1e6 * ratio));
  const heightPx = Math.round(widthPx / ratio);
  const corners = placeCorners(painting, widthPx, heightPx, shot.askew, random);
  const planes = project3(painting, corners, widthPx, heightPx, shot.seed);
  lightUp(planes, widthPx, heightPx, shot, random);
  addGlare(planes, widthPx, heightPx, corners, shot, random);
  const seen = planes.map((plane) => blurred(plane, widthPx, heightPx, shot.blurPx));
  return {
    widthPx,
    heightPx,
    pixels: develop(seen, widthPx, heightPx, shot, random),
    corners,
    grayPatchMm: GRAY_PATCH,
  };
}

/** Where the support's corners come to lie: most of the picture, each corner strayed a little. */
function placeCorners(
  { scene }: Face,
  widthPx: number,
  heightPx: number,
  askew: number,
  random: Random,
): Corners {
  const fill = 0.77 * Math.min(widthPx / scene.widthMm, heightPx / scene.heightMm);
  const halfX = (fill * scene.widthMm) / 2;
  const halfY = (fill * scene.heightMm) / 2;
  const stray = () => askew * 0.055 * Math.min(widthPx, heightPx) * (2 * random() - 1);
  const at = (right: number, down: number) =>
    [widthPx * 0.515 + right * halfX + stray(), heightPx / 2 + down * halfY + stray()] as const;
  return [at(-1, -1), at(1, -1), at(1, 1), at(-1, 1)];
}

type Planes = [Float32Array, Float32Array, Float32Array];

/** The table with the painting on it, seen through the lens, four looks a pixel. */
function project3(painting: Face, corners: Corners, widthPx: number, heightPx: number, seed: number): Planes {
  const { scene, rgb } = painting;
  const back = inverseOf(rectangleTo(corners, scene.widthMm, scene.heightMm));
  const wood = layered(valueNoise(seed + 5));
  const planes: Planes = [0, 1, 2].map(() => new Float32Array(widthPx * heightPx)) as Planes;
  const color = [0, 0, 0];
  const LOOKS = [-0.25, 0.25];
  /** The wood's grain, the same for all looks of a pixel. */
  let grain = 0;
  for (let row = 0; row < heightPx; row += 1) {
    for (let column = 0; column < widthPx; column += 1) {
      color.fill(0);
      grain = 0;
      for (const down of LOOKS) {
        for (const right of LOOKS) look(column + 0.5 + right, row + 0.5 + down);
      }
      const pixel = row * widthPx + column;
      for (let channel = 0; channel < 3; channel += 1) planes[channel]![pixel] = color[channel]! / 4;
    }
  }
  return planes;

  function look(u: number, v: number): void {
    const depth = back[6]! * u + back[7]! * v + back[8]!;
    const x = (back[0]! * u + back[1]! * v + back[2]!) / depth;
    const y = (back[3]! * u + back[4]! * v + back[5]!) / depth;
    if (x >= 0 && y >= 0 && x < scene.widthMm && y < scene.heightMm) {
      const px = Math.min(painting.widthPx - 1, Math.floor((x * painting.widthPx) / scene.widthMm));
      const py = Math.min(painting.heightPx - 1, Math.floor((y * painting.heightPx) / scene.heightMm));
      const at = 3 * (py * painting.widthPx + px);
      if (rgb[at]! >= 0) {
        for (let channel = 0; channel < 3; channel += 1) color[channel]! += rgb[at + channel]!;
        return;
      }
    }
    const card = inside(GRAY_PATCH, x, y) ? GRAY : inside(WHITE_PATCH, x, y) ? WHITE : undefined;
    if (!card && grain === 0) grain = 0.86 + 0.28 * wood(x / 9, y / 30);
    for (let channel = 0; channel < 3; channel += 1) {
      color[channel]! += card ? card[channel]! : TABLE[channel]! * grain;
    }
  }
}

const inside = ([left, top, right, bottom]: PatchMm, x: number, y: number) =>
  x >= left && x < right && y >= top && y < bottom;

function lightUp(planes: Planes, widthPx: number, heightPx: number, shot: Shot, random: Random): void {
  const angle = random() * 2 * Math.PI;
  const bend = (random() - 0.5) * shot.light;
  const warm = [1 + shot.cast, 1, 1 - shot.cast];
  for (let row = 0; row < heightPx; row += 1) {
    for (let column = 0; column < widthPx; column += 1) {
      const x = (2 * column) / widthPx - 1;
      const y = (2 * row) / heightPx - 1;
      const light = Math.exp(
        shot.light * (x * Math.cos(angle) + y * Math.sin(angle)) + bend * (x * x + y * y),
      );
      const pixel = row * widthPx + column;
      for (let channel = 0; channel < 3; channel += 1) {
        const plane = planes[channel]!;
        plane[pixel] = plane[pixel]! * 0.88 * light * warm[channel]! + shot.veil;
      }
    }
  }
}

/** Soft bright ellipses, a few on the face and some beside it. */
function addGlare(
  planes: Planes,
  widthPx: number,
  heightPx: number,
  corners: Corners,
  shot: Shot,
  random: Random,
): void {
  const map = rectangleTo(corners, 1, 1);
  const unit = Math.sqrt(widthPx * heightPx) / 2400;
  for (let spot = 0; spot < shot.glare; spot += 1) {
    const [x, y] = project(map, random() * 1.1 - 0.05, random() * 1.1 - 0.05);
    const long = unit * (10 + 22 * random());
    const short = long * (0.4 + 0.5 * random());
    const angle = random() * Math.PI;
    const reach = Math.ceil(4 * long);
    for (let row = Math.max(0, Math.floor(y - reach)); row < Math.min(heightPx, y + reach); row += 1) {
      for (
        let column = Math.max(0, Math.floor(x - reach));
        column < Math.min(widthPx, x + reach);
        column += 1
      ) {
        const along = (column - x) * Math.cos(angle) + (row - y) * Math.sin(angle);
        const across = (row - y) * Math.cos(angle) - (column - x) * Math.sin(angle);
        const bright = 2.4 * Math.exp(-((along / long) ** 2) - (across / short) ** 2);
        if (bright < 0.002) continue;
        for (const plane of planes) plane[row * widthPx + column]! += bright;
      }
    }
  }
}

const SHOWN_STEPS = 8192;
/** What a screen would show of linear light, 0 to 1. */
const SHOWN = Float32Array.from({ length: SHOWN_STEPS + 1 }, (_, step) => byteOf(step / SHOWN_STEPS) / 255);

/** Noise, contrast and sharpening, as a camera does them, down to bytes. */
function develop(
  planes: readonly Float32Array[],
  widthPx: number,
  heightPx: number,
  shot: Shot,
  random: Random,
): Uint8Array {
  const shown = planes.map((plane) => {
    const out = new Float32Array(plane.length);
    for (let pixel = 0; pixel < out.length; pixel += 1) {
      const value = SHOWN[Math.min(SHOWN_STEPS, Math.round(plane[pixel]! * SHOWN_STEPS))]!;
      const curved = value + shot.tone * value * (1 - value) * (2 * value - 1);
      out[pixel] = 255 * curved + shot.noise * quickNormal(random);
    }
    return out;
  });
  const pixels = new Uint8Array(widthPx * heightPx * 3);
  shown.forEach((plane, channel) => {
    const soft = shot.sharpen > 0 ? blurred(plane, widthPx, heightPx, 1) : plane;
    for (let pixel = 0; pixel < plane.length; pixel += 1) {
      const value = plane[pixel]! + shot.sharpen * (plane[pixel]! - soft[pixel]!);
      pixels[3 * pixel + channel] = Math.min(255, Math.max(0, Math.round(value)));
    }
  });
  return pixels;
}

/** Near enough to a normal deviate for sensor noise, and quick. */
function quickNormal(random: Random): number {
  return (random() + random() + random() - 1.5) * 2;
}

/** A shot as a person would take it, from a seed. */
export function casualShot(seed: number, megapixels: number): Shot {
  const random = seededRandom(seed);
  return {
    ...PLAIN_SHOT,
    seed,
    megapixels,
    askew: 0.3 + 0.7 * random(),
    light: 0.05 + 0.25 * random(),
    cast: 0.04 + 0.06 * Math.abs(gaussian(random)),
    glare: Math.floor(1 + 5 * random()),
    blurPx: 0.5 + 0.4 * random(),
  };
}
