import { pourEventSchema } from '@icy-ribbon/contract';
import { eventWords, FREE_EVENTS, HIDDEN_KINDS } from '#words/event.ts';
import { newPass, withTool } from './passDraft.ts';
import { useTurnTapper } from './turnTapper.ts';

const UNITS = { show: (quantity: string, value: number) => `${value} ${quantity}` } as never;
const ID = '00000000-0000-4000-8000-000000000001';
const event = (kind: string, data: object) =>
  pourEventSchema.parse({ id: ID, at: '2026-03-01T10:00:00.000Z', kind, data });
const words = (kind: string, data: object) => eventWords(event(kind, data), () => 'Rust', UNITS);

const LINE = {
  kind: 'line',
  itemId: 'l',
  start: { x: 0, y: 0 },
  control: { x: 1, y: 1 },
  end: { x: 2, y: 2 },
};

it('a layer says how it lies', () => {
  expect(words('layer', { cupId: ID, mg: 12_000, shape: LINE }).detail).toBe('12000 mass, line');
  expect(words('layer', { cupId: ID, mg: 12_000 }).detail).toBe('12000 mass');
});

it.each([
  ['layer', { cupId: ID, mg: 1200 }, 'Rust', '1200 mass'],
  ['layer', { cupId: ID, mg: 1200, moment: 'add' }, 'Rust', '1200 mass added'],
  [
    'pass',
    {
      tool: 'mouth',
      setting: 'soft',
      distanceMm: 120,
      slantDeg: 30,
      directionDeg: 90,
      seconds: 3,
      from: null,
    },
    'Mouth to the right',
    '120 length, 30°, 3\u00a0s',
  ],
  ['torch', { seconds: null }, 'Torched', ''],
  ['torch', { seconds: 4 }, 'Torched', '4\u00a0s'],
  ['wait', { seconds: 90, forWhat: 'the cells' }, 'Waited', '90\u00a0s, the cells'],
  ['spin', { rpm: 42.4, seconds: 8, way: 'both' }, 'Spun', '42 turns a minute, 8\u00a0s'],
  ['tilt', { directionDeg: 180, seconds: 6 }, 'Tilted to the bottom', '6\u00a0s'],
  ['room', { temperatureC: 20.5, humidityPercent: null }, 'Room', '20.5 temperature'],
  ['room', { temperatureC: 20.5, humidityPercent: 45 }, 'Room', '20.5 temperature, 45\u00a0%'],
  ['scrape', { note: 'the corner' }, 'Scraped off', 'the corner'],
  ['note', { text: 'stiff' }, 'Note', 'stiff'],
  ['step', { stepId: 'level', outcome: 'skipped', note: 'Level it' }, 'Step left out', 'Level it'],
] as const)('%s %j is told in a few words', (kind, data, title, detail) => {
  expect(words(kind, data)).toEqual({ title, detail });
});

it('every free event has a key and a word of its own', () => {
  expect(new Set(FREE_EVENTS.map(({ key }) => key)).size).toBe(FREE_EVENTS.length);
  expect(new Set(FREE_EVENTS.map(({ label }) => label)).size).toBe(FREE_EVENTS.length);
  // G goes on, B blows, L lays down, O opens the next piece, M does a step otherwise, R taps a turn, D counts as long as it is held.
  for (const { key } of FREE_EVENTS) expect('gblomrd').not.toContain(key);
  expect(HIDDEN_KINDS).toContain('void');
});

describe('turns tapped', () => {
  it('two taps a second and a half apart are 40 turns a minute, and further taps are averaged', () => {
    let now = 0;
    const found: number[] = [];
    const tapper = useTurnTapper(
      (rpm) => found.push(rpm),
      () => now,
    );
    for (const at of [0, 1500, 2900, 4500]) {
      now = at;
      tapper.tap();
    }
    expect(found).toEqual([40, 41, 40]);
  });

  it('a long pause begins anew', () => {
    let now = 0;
    const found: number[] = [];
    const tapper = useTurnTapper(
      (rpm) => found.push(rpm),
      () => now,
    );
    for (const at of [0, 9000, 10_000]) {
      now = at;
      tapper.tap();
    }
    expect(found).toEqual([60]);
  });

  it('only the last taps count, so that a spinner that slows is followed', () => {
    let now = 0;
    let last = 0;
    const tapper = useTurnTapper(
      (rpm) => (last = rpm),
      () => now,
    );
    for (let tap = 0; tap < 20; tap += 1) {
      now += tap < 10 ? 500 : 2000;
      tapper.tap();
    }
    expect(last).toBe(30);
  });
});

it('a new pass is like the last one, but for its place', () => {
  const last = {
    ...newPass(),
    tool: 'straw',
    setting: 'soft',
    seconds: 2,
    from: { x: 0.2, y: 0.3 },
  } as never;
  expect(newPass(last)).toMatchObject({ tool: 'straw', seconds: 2, from: null });
  expect(withTool('hair-dryer').distanceMm).toBeGreaterThan(withTool('straw').distanceMm!);
});
