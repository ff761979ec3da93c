import dayjs from 'dayjs';
import { TOP_COAT_DAYS } from '@icy-ribbon/core/flow/drying';
import type { PourRecord } from '@icy-ribbon/core/judgement/outcome';
import { COLD_C } from '#words/coat.ts';

const DAY_MS = 86_400_000;

/** What speaks against a coat now: silicone in any layer, paint that is not through, a cold room. */
export function coatWarnings(
  { cups, pouredAt }: Pick<PourRecord, 'cups' | 'pouredAt'>,
  {
    nowMs,
    roomC,
    coatableMs,
  }: {
    readonly nowMs: number;
    readonly roomC: number | null;
    /** When its own drying lets it be coated; null: not known. */
    readonly coatableMs: number | null;
  },
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
        : coatableMs !== null && nowMs < coatableMs
          ? `Poured ${days} days ago: as it dries, leave it until ${dayjs(coatableMs).format('ddd D MMM')}.`
          : '',
    roomC !== null && roomC < COLD_C
      ? 'The room was cold at the last reading: cold resin keeps its bubbles. Warm room and kit first.'
      : '',
  ].filter(Boolean);
}
