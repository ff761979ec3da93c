import { NO_AIMS } from '@icy-ribbon/core/paint/stage';
import { randomUUID } from 'node:crypto';
import type { Judgement, Measurement, Mix, Piece, PourEvent } from '@icy-ribbon/contract';
import { AIR_TOOL_NAMES, settingsOf } from '@icy-ribbon/core/flow/air';
import { seededRandom } from '@icy-ribbon/core/base/random';
import type { Db } from '../../server/src/db/open.ts';
import { write } from '../../server/src/db/write.ts';
import { createMix } from '../../server/src/mix/mix.create.ts';
import { insertPiece } from '../../server/src/piece/document.ts';
import { createPiece, findPiece } from '../../server/src/piece/piece.queries.ts';

const BATCH = 500;
const random = seededRandom(19);
const between = (low: number, high: number) => low + (high - low) * random();
const anyOf = <Value>(values: readonly Value[]): Value => values[Math.floor(random() * values.length)]!;

/** Fills a database with made-up pours, each with three cups, five events, a measured photo and a judgement. */
export async function fillWithPours(db: Db, count: number): Promise<void> {
  const support = await db.selectFrom('support').select('id').executeTakeFirstOrThrow();
  const paint = await db
    .selectFrom('material')
    .select('id')
    .where('kind', '=', 'artist-tube')
    .executeTakeFirstOrThrow();
  const started = await write(db, async (trx) => {
    const given = {
      name: 'Piece',
      technique: 'dutch',
      supportId: support.id,
      note: '',
      aims: NO_AIMS,
      colors: null,
      origin: null,
    } as const;
    const { id } = await createPiece(trx, { id: randomUUID(), ...given });
    for (const role of ['base', 'color', 'color'] as const) {
      await createMix(trx, id, { role, recipeId: 'D2', materialId: paint.id, totalMg: 56_250 });
    }
    return (await findPiece(trx, id))!;
  });
  for (let done = 0; done < count; done += BATCH) {
    await write(db, async (trx) => {
      for (let index = done; index < Math.min(count, done + BATCH); index += 1) {
        await insertPiece(trx, pourLike(started, index), () => null);
      }
    });
  }
}

/** A pour with the cups of another, everything else by chance. */
function pourLike(started: Piece, index: number): Piece {
  const id = randomUUID();
  const day = new Date(Date.UTC(2001, 0, 1) + 86_400_000 * 0.9 * index).toISOString();
  const mixes = started.mixes.map((mix) => weighed(mix, id, day));
  return {
    ...started,
    id,
    createdAt: day,
    updatedAt: day,
    name: `Piece ${index}`,
    technique: index % 3 === 0 ? 'bloom' : 'dutch',
    note: anyOf(['the rim split', 'came out as meant', 'too much air at the start', '']),
    mixes,
    events: eventsOf(mixes, day),
    photos: [
      {
        id: randomUUID(),
        pieceId: id,
        version: 1,
        state: 'dry',
        hash: 'f'.repeat(64),
        original: null,
        standIn: false,
        widthPx: 1000,
        heightPx: 800,
        measurement: measured(mixes, day),
        createdAt: day,
        deletedAt: null,
      },
    ],
    judgement: judged(day),
  };
}

function weighed(mix: Mix, pieceId: string, at: string): Mix {
  const ingredients = mix.ingredients.map((each) => ({ ...each, id: randomUUID() }));
  const additions = ingredients.map((each, index) => ({
    id: randomUUID(),
    ingredientId: each.id,
    mg: Math.round(each.targetMg * between(0.8, 1.2)),
    source: 'typed' as const,
    at,
    drawId: null,
    place: index + 1,
  }));
  return { ...mix, id: randomUUID(), pieceId, ingredients, additions };
}

function eventsOf(mixes: readonly Mix[], at: string): PourEvent[] {
  const event = () => ({ id: randomUUID(), at });
  const layers = mixes.map((mix): PourEvent => ({
    ...event(),
    kind: 'layer',
    data: { cupId: mix.id, mg: Math.round(between(10_000, 40_000)) },
  }));
  const passes = [0, 1].map((): PourEvent => {
    const tool = anyOf(AIR_TOOL_NAMES);
    return {
      ...event(),
      kind: 'pass',
      data: {
        tool,
        setting: settingsOf(tool)[0]!,
        distanceMm: Math.round(between(40, 300)),
        slantDeg: Math.round(between(15, 90)),
        directionDeg: Math.round(between(0, 359)),
        seconds: Math.round(between(1, 9)),
        from: null,
      },
    };
  });
  return [...layers, ...passes];
}

function measured(mixes: readonly Mix[], measuredAt: string): Measurement {
  const palette = mixes.map((mix, index) => ({
    name: `${mix.name} ${index}`,
    hex: '#446688',
    cupId: mix.id,
  }));
  return {
    corners: [
      [100, 100],
      [900, 100],
      [900, 700],
      [100, 700],
    ],
    palette,
    base: palette[0]!.name,
    activator: null,
    shares: {},
    negativeSpace: random(),
    mud: 0.1 * random(),
    cells: { count: 200, medianMm: between(1, 4), p10Mm: 1, p90Mm: 5, perCm2: between(0.1, 2) },
    lacing: { areaShare: 0.2 * random(), widthMm: between(0.4, 1.4) },
    petals: { count: 5, reachMm: 120, symmetry: random(), edges: { top: 0, right: 0, bottom: 0, left: 0 } },
    warnings: [],
    measuredAt,
  };
}

function judged(at: string): Judgement {
  const degree = () => Math.floor(random() * 5);
  return {
    version: 1,
    createdAt: at,
    updatedAt: at,
    rating: 1 + Math.floor(random() * 5),
    faults: [],
    hangingDeg: null,
    verdict: null,
    cells: degree(),
    lacing: degree(),
    petals: degree(),
    mud: degree(),
    cellSizeMm: null,
    tryNext: anyOf(['a thinner activator', 'further off', '']),
    note: '',
  };
}
