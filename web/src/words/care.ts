import { DATE_WORDS, type Origin } from '@icy-ribbon/contract';
import type { CoatKind, DryingHours, Life, LifeStage, Span } from '@icy-ribbon/core/flow/drying';
import type {
  CareCheck,
  ClosingStep,
  Decision,
  DryingRisk,
  RiskCode,
  WorkDate,
} from '@icy-ribbon/core/piece/care';
import dayjs from 'dayjs';
import { percent } from './percent.ts';

export const STAGE_WORDS: Readonly<Record<LifeStage, string>> = {
  wet: 'wet',
  skin: 'skinned over',
  'touch-dry': 'touch-dry',
  alterable: 'ready to be laid over',
  coatable: 'ready for a top coat',
  curing: 'its coat cures',
  finished: 'finished',
};

export const COAT_LABELS: Readonly<Record<CoatKind, string>> = {
  varnish: 'Gloss varnish',
  resin: 'Resin',
  film: 'Clear film',
};

export const CHECK_LABELS: Readonly<Record<CareCheck, { label: string; fine: string; found: string }>> = {
  'wet-against-dry': { label: 'Wet against dry', fine: 'as it was wet', found: 'changed' },
  cracks: { label: 'Cracks', fine: 'none', found: 'cracked' },
  drift: { label: 'Drift', fine: 'stayed', found: 'drifted' },
  pinholes: { label: 'Pinholes', fine: 'none', found: 'pinholes' },
  flatness: { label: 'Flatness', fine: 'flat', found: 'bowed' },
};

export const DECISION_LABELS: Readonly<Record<Decision, { label: string; does: string }>> = {
  finish: { label: 'Finish', does: 'It gets its lines and its top coat.' },
  hang: { label: 'Hang as it is', does: 'Nothing more is done to it; it hangs when it is dry.' },
  alter: { label: 'Alter', does: 'A part of it is painted over, after three days.' },
  'pour-over': {
    label: 'Pour over',
    does: 'A new pour goes over it: sand it first, its cracks and ridges show through.',
  },
  scrape: { label: 'Scrape while wet', does: 'The paint comes off and the support starts again.' },
  'wash-off': { label: 'Wash off', does: 'A cheap practice tile is washed clean.' },
  ground: { label: 'Keep as a ground', does: 'It waits as the ground of other work.' },
  crop: { label: 'Crop', does: 'The best part becomes a print or a small piece of its own.' },
};

const RISK_WORDS: Readonly<Record<RiskCode, readonly [what: string, help: string]>> = {
  'middle-last': ['The middle dries last', 'don’t judge the piece by its edge.'],
  cracks: ['It may crack', 'keep it cool and out of the draft.'],
  'rim-cracks': ['The bare rim may crack first', 'dab base on it while it’s wet.'],
  warps: ['The board may bow as it dries', 'weight it, or bend it back then.'],
  sags: ['The cloth may sag', 'prop the middle from below.'],
};

/** What may happen as it dries, how likely, and what helps. */
export function riskSentence({ code, chance }: DryingRisk): string {
  const [what, help] = RISK_WORDS[code];
  return `${what} (chance ${percent(Math.round(10 * chance) / 10)}): ${help}`;
}

export const CLOSING_LABELS: Readonly<Record<ClosingStep, string>> = {
  'left-overs': 'Left-overs into lidded cups or bottles, with color, parts and date',
  tools: 'Knives and sticks wiped while wet',
  spinner: 'Skin peeled off the spinner: a lump tilts the next piece',
  bottles: 'The bottles’ mouths strained and wiped',
  tape: 'Tape off the back, once nothing drips',
  drain: 'Nothing down the drain: left-overs dry, then the bin, as local rules say',
};

const dayOf = (ms: number) => dayjs(ms).format('ddd D MMM');

/** "on Mon 2 Mar", "from Mon 2 Mar to Wed 4 Mar". */
export function spanWords({ fromMs, toMs }: Span): string {
  const [from, to] = [dayOf(fromMs), dayOf(toMs)];
  return from === to ? `on ${from}` : `from ${from} to ${to}`;
}

const HOUR_MS = 3_600_000;

/** "in 3 days", "in 5 h", "now". */
export function untilWords(ms: number, nowMs: number): string {
  const hours = (ms - nowMs) / HOUR_MS;
  if (hours <= 0) return 'now';
  if (hours < 1) return `in ${Math.max(1, Math.round(60 * hours))}\u00a0min`;
  if (hours < 48) return `in ${Math.round(hours)}\u00a0h`;
  return `in ${Math.round(hours / 24)}\u00a0days`;
}

/** How far it is, and what comes when. */
export function lifeWords({ stage, next }: Life, nowMs: number): string {
  const here = STAGE_WORDS[stage];
  if (!next) return here;
  const then = STAGE_WORDS[next.stage];
  return next.when.fromMs <= nowMs
    ? `${here}, maybe ${then} by now`
    : `${here}, ${then} ${spanWords(next.when)}`;
}

/** Asks about a piece that is said to be dry long before its forecast. */
export const tooSoonWords = ({ low, high }: DryingHours): string =>
  `The forecast is ${Math.round(low)} to ${Math.round(high)}\u00a0hours after the pour. Is it touch-dry already?`;

/** "Lichen Drift: touch-dry: touch it". */
export const workDateWords = ({ kind, note }: WorkDate): string => DATE_WORDS[kind] + (note && ` "${note}"`);

const SIDES = ['top', 'top right', 'right', 'bottom right', 'bottom', 'bottom left', 'left', 'top left'];
const EIGHTH = 45;

/** The edge or corner that a direction points to, clockwise from the top. */
export const sideWords = (deg: number): string =>
  SIDES[Math.round((((deg % 360) + 360) % 360) / EIGHTH) % SIDES.length]!;

/** How a piece came out of another, said at the one and at the other. */
export const ORIGIN_WORDS: Readonly<Record<Origin['how'], { from: string; to: string }>> = {
  alter: { from: 'it was, before it was altered', to: 'this, altered' },
  'pour-over': { from: 'lies under it', to: 'was poured over it' },
  ground: { from: 'is its ground', to: 'stands on it as a ground' },
  scrape: { from: 'was scraped off its support', to: 'the next on its support' },
  crop: { from: 'it was cropped from', to: 'cropped from it' },
};
