import type { Mix, Piece, PieceDocument, PourEvent, Support } from '@icy-ribbon/contract';
import { NO_AIMS } from '@icy-ribbon/core/paint/stage';
import { DOCUMENT_FORMAT, DOCUMENT_VERSION } from '@icy-ribbon/contract';
import { findSchool } from '@icy-ribbon/core/paint/recipe';
import { recipeSnapshot } from '../mix/mix.create.ts';
import { planIngredients } from '../mix/plan.ts';
import { planCups, weighIn } from './cups.ts';
import { judge } from './judge.ts';
import { layDown, workTheAir } from './log.ts';
import { demoPlan } from './plan.ts';
import type { DemoPiece } from './scenario.ts';
import { pictureOf, shotsOf } from './shots.ts';
import type { DemoStock, DemoTools } from './stock.ts';
import { testCups } from './testCups.ts';

const DAY_MS = 86_400_000;
const STAGES_IN_ORDER = ['started', 'weighing', 'mixed', 'laid', 'blown', 'photo', 'judged'] as const;

/**
 * Works out one piece of the scenario: its cups by core, its log, its photos by the camera stand-in. Everything that is drawn by
 * lot is drawn before the photos are waited for, so that many pieces can be made at once and come out the same.
 */
export async function buildDemoPiece(
  told: DemoPiece,
  stock: DemoStock,
  { now, random, makeId, photograph }: DemoTools,
): Promise<PieceDocument> {
  const clock = makeClock(new Date(now.getTime() - told.startedDaysAgo * DAY_MS));
  const reached = (stage: DemoPiece['until']) =>
    STAGES_IN_ORDER.indexOf(told.until) >= STAGES_IN_ORDER.indexOf(stage);
  const startedAt = clock(0);
  const record = { version: 1, createdAt: startedAt, updatedAt: startedAt, deletedAt: null };
  const pieceId = makeId();
  const planned = planCups(told, stock).map((cup, position): Mix => ({
    ...record,
    id: makeId(),
    pieceId,
    name: cup.paint.name,
    role: cup.role,
    recipe: recipeSnapshot(cup.recipe, null),
    position,
    ingredients: planIngredients({
      recipe: cup.recipe,
      variant: null,
      paints: [{ material: cup.paint, parts: 1 }],
      ofKind: (kind) => stock.media.get(kind),
      white: () => stock.paints.oyster,
      findRecipe: findSchool,
      totalMg: cup.totalMg,
      learned: () => undefined,
      makeId,
    }),
    additions: [],
    movements: [],
    lid: true,
    dryColorHex: null,
  }));
  const mixes = planned.map((mix, index) => {
    const weighed = reached('mixed') || (reached('weighing') && index < 3);
    const unfinished = !reached('mixed') && index === 2;
    return weighed ? weighIn(mix, told, unfinished, { clock, random, makeId }) : mix;
  });
  const readings = reached('laid') ? testCups(mixes, { temperatureC: 21 }, clock, makeId, random) : [];
  const events: PourEvent[] = [];
  if (reached('laid')) events.push(...layDown(told.technique, mixes, stock.support, clock, makeId, random));
  if (reached('blown')) events.push(...workTheAir(told, clock, makeId));
  const photoId = makeId();
  const piece: Piece = {
    ...record,
    id: pieceId,
    name: told.name,
    technique: told.technique,
    aims: NO_AIMS,
    colors: null,
    topCoatedAt: null,
    touchDryAt: null,
    origin: null,
    note: told.note ?? '',
    support: { supportId: stock.support.id, ...sizing(stock.support) },
    mixes,
    readings,
    plan: told.layout ? demoPlan(told.layout, told.technique, stock.support, mixes, clock(5), makeId) : null,
    events,
    care: [],
    photos: [],
    rehearsals: [],
    judgement: null,
  };
  const shots = reached('photo') ? shotsOf(piece, photoId, told, { random, makeId, clock }) : [];
  const judgedAt = clock(60);
  const faultIds = (told.faults ?? []).map(makeId);
  const pictures = await Promise.all(
    shots.map(async ({ id, ...shot }) => pictureOf(id, piece.id, shot, await photograph(shot))),
  );
  piece.photos.push(...pictures.map(({ photo }) => photo));
  const last = piece.photos.at(-1);
  if (reached('judged') && last) {
    const judged = judge(last.measurement!, told, faultIds);
    piece.judgement = { ...judged, version: 1, createdAt: judgedAt, updatedAt: judgedAt };
  }
  return {
    format: DOCUMENT_FORMAT,
    formatVersion: DOCUMENT_VERSION,
    piece,
    materials: [...Object.values(stock.paints), ...stock.media.values()],
    support: stock.support,
    photoFiles: pictures.map(({ photo, image, detail }) => ({
      photoId: photo.id,
      mediaType: 'image/jpeg',
      base64: image.toString('base64'),
      detail,
    })),
  };
}

/** A clock that moves on by so many minutes each time it is read. */
function makeClock(start: Date): (minutes: number) => string {
  let time = start.getTime();
  return (minutes) => {
    time += minutes * 60_000;
    return new Date(time).toISOString();
  };
}

function sizing({ name, kind, shape, widthMm, heightMm, sideDepthMm }: Support) {
  return { name, kind, shape, widthMm, heightMm, sideDepthMm };
}
