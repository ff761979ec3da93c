import {
  rehearsalNumbers,
  rehearsalPhoto,
  type RehearsalNumbers,
} from '@icy-ribbon/core/judgement/rehearsal';
import { runPour, type FitMeasures, type MeasuredPour } from '@icy-ribbon/core/judgement/fit';
import type { PourRecord } from '@icy-ribbon/core/judgement/outcome';
import type { FilmFrame } from '@icy-ribbon/core/flow/look';
import { compiledFilm, plainFilm, type FilmModule, type MakeKernel } from '@icy-ribbon/core/flow/solver';
import { lookOf, pictureOf } from '@icy-ribbon/core/flow/look';
import {
  airOf,
  castOf,
  cutAcross,
  frameNow,
  layMore,
  NO_PUSH,
  pushOn,
  rehearseWhole,
  scrape,
  startRehearsal,
  stepBack,
  torch,
  wholeSeconds,
  type FilmUnknowns,
  type Push,
  type Rehearsal,
  type Scene,
  type SceneLay,
} from '@icy-ribbon/core/piece/rehearse';
import type { Place } from '@icy-ribbon/core/piece/plan';
import {
  detailOf,
  measurePhoto,
  numbersOf,
  type DetailReport,
  type MeasureInput,
} from '@icy-ribbon/core/picture';
import filmUrl from '@icy-ribbon/core/film.wasm?url';
import { expose, transfer } from 'comlink';

/** What the page is sent after the paint has moved. */
export interface FilmMoment {
  readonly frame: FilmFrame;
  readonly seconds: number;
  readonly airSeconds: number;
  /** Thickness of every layer along the row that was asked for, mm. */
  readonly cut: readonly (readonly number[])[];
  /** Now and then: they take longer. */
  readonly numbers: RehearsalNumbers | null;
  /** Paint seconds that one second of computing moves. */
  readonly pace: number;
}

export interface MeasuredRehearsal {
  readonly numbers: ReturnType<typeof numbersOf>;
  readonly detail: DetailReport;
  readonly input: MeasureInput;
  readonly picture: ImageData;
}

let compiled: Promise<WebAssembly.Module | null> | undefined;
let rehearsal: Rehearsal | undefined;
let lastSeedsAt = -Infinity;
let lastNumbersAt = -Infinity;
let pace = 1;

const SEEDS_EVERY_MS = 90;
const NUMBERS_EVERY_MS = 250;
/** Cells along the longer side with the compiled step, and without. */
const FINE = 192;
const FAIR = 128;
const COARSE = 80;
/** Slower than this, paint seconds a second, and the grid is taken coarser. */
const SLOW = 0.9;

/** The compiled step, null where the browser cannot run it. */
function filmModule(): Promise<WebAssembly.Module | null> {
  compiled ??= fetch(filmUrl)
    .then((response) => response.arrayBuffer())
    .then((bytes) => WebAssembly.compile(bytes))
    .catch(() => null);
  return compiled;
}

async function makeKernel(): Promise<MakeKernel> {
  const module = await filmModule();
  if (!module) return plainFilm;
  return (grid, layers, given) => {
    const { exports } = new WebAssembly.Instance(module, {});
    return compiledFilm(exports as unknown as FilmModule, grid, layers, given);
  };
}

const TRIAL_S = 0.5;

const open = (): Rehearsal => {
  if (!rehearsal) throw new Error('No rehearsal is open.');
  return rehearsal;
};

/** The film of a rehearsal, away from the page. */
const filmWorker = {
  /** Lays a scene, coarser where this machine is slow; or with as many cells along its longer side as are asked for. */
  async start(scene: Scene, unknowns: FilmUnknowns, cells?: number): Promise<void> {
    const make = await makeKernel();
    const isFine = make !== plainFilm && cells === undefined;
    rehearsal = startRehearsal(scene, cells ?? (isFine ? FINE : COARSE), make, unknowns);
    if (isFine) {
      const began = performance.now();
      pushOn(rehearsal, 0.25, NO_PUSH);
      const isSlow = 250 / (performance.now() - began) < SLOW;
      rehearsal = startRehearsal(scene, isSlow ? FAIR : FINE, make, unknowns);
    }
    lastSeedsAt = lastNumbersAt = -Infinity;
    pace = 1;
  },

  /** Moves the paint for some seconds, or as far as it comes in `budgetMs`. */
  move(seconds: number, push: Push, cutAtMm: number, budgetMs: number): FilmMoment {
    const now = open();
    const began = performance.now();
    let done = 0;
    const part = Math.min(seconds, 0.04);
    while (seconds - done > 1e-6 && performance.now() - began < budgetMs) {
      const next = Math.min(part, seconds - done);
      pushOn(now, next, push);
      done += next;
    }
    const took = performance.now() - began;
    if (done > 0) pace = 0.8 * pace + 0.2 * ((1000 * done) / Math.max(1, took));
    return moment(cutAtMm);
  },

  look: (cutAtMm: number): FilmMoment => {
    lastSeedsAt = lastNumbersAt = -Infinity;
    return moment(cutAtMm);
  },

  lay(more: SceneLay): void {
    layMore(open(), more);
  },
  scrape(at: Place, radiusMm: number): void {
    scrape(open(), at, radiusMm);
  },
  torch(at: Place): number {
    return torch(open(), at);
  },
  stepBack(): number {
    return stepBack(open());
  },

  /** Milliseconds that a whole scene takes here, tried on a little of its rest, its air and its spin. */
  async trial(scene: Scene, unknowns: FilmUnknowns, cells: number): Promise<number> {
    const now = startRehearsal(scene, cells, await makeKernel(), unknowns);
    rehearsal = now;
    const msPerS = (push: Push) => {
      const began = performance.now();
      pushOn(now, TRIAL_S, push);
      return (performance.now() - began) / TRIAL_S;
    };
    // What was just laid runs fast for a moment: it says nothing of the rest.
    pushOn(now, TRIAL_S, NO_PUSH);
    const { strokes, spin, support } = scene;
    const [stroke] = strokes;
    const blownS = strokes.reduce((sum, { seconds }) => sum + seconds, 0);
    const middle = { x: support.widthMm / 2, y: support.heightMm / 2 };
    const air = stroke ? msPerS({ ...NO_PUSH, air: airOf(stroke, 0.5) }) : 0;
    const rest = msPerS(NO_PUSH);
    const turn = spin ? msPerS({ ...NO_PUSH, spin: { rpm: spin.rpm, at: middle } }) : 0;
    const spunS = spin?.seconds ?? 0;
    return air * blownS + turn * spunS + rest * (wholeSeconds(scene) - blownS - spunS);
  },

  /** A scene from its first pass to its last; it can be gone on with. */
  async blowWhole(
    scene: Scene,
    unknowns: FilmUnknowns,
    cells: number,
    onProgress: (share: number) => void,
    afterPass?: (numbers: RehearsalNumbers) => void,
  ): Promise<void> {
    const make = await makeKernel();
    let told = 0;
    const tell = (share: number) => {
      if (share - told < 0.03) return;
      told = share;
      onProgress(share);
    };
    const note = afterPass && (() => afterPass(rehearsalNumbers(open())));
    const begin = (begun: Rehearsal) => (rehearsal = begun);
    rehearsal = rehearseWhole(scene, cells, make, unknowns, {
      onProgress: tell,
      onBegin: begin,
      afterPass: note,
    });
    lastSeedsAt = lastNumbersAt = -Infinity;
    pace = 1;
  },

  /** The numbers of a scene before its first pass and after each. */
  async afterPasses(
    scene: Scene,
    unknowns: FilmUnknowns,
    cells: number,
    onProgress: (share: number) => void,
  ): Promise<RehearsalNumbers[]> {
    const passes: RehearsalNumbers[] = [];
    await filmWorker.blowWhole(scene, unknowns, cells, onProgress, (numbers) => passes.push(numbers));
    return passes;
  },

  /** How it goes on under one push: its numbers at the start and after every `everyS`, until `seconds`. */
  onAndOn(
    push: Push,
    seconds: number,
    everyS: number,
    onProgress: (share: number) => void,
  ): RehearsalNumbers[] {
    const now = open();
    const all = [rehearsalNumbers(now)];
    for (let done = 0; done < seconds - 1e-9; done += everyS) {
      pushOn(now, everyS, push);
      all.push(rehearsalNumbers(now));
      onProgress(Math.min(1, (done + everyS) / seconds));
    }
    return all;
  },

  /** A scene from its first pass to its last, with a small picture and its numbers. */
  async whole(
    scene: Scene,
    unknowns: FilmUnknowns,
    cells: number,
    width: number,
    onProgress: (share: number) => void,
  ): Promise<{ readonly picture: ImageData; readonly numbers: RehearsalNumbers }> {
    await filmWorker.blowWhole(scene, unknowns, cells, onProgress);
    const rehearsal = open();
    return { picture: filmWorker.picture(width), numbers: rehearsalNumbers(rehearsal) };
  },

  /** A recorded pour at every offset of the fit's design. */
  async fitPour(
    pour: PourRecord,
    compared: Pick<MeasuredPour, 'colors' | 'cellsFromMm'>,
    cellMm: number | null,
    onRun: () => void,
  ): Promise<FitMeasures[]> {
    return runPour(pour, compared, { makeKernel: await makeKernel(), cellMm, onRun });
  },

  /** A standing picture, for browsers that cannot draw the film, and to be kept. */
  picture(width: number): ImageData {
    const now = open();
    const look = lookOf(
      frameNow(now),
      castOf(now.scene, now.unknowns),
      now.film.kernel.fields.grid.rim.inside,
    );
    const { width: wide, height, rgb } = pictureOf(look, width);
    return imageOf(rgb, wide, height);
  },

  /** Measures it as a photo would be. */
  measure(): MeasuredRehearsal {
    const { photo, input } = rehearsalPhoto(open());
    const measured = measurePhoto(photo, input);
    return {
      numbers: numbersOf(measured),
      detail: detailOf(measured),
      input,
      picture: filmWorker.picture(photo.widthPx),
    };
  },
};

function moment(cutAtMm: number): FilmMoment {
  const now = open();
  const at = performance.now();
  const withSeeds = at - lastSeedsAt > SEEDS_EVERY_MS;
  const withNumbers = at - lastNumbersAt > NUMBERS_EVERY_MS;
  if (withSeeds) lastSeedsAt = at;
  const frame = frameNow(now, withSeeds);
  const numbers = withNumbers ? rehearsalNumbers(now) : null;
  if (withNumbers) lastNumbersAt = performance.now();
  const { seconds } = now.film.clock;
  return transfer(
    { frame, seconds, airSeconds: now.airSeconds, cut: cutAcross(now, cutAtMm), numbers, pace },
    [frame.numbers.buffer as ArrayBuffer],
  );
}

function imageOf(rgb: Uint8ClampedArray, width: number, height: number): ImageData {
  const image = new ImageData(width, height);
  for (let pixel = 0; pixel < width * height; pixel += 1) {
    image.data.set(rgb.subarray(3 * pixel, 3 * pixel + 3), 4 * pixel);
    image.data[4 * pixel + 3] = 255;
  }
  return image;
}

export type FilmWorker = typeof filmWorker;
expose(filmWorker);
