import { LAY_LABELS } from './general.ts';
import type { PourEvent, PourEventKind } from '@icy-ribbon/contract';
import { airTool, bearingName } from '@icy-ribbon/core/flow/air';
import type { useUnits } from '../store/units.ts';

/** Free events: what can happen at any time, each by one key. */
export const FREE_EVENTS = [
  { kind: 'pass', key: 'p', label: 'Pass' },
  { kind: 'torch', key: 't', label: 'Torch' },
  { kind: 'wait', key: 'w', label: 'Wait' },
  { kind: 'spin', key: 's', label: 'Spin' },
  { kind: 'tilt', key: 'i', label: 'Tilt' },
  { kind: 'add-base', key: 'a', label: 'Base added' },
  { kind: 'add-color', key: 'c', label: 'Color added' },
  { kind: 'blow-test', key: 'e', label: 'Blow test' },
  { kind: 'tip-test', key: 'y', label: 'Tip test' },
  { kind: 'card', key: 'u', label: 'Card' },
  { kind: 'scrape', key: 'x', label: 'Scrape' },
  { kind: 'straw', key: 'h', label: 'Straw' },
  { kind: 'skewer', key: 'k', label: 'Skewer' },
  { kind: 'repair', key: 'v', label: 'Repair' },
  { kind: 'note', key: 'n', label: 'Note' },
  { kind: 'photo', key: 'f', label: 'Photo' },
] as const;

export type FreeEvent = (typeof FREE_EVENTS)[number]['kind'];

export interface EventWords {
  readonly title: string;
  readonly detail: string;
}

/** Shown on the line of time and in the record; what only keeps the log in order is not shown. */
export const HIDDEN_KINDS: readonly PourEventKind[] = ['plan', 'void'];

/** An event in a few words. */
export function eventWords(
  event: PourEvent,
  cupName: (cupId: string) => string,
  units: ReturnType<typeof useUnits>,
): EventWords {
  switch (event.kind) {
    case 'layer':
      return {
        title: cupName(event.data.cupId),
        detail: [
          `${units.show('mass', event.data.mg)}${event.data.moment === 'add' ? ' added' : ''}`,
          event.data.shape ? LAY_LABELS[event.data.shape.kind] : '',
        ]
          .filter(Boolean)
          .join(', '),
      };
    case 'pass':
      return {
        title: `${airTool(event.data.tool).label} ${bearingName(event.data.directionDeg)}`,
        detail: [
          event.data.way === 'circling' ? 'circling' : '',
          event.data.end
            ? `${units.show('length', event.data.distanceMm)} to ${units.show('length', event.data.end.distanceMm)}`
            : units.show('length', event.data.distanceMm),
          `${event.data.slantDeg}°`,
          `${event.data.seconds}\u00a0s`,
        ]
          .filter(Boolean)
          .join(', '),
      };
    case 'room':
      return {
        title: event.data.standIn ? 'Room, by a stand-in' : 'Room',
        detail: `${units.show('temperature', event.data.temperatureC)}${event.data.humidityPercent === null ? '' : `, ${event.data.humidityPercent}\u00a0%`}`,
      };
    case 'torch':
      return { title: 'Torched', detail: event.data.seconds === null ? '' : `${event.data.seconds}\u00a0s` };
    case 'wait':
      return {
        title: 'Waited',
        detail: `${event.data.seconds}\u00a0s${event.data.forWhat ? `, ${event.data.forWhat}` : ''}`,
      };
    case 'spin':
      return {
        title: 'Spun',
        detail: `${Math.round(event.data.rpm)} turns a minute, ${event.data.seconds}\u00a0s`,
      };
    case 'tilt':
      return {
        title: `Tilted ${bearingName(event.data.directionDeg)}`,
        detail: event.data.seconds === null ? '' : `${event.data.seconds}\u00a0s`,
      };
    case 'scrape':
      return { title: 'Scraped off', detail: event.data.note };
    case 'straw':
      return { title: 'Straw', detail: event.data.note };
    case 'skewer':
      return { title: 'Skewer', detail: event.data.note };
    case 'card':
      return { title: 'Card drawn', detail: event.data.note };
    case 'lift':
      return { title: 'Cup lifted', detail: event.data.note };
    case 'blow-test':
      return {
        title: 'Blow test',
        detail: `${event.data.moves ? 'moves easily' : 'hardly moves'}, ${event.data.runsOver ? 'still runs over' : 'no more runs over'}`,
      };
    case 'tip-test':
      return {
        title: `Tipped ${event.data.tiltDeg}°`,
        detail: event.data.moves ? 'the middle moves' : 'the middle stands',
      };
    case 'repair':
      return {
        title: 'Repair begun',
        detail: `${units.show('length', 2 * event.data.mark.radiusMm)} wide${event.data.note ? `, ${event.data.note}` : ''}`,
      };
    case 'note':
      return { title: 'Note', detail: event.data.text };
    case 'photo':
      return { title: 'Photo', detail: event.data.note };
    case 'step':
      return {
        title: event.data.outcome === 'done' ? 'Step done' : 'Step left out',
        detail: event.data.note,
      };
    case 'plan':
      return { title: 'Plan', detail: '' };
    case 'void':
      return { title: 'Taken back', detail: '' };
  }
}
