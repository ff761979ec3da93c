import type { EventOf, PourEvent, PourEventKind } from '@icy-ribbon/contract';
import { airTool, bearingName } from '@icy-ribbon/core/flow/air';
import { CAUTIONS } from '@icy-ribbon/core/paint/caution';
import type { useUnits } from '../store/units.ts';
import { LAY_LABELS } from './general.ts';

/** What a form may ask for; a "place" is drawn on the support. */
export type EventField =
  | 'direction'
  | 'rpm'
  | 'way'
  | 'seconds'
  | 'cup'
  | 'words'
  | 'place'
  | 'radius'
  | 'tilt'
  | 'moves'
  | 'runsOver';

interface FreeRow {
  readonly kind: PourEventKind | 'add-base' | 'add-color';
  readonly key: string;
  readonly label: string;
  /** What its form asks for, in this order; left out: it has a form of its own. */
  readonly fields?: readonly EventField[];
  readonly caution?: string;
  /** A planned step of this kind is logged by this form. */
  readonly isStep?: true;
}

/** Free events: what can happen at any time, each by one key. */
export const FREE_EVENTS = [
  { kind: 'pass', key: 'p', label: 'Pass' },
  {
    ...{ kind: 'torch', key: 't', label: 'Torch', fields: ['seconds'] },
    caution: `${CAUTIONS.torch} ${CAUTIONS.deferral}`,
  },
  { kind: 'wait', key: 'w', label: 'Wait', fields: ['seconds', 'words'] },
  {
    ...{ kind: 'spin', key: 's', label: 'Spin', fields: ['rpm', 'way', 'seconds'] },
    caution: 'Fix the board on the spinner and stand clear.',
  },
  { kind: 'tilt', key: 'i', label: 'Tilt', fields: ['direction', 'seconds'] },
  { kind: 'add-base', key: 'a', label: 'Base added', fields: ['cup', 'place'] },
  { kind: 'add-color', key: 'c', label: 'Color added', fields: ['cup', 'place'] },
  { kind: 'blow-test', key: 'e', label: 'Blow test', fields: ['moves', 'runsOver'], isStep: true },
  { kind: 'tip-test', key: 'y', label: 'Tip test', fields: ['tilt', 'moves'], isStep: true },
  { kind: 'card', key: 'u', label: 'Card', fields: ['place', 'words'], isStep: true },
  { kind: 'scrape', key: 'x', label: 'Scrape', fields: ['place', 'radius', 'words'] },
  {
    ...{ kind: 'straw', key: 'h', label: 'Straw', fields: ['place', 'radius', 'words'], isStep: true },
    caution: CAUTIONS.breath,
  },
  { kind: 'skewer', key: 'k', label: 'Skewer', fields: ['place', 'words'], isStep: true },
  { kind: 'repair', key: 'v', label: 'Repair' },
  { kind: 'note', key: 'n', label: 'Note', fields: ['words'] },
  { kind: 'photo', key: 'f', label: 'Photo', fields: ['words'], isStep: true },
] as const satisfies readonly FreeRow[];

type FreeEventRow = (typeof FREE_EVENTS)[number];
export type FreeEvent = FreeEventRow['kind'];

/** What one form enters: a free event, or a layer that is being corrected. */
export type FormKind = Extract<FreeEventRow, { fields: unknown }>['kind'] | 'layer';

/** The row of a form; a layer that is corrected has no key. */
export const formRow = (kind: FormKind): Omit<FreeRow, 'key'> & Required<Pick<FreeRow, 'fields'>> =>
  kind === 'layer'
    ? { kind, label: 'Laid down', fields: ['cup'] }
    : (FREE_EVENTS.find((row) => row.kind === kind) as Required<FreeRow>);

/** The form that corrects an event; undefined for what has one of its own, or is only taken back. */
export const formOf = (kind: PourEventKind): FormKind | undefined =>
  kind === 'layer' || FREE_EVENTS.some((row) => row.kind === kind && 'fields' in row)
    ? (kind as FormKind)
    : undefined;

/** The form that logs a step of the run sheet of this kind. */
export const formOfStep = (kind: string): FormKind | undefined =>
  FREE_EVENTS.find((row) => row.kind === kind && 'isStep' in row)?.kind as FormKind | undefined;

export interface EventWords {
  readonly title: string;
  readonly detail: string;
}

interface Say {
  readonly cupName: (cupId: string) => string;
  readonly units: ReturnType<typeof useUnits>;
}

const listed = (...parts: readonly (string | false | null | undefined)[]): string =>
  parts.filter(Boolean).join(', ');
const seconds = (value: number | null): string => (value === null ? '' : `${value}\u00a0s`);

/** A kind of event in a few words: its title, and the rest. */
const WORDS: {
  readonly [Kind in PourEventKind]: (
    data: EventOf<Kind>['data'],
    say: Say,
  ) => readonly [title: string, detail: string];
} = {
  layer: ({ cupId, mg, moment, shape }, { cupName, units }) => [
    cupName(cupId),
    listed(
      `${units.show('mass', mg)}${moment === 'add' ? ' added' : ''}`,
      shape ? LAY_LABELS[shape.kind] : '',
    ),
  ],
  pass: ({ tool, directionDeg, way, end, distanceMm, slantDeg, seconds: took }, { units }) => [
    `${airTool(tool).label} ${bearingName(directionDeg)}`,
    listed(
      way === 'circling' && 'circling',
      `${units.show('length', distanceMm)}${end ? ` to ${units.show('length', end.distanceMm)}` : ''}`,
      `${slantDeg}°`,
      seconds(took),
    ),
  ],
  room: ({ standIn, temperatureC, humidityPercent }, { units }) => [
    standIn ? 'Room, by a stand-in' : 'Room',
    listed(
      units.show('temperature', temperatureC),
      humidityPercent === null ? '' : `${humidityPercent}\u00a0%`,
    ),
  ],
  torch: (data) => ['Torched', seconds(data.seconds)],
  wait: (data) => ['Waited', listed(seconds(data.seconds), data.forWhat)],
  spin: (data) => ['Spun', listed(`${Math.round(data.rpm)} turns a minute`, seconds(data.seconds))],
  tilt: (data) => [`Tilted ${bearingName(data.directionDeg)}`, seconds(data.seconds)],
  scrape: ({ note }) => ['Scraped off', note],
  straw: ({ note }) => ['Straw', note],
  skewer: ({ note }) => ['Skewer', note],
  card: ({ note }) => ['Card drawn', note],
  lift: ({ note }) => ['Cup lifted', note],
  'blow-test': ({ moves, runsOver }) => [
    'Blow test',
    listed(moves ? 'moves easily' : 'hardly moves', runsOver ? 'still runs over' : 'no more runs over'),
  ],
  'tip-test': ({ tiltDeg, moves }) => [
    `Tipped ${tiltDeg}°`,
    moves ? 'the middle moves' : 'the middle stands',
  ],
  repair: ({ mark, note }, { units }) => [
    'Repair begun',
    listed(`${units.show('length', 2 * mark.radiusMm)} wide`, note),
  ],
  note: ({ text }) => ['Note', text],
  photo: ({ note }) => ['Photo', note],
  step: ({ outcome, note }) => [outcome === 'done' ? 'Step done' : 'Step left out', note],
  plan: () => ['Plan', ''],
  void: () => ['Taken back', ''],
};

/** Shown on the line of time and in the record; what only keeps the log in order is not shown. */
export const HIDDEN_KINDS: readonly PourEventKind[] = ['plan', 'void'];

/** An event in a few words. */
export function eventWords(
  { kind, data }: PourEvent,
  cupName: (cupId: string) => string,
  units: ReturnType<typeof useUnits>,
): EventWords {
  const tell = WORDS[kind] as (data: PourEvent['data'], say: Say) => readonly [string, string];
  const [title, detail] = tell(data, { cupName, units });
  return { title, detail };
}
