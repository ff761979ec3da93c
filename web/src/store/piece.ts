import {
  api,
  type Addition,
  type DamagedRecord,
  type JudgementPut,
  type Measurement,
  type LayerEvent,
  type Mix,
  type MovementCreate,
  type PassData,
  type PassEvent,
  type Photo,
  type PhotoDetail,
  type PhotoState,
  type Piece,
  type PiecePlan,
  type PourEvent,
  type PourEventKind,
  type EventOf,
  type Reading,
  type ReadingInput,
  type RoomEvent,
} from '@icy-ribbon/contract';
import { cupColor } from '@icy-ribbon/core/paint/color';
import { cupStates, type TestedState } from '@icy-ribbon/core/thickness/learn';
import { pieceProgress } from '@icy-ribbon/core/piece/progress';
import { laidMgOf, layProblem, standing } from '@icy-ribbon/core/piece/event';
import { useStorage } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import type { z } from 'zod';
import { call, upload } from '../api/client.ts';
import { ApiProblem, fieldProblem } from '../api/problem.ts';
import { checkedEvent, usePourQueue } from './pourQueue.ts';
import { inTurn } from './inTurn.ts';
import { sendVersioned } from './versioned.ts';

type MixInput = z.input<typeof api.mixes.create.body>;

/** A cup of the piece in hand with all that is computed of it. */
export interface Cup {
  readonly mix: Mix;
  readonly state: TestedState;
  readonly colorHex: string;
}

/** The piece in hand: its record from the server, and everything derived from it by core. */
export const usePiece = defineStore('piece', () => {
  const inHandId = useStorage<string | null>('icy-ribbon.piece', null);
  const piece = ref<Piece | null>(null);

  /** What was logged and is not at the server yet; it counts already. */
  const queue = usePourQueue(
    inHandId,
    (events) => {
      if (piece.value) piece.value = { ...piece.value, events };
    },
    () => void reload(),
  );
  const log = computed(() => {
    const known = new Set(piece.value?.events.map((event) => event.id));
    return [...(piece.value?.events ?? []), ...queue.waiting.value.filter((event) => !known.has(event.id))];
  });

  const mixes = computed(() => piece.value?.mixes ?? []);
  const readings = computed(() => piece.value?.readings ?? []);
  const tested = computed(() =>
    cupStates(mixes.value, readings.value, (mixId) => laidMgOf(log.value, mixId)),
  );
  /** What all readings of the piece say of its materials. */
  const belief = computed(() => tested.value.belief);
  const cups = computed<Cup[]>(() =>
    mixes.value.map((mix, index) => ({
      mix,
      state: tested.value.states[index]!,
      colorHex: cupColor(mix.ingredients),
    })),
  );
  /** What is poured or raced: every cup but the media that only go into others. */
  const paints = computed(() => cups.value.filter((cup) => cup.mix.role !== 'medium'));
  /** Still to be weighed in, media that others wait for first. */
  const toWeigh = computed(() =>
    cups.value
      .filter((cup) => cup.state.phase !== 'mixed')
      .sort((a, b) => Number(b.mix.role === 'medium') - Number(a.mix.role === 'medium')),
  );
  const events = computed(() => standing(log.value));
  const layers = computed(() => events.value.filter((event): event is LayerEvent => event.kind === 'layer'));
  const passes = computed(() => events.value.filter((event): event is PassEvent => event.kind === 'pass'));
  const room = computed(() =>
    events.value.filter((event): event is RoomEvent => event.kind === 'room').at(-1),
  );
  const progress = computed(() =>
    pieceProgress({
      cups: cups.value.map((cup) => cup.state),
      planned: Boolean(piece.value?.plan),
      layers: layers.value.length,
      passes: passes.value.length,
      photos: piece.value?.photos.length ?? 0,
      judged: Boolean(piece.value?.judgement),
    }),
  );

  /** Takes a piece in hand; a piece that is gone is let go of. */
  async function open(id: string): Promise<void> {
    inHandId.value = id;
    try {
      piece.value = await call(api.pieces.get, { params: { id } });
    } catch (error) {
      if (error instanceof ApiProblem && error.problem.status === 404) letGo();
      throw error;
    }
  }

  async function reload(): Promise<void> {
    if (inHandId.value) await open(inHandId.value);
  }

  function letGo(): void {
    inHandId.value = null;
    piece.value = null;
  }

  function current(): Piece {
    if (!piece.value) throw new Error('no piece in hand');
    return piece.value;
  }

  function replaceMix(mix: Mix): void {
    const found = current();
    if (mix.pieceId !== found.id) return;
    const mixes = found.mixes.some((each) => each.id === mix.id)
      ? found.mixes.map((each) => (each.id === mix.id ? mix : each))
      : [...found.mixes, mix];
    piece.value = { ...found, mixes: mixes.filter((each) => each.deletedAt === null) };
  }

  /**
   * Writes to a cup when what this page writes to it already is done.
   *
   * @param write is told the version that gave, unless the cup is not on the bench any more
   */
  function writeCup(id: string, write: (version?: number) => Promise<Mix | undefined>): Promise<void> {
    return inTurn(`cup ${id}`, async () => {
      const mix = await write(mixes.value.find((each) => each.id === id)?.version);
      if (mix) replaceMix(mix);
      else await reload();
    });
  }

  async function addCup(input: MixInput): Promise<void> {
    const body = { id: crypto.randomUUID(), ...input };
    replaceMix(await call(api.mixes.create, { params: { pieceId: current().id }, body }));
  }

  async function changeCup(
    mix: Mix,
    changes: { name?: string; totalMg?: number; dryColorHex?: string | null },
  ): Promise<void> {
    await writeCup(mix.id, (now = mix.version) =>
      sendVersioned(now, changes, (version) =>
        call(api.mixes.update, { params: { id: mix.id }, body: { ...changes, version } }),
      ),
    );
  }

  async function removeCup({ id, version }: Mix): Promise<Mix> {
    return inTurn(`cup ${id}`, async () => {
      const now = mixes.value.find((each) => each.id === id)?.version ?? version;
      const removed = await call(api.mixes.remove, { params: { id }, query: { version: now } });
      replaceMix(removed);
      return removed;
    });
  }

  async function restoreCup({ id, version }: Mix): Promise<void> {
    await call(api.mixes.restore, { params: { id }, body: { version } });
    await reload();
  }

  async function weighIn(
    mixId: string,
    ingredientId: string,
    mg: number,
    source: 'typed' | 'scale',
  ): Promise<void> {
    const body = { id: crypto.randomUUID(), ingredientId, mg, source };
    await writeCup(mixId, () => call(api.mixes.add, { params: { id: mixId }, body }));
  }

  /** Makes room in a cup for a material its recipe does not have; gives the cup with it. */
  async function addIngredient(mixId: string, materialId: string): Promise<Mix> {
    const body = { id: crypto.randomUUID(), materialId };
    return inTurn(`cup ${mixId}`, async () => {
      const mix = await call(api.mixes.addIngredient, { params: { id: mixId }, body });
      replaceMix(mix);
      return mix;
    });
  }

  /** Pours some of a medium on the bench into another cup. */
  async function draw(mixId: string, fromMixId: string, mg: number): Promise<void> {
    const body = { id: crypto.randomUUID(), fromMixId, mg };
    await inTurn(`cup ${fromMixId}`, () =>
      writeCup(mixId, async () => {
        const { mix, from } = await call(api.mixes.draw, { params: { id: mixId }, body });
        replaceMix(from);
        return mix;
      }),
    );
  }

  /** Strikes out an addition; what came from another cup goes back there. */
  async function takeBackAddition(mixId: string, { id, drawId }: Addition): Promise<void> {
    await writeCup(mixId, () => call(api.mixes.takeBack, { params: { id: mixId, additionId: id } }));
    if (drawId !== null) await reload();
  }

  async function setActual(mix: Mix, ingredientId: string, mg: number): Promise<void> {
    const send = (version: number) =>
      call(api.mixes.setActual, {
        params: { id: mix.id, ingredientId },
        body: { version, mg, source: 'typed' },
      });
    const isThere = (theirs: Mix) => weighedMg(theirs, ingredientId) === mg;
    await writeCup(mix.id, (now = mix.version) => sendVersioned(now, { mg }, send, isThere));
  }

  async function retarget(mix: Mix, targetsMg: readonly number[]): Promise<void> {
    const targets = mix.ingredients.map((each, index) => ({
      ingredientId: each.id,
      targetMg: targetsMg[index] ?? each.targetMg,
    }));
    await writeCup(mix.id, (now = mix.version) =>
      sendVersioned(now, {}, (version) =>
        call(api.mixes.retarget, { params: { id: mix.id }, body: { version, targets } }),
      ),
    );
  }

  async function moveOut(mixId: string, kind: MovementCreate['kind'], mg: number): Promise<void> {
    const body = { id: crypto.randomUUID(), kind, mg };
    await writeCup(mixId, () => call(api.mixes.move, { params: { id: mixId }, body }));
  }

  function setReadings(next: Reading[]): void {
    piece.value = { ...current(), readings: next };
  }

  /** Keeps readings of cups, or all lanes of a race. */
  async function addReadings(input: readonly ReadingInput[]): Promise<void> {
    const { id: pieceId } = current();
    const answer = await call(api.readings.add, { params: { pieceId }, body: { readings: [...input] } });
    setReadings(answer.readings);
  }

  async function strikeReading(id: string, struck: boolean): Promise<void> {
    const answer = await call(api.readings.strike, { params: { id }, body: { struck } });
    setReadings(answer.readings);
  }

  function setPlan(plan: PiecePlan): void {
    if (piece.value) piece.value = { ...piece.value, plan };
  }

  /**
   * Logs an event of the pour: it is checked and kept in the browser at once, and sent when the server answers.
   *
   * @throws ApiProblem with the field when it cannot have happened
   */
  function record<Kind extends PourEventKind>(kind: Kind, data: EventOf<Kind>['data']): PourEvent {
    const { id: pieceId } = current();
    const event = checkedEvent({ id: crypto.randomUUID(), at: new Date().toISOString(), kind, data });
    if (event.kind === 'layer') requireInCup(event.data);
    if (kind !== 'plan' && kind !== 'room' && kind !== 'void') keepPlan(pieceId);
    queue.add(pieceId, event);
    return event;
  }

  /** A pour keeps the plan it began with. */
  function keepPlan(pieceId: string): void {
    const plan = piece.value?.plan;
    if (!plan || events.value.some((event) => event.kind !== 'room')) return;
    const { version, createdAt, updatedAt, ...body } = plan;
    void [version, createdAt, updatedAt];
    queue.add(
      pieceId,
      checkedEvent({ id: crypto.randomUUID(), at: new Date().toISOString(), kind: 'plan', data: body }),
    );
  }

  /**
   * Sets right what was logged: the correction takes its place, at the time it happened.
   *
   * @throws ApiProblem with the field when it cannot have happened
   */
  function correct(was: PourEvent, data: object): PourEvent {
    const { kind, at, id: insteadOf } = was;
    const event = checkedEvent({ id: crypto.randomUUID(), at, kind, data, insteadOf });
    if (event.kind === 'layer') requireInCup(event.data, was.kind === 'layer' ? was.data : undefined);
    queue.add(current().id, event);
    return event;
  }

  /** A correction may use what the layer that it corrects took. */
  function requireInCup({ mixId, mg }: LayerEvent['data'], instead?: LayerEvent['data']): void {
    const cup = cups.value.find((each) => each.mix.id === mixId);
    if (!cup) return;
    const leftMg = cup.state.leftMg + (instead?.mixId === mixId ? instead.mg : 0);
    const problem = layProblem({ name: cup.mix.name, leftMg }, mg);
    if (problem) throw fieldProblem('data.mg', problem);
  }

  const layDown = (mixId: string, mg: number, more: Partial<LayerEvent['data']> = {}) =>
    record('layer', { mixId, mg, ...more });
  const logPass = (data: PassData) => record('pass', data);
  const logRoom = (data: RoomEvent['data']) => record('room', data);
  const takeBackEvent = (eventId: string) => record('void', { eventId });

  function replacePhoto(photo: Photo): void {
    const photos = current().photos.some((each) => each.id === photo.id)
      ? current().photos.map((each) => (each.id === photo.id ? photo : each))
      : [...current().photos, photo];
    piece.value = { ...current(), photos };
  }

  /** Lets the camera stand-in take a photo. */
  async function takePhoto(state: PhotoState): Promise<Photo> {
    const body = { id: crypto.randomUUID(), state, megapixels: 3 };
    const photo = await call(api.photos.shutter, { params: { pieceId: current().id }, body });
    replacePhoto(photo);
    return photo;
  }

  async function keepMeasurement(photo: Photo, measurement: Measurement, detail: PhotoDetail): Promise<void> {
    const changed = await sendVersioned(photo.version, {}, (version) =>
      call(api.photos.measure, { params: { id: photo.id }, body: { version, measurement, detail } }),
    );
    if (changed) replacePhoto(changed);
    else await reload();
  }

  async function attachPhoto(file: Blob, state: PhotoState): Promise<Photo> {
    const form = new FormData();
    form.set('id', crypto.randomUUID());
    form.set('state', state);
    form.set('photo', file);
    const photo = await upload(api.photos.upload, form, { pieceId: current().id });
    replacePhoto(photo);
    return photo;
  }

  async function removePhoto({ id, version }: Photo): Promise<Photo> {
    const removed = await call(api.photos.remove, { params: { id }, query: { version } });
    piece.value = { ...current(), photos: current().photos.filter((photo) => photo.id !== id) };
    return removed;
  }

  async function restorePhoto({ id, version }: Photo): Promise<void> {
    await call(api.photos.restore, { params: { id }, body: { version } });
    await reload();
  }

  async function judge(judged: Omit<JudgementPut, 'version'>): Promise<void> {
    const found = current();
    const judgement = await sendVersioned(found.judgement?.version ?? 0, judged, (version) =>
      call(api.judgements.put, { params: { pieceId: found.id }, body: { ...judged, version } }),
    );
    if (judgement) piece.value = { ...current(), judgement };
    else await reload();
  }

  /** Takes a record that cannot be read out of the piece. */
  async function setAside({ what, id }: Pick<DamagedRecord, 'what' | 'id'>): Promise<void> {
    piece.value = await call(api.pieces.setAside, { params: { id: current().id }, body: { what, id } });
  }

  async function rename(name: string): Promise<void> {
    const { id, version } = current();
    await sendVersioned(version, { name }, (now) =>
      call(api.pieces.update, { params: { id }, body: { version: now, name } }),
    );
    await reload();
  }

  return {
    inHandId,
    piece,
    cups,
    belief,
    readings,
    addReadings,
    strikeReading,
    paints,
    toWeigh,
    events,
    layers,
    passes,
    room,
    progress,
    open,
    reload,
    letGo,
    addCup,
    changeCup,
    removeCup,
    restoreCup,
    weighIn,
    addIngredient,
    draw,
    takeBackAddition,
    setActual,
    retarget,
    moveOut,
    setPlan,
    log,
    unsent: queue.waiting,
    written: queue.written,
    delivered: queue.delivered,
    refused: queue.refused,
    dropRefused: queue.drop,
    record,
    correct,
    layDown,
    logPass,
    logRoom,
    takeBackEvent,
    attachPhoto,
    takePhoto,
    keepMeasurement,
    removePhoto,
    restorePhoto,
    judge,
    rename,
    setAside,
  };
});

/** What stands weighed in of one ingredient. */
function weighedMg(mix: Mix, ingredientId: string): number {
  return mix.additions
    .filter((addition) => addition.ingredientId === ingredientId)
    .reduce((sum, { mg }) => sum + mg, 0);
}
