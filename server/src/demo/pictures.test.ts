import { readdirSync, statSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { Scene } from '@icy-ribbon/core/piece/rehearse';
import { sceneOfPour } from '@icy-ribbon/core/judgement/rehearsal';
import { ring } from '../../../core/testing/index.ts';
import { decodePhoto } from '../photo/decode.ts';
import { measureCups } from '../photo/measureCups.ts';
import { filmFrom } from '../standin/camera/filmFrom.ts';
import { filmOfPour, WORLD } from '../standin/camera/world.ts';
import { DEMO_FOLDER, openStudio, type Studio } from '../testing/studio.ts';
import { demoDocuments } from './fill.ts';
import { photographDemo } from './photograph.ts';
import { demoPictures, type DemoShot } from './pictures.ts';
import { sampleDocument } from './sample.ts';

/** What is kept was made once; everything here holds it against what core says today. When core has rightly changed: `npm run demo:pictures`. */
const pictures = demoPictures(DEMO_FOLDER);
const shots: DemoShot[] = [];
let studio: Studio;

beforeAll(async () => {
  studio = await openStudio();
  const note = (shot: DemoShot) => {
    shots.push(shot);
    return pictures.take(shot);
  };
  await demoDocuments(studio.db, new Date(), note);
  await sampleDocument(studio.db, note);
}, 60_000);
afterAll(() => studio.close());

/** A scene without the ids, which are others each time. */
const plainScene = ({ layers, ...scene }: Scene) => ({
  ...scene,
  layers: layers.map((layer) => ({ ...layer, cupId: '' })),
});

/** Every number in something, with where it stands. */
function numbersIn(value: unknown, at = ''): [string, number][] {
  if (typeof value === 'number') return [[at, value]];
  if (value === null || typeof value !== 'object') return [];
  return Object.entries(value).flatMap(([key, inner]) => numbersIn(inner, `${at}.${key}`));
}

/** Alike but for what another machine rounds otherwise. */
function expectAlike(got: unknown, kept: unknown, share: number): void {
  const [now, then] = [numbersIn(got), numbersIn(kept)];
  expect(now.map(([at]) => at)).toEqual(then.map(([at]) => at));
  const off = now.filter(([, value], index) => {
    const before = then[index]![1];
    return Math.abs(value - before) > share * Math.max(1e-3, Math.abs(before));
  });
  expect(off).toEqual([]);
}

it('they are small enough to be kept', () => {
  const bytes = readdirSync(DEMO_FOLDER).map((file) => statSync(join(DEMO_FOLDER, file)).size);
  expect(bytes.reduce((sum, each) => sum + each, 0)).toBeLessThan(12e6);
});

it('each shows the pour that the demo tells, as core lays and blows it now', async () => {
  expect(shots.length).toBeGreaterThan(25);
  for (const { name, record } of shots) {
    const { scene } = await pictures.kept(name);
    const now = JSON.parse(JSON.stringify(sceneOfPour(record, WORLD.strength))) as Scene;
    expectAlike(plainScene(now), plainScene(scene), 1e-9);
  }
});

/** A dry and a wet one, a round and a large face, both techniques. */
const LOOKED_AT = ring(
  ['Lichen round', 'Small bloom 3'],
  ['Slate fan', 'Lichen round', 'Quiet brass', 'Small bloom 3', 'Tile, corner'],
);

it.each(LOOKED_AT)(
  '%s is measured as it was',
  async (name) => {
    const { moment, piece } = shots.find((shot) => shot.name === name)!;
    const { measurement, detail } = (await pictures.kept(name)).pictures[moment]!;
    const pixels = await decodePhoto(await readFile(pictures.photoPath(name, moment)));
    const { corners, grayPatchMm, measuredAt } = measurement;
    const again = measureCups(pixels, piece, { corners, grayPatchMm: grayPatchMm! }, measuredAt);
    expectAlike(again.measurement, measurement, 1e-6);
    expect(again.detail.cells).toHaveLength(detail.cells.length);
  },
  60_000,
);

it.each(ring(['Small bloom 9'], ['First low water', 'Small bloom 9']))(
  '%s comes out the same when it is blown and photographed again',
  async (name) => {
    const shot = shots.find((each) => each.name === name)!;
    const film = filmOfPour(shot.record, filmFrom('core/bundle/film.wasm'));
    const again = await photographDemo(film, shot);
    const { measurement } = (await pictures.kept(name)).pictures[shot.moment]!;
    expect(again.measurement.negativeSpace).toBeCloseTo(measurement.negativeSpace, 3);
    for (const [color, share] of Object.entries(measurement.shares)) {
      expect(again.measurement.shares[color]).toBeCloseTo(share, 3);
    }
    const [now, then] = await Promise.all([
      decodePhoto(Buffer.from(again.jpeg)),
      readFile(pictures.photoPath(name, shot.moment)).then(decodePhoto),
    ]);
    let off = 0;
    now.data.forEach((value, index) => (off += Math.abs(value - then.data[index]!)));
    expect(off / now.data.length).toBeLessThan(0.5);
  },
  180_000,
);
