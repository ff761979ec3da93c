import type { z } from 'zod';
import {
  archiveSchema,
  equipmentCreateSchema,
  judgementPutSchema,
  pieceListQuery,
  photoDetailSchema,
  pourEventSchema,
  savedViewCreateSchema,
  shutterSchema,
} from './index.ts';

const ID = '3f0e8a52-1f5b-4b61-9d2c-6f8d1f3f9a10';
const AT = '2026-03-01T09:30:00Z';

/** A copy with one value changed at a path like "data.seconds". */
function changed(given: object, path: string, value: unknown): unknown {
  const copy = structuredClone(given) as Record<string, unknown>;
  const steps = path.split('.');
  let at = copy;
  for (const step of steps.slice(0, -1)) at = at[step] as Record<string, unknown>;
  at[steps.at(-1)!] = value;
  return copy;
}

/** What is said at the path when a value there is refused; undefined when it is taken. */
function saidAt(schema: z.ZodType, given: object, path: string, value: unknown): string | undefined {
  const result = schema.safeParse(changed(given, path, value));
  return result.error?.issues.find((issue) => issue.path.join('.') === path)?.message;
}

const event = (kind: string, data: object) => ({ id: ID, at: AT, kind, data });
const EVENTS = {
  layer: event('layer', { cupId: ID, mg: 5000 }),
  pass: event('pass', {
    tool: 'mouth',
    setting: 'soft',
    distanceMm: 100,
    slantDeg: 30,
    directionDeg: 0,
    seconds: 3,
    from: null,
  }),
  room: event('room', { temperatureC: 21, humidityPercent: 50 }),
  torch: event('torch', { seconds: 3 }),
  wait: event('wait', { seconds: 90 }),
  spin: event('spin', { rpm: 40, seconds: 10, way: 'both' }),
  tilt: event('tilt', { directionDeg: 90, seconds: null }),
  scrape: event('scrape', {}),
  note: event('note', { text: 'stiff' }),
  photo: event('photo', { photoId: null }),
  step: event('step', { stepId: 'level', outcome: 'done' }),
  void: event('void', { eventId: ID }),
} as const;

describe('an event of a pour', () => {
  it.each(Object.keys(EVENTS) as (keyof typeof EVENTS)[])('of kind "%s" is taken', (kind) => {
    expect(pourEventSchema.safeParse(EVENTS[kind]).error).toBeUndefined();
  });

  it('an unwritten note is an empty one', () => {
    expect(pourEventSchema.parse(EVENTS.wait).data).toMatchObject({ forWhat: '' });
    expect(pourEventSchema.parse(EVENTS.scrape).data).toMatchObject({ note: '' });
  });

  it('may say which one it corrects, and only by its id', () => {
    expect(pourEventSchema.parse({ ...EVENTS.note, insteadOf: ID })).toMatchObject({ insteadOf: ID });
    expect(pourEventSchema.safeParse({ ...EVENTS.note, insteadOf: 'the last one' }).success).toBe(false);
  });

  it.each([
    ['layer', 'data.mg', 0, /more than 0 g/],
    ['layer', 'data.mg', 12.5, /whole milligrams/],
    ['layer', 'data.mg', 51_000_000, /50 kg/],
    ['layer', 'data.cupId', '', /UUID/],
    ['pass', 'data.distanceMm', null, /Enter the distance/],
    ['pass', 'data.distanceMm', 2, /at least 0.5 cm/],
    ['pass', 'data.distanceMm', 9000, /at most 3 m/],
    ['pass', 'data.slantDeg', 0, /between 5 and 90/],
    ['pass', 'data.seconds', 0, /more than 0/],
    ['pass', 'data.seconds', 601, /10 minutes/],
    ['pass', 'data.setting', '  ', /how it was set/],
    ['pass', 'data.tool', 'vacuum', /Choose the tool/],
    ['pass', 'data.directionDeg', 360, /./],
    ['room', 'data.temperatureC', -20, /Too cold/],
    ['room', 'data.temperatureC', 70, /Too hot/],
    ['room', 'data.humidityPercent', 120, /percentage/],
    ['torch', 'data.seconds', 700, /600 s at most/],
    ['wait', 'data.seconds', null, /Enter the seconds/],
    ['wait', 'data.seconds', -1, /0 s or more/],
    ['spin', 'data.rpm', 0, /more than 0/],
    ['spin', 'data.rpm', 700, /at most 600/],
    ['spin', 'data.rpm', null, /Enter the turns/],
    ['spin', 'data.way', 'up', /./],
    ['note', 'data.text', '   ', /Write something/],
    ['note', 'at', 'yesterday', /UTC/],
    ['note', 'id', '17', /UUID/],
  ] as const)('%s: %s %j is refused there', (kind, path, value, message) => {
    expect(saidAt(pourEventSchema, EVENTS[kind], path, value)).toMatch(message);
  });

  it.each([
    ['torch', 'data.seconds', null],
    ['room', 'data.humidityPercent', null],
    ['pass', 'data.from', { x: 0.5, y: 1 }],
    ['pass', 'data.slantDeg', 90],
    ['layer', 'data.moment', 'add'],
  ] as const)('%s: %s %j is taken', (kind, path, value) => {
    expect(saidAt(pourEventSchema, EVENTS[kind], path, value)).toBeUndefined();
  });
});

describe('a judgement', () => {
  const judged = {
    version: 0,
    rating: 4,
    faults: [{ id: ID, kind: 'mud', at: { x: 0.2, y: 0.9 }, note: '' }],
    hangingDeg: 90,
    verdict: 'keep',
    cells: 2,
    lacing: null,
    petals: null,
    mud: 0,
    cellSizeMm: 3.2,
    tryNext: '',
    note: '',
  };

  it('is taken, and what is left out is nothing', () => {
    expect(judgementPutSchema.parse(judged).faults[0]).toMatchObject({ cupId: null });
    const { rating, faults, hangingDeg, verdict, ...least } = judged;
    void [rating, faults, hangingDeg, verdict];
    expect(judgementPutSchema.parse(least)).toMatchObject({ rating: null, faults: [], verdict: null });
  });

  it.each([
    ['rating', 0],
    ['rating', 6],
    ['rating', 3.5],
    ['hangingDeg', 45],
    ['verdict', 'burn'],
    ['mud', 5],
    ['cellSizeMm', 300],
    ['faults.0.kind', 'ugly'],
    ['faults.0.at.x', 1.2],
    ['tryNext', 'x'.repeat(4001)],
  ])('%s %j is refused there', (path, value) => {
    expect(saidAt(judgementPutSchema, judged, path, value)).toBeDefined();
  });
});

describe('what results are narrowed by', () => {
  it.each([
    ['technique', 'batik'],
    ['tool', 'vacuum'],
    ['stage', 'wobbly'],
    ['ratingFrom', '6'],
    ['from', '1 March'],
    ['to', '2026-02-30'],
    ['page', '0'],
    ['sort', 'luck'],
    ['materialId', 'rust'],
  ])('%s %j is refused there', (path, value) => {
    expect(saidAt(pieceListQuery, {}, path, value)).toBeDefined();
  });

  it('a view keeps the filter under a name', () => {
    const view = { name: ' Straw work ', filter: { tool: 'straw', ratingFrom: 4 } };
    expect(savedViewCreateSchema.parse(view)).toMatchObject({
      name: 'Straw work',
      filter: { tool: 'straw', ratingFrom: 4, sort: 'newest' },
    });
    expect(saidAt(savedViewCreateSchema, view, 'name', '')).toBe('Give it a name.');
  });
});

describe('what an overlay draws', () => {
  const detail = {
    cells: [[1, 2, 3, 0, 1, 0.5, 0.5]],
    masks: { widthPx: 4, heightPx: 2, net: [8], mud: [2, 6], glare: [8] },
  };

  it('is taken as numbers', () => {
    expect(photoDetailSchema.parse(detail)).toEqual(detail);
  });

  it.each([
    ['cells.0', ['a']],
    ['cells.0', Array.from({ length: 65 }, () => 1)],
    ['cells.0', [Number.NaN]],
    ['masks.net', [-1]],
    ['masks.net', [0.5]],
    ['masks.net', 'all'],
    ['masks.widthPx', 0],
  ])('%s %j is refused there', (path, value) => {
    expect(saidAt(photoDetailSchema, detail, path, value)).toBeDefined();
  });
});

describe('what blows and what holds', () => {
  const blower = {
    kind: 'blower',
    name: 'Little dryer',
    tool: 'hair-dryer',
    exitDiameterMm: 40,
    exitSpeedMS: 12,
    exitTrust: 'typical',
    baffle: false,
    note: '',
  };
  const vessel = { kind: 'vessel', name: 'Cup', capacityMl: 200, tareMg: null };

  it.each([
    [blower, 'exitDiameterMm', 0, /0\.1 mm/],
    [blower, 'exitDiameterMm', null, /diameter/],
    [blower, 'exitSpeedMS', 400, /200 m\/s/],
    [blower, 'tool', 'bellows', /what kind/],
    [vessel, 'capacityMl', 0, /at least 1 ml/],
    [vessel, 'capacityMl', 30_000, /at most 20 l/],
    [vessel, 'tareMg', -5, /0 g or more/],
  ] as const)('%j: %s %j is refused there', (given, path, value, message) => {
    expect(saidAt(equipmentCreateSchema, given, path, value)).toMatch(message);
  });
});

it('a studio of another version is refused in words', () => {
  const empty = {
    format: 'icy-ribbon/studio',
    formatVersion: 1,
    materials: [],
    supports: [],
    equipment: [],
    recipes: [],
    calibrations: [],
    views: [],
    pieces: [],
    details: [],
  };
  expect(archiveSchema.safeParse(empty).success).toBe(true);
  expect(saidAt(archiveSchema, empty, 'formatVersion', 3)).toMatch(/another version/);
  expect(saidAt(archiveSchema, empty, 'format', 'zip')).toMatch(/no Icy Ribbon studio/);
});

it('the camera takes photos of a size that can be measured', () => {
  expect(shutterSchema.parse({ state: 'wet' })).toMatchObject({ megapixels: 3 });
  expect(saidAt(shutterSchema, { state: 'wet' }, 'megapixels', 0.1)).toBeDefined();
  expect(saidAt(shutterSchema, { state: 'wet' }, 'state', 'damp')).toMatch(/wet or dry/);
});
