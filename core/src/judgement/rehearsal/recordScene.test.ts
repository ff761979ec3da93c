import { compiledFilmFromFile } from '../../../testing/compiledFilm.ts';
import { cup as poured, layer, pass } from '../../../testing/pouredPiece.ts';
import { volumeM3 } from '../../flow/solver/index.ts';
import { NO_AIMS } from '../../paint/stage/index.ts';
import { startRehearsal } from '../../piece/rehearse/index.ts';
import { pourRecordOf, type PourRecord, type PouredCup } from '../outcome/index.ts';
import { sceneOfPour } from './index.ts';

const cup = (id: string, role: PouredCup['role'], laidMg: number): PouredCup => ({
  ...{ id, name: id, role, colorHex: '#26333f', viscosityPaS: 1.5, densityGPerMl: 1.1, waterFraction: 0.1 },
  ...{ laidMg, opacity: 'opaque', finish: 'plain', partsWords: '', restedHours: null },
  ...{ hasWeakBinder: false, hasSilicone: false, doseFactor: role === 'activator' ? 1.2 : null },
});
const pour = (technique: PourRecord['technique']): PourRecord => ({
  ...{ id: 'p', name: 'p', technique, aims: NO_AIMS, pouredAt: null },
  support: { shape: 'rectangle', widthMm: 250, heightMm: 250, sideDepthMm: 10 },
  cups: [
    cup('base', 'base', 90_000),
    cup('a', 'color', 8000),
    cup('b', 'color', 6000),
    cup('white', 'activator', 1500),
  ],
  order: ['base', 'a', 'b', 'a', 'white'],
  passes: [0, 90, 180].map((directionDeg) => ({
    ...{ tool: 'mouth' as const, setting: 'steady', distanceMm: 100, slantDeg: 25, directionDeg, seconds: 1 },
    exit: directionDeg === 0 ? { exitDiameterMm: 12, exitSpeedMS: 10 } : null,
  })),
  ...{ torches: 0, torchedAfterAir: false, waitSeconds: 30, spins: [{ rpm: 40, seconds: 6 }], tilts: 0 },
  ...{ addedMg: 0, temperatureC: null, humidityPercent: null, outcome: null, rating: null, faults: [] },
});

it.each(['bloom', 'dutch', 'swipe', 'ring'] as const)(
  'a %s that was recorded lies on the stage with the grams that were laid',
  (technique) => {
    const scene = sceneOfPour(pour(technique));
    const { film } = startRehearsal(scene, 60, compiledFilmFromFile);
    const { grid, thickness, lost } = film.kernel.fields;
    const grams = new Map<string, number>();
    scene.layers.forEach(({ cupId, densityKgM3 }, layer) => {
      const laid = (volumeM3(grid, thickness[layer]!) + lost[layer]!) * 1000 * densityKgM3;
      grams.set(cupId, (grams.get(cupId) ?? 0) + laid);
    });
    expect(grams.get('a')).toBeCloseTo(8, 3);
    expect(grams.get('b')).toBeCloseTo(6, 3);
    expect(grams.get('white')).toBeCloseTo(1.5, 3);
    // The rest of the base lies on the sides.
    expect(grams.get('base')).toBeCloseTo(90 * (625 / 725), 3);
    expect(scene.layers[scene.sheet]!.cupId).toBe('white');
    expect(scene.dose).toBe(1.2);
  },
);

it('its passes are blown the way they were recorded, from their own exits', () => {
  const { strokes, spin } = sceneOfPour(pour('bloom'), 1);
  expect(strokes.map(({ directionDeg }) => directionDeg)).toEqual([0, 90, 180]);
  expect(strokes[0]!.exitDiameterMm).toBe(12);
  expect(strokes[0]!.from.y).toBeLessThan(125);
  expect(strokes[1]!.exitDiameterMm).toBe(9);
  expect(spin).toEqual({ rpm: 40, seconds: 6 });
});

it('a pour whose places were logged lies where it was laid, and is blown from where it was', () => {
  const face = { kind: 'face', pattern: 'one', area: 0, seam: null };
  const pile = { kind: 'stack', itemId: 'pile', at: { x: 70, y: 60 }, footprintMm: 80 };
  const grams = [40_000, 20_000, 15_000] as const;
  const events = [
    layer('ground', 60_000, 1, { shape: face }),
    layer('a', 8000, 2, { shape: pile }),
    pass(1, 3, 'pass', { directionDeg: 90, from: { x: 0.3, y: 0.2 } }),
  ];
  const piece = {
    ...{ id: 'p', name: 'p', technique: 'bloom', plan: null, readings: [], photos: [], judgement: null },
    support: { shape: 'rectangle', widthMm: 250, heightMm: 250, sideDepthMm: 10 },
    ...{ mixes: [poured('ground', 'pillow', grams), poured('a', 'color', grams)], events },
  };
  const record = pourRecordOf(piece as never);
  const { lays, strokes } = sceneOfPour(record);
  expect(lays.map(({ shape }) => shape.kind)).toEqual(['face', 'puddle']);
  expect(lays[1]!.shape).toMatchObject({ at: { x: 70, y: 60 } });
  expect(strokes[0]!.from).toEqual({ x: 75, y: 50 });
  expect(record.onFace).toEqual(['ground']);

  // One layer without its place, and it all lies as usual.
  const half = pourRecordOf({ ...piece, events: [...events, layer('a', 100, 4)] } as never);
  expect(half.asPoured).toBeUndefined();
  expect(sceneOfPour(half).lays[1]!.shape).toMatchObject({ at: { x: 125, y: 125 } });
});
