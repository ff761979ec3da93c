import type { DamagedRecord, JudgementPut, Piece, PiecePlan } from '@icy-ribbon/contract';
import { api } from '@icy-ribbon/contract/addresses';
import { cupColor } from '@icy-ribbon/core/paint/color';
import { careInShort } from '@icy-ribbon/core/piece/care';
import { laidMgOf } from '@icy-ribbon/core/piece/event';
import { pieceProgress } from '@icy-ribbon/core/piece/progress';
import type { Aims } from '@icy-ribbon/core/paint/stage';
import { cupStates } from '@icy-ribbon/core/thickness/learn';
import { useStorage } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';
import { call } from '#api/client.ts';
import { useTableQueue } from '../tableQueue.ts';
import { sendVersioned } from '../versioned.ts';
import { careWrites } from './care.ts';
import type { Cup } from './cup.ts';
import { cupWrites } from './cups.ts';
import { pieceInHand } from './inHand.ts';
import { photoWrites } from './photos.ts';
import { pourLog } from './pourLog.ts';
import { sendWrite } from './send.ts';
import { mixesWith, readingsWith, waitingEvents } from './waiting.ts';

export type { Cup } from './cup.ts';

/** The piece in hand: its record from the server, everything core derives from it, and what is done to it. */
export const usePiece = defineStore('piece', () => {
  const inHandId = useStorage<string | null>('icy-ribbon.piece', null);
  const piece = shallowRef<Piece | null>(null);
  const hand = pieceInHand(inHandId, piece);

  /** What was done and is not at the server yet; it counts already. */
  const queue = useTableQueue(inHandId, sendWrite(hand), () => void hand.reload());
  const { log, events, layers, passes, room } = pourLog(hand, queue);

  const mixes = computed(() => mixesWith(piece.value?.mixes ?? [], queue.waiting.value));
  const readings = computed(() =>
    readingsWith(piece.value?.readings ?? [], queue.waiting.value, mixes.value),
  );
  const tested = computed(() =>
    cupStates(mixes.value, readings.value, (cupId) => laidMgOf(log.value, cupId)),
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
  /** What the log after its pour comes to. */
  const inShort = computed(() => careInShort(piece.value?.care ?? [], piece.value?.topCoatedAt ?? null));
  const progress = computed(() =>
    pieceProgress({
      cups: cups.value.map((cup) => cup.state),
      planned: Boolean(piece.value?.plan),
      layers: layers.value.length,
      passes: passes.value.length,
      photos: piece.value?.photos.length ?? 0,
      judged: Boolean(piece.value?.judgement),
      verdict: piece.value?.judgement?.verdict,
      cropped: piece.value?.origin?.how === 'crop',
      care: { isCoated: inShort.value.coats.length > 0, isDone: inShort.value.isDone },
    }),
  );

  function setPlan(plan: PiecePlan): void {
    if (piece.value) hand.change({ plan });
  }

  /** @param from the version that it was begun from; now when left out */
  async function judge(judged: Omit<JudgementPut, 'version'>, from?: number): Promise<void> {
    const found = hand.current();
    const judgement = await sendVersioned(from ?? found.judgement?.version ?? 0, judged, (version) =>
      call(api.judgements.put, { params: { pieceId: found.id }, body: { ...judged, version } }),
    );
    if (judgement) hand.change({ judgement });
    else await hand.reload();
  }

  /** Takes a record that cannot be read out of the piece. */
  async function setAside({ what, id }: Pick<DamagedRecord, 'what' | 'id'>): Promise<void> {
    piece.value = await call(api.pieces.setAside, { params: { id: hand.current().id }, body: { what, id } });
  }

  const rename = (name: string) => update({ name });
  const aim = (aims: Aims) => update({ aims });
  const setColors = (colors: number) => update({ colors });

  async function update(changes: {
    readonly name?: string;
    readonly aims?: Aims;
    readonly colors?: number;
  }): Promise<void> {
    const { id, version } = hand.current();
    await sendVersioned(version, changes, (now) =>
      call(api.pieces.update, { params: { id }, body: { version: now, ...changes } }),
    );
    await hand.reload();
  }

  return {
    inHandId,
    piece,
    open: hand.open,
    reload: hand.reload,
    letGo: hand.letGo,
    current: hand.current,
    /** Keeps what was done at the table until the server has it. */
    keep: queue.add,
    cups,
    belief,
    readings,
    paints,
    toWeigh,
    log,
    events,
    layers,
    passes,
    room,
    progress,
    inShort,
    mixes,
    unsent: computed(() => waitingEvents(queue.waiting.value)),
    waitingCount: queue.count,
    written: queue.written,
    delivered: queue.delivered,
    refused: queue.refused,
    dropRefused: queue.drop,
    retryRefused: queue.retry,
    ...cupWrites(hand, queue),
    ...photoWrites(hand),
    ...careWrites(hand),
    setPlan,
    judge,
    rename,
    aim,
    setColors,
    setAside,
  };
});
