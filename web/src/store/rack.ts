import type { PieceSummary } from '@icy-ribbon/contract';
import { api } from '@icy-ribbon/contract/addresses';
import { lifeAt, usualDrying, type DryingHours, type Life } from '@icy-ribbon/core/flow/drying';
import {
  freeMm,
  lifeFacts,
  lyingIn,
  workDates,
  type CareData,
  type CareKind,
  type WorkDate,
} from '@icy-ribbon/core/piece/care';
import dayjs from 'dayjs';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { call } from '../api/client.ts';
import { useEquipment } from './equipment.ts';
import { sendCare } from './piece/care.ts';
import { usePieces } from './pieces.ts';
import { usePourNumbers } from './pourNumbers.ts';

/** What was poured longer ago and lies on no shelf is not looked for on the rack. */
const LOOKS_BACK_DAYS = 60;

/** A piece with how far it has dried. */
export interface OnRack {
  readonly piece: PieceSummary;
  readonly life: Life;
  readonly drying: DryingHours;
}

/** The pieces that dry, coat and wait, and the shelves they lie on. */
export const useRack = defineStore('rack', () => {
  const pieces = usePieces();
  const equipment = useEquipment();
  const numbers = usePourNumbers();
  const items = shallowRef<PieceSummary[]>([]);
  const nowMs = ref(Date.now());
  const loaded = ref(false);

  const dryingOf = (piece: PieceSummary) => numbers.drying(usualDrying(piece), piece.technique);

  async function load(): Promise<void> {
    const since = dayjs().subtract(LOOKS_BACK_DAYS, 'day').format('YYYY-MM-DD');
    const [placed, poured, shown, open] = await Promise.all([
      pieces.allHaving('place'),
      pieces.allPouredSince(since),
      pieces.allHaving('show'),
      pieces.allHaving('open'),
      equipment.load(),
      numbers.load(),
    ]);
    const all = [...placed, ...poured, ...shown, ...open];
    items.value = [...new Map(all.map((piece) => [piece.id, piece])).values()];
    nowMs.value = Date.now();
    loaded.value = true;
  }

  const drying = computed<OnRack[]>(() =>
    items.value.flatMap((piece) => {
      const hours = dryingOf(piece);
      const facts = lifeFacts(piece, hours);
      return facts ? [{ piece, drying: hours, life: lifeAt(facts, nowMs.value) }] : [];
    }),
  );
  const slotIds = computed(
    () => new Set(equipment.shelves.flatMap((shelf) => shelf.slots.map(({ id }) => `${shelf.id} ${id}`))),
  );
  const isPlaced = ({ care: { place } }: PieceSummary) =>
    place !== null && slotIds.value.has(`${place.shelfId} ${place.slotId}`);

  /** Pieces of a slot in the order they were started. */
  const lyingAt = (shelfId: string, slotId: string): OnRack[] =>
    drying.value.filter(
      ({ piece: { care } }) => care.place?.shelfId === shelfId && care.place.slotId === slotId,
    );
  /** What dries and lies on no shelf; what is finished has gone. */
  const elsewhere = computed(() =>
    drying.value.filter(({ piece, life }) => !isPlaced(piece) && life.stage !== 'finished'),
  );
  const dates = computed<WorkDate[]>(() =>
    items.value
      .flatMap((piece) => workDates(piece, dryingOf(piece)))
      .sort((a, b) => a.when.fromMs - b.when.fromMs),
  );

  /** Every slot, and how a piece of that size would lie there. */
  const slotsFor = (size: { widthMm: number; heightMm: number }, exceptId?: string) =>
    equipment.shelves.flatMap((shelf) =>
      shelf.slots.map((slot) => {
        const others = lyingAt(shelf.id, slot.id).filter(({ piece }) => piece.id !== exceptId);
        const free = freeMm(
          slot,
          shelf.depthMm,
          others.map(({ piece }) => piece.support),
        );
        return { shelf, slot, free, lying: lyingIn(size, { freeMm: free, depthMm: shelf.depthMm }) };
      }),
    );

  async function note<Kind extends CareKind>(
    pieceId: string,
    kind: Kind,
    data: CareData[Kind],
  ): Promise<string> {
    const log = await sendCare(pieceId, kind, data);
    await load();
    return log.at(-1)!.id;
  }

  const calendarPath = ref<string | null>(null);
  /** Where a calendar subscribes; a device at the table is not told. */
  async function loadCalendarPath(): Promise<void> {
    calendarPath.value = (await call(api.calendar.address).catch(() => ({ path: null }))).path;
  }
  async function renewCalendarPath(): Promise<void> {
    calendarPath.value = (await call(api.calendar.renew)).path;
  }

  return {
    calendarPath,
    loadCalendarPath,
    renewCalendarPath,
    items,
    drying,
    elsewhere,
    dates,
    nowMs,
    loaded,
    load,
    lyingAt,
    slotsFor,
    isPlaced,
    note,
    dryingOf,
  };
});
