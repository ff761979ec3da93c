import { EMPTY_PLAN } from '../../piece/plan/index.ts';
import { cup, layer, minuteOf as at, pass } from '../../../testing/pouredPiece.ts';
import { pourRecordOf, type ComparedPiece } from './index.ts';

const measured = (cellMm: number) => ({
  palette: [
    { name: 'white', cupId: 'white' },
    { name: 'rust', cupId: 'rust' },
  ],
  shares: { white: 0.7, rust: 0.3 },
  negativeSpace: 0.7,
  mud: 0.01,
  cells: { count: 40, medianMm: cellMm, perCm2: 0.5 },
  lacing: { areaShare: 0.04, widthMm: 0.7 },
  petals: { count: 5, reachMm: 80, symmetry: 0.9 },
});

const piece = {
  id: 'p',
  name: 'Door panel',
  technique: 'bloom',
  support: { shape: 'rectangle', widthMm: 200, heightMm: 200, sideDepthMm: 0 },
  mixes: [
    cup('white', 'base', [60_000, 30_000, 0], '#f0eee8'),
    cup('rust', 'color', [20_000, 10_000, 7_500]),
  ],
  readings: [],
  events: [
    { id: 'room', kind: 'room', at: at(0), data: { temperatureC: 20.5, humidityPercent: 48 } },
    layer('white', 50_000, 1),
    layer('rust', 15_000, 2),
    { id: 'torch 3', kind: 'torch', at: at(3), data: { seconds: 3 } },
    pass(4, 4),
    pass(6, 5),
    { id: 'wait 6', kind: 'wait', at: at(6), data: { seconds: 60, forWhat: '' } },
    { id: 'wait 8', kind: 'wait', at: at(8), data: { seconds: 30, forWhat: '' } },
    layer('rust', 2_000, 9, { moment: 'add' }),
    { id: 'spin 10', kind: 'spin', at: at(10), data: { rpm: 30, seconds: 20, way: 'both' } },
    { id: 'tilt 11', kind: 'tilt', at: at(11), data: { directionDeg: 90, seconds: 5 } },
  ],
  photos: [
    { state: 'wet', measurement: measured(2) },
    { state: 'dry', measurement: measured(2.2) },
    { state: 'wet', measurement: measured(2.4) },
    { state: 'dry', measurement: null },
  ],
  judgement: { rating: 4, faults: [{ kind: 'mud', cupId: null }] },
} as unknown as ComparedPiece;
const record = pourRecordOf(piece);

it('what was done: order, passes, waits, turns and what was added', () => {
  expect(record).toMatchObject({
    pouredAt: at(1),
    order: ['white', 'rust', 'rust'],
    torches: 1,
    torchedAfterAir: false,
    waitSeconds: 90,
    spins: [{ rpm: 30, seconds: 20 }],
    tilts: 1,
    addedMg: 2_000,
    temperatureC: 20.5,
    humidityPercent: 48,
    rating: 4,
  });
  expect(record.passes.map(({ seconds }) => seconds)).toEqual([4, 6]);
  expect(record.cups.map(({ laidMg }) => laidMg)).toEqual([50_000, 17_000]);
});

it('a repair is counted, its grams are laid, and its layers are no part of the order', () => {
  const mark = { kind: 'spot', at: { x: 0.5, y: 0.5 }, radiusMm: 20 };
  const repair = {
    id: 'r',
    kind: 'repair',
    at: at(20),
    data: { mark, layers: [{ cupId: 'rust', mg: 900 }], directionDeg: 90, note: '' },
  };
  const again = { moment: 'add', stepId: 'repair:r:lay:1' };
  const events = [...piece.events, repair, layer('rust', 900, 21, again)];
  const repaired = pourRecordOf({ ...piece, events } as unknown as ComparedPiece);
  expect(repaired.order).toEqual(record.order);
  expect([record.repairs, repaired.repairs]).toEqual([0, 1]);
  expect(repaired.cups[1]!.laidMg).toBe(record.cups[1]!.laidMg + 900);
});

it('what was in the cups: parts of the paint, hours it had rested, what its paint is', () => {
  expect(record.cups[1]).toMatchObject({
    partsWords: '2 : 1 : 0.75',
    restedHours: expect.closeTo(12, 0),
    opacity: 'opaque',
  });
  expect(record.cups[1]!.viscosityPaS).toBeLessThan(record.cups[0]!.viscosityPaS);
  // 7.5 g of water in 37.5 g.
  expect(record.cups[1]!.waterFraction).toBeCloseTo(0.2, 6);
});

it('the last dry photo that was measured tells the outcome; without one the last wet one', () => {
  expect(record.outcome?.cellMm).toBe(2.2);
  expect(record.outcome?.shareByCup).toEqual({ white: 0.7, rust: 0.3 });
  const wetOnly = { ...piece, photos: piece.photos.filter(({ state }) => state === 'wet') };
  expect(pourRecordOf(wetOnly).outcome?.cellMm).toBe(2.4);
  expect(pourRecordOf({ ...piece, photos: [] }).outcome).toBeNull();
});

it('a correction counts in the place of what it corrects, what was taken back not at all', () => {
  const corrected = { ...pass(10, 4, 'again'), insteadOf: 'pass 4' };
  const taken = { id: 'taken', kind: 'void', at: at(20), data: { eventId: 'wait 8' } };
  const other = pourRecordOf({ ...piece, events: [...piece.events, corrected, taken] as never });
  expect(other.passes.map(({ seconds }) => seconds)).toEqual([10, 6]);
  expect(other.waitSeconds).toBe(60);
});

it('a torch after the last pass is told from one before', () => {
  const late = { id: 'torch 30', kind: 'torch', at: at(30), data: { seconds: 2 } };
  expect(pourRecordOf({ ...piece, events: [...piece.events, late] as never })).toMatchObject({
    torches: 2,
    torchedAfterAir: true,
  });
});

it('a piece that was not poured has nothing to tell', () => {
  const bare = pourRecordOf({ ...piece, events: [], photos: [], judgement: null });
  expect(bare).toMatchObject({
    pouredAt: null,
    order: [],
    passes: [],
    waitSeconds: null,
    rating: null,
    outcome: null,
  });
  expect(bare.cups.every((each) => each.laidMg === 0 && each.restedHours === null)).toBe(true);
});

it('a room that a stand-in told is no evidence: the last one that was noted by hand counts', () => {
  const madeUp = {
    ...{ id: 'room 12', kind: 'room', at: at(12) },
    data: { temperatureC: 30, humidityPercent: 10, standIn: true },
  };
  const events = [...piece.events, madeUp] as ComparedPiece['events'];
  expect(pourRecordOf({ ...piece, events })).toMatchObject({ temperatureC: 20.5, humidityPercent: 48 });
  const only = [madeUp] as unknown as ComparedPiece['events'];
  expect(pourRecordOf({ ...piece, events: only }).temperatureC).toBeNull();
});

it('a pass carries the exit of the very blower, and the plan where the flowers were', () => {
  const blower = { id: 'b', name: 'Mine', exitDiameterMm: 40, exitSpeedMS: 9 };
  const blown = piece.events.map((event) =>
    event.kind === 'pass' ? { ...event, data: { ...event.data, blower } } : event,
  ) as ComparedPiece['events'];
  const plan = {
    ...EMPTY_PLAN,
    stacks: [{ id: 's', at: { x: 100, y: 100 }, footprintMm: 100, layers: [] }],
  };
  const poured = pourRecordOf({ ...piece, events: blown, plan });
  expect(poured.passes[0]!.exit).toMatchObject({ exitDiameterMm: 40, exitSpeedMS: 9 });
  expect(poured.flowersDm2).toBeCloseTo(Math.PI / 4, 9);
  expect(record.flowersDm2).toBeUndefined();
});
