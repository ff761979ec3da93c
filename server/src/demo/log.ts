import type { Mix, PourEvent, Support } from '@icy-ribbon/contract';
import type { Random } from '@icy-ribbon/core/base/random';
import { cupState } from '@icy-ribbon/core/paint/mix';
import type { CupRole, Technique } from '@icy-ribbon/core/paint/stage';
import type { LaidShape } from '@icy-ribbon/core/piece/event';
import type { DemoPiece } from './scenario.ts';

/** The room, and every cup as it is laid. */
export function layDown(
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
export function workTheAir(
  told: DemoPiece,
  clock: (minutes: number) => string,
  makeId: () => string,
): PourEvent[] {
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
