import type {
  Addition,
  JudgementPut,
  Material,
  Measurement,
  Mix,
  Photo,
  PhotoDetail,
  Piece,
  PieceDocument,
  PourEvent,
  Support,
} from '@icy-ribbon/contract';
import { NO_AIMS } from '@icy-ribbon/core/paint/stage';
import { DOCUMENT_FORMAT, DOCUMENT_VERSION, PHOTO_STATES } from '@icy-ribbon/contract';
import { pourRecordOf, type PourRecord } from '@icy-ribbon/core/judgement/outcome';
import type { MaterialKind } from '@icy-ribbon/core/paint/material';
import { cupState, weighingSteps } from '@icy-ribbon/core/paint/mix';
import { findSchool, recipesFor, SCHOOLS } from '@icy-ribbon/core/paint/recipe';
import { gaussian, type Random } from '@icy-ribbon/core/base/random';
import type { LaidShape } from '@icy-ribbon/core/piece/event';
import { paintedArea } from '@icy-ribbon/core/piece/support';
import type { CupRole, Technique } from '@icy-ribbon/core/paint/stage';
import { recipeSnapshot } from '../mix/mix.create.ts';
import { planIngredients } from '../mix/plan.ts';
import type { DemoPicture, DemoShot } from './pictures.ts';
import { demoPlan } from './plan.ts';
import type { DemoPiece } from './scenario.ts';
import type { DemoPaintName } from './shelf.ts';
import { testCups } from './testCups.ts';
import { trueThickness } from './truth.ts';

const DAY_MS = 86_400_000;
const STAGES_IN_ORDER = ['started', 'weighing', 'mixed', 'laid', 'blown', 'photo', 'judged'] as const;

export interface DemoStock {
  readonly paints: Readonly<Record<DemoPaintName, Material>>;
  readonly media: ReadonlyMap<MaterialKind, Material>;
  readonly support: Support;
}

export interface DemoTools {
  readonly now: Date;
  /** The hand at the scale and the room, by lot. */
  readonly random: Random;
  readonly makeId: () => string;
  readonly photograph: (shot: DemoShot) => Promise<DemoPicture>;
}

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

function planCups(told: DemoPiece, stock: DemoStock) {
  const { faceCm2, sidesCm2 } = paintedArea(stock.support);
  const baseG = told.technique === 'dutch' ? 0.16 * (faceCm2 + sidesCm2) : 0.16 * faceCm2;
  // A planned bloom is mixed as its plan asks.
  const bloomShare = told.layout ? 0.115 : 0.1;
  const colorG = ((told.technique === 'dutch' ? 0.035 : bloomShare) * faceCm2) / told.colors.length;
  const cup = (role: CupRole, paint: Material, grams: number) => ({
    role,
    paint,
    recipe: recipesFor(SCHOOLS, told.technique, role)[0]!,
    totalMg: Math.round(grams) * 1000,
  });
  return [
    cup(told.technique === 'dutch' ? 'base' : 'pillow', stock.paints[told.base], baseG),
    ...told.colors.map((name) =>
      cup('color', stock.paints[name], Math.max(told.technique === 'dutch' ? 5 : 12, colorG)),
    ),
    ...(told.activator
      ? [
          cup(
            'activator',
            stock.paints[told.activator],
            Math.max(
              4,
              0.008 * faceCm2 * (told.activatorDose ?? 1) * (0.75 + 0.25 * (told.activatorThinner ?? 1)),
            ),
          ),
        ]
      : []),
  ];
}

/** A hand at the scale: close to the target, a little over or under, readings in steps of 0.05 g. */
function weighIn(
  mix: Mix,
  told: DemoPiece,
  unfinished: boolean,
  { clock, random, makeId }: Pick<DemoTools, 'random' | 'makeId'> & { clock: (minutes: number) => string },
): Mix {
  const steps = weighingSteps(mix.ingredients);
  const additions = steps.slice(0, unfinished ? 2 : undefined).map((step, index): Addition => {
    const ingredient = mix.ingredients.find((each) => each.id === step.ingredientId);
    const thinner =
      mix.role === 'activator' && ingredient?.role !== 'paint' ? (told.activatorThinner ?? 1) : 1;
    const aimMg = step.mg * (ingredient?.role === 'water' ? told.waterShare : thinner);
    const mg = Math.round((aimMg + Math.max(20, 0.006 * aimMg) * gaussian(random)) / 50) * 50;
    return {
      id: makeId(),
      ingredientId: step.ingredientId,
      mg,
      source: 'scale',
      at: clock(0.5),
      drawId: null,
      place: index + 1,
    };
  });
  return { ...mix, additions, version: 1 + additions.length };
}

function layDown(
  technique: Technique,
  mixes: readonly Mix[],
  support: Support,
  clock: (minutes: number) => string,
  makeId: () => string,
  random: Random,
): PourEvent[] {
  const room: PourEvent = {
    id: makeId(),
    kind: 'room',
    at: clock(15),
    data: {
      temperatureC: 20 + Math.round(4 * random()) / 2,
      humidityPercent: 42 + Math.round(16 * random()),
    },
  };
  const { widthMm, heightMm } = support;
  const [across, down] = [(share: number) => share * widthMm, (share: number) => share * heightMm];
  const isBloom = technique === 'bloom';
  const itemId = 'laid';
  /** A base or a pillow over the face; a bloom as one pile, the colors of a Dutch pour as one ribbon through the middle. */
  const liesAs = (role: CupRole): LaidShape =>
    role === 'base' || role === 'pillow'
      ? { kind: 'face', pattern: 'one', area: 0, seam: null }
      : isBloom
        ? {
            ...{ kind: 'stack', itemId, at: { x: across(0.5), y: down(0.5) } },
            footprintMm: Math.round(0.62 * Math.min(widthMm, heightMm)),
          }
        : {
            ...{ kind: 'ribbon', itemId, start: { x: across(0.22), y: down(0.54) } },
            ...{ control: { x: across(0.5), y: down(0.49) }, end: { x: across(0.78), y: down(0.54) } },
          };
  return [
    room,
    ...mixes.map((mix): PourEvent => {
      const actualMg = cupState(mix).actualMg;
      const share = mix.role === 'color' ? 0.9 : 0.95;
      return {
        id: makeId(),
        kind: 'layer',
        at: clock(1),
        data: { cupId: mix.id, mg: Math.round((actualMg * share) / 100) * 100, shape: liesAs(mix.role) },
      };
    }),
  ];
}

/** Torching, the passes, the wait for the cells, and the spinner. */
function workTheAir(told: DemoPiece, clock: (minutes: number) => string, makeId: () => string): PourEvent[] {
  const at = (minutes: number) => ({ id: makeId(), at: clock(minutes) });
  const torch = (): PourEvent => ({ ...at(0.5), kind: 'torch', data: { seconds: 4 } });
  const events: PourEvent[] = Array.from({ length: told.torches ?? 1 }, torch);
  for (const { from, ...pass } of told.passes) {
    const place = from ? { x: from[0], y: from[1] } : startOf(pass.directionDeg);
    events.push({ ...at(0.5), kind: 'pass', data: { ...pass, from: place } });
  }
  const seconds = told.waitSeconds ?? 90;
  events.push({ ...at(seconds / 60), kind: 'wait', data: { seconds, forWhat: 'cells' } });
  if (told.torchedLate) events.push(torch());
  if (told.spin) events.push({ ...at(1), kind: 'spin', data: { ...told.spin, way: 'both' } });
  return events;
}

/** Passes start a little off the middle, on the side the air goes to. */
function startOf(directionDeg: number): { x: number; y: number } {
  const angle = (directionDeg * Math.PI) / 180;
  return { x: 0.5 + 0.07 * Math.sin(angle), y: 0.5 - 0.07 * Math.cos(angle) };
}

interface Picture {
  readonly photo: Photo;
  readonly image: Buffer;
  readonly detail: PhotoDetail;
}

/** The photos that are taken of the pour. */
function shotsOf(
  piece: Piece,
  firstId: string,
  told: DemoPiece,
  { random, makeId, clock }: { random: Random; makeId: () => string; clock: (minutes: number) => string },
): (DemoShot & { readonly id: string })[] {
  const record = trueRecord(piece);
  const seed = Math.floor(random() * 1e6);
  const states = told.twice ? PHOTO_STATES : ([told.startedDaysAgo > 8 ? 'dry' : 'wet'] as const);
  const { mixes, support } = piece;
  return states.map((moment, index) => ({
    ...{ name: told.name, record, piece: { mixes, support }, seed, moment },
    takenAt: clock(20),
    id: index === 0 ? firstId : makeId(),
  }));
}

function pictureOf(id: string, pieceId: string, { moment, takenAt }: DemoShot, taken: DemoPicture): Picture {
  const { jpeg, hash, widthPx, heightPx, measurement, detail } = taken;
  const photo = {
    id,
    pieceId,
    version: 1,
    state: moment,
    original: null,
    standIn: true,
    hash,
    widthPx,
    heightPx,
    measurement,
  };
  return { photo: { ...photo, createdAt: takenAt, deletedAt: null }, image: Buffer.from(jpeg), detail };
}

/** The pour with its cups as thick as they really are, which the studio does not know. */
function trueRecord(piece: Piece): PourRecord {
  const record = pourRecordOf(piece);
  return {
    ...record,
    cups: record.cups.map((cup, index) => ({ ...cup, viscosityPaS: trueThickness(piece.mixes[index]!) })),
  };
}

/** The studio's judgement follows what was measured, and what went wrong. */
function judge(
  { cells, lacing, negativeSpace, mud, shares, base }: Measurement,
  told: DemoPiece,
  faultIds: readonly string[],
): Omit<JudgementPut, 'version'> {
  const degree = (value: number, steps: readonly number[]) => steps.filter((step) => value >= step).length;
  const colored = 1 - negativeSpace;
  const laced = lacing.areaShare / Math.max(0.01, colored);
  const faults = told.faults ?? [];
  // A bloom is liked for its net and its cells, a Dutch pour for colors that all show on enough of its base.
  const shown = Object.entries(shares).flatMap(([name, share]) => (name === base ? [] : [share]));
  const least = Math.min(...shown) * shown.length;
  const likes =
    told.technique === 'bloom'
      ? [laced > 0.06, cells.perCm2 > 0.5]
      : [least > 0.4 * colored, negativeSpace > 0.5 && negativeSpace < 0.75];
  const good = 3 + likes.filter(Boolean).length - (mud > 0.04 ? 1 : 0) - faults.length;
  const rating = Math.min(5, Math.max(1, good));
  return {
    rating,
    faults: faults.map((kind, index) => ({
      id: faultIds[index]!,
      kind,
      at: { x: 0.5, y: 0.5 },
      cupId: null,
      note: '',
    })),
    hangingDeg: null,
    verdict: rating >= 5 ? 'keep' : rating >= 3 ? 'finish' : rating === 2 ? 'rework' : 'scrape',
    // By what the colors show: a great many cells are more than a trace on a large face, too.
    cells: Math.max(
      cells.count >= 500 ? 2 : 0,
      degree(cells.perCm2 / Math.max(0.01, colored), [0.15, 0.4, 0.8, 1.4]),
    ),
    lacing: degree(laced, [0.02, 0.05, 0.09, 0.14]),
    petals: degree(colored, [0.08, 0.2, 0.35, 0.6]),
    mud: degree(mud / Math.max(0.01, colored), [0.01, 0.05, 0.12, 0.25]),
    cellSizeMm: cells.count >= 10 ? Math.round(cells.medianMm * 10) / 10 : null,
    tryNext: told.tryNext ?? '',
    note: '',
  };
}

function sizing({ name, kind, shape, widthMm, heightMm, sideDepthMm }: Support) {
  return { name, kind, shape, widthMm, heightMm, sideDepthMm };
}
