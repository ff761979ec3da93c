import { DEGREE_WORDS } from '@icy-ribbon/contract';
import type { CupRole, Technique } from '@icy-ribbon/core/paint/stage';
import dayjs from 'dayjs';

export const TECHNIQUE_LABELS: Readonly<Record<Technique, string>> = {
  dutch: 'Dutch pour',
  bloom: 'Bloom',
  swipe: 'Swipe',
  ring: 'Ring pour',
  'lifted-cup': 'Lifted cup',
  radial: 'Radial pour',
};

/** Several pours of a technique, inside a sentence. */
export const TECHNIQUE_PLURALS: Readonly<Record<Technique, string>> = {
  dutch: 'Dutch pours',
  bloom: 'blooms',
  swipe: 'swipes',
  ring: 'ring pours',
  'lifted-cup': 'lifted cups',
  radial: 'radial pours',
};

export const ROLE_LABELS: Readonly<Record<CupRole, string>> = {
  base: 'Base',
  color: 'Color',
  pillow: 'Pillow',
  activator: 'Activator',
  swipe: 'Swiped color',
  medium: 'Medium',
};

/** How paint is laid on the support. */
export const LAY_LABELS = {
  face: 'over the face',
  stack: 'pile',
  ribbon: 'ribbon',
  line: 'line',
  crescent: 'crescent',
  flood: 'flood',
} as const;

/** The roles a piece of this technique asks for, the ground first. */
export const ROLES_OF: Readonly<Record<Technique, readonly CupRole[]>> = {
  dutch: ['base', 'color'],
  bloom: ['pillow', 'color', 'activator'],
  swipe: ['base', 'color', 'swipe'],
  ring: ['base', 'color'],
  'lifted-cup': ['base', 'color'],
  radial: ['base', 'color'],
};

const LIST = new Intl.ListFormat('en', { type: 'conjunction', style: 'long' });

/** "rust, rain, and brass". */
export const namesListed = (names: readonly string[]): string => LIST.format(names);

/** "just now", "40 min old", "20 h old", "9 days old". */
export function ageWords(at: string): string {
  const minutes = dayjs().diff(at, 'minute');
  if (minutes < 5) return 'just now';
  if (minutes < 60) return `${minutes}\u00a0min old`;
  const hours = Math.round(minutes / 60);
  return hours < 48 ? `${hours}\u00a0h old` : `${Math.round(hours / 24)} days old`;
}

export function dateWords(at: string): string {
  return dayjs(at).format('D MMM YYYY');
}

export function timeWords(at: string): string {
  return dayjs(at).format('HH:mm');
}

export function degreeWord(degree: number | null | undefined): string {
  return degree === null || degree === undefined ? 'not judged' : (DEGREE_WORDS[degree] ?? '');
}

/** "2 : 1 : 0.75" from parts, without trailing zeros and without what is not there. */
export function partsWords(parts: readonly number[], digits = 2): string {
  return parts
    .filter((part) => part > 0)
    .map((part) => String(Number(part.toFixed(digits))))
    .join('\u00a0:\u00a0');
}
