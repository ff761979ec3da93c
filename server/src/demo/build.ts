import type {
  Addition,
  JudgementPut,
  Material,
  Mix,
  PassData,
  Piece,
  PieceDocument,
  PourEvent,
  Support,
} from '@icy-ribbon/contract';
import { DOCUMENT_FORMAT, DOCUMENT_VERSION } from '@icy-ribbon/contract';
import { isPaint, type MaterialKind } from '@icy-ribbon/core/material';
import { cupState, weighingSteps } from '@icy-ribbon/core/mix';
import { findSchool, recipesFor, SCHOOLS } from '@icy-ribbon/core/recipe';
import { gaussian, seededUuid, type Random } from '@icy-ribbon/core/random';
import { paintedArea } from '@icy-ribbon/core/support';
import type { CupRole } from '@icy-ribbon/core/thickness';
import sharp from 'sharp';
import { recipeSnapshot } from '../mix/mix.queries.ts';
import { planIngredients } from '../mix/plan.ts';
import { cleanPhoto } from '../photo/clean.ts';
import { hashOf } from '../photo/files.ts';
import { paintScene } from '../standin/camera/paint.ts';
import type { SceneTruth } from '../standin/camera/scene.ts';
import { demoPlan } from './plan.ts';
import type { DemoPass, DemoPiece } from './scenario.ts';
import type { DemoPaintName } from './shelf.ts';
import { testCups } from './testCups.ts';
import { trueThickness } from './truth.ts';
import { outcomeOf } from './world.ts';

const DAY_MS = 86_400_000;
const STAGES_IN_ORDER = ['started', 'weighing', 'mixed', 'laid', 'blown', 'photo', 'judged'] as const;

export interface DemoStock {
  readonly paints: Readonly<Record<DemoPaintName, Material>>;
  readonly media: ReadonlyMap<MaterialKind, Material>;
  readonly support: Support;
}

/** Works out one piece of the scenario: its cups by core, its log, its photo by the painter. */
export async function buildDemoPiece(
  told: DemoPiece,
  stock: DemoStock,
  { now, random, photoLongSidePx }: { now: Date; random: Random; photoLongSidePx: number },
): Promise<PieceDocument> {
  const clock = makeClock(new Date(now.getTime() - told.startedDaysAgo * DAY_MS));
  const reached = (stage: DemoPiece['until']) =>
    STAGES_IN_ORDER.indexOf(told.until) >= STAGES_IN_ORDER.indexOf(stage);
  const makeId = () => seededUuid(random);
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
      paint: cup.paint,
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
    return weighed ? weighIn(mix, told.waterShare, unfinished, clock, random) : mix;
  });
  const readings = reached('laid') ? testCups(mixes, { temperatureC: 21 }, clock, makeId, random) : [];
  const events: PourEvent[] = [];
  if (reached('laid')) events.push(...layDown(mixes, clock, makeId, random));
  if (reached('blown')) events.push(...blow(told.passes, clock, makeId));
  const picture = reached('photo')
    ? await takePhoto(told, stock, mixes, events, random, photoLongSidePx)
    : undefined;
  const photoId = makeId();
  const piece: Piece = {
    ...record,
    id: pieceId,
    name: told.name,
    technique: told.technique,
    note: told.note ?? '',
    support: { supportId: stock.support.id, ...sizing(stock.support) },
    mixes,
    readings,
    plan: told.layout ? demoPlan(told.layout, told.technique, stock.support, mixes, clock(5), makeId) : null,
    events,
    photos: picture
      ? [
          {
            id: photoId,
            pieceId,
            version: 1,
            state: told.startedDaysAgo > 8 ? 'dry' : 'wet',
            hash: hashOf(picture.image),
            widthPx: picture.widthPx,
            heightPx: picture.heightPx,
            createdAt: clock(20),
            deletedAt: null,
          },
        ]
      : [],
    judgement:
      reached('judged') && picture
        ? {
            ...judge(picture.truth, told),
            version: 1,
            createdAt: clock(60),
            updatedAt: clock(0),
          }
        : null,
  };
  return {
    format: DOCUMENT_FORMAT,
    formatVersion: DOCUMENT_VERSION,
    piece,
    materials: [...Object.values(stock.paints), ...stock.media.values()],
    support: stock.support,
    photoFiles: picture
      ? [{ photoId, mediaType: 'image/jpeg', base64: picture.image.toString('base64') }]
      : [],
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
  const baseG = told.technique === 'dutch' ? 0.13 * (faceCm2 + sidesCm2) : 0.16 * faceCm2;
  const colorG = ((told.technique === 'dutch' ? 0.07 : 0.1) * faceCm2) / told.colors.length;
  const cup = (role: CupRole, paint: Material, grams: number) => ({
    role,
    paint,
    recipe: recipesFor(SCHOOLS, told.technique, role)[0]!,
    totalMg: Math.round(grams) * 1000,
  });
  return [
    cup(told.technique === 'dutch' ? 'base' : 'pillow', stock.paints[told.base], baseG),
    ...told.colors.map((name) => cup('color', stock.paints[name], Math.max(12, colorG))),
    ...(told.activator ? [cup('activator', stock.paints[told.activator], 0.012 * faceCm2)] : []),
  ];
}

/** A hand at the scale: close to the target, a little over or under, readings in steps of 0.05 g. */
function weighIn(
  mix: Mix,
  waterShare: number,
  unfinished: boolean,
  clock: (minutes: number) => string,
  random: Random,
): Mix {
  const steps = weighingSteps(mix.ingredients);
  const additions = steps.slice(0, unfinished ? 2 : undefined).map((step): Addition => {
    const ingredient = mix.ingredients.find((each) => each.id === step.ingredientId);
    const aimMg = step.mg * (ingredient?.role === 'water' ? waterShare : 1);
    const mg = Math.round((aimMg + Math.max(20, 0.006 * aimMg) * gaussian(random)) / 50) * 50;
    return {
      id: seededUuid(random),
      ingredientId: step.ingredientId,
      mg,
      source: 'scale',
      at: clock(0.5),
      drawId: null,
    };
  });
  return { ...mix, additions, version: 1 + additions.length };
}

function layDown(
  mixes: readonly Mix[],
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
  return [
    room,
    ...mixes.map((mix): PourEvent => {
      const actualMg = cupState(mix).actualMg;
      const share = mix.role === 'color' ? 0.9 : 0.95;
      return {
        id: makeId(),
        kind: 'layer',
        at: clock(1),
        data: { mixId: mix.id, mg: Math.round((actualMg * share) / 100) * 100 },
      };
    }),
  ];
}

function blow(
  passes: readonly DemoPass[],
  clock: (minutes: number) => string,
  makeId: () => string,
): PourEvent[] {
  return passes.map((pass) => ({
    id: makeId(),
    kind: 'pass',
    at: clock(0.5),
    data: { ...pass, from: startOf(pass.directionDeg) },
  }));
}

/** Passes start a little off the middle, on the side the air goes to. */
function startOf(directionDeg: number): { x: number; y: number } {
  const angle = (directionDeg * Math.PI) / 180;
  return { x: 0.5 + 0.07 * Math.sin(angle), y: 0.5 - 0.07 * Math.cos(angle) };
}

async function takePhoto(
  told: DemoPiece,
  stock: DemoStock,
  mixes: readonly Mix[],
  events: readonly PourEvent[],
  random: Random,
  longSidePx: number,
): Promise<{ image: Buffer; widthPx: number; heightPx: number; truth: SceneTruth }> {
  const colors = mixes.filter((mix) => mix.role === 'color');
  const passes = events.filter((event) => event.kind === 'pass').map((event): PassData => event.data);
  const hexOf = (name: DemoPaintName) => stock.paints[name].colorHex;
  const painting = paintScene(
    {
      style: told.technique,
      seed: Math.floor(random() * 1e9),
      ...sizing(stock.support),
      baseHex: hexOf(told.base),
      activatorHex: hexOf(told.activator ?? told.base),
      colorHexes: colors.map(
        (mix) => mix.ingredients.find((each) => isPaint(each.material.kind))?.material.colorHex ?? '#888888',
      ),
      ...outcomeOf(told.technique, colors.map(trueThickness), passes),
    },
    longSidePx,
  );
  const jpeg = await sharp(painting.pixels, {
    raw: { width: painting.widthPx, height: painting.heightPx, channels: 3 },
  })
    .jpeg({ quality: 92 })
    .toBuffer();
  return { ...(await cleanPhoto(jpeg)), truth: painting.truth };
}

/** The studio's judgement follows what is truly in the picture. */
function judge(truth: SceneTruth, told: DemoPiece): Omit<JudgementPut, 'version'> {
  const degree = (value: number, steps: readonly number[]) => steps.filter((step) => value >= step).length;
  const share = (label: string) => truth.shares[label] ?? 0;
  const colored = 1 - share('base');
  return {
    cells: degree(truth.cells.perCm2, [0.3, 0.9, 1.5, 2.4]),
    lacing: degree(share('activator') / Math.max(0.01, colored), [0.03, 0.08, 0.14, 0.22]),
    petals: degree(colored, [0.08, 0.2, 0.35, 0.6]),
    mud: degree(share('mud') / Math.max(0.01, colored), [0.01, 0.05, 0.12, 0.25]),
    cellSizeMm: Math.round(truth.cells.medianMm * 10) / 10,
    tryNext: told.tryNext ?? '',
    note: '',
  };
}

function sizing({ name, shape, widthMm, heightMm, sideDepthMm }: Support) {
  return { name, shape, widthMm, heightMm, sideDepthMm };
}
