import { TOP_COAT_DAYS } from '@icy-ribbon/core/flow/drying';
import type { PourRecord } from '@icy-ribbon/core/judgement/outcome';

const DAY_MS = 86_400_000;
/** Colder than this resin comes out full of bubbles (common practice, no published source), °C. */
const COLD_C = 20;

/** What speaks against a coat now: silicone in any layer, paint that is not through, a cold room. */
export function coatWarnings(
  { cups, pouredAt }: Pick<PourRecord, 'cups' | 'pouredAt'>,
  { nowMs, roomC }: { readonly nowMs: number; readonly roomC: number | null },
): string[] {
  const oiled = cups.filter(({ hasSilicone, laidMg }) => hasSilicone && laidMg > 0).map(({ name }) => name);
  const days = pouredAt === null ? null : Math.floor((nowMs - Date.parse(pouredAt)) / DAY_MS);
  return [
    oiled.length > 0
      ? `Silicone lies in it (${oiled.join(', ')}): a coat fish-eyes. Degrease it and try a corner first.`
      : '',
    days === null
      ? 'It is not poured yet: these are the amounts for later.'
      : days < TOP_COAT_DAYS.least
        ? `Poured ${days === 0 ? 'today' : days === 1 ? 'yesterday' : `${days} days ago`}: wait about ${TOP_COAT_DAYS.usual} days, never less than ${TOP_COAT_DAYS.least}.`
        : days < TOP_COAT_DAYS.usual
          ? `Poured ${days} days ago: usually it is left about ${TOP_COAT_DAYS.usual}.`
          : '',
    roomC !== null && roomC < COLD_C
      ? 'The room was cold at the last reading: cold resin keeps its bubbles. Warm room and kit first.'
      : '',
  ].filter(Boolean);
}
