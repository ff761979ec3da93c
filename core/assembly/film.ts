/**
 * The film's step compiled: the same laws, names and order as the plain kernels in `src/flow/solver`, two cells at a time.
 * Written in AssemblyScript; `npm run build` makes film.wasm of it. The page and the tests hold it against the plain ones.
 *
 * Fields lie in the module's memory where the host puts them; a table of their addresses is passed with every step
 * (`src/flow/solver/compiledKernel.ts` lays it out, in the order of the constants below).
 */

const COLUMNS: usize = 0;
const ROWS: usize = 4;
const STRIDE: usize = 8;
const LAYERS: usize = 12;
const IS_CRISP: usize = 16;
const VISCOSITY: usize = 20;
const DENSITY: usize = 24;
const LOST: usize = 28;
const ROW_BUFFERS: usize = 32;
const SCRATCH: usize = 36;
const FLOW: usize = 40;
const MOBILITY: usize = 48;
const RISE: usize = 56;
const FLUX: usize = 64;
const AIR_PRESSURE: usize = 72;
const AIR_SHEAR: usize = 76;
const BOXES: usize = 84;
const GHOSTS: usize = 88;
const SOURCES: usize = 92;
const GHOST_COUNT: usize = 96;
const OUTSIDE: usize = 100;
const OUTSIDE_COUNT: usize = 104;
/** Index, way and count of the rim's faces, across and down. */
const RIM_FACES: usize = 108;
/** Thickness, smooth, velocity across and down, response across and down: an address for each layer. */
const PER_LAYER: usize = 132;

const MARGIN: i32 = 2;
const REACH: i32 = 4;
const NOTHING: f64 = 1e-12;
const CREEPING: f64 = 5e-5;
const SPENT: f64 = 1e-200;
const MOST_THINNING: f64 = 4;
const ALL_BUT: f64 = 1 - 1e-7;
const STEEP: f64 = 25;
const SHARED_ROWS: i32 = 10;
const BARE_M: f64 = 1e-5;
const ROWS_PER_LAYER: i32 = 5;

let table: usize = 0;
let columns: i32 = 0;
let rows: i32 = 0;
let stride: i32 = 0;
let layers: i32 = 0;
let cellM: f64 = 0;

function entry(offset: usize): usize {
  return load<u32>(table + offset);
}
function ofDirection(offset: usize, direction: i32): usize {
  return load<u32>(table + offset + (direction << 2));
}
/** Field `kind` of a layer: 0 thickness, 1 smooth, 2 and 3 velocity, 4 and 5 response. */
function ofLayer(kind: i32, layer: i32): usize {
  return load<u32>(table + PER_LAYER + ((kind * layers + layer) << 2));
}
function at(field: usize, index: i32): usize {
  return field + ((<usize>index) << 3);
}
function boxSide(layer: i32, side: i32): i32 {
  return load<i32>(entry(BOXES) + ((layer * 4 + side) << 2));
}
function setBoxSide(layer: i32, side: i32, value: i32): void {
  store<i32>(entry(BOXES) + ((layer * 4 + side) << 2), value);
}
function isEmpty(layer: i32): bool {
  return boxSide(layer, 1) < boxSide(layer, 0) || boxSide(layer, 3) < boxSide(layer, 2);
}
function leftOf(layer: i32, cells: i32): i32 {
  return max(MARGIN, boxSide(layer, 0) - cells);
}
function rightOf(layer: i32, cells: i32): i32 {
  return min(MARGIN + columns - 1, boxSide(layer, 1) + cells);
}
function topOf(layer: i32, cells: i32): i32 {
  return max(MARGIN, boxSide(layer, 2) - cells);
}
function bottomOf(layer: i32, cells: i32): i32 {
  return min(MARGIN + rows - 1, boxSide(layer, 3) + cells);
}

/** Moves the film by one step and returns the greatest speed, m/s. */
export function step(
  fields: usize,
  cell: f64,
  seconds: f64,
  thinning: f64,
  pinM: f64,
  stiffness: f64,
  gravity: f64,
  alongX: f64,
  alongY: f64,
  turning: f64,
  turningX: f64,
  turningY: f64,
  isBlown: bool,
  acrossFirst: bool,
): f64 {
  table = fields;
  columns = <i32>entry(COLUMNS);
  rows = <i32>entry(ROWS);
  stride = <i32>entry(STRIDE);
  layers = <i32>entry(LAYERS);
  cellM = cell;
  for (let layer = 0; layer < layers; layer++) findBox(layer);
  smoothLayers();
  layerVelocities(0, gravity, alongX, turning * turning, turningX, thinning, pinM, isBlown);
  layerVelocities(1, gravity, alongY, turning * turning, turningY, thinning, pinM, isBlown);
  raiseSurface(seconds, stiffness, acrossFirst);
  return moveLayers(seconds, stiffness);
}

function findBox(layer: i32): void {
  const thickness = ofLayer(0, layer);
  const first = MARGIN;
  const last = MARGIN + columns - 1;
  let left = last + 1;
  let right = first - 1;
  let top = 0;
  let bottom = -1;
  for (let row = MARGIN; row < MARGIN + rows; row++) {
    const start = at(thickness, row * stride);
    let from = first;
    while (from <= last && load<f64>(at(start, from)) <= NOTHING) from++;
    if (from > last) continue;
    let to = last;
    while (load<f64>(at(start, to)) <= NOTHING) to--;
    if (from < left) left = from;
    if (to > right) right = to;
    if (bottom < 0) top = row;
    bottom = row;
  }
  setBoxSide(layer, 0, left);
  setBoxSide(layer, 1, right);
  setBoxSide(layer, 2, top);
  setBoxSide(layer, 3, bottom);
}

function repeatRim(field: usize): void {
  const ghosts = entry(GHOSTS);
  const sources = entry(SOURCES);
  const count = <i32>entry(GHOST_COUNT);
  for (let k = 0; k < count; k++) {
    store<f64>(at(field, load<i32>(ghosts + (k << 2))), load<f64>(at(field, load<i32>(sources + (k << 2)))));
  }
  const outside = entry(OUTSIDE);
  const empty = <i32>entry(OUTSIDE_COUNT);
  for (let k = 0; k < empty; k++) store<f64>(at(field, load<i32>(outside + (k << 2))), 0);
}

/** (a + 4 b + 6 c + 4 d + e) / 16 of neighbors `off` bytes apart. */
function binomial(middle: usize, off: usize): v128 {
  const outer = f64x2.add(v128.load(middle - 2 * off), v128.load(middle + 2 * off));
  const inner = f64x2.add(v128.load(middle - off), v128.load(middle + off));
  const sum = f64x2.add(
    f64x2.add(outer, f64x2.mul(f64x2.splat(4), inner)),
    f64x2.mul(f64x2.splat(6), v128.load(middle)),
  );
  return f64x2.mul(sum, f64x2.splat(0.0625));
}

function smoothLayers(): void {
  const scratch = entry(SCRATCH);
  const down = (<usize>stride) << 3;
  for (let layer = 0; layer < layers; layer++) {
    if (isEmpty(layer)) continue;
    const from = ofLayer(0, layer);
    const to = ofLayer(1, layer);
    const left = leftOf(layer, REACH);
    const right = rightOf(layer, REACH);
    const top = topOf(layer, REACH);
    const bottom = bottomOf(layer, REACH);
    for (let row = top - 2; row <= bottom + 2; row++) {
      for (let x = left; x <= right; x += 2) {
        v128.store(at(scratch, row * stride + x), binomial(at(from, row * stride + x), 8));
      }
    }
    for (let row = top; row <= bottom; row++) {
      for (let x = left; x <= right; x += 2) {
        v128.store(at(to, row * stride + x), binomial(at(scratch, row * stride + x), down));
      }
    }
    repeatRim(to);
  }
}

function layerVelocities(
  direction: i32,
  gravity: f64,
  along: f64,
  turningSquared: f64,
  center: f64,
  thinning: f64,
  pinM: f64,
  isBlown: bool,
): void {
  const off: usize = direction == 0 ? 8 : (<usize>stride) << 3;
  const endColumn = MARGIN + columns - 1 + (direction == 0 ? 1 : 0);
  const endRow = MARGIN + rows - 1 + (direction == 1 ? 1 : 0);
  const perCell = f64x2.splat(1 / cellM);
  const reference = load<f64>(at(entry(DENSITY), layers - 1));
  const heave = f64x2.splat(gravity * reference);
  const half = f64x2.splat(0.5);
  const zero = f64x2.splat(0);
  const flow = ofDirection(FLOW, direction);
  const mobility = ofDirection(MOBILITY, direction);
  const air = entry(AIR_PRESSURE);
  const shear = ofDirection(AIR_SHEAR, direction);
  const buffers = entry(ROW_BUFFERS);
  const pressure = buffers;
  const weight = at(buffers, stride);
  const slope = at(buffers, 2 * stride);
  const top = at(buffers, 3 * stride);
  const topAnswer = at(buffers, 4 * stride);
  const speed = at(buffers, 5 * stride);
  const speedAnswer = at(buffers, 6 * stride);
  const behindRow = at(buffers, 7 * stride);
  const aheadRow = at(buffers, 8 * stride);
  const gate = at(buffers, 9 * stride);

  for (let y = MARGIN; y <= endRow; y++) {
    const start = y * stride;
    for (let o = (<usize>MARGIN) << 3; o <= (<usize>endColumn) << 3; o += 16) {
      const face = ((<usize>start) << 3) + o;
      if (isBlown) {
        const p = air + face;
        const t = shear + face;
        v128.store(pressure + o, f64x2.mul(f64x2.sub(v128.load(p), v128.load(p - off)), perCell));
        v128.store(top + o, f64x2.mul(half, f64x2.add(v128.load(t), v128.load(t - off))));
      } else {
        v128.store(pressure + o, zero);
        v128.store(top + o, zero);
      }
      v128.store(weight + o, zero);
      v128.store(slope + o, zero);
      v128.store(topAnswer + o, zero);
      v128.store(speed + o, zero);
      v128.store(speedAnswer + o, zero);
      v128.store(behindRow + o, zero);
      v128.store(aheadRow + o, zero);
      v128.store(flow + face, zero);
      v128.store(mobility + face, zero);
    }
    for (let layer = 0; layer < layers; layer++) {
      if (!crosses(layer, y, direction)) continue;
      const from = leftOf(layer, REACH - 2);
      const to = rightOf(layer, REACH - 2) + (direction == 0 ? 1 : 0);
      const thick = at(ofLayer(0, layer), start);
      const smooth = at(ofLayer(1, layer), start);
      const depth = own(buffers, layer, 0);
      const rise = own(buffers, layer, 1);
      for (let o = (<usize>from) << 3; o <= (<usize>to) << 3; o += 16) {
        const h = thick + o;
        const s = smooth + o;
        const before = v128.load(h - off);
        const after = v128.load(h);
        v128.store(behindRow + o, f64x2.add(v128.load(behindRow + o), before));
        v128.store(aheadRow + o, f64x2.add(v128.load(aheadRow + o), after));
        v128.store(depth + o, f64x2.mul(half, f64x2.add(before, after)));
        const p = f64x2.mul(f64x2.mul(f64x2.sub(after, before), perCell), heave);
        v128.store(pressure + o, f64x2.add(v128.load(pressure + o), p));
        const up = f64x2.mul(f64x2.sub(v128.load(s), v128.load(s - off)), perCell);
        v128.store(rise + o, up);
        v128.store(slope + o, f64x2.add(v128.load(slope + o), up));
      }
    }
    for (let o = (<usize>MARGIN) << 3; o <= (<usize>endColumn) << 3; o += 16) {
      const behind = v128.load(behindRow + o);
      const ahead = v128.load(aheadRow + o);
      const stays = v128.and(
        f64x2.lt(f64x2.pmin(behind, ahead), f64x2.splat(BARE_M)),
        f64x2.lt(f64x2.pmax(behind, ahead), f64x2.splat(pinM)),
      );
      v128.store(gate + o, v128.bitselect(zero, f64x2.splat(1), stays));
    }
    for (let layer = layers - 1; layer >= 0; layer--) {
      if (!crosses(layer, y, direction)) continue;
      const from = leftOf(layer, REACH - 2);
      const to = rightOf(layer, REACH - 2) + (direction == 0 ? 1 : 0);
      const depth = own(buffers, layer, 0);
      const rise = own(buffers, layer, 1);
      const shearAt = own(buffers, layer, 2);
      const gradient = own(buffers, layer, 3);
      const answerAt = own(buffers, layer, 4);
      const density = load<f64>(at(entry(DENSITY), layer));
      const lighter = f64x2.splat(density - reference);
      const down = f64x2.splat(gravity);
      const push = f64x2.splat(density * along);
      const turn = f64x2.splat(density * turningSquared);
      const line = <f64>(y - MARGIN) * cellM - center;
      for (let x = from; x <= to; x += 2) {
        const o = (<usize>x) << 3;
        const place =
          direction == 0
            ? f64x2.replace_lane(
                f64x2.splat(<f64>(x - MARGIN) * cellM - center),
                1,
                <f64>(x + 1 - MARGIN) * cellM - center,
              )
            : f64x2.splat(line);
        const h = v128.load(depth + o);
        const r = v128.load(rise + o);
        const s = v128.load(slope + o);
        const w = v128.load(weight + o);
        const t = v128.load(top + o);
        const ta = v128.load(topAnswer + o);
        const pull = f64x2.sub(
          f64x2.sub(
            f64x2.add(v128.load(pressure + o), f64x2.mul(down, f64x2.add(f64x2.mul(lighter, s), w))),
            push,
          ),
          f64x2.mul(turn, place),
        );
        v128.store(gradient + o, pull);
        v128.store(shearAt + o, t);
        v128.store(top + o, f64x2.sub(t, f64x2.mul(pull, h)));
        v128.store(answerAt + o, ta);
        v128.store(topAnswer + o, f64x2.sub(ta, h));
        v128.store(weight + o, f64x2.add(w, f64x2.mul(lighter, r)));
        v128.store(slope + o, f64x2.sub(s, r));
      }
    }
    for (let layer = 0; layer < layers; layer++) {
      if (!crosses(layer, y, direction)) continue;
      const from = leftOf(layer, REACH - 2);
      const to = rightOf(layer, REACH - 2) + (direction == 0 ? 1 : 0);
      const depth = own(buffers, layer, 0);
      const shearAt = own(buffers, layer, 2);
      const gradient = own(buffers, layer, 3);
      const answerAt = own(buffers, layer, 4);
      const fluidity = f64x2.splat(1 / load<f64>(at(entry(VISCOSITY), layer)));
      const v = at(ofLayer(2 + direction, layer), start);
      const a = at(ofLayer(4 + direction, layer), start);
      const flowRow = at(flow, start);
      const mobilityRow = at(mobility, start);
      const thin = f64x2.splat(thinning);
      const twice = f64x2.splat(2 * thinning);
      const twelfth = f64x2.splat(1.0 / 12.0);
      const most = f64x2.splat(thinning > 0 ? MOST_THINNING / thinning : 0);
      for (let o = (<usize>from) << 3; o <= (<usize>to) << 3; o += 16) {
        const h = v128.load(depth + o);
        const above = v128.load(shearAt + o);
        const below = f64x2.sub(above, f64x2.mul(v128.load(gradient + o), h));
        const size = f64x2.pmin(f64x2.abs(above), most);
        const sizeBelow = f64x2.pmin(f64x2.abs(below), most);
        const both = f64x2.add(size, sizeBelow);
        const q = f64x2.mul(f64x2.mul(h, fluidity), twelfth);
        // Twelve times the mean, and six times what is reached at the top, of shear times its size: of one sign in the layer ...
        const upper = f64x2.mul(above, both);
        const lower = f64x2.mul(below, both);
        const belowOnce = f64x2.mul(below, sizeBelow);
        let mean = f64x2.add(f64x2.add(upper, lower), f64x2.add(belowOnce, belowOnce));
        let across = f64x2.add(f64x2.add(upper, f64x2.mul(above, size)), f64x2.add(lower, belowOnce));
        const turns = f64x2.lt(f64x2.mul(above, below), f64x2.splat(0));
        if (v128.any_true(turns)) {
          // ... or turning round in it, this share below its top.
          const turn = f64x2.div(above, f64x2.sub(above, below));
          const rest = f64x2.sub(f64x2.splat(1), turn);
          const pull = f64x2.mul(above, f64x2.mul(size, turn));
          const pullBelow = f64x2.mul(belowOnce, rest);
          const lever = f64x2.add(f64x2.mul(turn, f64x2.splat(4)), f64x2.mul(rest, f64x2.splat(3)));
          const turnedMean = f64x2.add(f64x2.mul(pull, turn), f64x2.mul(pullBelow, lever));
          const turnedAcross = f64x2.mul(f64x2.add(pull, pullBelow), f64x2.splat(2));
          mean = v128.bitselect(turnedMean, mean, turns);
          across = v128.bitselect(turnedAcross, across, turns);
        }
        const base = v128.load(speed + o);
        const ends = f64x2.add(above, f64x2.add(below, below));
        const open = v128.load(gate + o);
        const moved = f64x2.mul(
          open,
          f64x2.add(base, f64x2.mul(q, f64x2.add(f64x2.add(ends, ends), f64x2.mul(thin, mean)))),
        );
        v128.store(v + o, moved);
        const sheared = f64x2.add(
          f64x2.mul(f64x2.splat(6), f64x2.add(above, below)),
          f64x2.mul(twice, across),
        );
        v128.store(speed + o, f64x2.add(base, f64x2.mul(q, sheared)));
        v128.store(flowRow + o, f64x2.add(v128.load(flowRow + o), f64x2.mul(moved, h)));

        // Two times the fluidity's growth at the top and below, for the answer to a unit of slope.
        const answer = v128.load(answerAt + o);
        const answerBelow = f64x2.sub(answer, h);
        const m0 = f64x2.add(f64x2.splat(1), f64x2.mul(twice, size));
        const m1 = f64x2.add(f64x2.splat(1), f64x2.mul(twice, sizeBelow));
        const m = f64x2.add(m0, m1);
        const first = f64x2.mul(answer, m);
        const second = f64x2.mul(answerBelow, m);
        const secondOnce = f64x2.mul(answerBelow, m1);
        const baseAnswer = v128.load(speedAnswer + o);
        const answered = f64x2.mul(
          open,
          f64x2.add(
            baseAnswer,
            f64x2.mul(q, f64x2.add(f64x2.add(first, second), f64x2.add(secondOnce, secondOnce))),
          ),
        );
        v128.store(a + o, answered);
        const sum = f64x2.add(f64x2.add(first, f64x2.mul(answer, m0)), f64x2.add(second, secondOnce));
        v128.store(speedAnswer + o, f64x2.add(baseAnswer, f64x2.mul(q, f64x2.add(sum, sum))));
        v128.store(mobilityRow + o, f64x2.sub(v128.load(mobilityRow + o), f64x2.mul(answered, h)));
      }
    }
  }
  closeRim(direction);
}

function own(buffers: usize, layer: i32, index: i32): usize {
  return at(buffers, stride * (SHARED_ROWS + ROWS_PER_LAYER * layer + index));
}

function crosses(layer: i32, row: i32, direction: i32): bool {
  return !isEmpty(layer) && row >= topOf(layer, REACH - 2) && row <= bottomOf(layer, REACH - 2) + direction;
}

function closeRim(direction: i32): void {
  const off = direction == 0 ? 1 : stride;
  const index = load<u32>(table + RIM_FACES + <usize>(direction * 12));
  const way = load<u32>(table + RIM_FACES + <usize>(direction * 12) + 4);
  const count = load<i32>(table + RIM_FACES + <usize>(direction * 12) + 8);
  const flow = ofDirection(FLOW, direction);
  const mobility = ofDirection(MOBILITY, direction);
  for (let k = 0; k < count; k++) {
    const face = load<i32>(index + (k << 2));
    const out = <f64>load<i8>(way + k);
    let sum: f64 = 0;
    for (let layer = 0; layer < layers; layer++) {
      const v = at(ofLayer(2 + direction, layer), face);
      if (load<f64>(v) * out <= 0) store<f64>(v, 0);
      store<f64>(at(ofLayer(4 + direction, layer), face), 0);
      sum += load<f64>(v) * load<f64>(at(ofLayer(0, layer), out > 0 ? face - off : face));
    }
    store<f64>(at(flow, face), sum);
    store<f64>(at(mobility, face), 0);
  }
}

function raiseSurface(seconds: f64, stiffness: f64, acrossFirst: bool): void {
  const share = f64x2.splat(-seconds / cellM);
  const coupling = (seconds * stiffness) / (cellM * cellM);
  const first = ofDirection(RISE, acrossFirst ? 0 : 1);
  const second = ofDirection(RISE, acrossFirst ? 1 : 0);
  const across = ofDirection(FLOW, 0);
  const down = ofDirection(FLOW, 1);
  const below = (<usize>stride) << 3;
  for (let row = MARGIN; row < MARGIN + rows; row++) {
    for (let x = MARGIN; x < MARGIN + columns; x += 2) {
      const cell = row * stride + x;
      const a = at(across, cell);
      const d = at(down, cell);
      const sum = f64x2.sub(
        f64x2.add(f64x2.sub(v128.load(a + 8), v128.load(a)), v128.load(d + below)),
        v128.load(d),
      );
      v128.store(at(first, cell), f64x2.mul(share, sum));
    }
  }
  if (acrossFirst) sweepAcross(first, coupling);
  else sweepDown(first, coupling);
  memory.copy(second, first, (<usize>(stride * (rows + 2 * MARGIN))) << 3);
  if (acrossFirst) sweepDown(second, coupling);
  else sweepAcross(second, coupling);
}

function sweepAcross(rise: usize, coupling: f64): void {
  const faces = ofDirection(MOBILITY, 0);
  const scratch = entry(SCRATCH);
  for (let row = MARGIN; row < MARGIN + rows; row++) {
    const start = row * stride + MARGIN;
    const last = start + columns - 1;
    let carried: f64 = 0;
    let before: f64 = 0;
    for (let cell = start; cell <= last; cell++) {
      const left = coupling * load<f64>(at(faces, cell));
      const right = coupling * load<f64>(at(faces, cell + 1));
      const pivot = 1 / (1 + left + right - left * carried);
      carried = right * pivot;
      store<f64>(at(scratch, cell), carried);
      before = (load<f64>(at(rise, cell)) + left * before) * pivot;
      store<f64>(at(rise, cell), before);
    }
    for (let cell = last - 1; cell >= start; cell--) {
      before = load<f64>(at(rise, cell)) + load<f64>(at(scratch, cell)) * before;
      store<f64>(at(rise, cell), before);
    }
  }
}

function sweepDown(rise: usize, coupling: f64): void {
  const faces = ofDirection(MOBILITY, 1);
  const scratch = entry(SCRATCH);
  const next = (<usize>stride) << 3;
  const k = f64x2.splat(coupling);
  const one = f64x2.splat(1);
  const zero = f64x2.splat(0);
  for (let row = MARGIN; row < MARGIN + rows; row++) {
    const isFirst = row == MARGIN;
    for (let x = MARGIN; x < MARGIN + columns; x += 2) {
      const cell = row * stride + x;
      const m = at(faces, cell);
      const r = at(rise, cell);
      const up = f64x2.mul(k, v128.load(m));
      const down = f64x2.mul(k, v128.load(m + next));
      const carried = isFirst ? zero : v128.load(at(scratch, cell) - next);
      const before = isFirst ? zero : v128.load(r - next);
      const pivot = f64x2.div(one, f64x2.sub(f64x2.add(f64x2.add(one, up), down), f64x2.mul(up, carried)));
      v128.store(at(scratch, cell), f64x2.mul(down, pivot));
      v128.store(r, f64x2.mul(f64x2.add(v128.load(r), f64x2.mul(up, before)), pivot));
    }
  }
  for (let row = MARGIN + rows - 2; row >= MARGIN; row--) {
    for (let x = MARGIN; x < MARGIN + columns; x += 2) {
      const cell = row * stride + x;
      const r = at(rise, cell);
      v128.store(r, f64x2.add(v128.load(r), f64x2.mul(v128.load(at(scratch, cell)), v128.load(r + next))));
    }
  }
}

function moveLayers(seconds: f64, stiffness: f64): f64 {
  let fastest: f64 = 0;
  /** Stays 0 as long as every thickness is a number. */
  let odd = f64x2.splat(0);
  const across = ofDirection(FLUX, 0);
  const down = ofDirection(FLUX, 1);
  const below = (<usize>stride) << 3;
  for (let layer = 0; layer < layers; layer++) {
    if (isEmpty(layer)) continue;
    const left = leftOf(layer, 1);
    const right = rightOf(layer, 1);
    const top = topOf(layer, 1);
    const bottom = bottomOf(layer, 1);
    fastest = max(fastest, fluxes(layer, 0, left, right, top, bottom, seconds, stiffness));
    fastest = max(fastest, fluxes(layer, 1, left, right, top, bottom, seconds, stiffness));
    holdBack(layer, left, right, top, bottom);
    countLost(layer, left, right, top, bottom);
    const h = ofLayer(0, layer);
    for (let row = top; row <= bottom; row++) {
      let x = left;
      for (; x < right; x += 2) {
        const cell = row * stride + x;
        const a = at(across, cell);
        const d = at(down, cell);
        const gone = f64x2.sub(
          f64x2.add(f64x2.sub(v128.load(a + 8), v128.load(a)), v128.load(d + below)),
          v128.load(d),
        );
        const after = f64x2.sub(v128.load(at(h, cell)), gone);
        v128.store(at(h, cell), after);
        odd = f64x2.add(odd, f64x2.sub(after, after));
      }
      if (x == right) {
        const cell = row * stride + x;
        const a = at(across, cell);
        const d = at(down, cell);
        const gone = load<f64>(a + 8) - load<f64>(a) + load<f64>(d + below) - load<f64>(d);
        const after = load<f64>(at(h, cell)) - gone;
        store<f64>(at(h, cell), after);
        odd = f64x2.add(odd, f64x2.splat(after - after));
      }
    }
    repeatRim(h);
  }
  return fastest + f64x2.extract_lane(odd, 0) + f64x2.extract_lane(odd, 1);
}

function fluxes(
  layer: i32,
  direction: i32,
  left: i32,
  lastColumn: i32,
  top: i32,
  lastRow: i32,
  seconds: f64,
  stiffness: f64,
): f64 {
  const off: usize = direction == 0 ? 8 : (<usize>stride) << 3;
  const thickness = ofLayer(0, layer);
  const velocity = ofLayer(2 + direction, layer);
  const response = ofLayer(4 + direction, layer);
  const rise = ofDirection(RISE, direction);
  const flux = ofDirection(FLUX, direction);
  const share = f64x2.splat(seconds / cellM);
  const slope = f64x2.splat(stiffness / cellM);
  const isCrisp = entry(IS_CRISP) != 0 && layer > 0;
  const right = lastColumn + (direction == 0 ? 1 : 0);
  const bottom = lastRow + (direction == 1 ? 1 : 0);
  const zero = f64x2.splat(0);
  const one = f64x2.splat(1);
  const half = f64x2.splat(0.5);
  const steep = f64x2.splat(STEEP);
  const signBit = f64x2.splat(-0.0);
  const creeping = f64x2.splat(CREEPING);
  const spent = f64x2.splat(SPENT);
  let most = zero;
  for (let row = top; row <= bottom; row++) {
    const end = (<usize>(row * stride + right)) << 3;
    for (let face = (<usize>(row * stride + left)) << 3; face <= end; face += 16) {
      const r = rise + face;
      const p = thickness + face;
      const speed = f64x2.add(
        v128.load(velocity + face),
        f64x2.mul(f64x2.mul(v128.load(response + face), slope), f64x2.sub(v128.load(r), v128.load(r - off))),
      );
      const isForward = f64x2.gt(speed, zero);
      const before = v128.load(p - off);
      const after = v128.load(p);
      const here = v128.bitselect(before, after, isForward);
      const ahead = v128.bitselect(after, before, isForward);
      const behind = v128.bitselect(v128.load(p - 2 * off), v128.load(p + off), isForward);
      const courant = f64x2.mul(f64x2.abs(speed), share);
      const back = f64x2.sub(here, behind);
      const on = f64x2.sub(ahead, here);
      const product = f64x2.mul(back, on);
      const isSlope = f64x2.gt(product, zero);
      const rest = f64x2.pmax(zero, f64x2.sub(one, courant));
      // What the slope adds to the upwind thickness, times the courant number.
      let gained: v128;
      if (isCrisp) {
        const a = f64x2.abs(back);
        const b = f64x2.abs(on);
        const isEdge = f64x2.gt(f64x2.abs(f64x2.add(back, on)), f64x2.mul(half, f64x2.add(ahead, behind)));
        const downwind = f64x2.pmin(
          f64x2.mul(f64x2.mul(a, rest), f64x2.pmin(half, f64x2.mul(steep, courant))),
          f64x2.mul(courant, b),
        );
        const superbee = f64x2.mul(
          f64x2.mul(f64x2.mul(half, courant), rest),
          f64x2.pmax(f64x2.pmin(f64x2.add(a, a), b), f64x2.pmin(a, f64x2.add(b, b))),
        );
        const size = v128.bitselect(downwind, superbee, isEdge);
        gained = v128.or(size, v128.and(on, signBit));
      } else {
        gained = f64x2.mul(f64x2.div(product, f64x2.add(back, on)), f64x2.mul(courant, rest));
      }
      gained = v128.and(gained, isSlope);
      const size = v128.and(f64x2.add(f64x2.mul(courant, here), gained), f64x2.gt(here, spent));
      v128.store(flux + face, v128.xor(size, v128.and(speed, signBit)));
      most = f64x2.pmax(most, v128.and(courant, f64x2.gt(here, creeping)));
    }
  }
  if (direction == 0) {
    for (let row = top; row <= lastRow; row++) {
      if (left > MARGIN) store<f64>(at(flux, row * stride + left), 0);
      if (right < columns + MARGIN) store<f64>(at(flux, row * stride + right), 0);
    }
  } else {
    for (let x = left; x <= lastColumn; x++) {
      if (top > MARGIN) store<f64>(at(flux, top * stride + x), 0);
      if (bottom < rows + MARGIN) store<f64>(at(flux, bottom * stride + x), 0);
    }
  }
  return (max(f64x2.extract_lane(most, 0), f64x2.extract_lane(most, 1)) * cellM) / seconds;
}

function holdBack(layer: i32, left: i32, right: i32, top: i32, bottom: i32): void {
  const h = ofLayer(0, layer);
  const across = ofDirection(FLUX, 0);
  const down = ofDirection(FLUX, 1);
  const share = entry(SCRATCH);
  const below = (<usize>stride) << 3;
  const zero = f64x2.splat(0);
  const one = f64x2.splat(1);
  const allBut = f64x2.splat(ALL_BUT);
  let over = zero;
  for (let row = top; row <= bottom; row++) {
    const end = (<usize>(row * stride + right)) << 3;
    for (let cell = (<usize>(row * stride + left)) << 3; cell <= end; cell += 16) {
      const a = across + cell;
      const d = down + cell;
      const out = f64x2.add(
        f64x2.add(
          f64x2.add(f64x2.pmax(zero, f64x2.neg(v128.load(a))), f64x2.pmax(zero, v128.load(a + 8))),
          f64x2.pmax(zero, f64x2.neg(v128.load(d))),
        ),
        f64x2.pmax(zero, v128.load(d + below)),
      );
      const held = v128.load(h + cell);
      const isOver = f64x2.gt(out, held);
      v128.store(share + cell, v128.bitselect(f64x2.mul(f64x2.div(held, out), allBut), one, isOver));
      over = v128.or(over, isOver);
    }
  }
  if (!v128.any_true(over)) return;
  for (let row = top - 1; row <= bottom + 1; row++) {
    store<f64>(at(share, row * stride + left - 1), 1);
    store<f64>(at(share, row * stride + right + 1), 1);
  }
  for (let x = left - 1; x <= right + 1; x++) {
    store<f64>(at(share, (top - 1) * stride + x), 1);
    store<f64>(at(share, (bottom + 1) * stride + x), 1);
  }
  for (let direction = 0; direction < 2; direction++) {
    const off: usize = direction == 0 ? 8 : (<usize>stride) << 3;
    const flux = ofDirection(FLUX, direction);
    const lastColumn = right + (direction == 0 ? 1 : 0);
    const lastRow = bottom + (direction == 1 ? 1 : 0);
    for (let row = top; row <= lastRow; row++) {
      for (let x = left; x <= lastColumn; x += 2) {
        const f = at(flux, row * stride + x);
        const s = at(share, row * stride + x);
        const crossing = v128.load(f);
        const scale = v128.bitselect(v128.load(s - off), v128.load(s), f64x2.gt(crossing, zero));
        v128.store(f, f64x2.mul(crossing, scale));
      }
    }
  }
}

function countLost(layer: i32, left: i32, right: i32, top: i32, bottom: i32): void {
  let sum: f64 = 0;
  for (let direction = 0; direction < 2; direction++) {
    const index = load<u32>(table + RIM_FACES + <usize>(direction * 12));
    const way = load<u32>(table + RIM_FACES + <usize>(direction * 12) + 4);
    const count = load<i32>(table + RIM_FACES + <usize>(direction * 12) + 8);
    const flux = ofDirection(FLUX, direction);
    for (let k = 0; k < count; k++) {
      const out = <f64>load<i8>(way + k);
      if (out == 0) continue;
      const face = load<i32>(index + (k << 2));
      const row = face / stride;
      const column = face - row * stride;
      if (
        column >= left &&
        row >= top &&
        column <= right + (direction == 0 ? 1 : 0) &&
        row <= bottom + (direction == 1 ? 1 : 0)
      ) {
        sum += out * load<f64>(at(flux, face));
      }
    }
  }
  const lost = at(entry(LOST), layer);
  store<f64>(lost, load<f64>(lost) + sum * cellM * cellM);
}
