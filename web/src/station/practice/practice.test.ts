import { plainFilm } from '@icy-ribbon/core/flow/solver';
import { startRehearsal, WHAT_IF_CAUSES, whatIfValues } from '@icy-ribbon/core/piece/rehearse';
import { causeValueWords, CAUSE_WORDS } from '#words/whatIf.ts';
import { passesOf } from './parts/intoPlan.ts';
import { SCRATCH_SCENES } from './parts/scratchScenes.ts';
import { lieOf } from './parts/useDeviceTilt.ts';
import { useHand, type BlownStroke } from './parts/useHand.ts';
import type { Film } from './parts/useFilm.ts';

const stroke: BlownStroke = {
  ...{ tool: 'mouth', setting: 'soft', end: { distanceMm: 150, setting: 'strong' } },
  ...{ at: { x: 100.4, y: 90.2 }, to: { x: 100, y: 40 }, directionDeg: 2, slantDeg: 24 },
  ...{ distanceMm: 100, seconds: 1.3 },
};

it('a breath becomes a pass of a plan, with its end where it swelled', () => {
  const [pass] = passesOf([stroke]);
  expect(pass).toMatchObject({
    at: { x: 100, y: 90 },
    ...{ directionDeg: 2, slantDeg: 24, seconds: 1.3, end: { distanceMm: 150, setting: 'strong' } },
  });
  const { end, ...even } = { ...stroke, seconds: 0.2 };
  expect(end).toBeDefined();
  const [short] = passesOf([even]);
  expect(short).toMatchObject({ seconds: 0.5 });
  expect(short).not.toHaveProperty('end');
});

it.each(SCRATCH_SCENES.map((scene) => [scene.name, scene] as const))(
  'the ready pour "%s" lies on its support with air to blow',
  (_, { make }) => {
    const scene = make();
    expect(scene.strokes.length).toBeGreaterThan(0);
    const { film } = startRehearsal(scene, 30, plainFilm);
    const most = Math.max(...film.kernel.fields.thickness.map((field) => Math.max(...field)));
    expect(most).toBeGreaterThan(3e-4);
    expect(most).toBeLessThan(0.02);
  },
);

it('every cause and value has words', () => {
  for (const cause of WHAT_IF_CAUSES) {
    expect(CAUSE_WORDS[cause]).toBeTruthy();
    for (const value of whatIfValues(cause)) expect(causeValueWords(cause, value)).toMatch(/\w/);
  }
});

describe('the hand', () => {
  const pushes: unknown[] = [];
  const film = {
    setPush: (push: unknown) => pushes.push(push),
    halt: () => undefined,
    scrape: () => Promise.resolve(),
    torch: () => Promise.resolve(),
  } as unknown as Film;
  const hand = useHand(film, () => ({ exitSpeedMS: 15, exitDiameterMm: 9 }));

  it('blows where it is, the way it is drawn, and remembers the breath', async () => {
    hand.take('mouth');
    hand.down({ x: 50, y: 50 }, 90);
    expect(pushes.at(-1)).toMatchObject({ air: { xMm: 50, yMm: 50, directionDeg: 90 } });
    await new Promise((resolve) => setTimeout(resolve, 150));
    hand.drawTo({ x: 50, y: 70 });
    expect(pushes.at(-1)).toMatchObject({ air: { yMm: 70, directionDeg: 180 } });
    hand.up();
    expect(pushes.at(-1)).toMatchObject({ air: null });
    expect(hand.blown.value).toHaveLength(1);
    expect(hand.blown.value[0]).toMatchObject({ tool: 'mouth', directionDeg: 180, at: { x: 50, y: 50 } });
  });

  it('a breath grows from soft to hard while it is held; a dryer stays as it is set', async () => {
    const speed = () => (pushes.at(-1) as { air: { exitSpeedMS: number } }).air.exitSpeedMS;
    hand.down({ x: 50, y: 50 });
    const soft = speed();
    await new Promise((resolve) => setTimeout(resolve, 200));
    hand.tick();
    expect(speed()).toBeGreaterThan(soft);
    hand.up();
    hand.take('hair-dryer');
    expect(hand.hold.swells).toBe(false);
  });

  it('keeps distance and slant within what a hand can do', () => {
    hand.changeDistance(-5000);
    expect(hand.hold.distanceMm).toBe(20);
    hand.changeSlant(500);
    expect(hand.hold.slantDeg).toBe(90);
    hand.turn(-30);
    expect(hand.hold.directionDeg).toBeGreaterThanOrEqual(0);
  });
});

it('a tablet that is held says how the support lies', () => {
  expect(lieOf(0.2, -0.3)).toEqual({ deg: 0, directionDeg: 180 });
  expect(lieOf(8, 0)).toEqual({ deg: 8, directionDeg: 180 });
  expect(lieOf(0, 5)).toEqual({ deg: 5, directionDeg: 90 });
  expect(lieOf(-80, 0)).toEqual({ deg: 60, directionDeg: 0 });
});
