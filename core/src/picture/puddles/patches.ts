import { COAT_LIGHT, type LaidFace } from '../coat/index.ts';
import { componentsOf } from '../components.ts';
import { oklabInto } from '../../paint/color/oklab.ts';
import { median } from '../quantile.ts';
import { opened, squaredDistances } from '../raster.ts';

/** A patch of paint on a coat, its holes filled. */
export interface PaintPatch {
  readonly pixels: number;
  /** Its middle, pixels of the face. */
  readonly x: number;
  readonly y: number;
  /** Long over short axis of the ellipse of its own moments. */
  readonly aspect: number;
  /** Share of it that highlights hide. */
  readonly hidden: number;
}

/** Paint differs from the coat by at least this, in OKLab, and by so many usual differences of the coat. */
const DIFFERS = 0.05;
const USUAL = 5;
/** Threads and drops narrower than this are no puddle, mm. */
const THREAD_MM = 2;
const RIM_MM = 1.2;

/** Patches of paint on the coat, at least this large. */
export function patchesOn(laid: LaidFace, onFace: Uint8Array, leastMm2: number): PaintPatch[] {
  const { width, height, pxPerMm, nearGlare } = laid;
  const far = distances(laid);
  const least = Math.max(
    DIFFERS,
    USUAL * median([...far.filter((_, at) => at % 7 === 0 && onFace[at] === 1)]),
  );
  const rim = Math.ceil(RIM_MM * pxPerMm);
  const paint = Uint8Array.from(far, (value, at) => {
    const [x, y] = [at % width, Math.floor(at / width)];
    const isRim = x < rim || y < rim || x >= width - rim || y >= height - rim;
    return !isRim && onFace[at] && (value > least || nearGlare[at]) ? 1 : 0;
  });
  const sharp = withHalfEdges(paint, laid);
  const mask = filled(
    opened(filled(sharp, width, height), width, height, (THREAD_MM / 2) * pxPerMm),
    width,
    height,
  );
  const { of, label, area, count } = componentsOf(mask, width, height);
  const sums = Array.from({ length: count }, () => ({ x: 0, y: 0, xx: 0, xy: 0, yy: 0, hidden: 0 }));
  for (let at = 0; at < of.length; at += 1) {
    if (label[of[at]!] !== 1) continue;
    const sum = sums[of[at]!]!;
    const [x, y] = [(at % width) + 0.5, Math.floor(at / width) + 0.5];
    sum.x += x;
    sum.y += y;
    sum.xx += x * x;
    sum.xy += x * y;
    sum.yy += y * y;
    sum.hidden += nearGlare[at]! && far[at]! <= least ? 1 : 0;
  }
  return sums.flatMap((sum, patch) => {
    const pixels = area[patch]!;
    // What is hidden to its most part is a highlight on the coat.
    if (label[patch] !== 1 || pixels < leastMm2 * pxPerMm ** 2 || sum.hidden > 0.5 * pixels) return [];
    const [x, y] = [sum.x / pixels, sum.y / pixels];
    const [xx, xy, yy] = [sum.xx / pixels - x * x, sum.xy / pixels - x * y, sum.yy / pixels - y * y];
    const [middle, apart] = [(xx + yy) / 2, Math.hypot((xx - yy) / 2, xy)];
    const aspect = Math.sqrt((middle + apart) / Math.max(1e-6, middle - apart));
    return [{ pixels, x, y, aspect, hidden: sum.hidden / pixels }];
  });
}

/** How far each pixel is from the coat, OKLab in a light in which the lighter of both is as light as paper. */
function distances({ ratio }: LaidFace): Float32Array {
  const out = new Float32Array(ratio.length / 3);
  const lab = new Float32Array(6);
  for (let at = 0; at < out.length; at += 1) {
    const [r, g, b] = [ratio[3 * at]!, ratio[3 * at + 1]!, ratio[3 * at + 2]!];
    const light = COAT_LIGHT / Math.max(1, r, g, b);
    oklabInto(r * light, g * light, b * light, lab, 0);
    oklabInto(light, light, light, lab, 3);
    out[at] = Math.hypot(lab[0]! - lab[3]!, lab[1]! - lab[4]!, lab[2]! - lab[5]!);
  }
  return out;
}

/** At its rim paint ends where it covers one half: where it lies one half as far from the coat as the most within so many pixels. */
const EDGE_PX = 2;
const HALF = 0.5;

function withHalfEdges(paint: Uint8Array, { ratio, nearGlare, width, height }: LaidFace): Uint8Array {
  // In linear light, in which colors mix in proportion.
  const off = Float32Array.from(paint, (value, at) =>
    value ? Math.hypot(ratio[3 * at]! - 1, ratio[3 * at + 1]! - 1, ratio[3 * at + 2]! - 1) : 0,
  );
  const most = highest(highest(off, 1, width), width, width * height);
  const depth = squaredDistances(paint, width, height);
  return Uint8Array.from(paint, (value, at) =>
    value && (depth[at]! > EDGE_PX ** 2 || nearGlare[at] || off[at]! >= HALF * most[at]!) ? 1 : 0,
  );

  /** The highest within some pixels along a row or a column. */
  function highest(values: Float32Array, step: number, span: number): Float32Array {
    return values.map((value, at) => {
      const start = at - (at % span);
      let found = value;
      for (let away = -EDGE_PX; away <= EDGE_PX; away += 1) {
        const next = at + away * step;
        if (next >= start && next < start + span) found = Math.max(found, values[next]!);
      }
      return found;
    });
  }
}

/** A mask with what it encloses: the inner layers of a stack may have the color of the coat. */
function filled(mask: Uint8Array, width: number, height: number): Uint8Array {
  const { of, label, count } = componentsOf(mask, width, height);
  const isOpen = new Uint8Array(count);
  for (let x = 0; x < width; x += 1) {
    isOpen[of[x]!] = 1;
    isOpen[of[(height - 1) * width + x]!] = 1;
  }
  for (let y = 0; y < height; y += 1) {
    isOpen[of[y * width]!] = 1;
    isOpen[of[y * width + width - 1]!] = 1;
  }
  return Uint8Array.from(mask, (value, at) => (value || (label[of[at]!] === 0 && !isOpen[of[at]!]) ? 1 : 0));
}
