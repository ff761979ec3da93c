import { PASSES, SITS, type DrillName, type Due } from '@icy-ribbon/core/drill/schedule';
import type { Eye } from '@icy-ribbon/core/thickness/reading';
import dayjs from 'dayjs';

export interface DrillWords {
  readonly label: string;
  readonly does: string;
  readonly how: string;
}

export const DRILL_WORDS: Readonly<Record<DrillName, DrillWords>> = {
  mound: {
    label: 'Name the mound',
    does: 'Stickfuls and drawn lines, moving: which stage is it?',
    how: 'Eight thicknesses, one after the other. Say the stage with the keys 1 to 6 or by pressing it. What you say tells how your words lie, and corrects your readings in words from then on.',
  },
  thinning: {
    label: 'Hit the thickness',
    does: 'A cup that answers to water in its own way: fewest additions.',
    how: 'Bring the cup to its thickness with water alone. Look at its mound, race it as often as you like, and say when it is there. Water cannot be taken out again, and too much at once makes lumps.',
  },
  puddle: {
    label: 'Judge a puddle',
    does: 'Grams by eye.',
    how: 'Five puddles on a wetted board, as they lie 20 seconds after they were laid. Type how much each of them weighs.',
  },
  even: {
    label: 'Equal puddles',
    does: 'Six puddles of one weight, poured by feel.',
    how: 'Hold Space, or hold the board, to pour; let go to stop. No scale: only the puddle tells.',
  },
  breath: {
    label: 'Breath',
    does: 'From near and soft to far and hard, without trembling.',
    how: 'Follow the ring for eight seconds: to the right is farther off, up is harder. Hold and draw with the pointer, hold the arrow keys, or blow at the microphone.',
  },
  crescent: {
    label: 'Edge crescent',
    does: 'The first pour with a dryer: one edge only.',
    how: 'Blow the crescent of colors out until it is like the picture. Begin here: one edge is easier than a whole fan.',
  },
  fan: {
    label: 'Blow out a fan',
    does: 'A Dutch fan, out and back, to a picture.',
    how: 'Blow the ribbon out and back until it is like the picture.',
  },
  bloom: {
    label: 'Blow out a bloom',
    does: 'A pile, breath by breath, to a picture.',
    how: 'Blow the pile out petal by petal until it is like the picture.',
  },
  six: {
    label: 'Six even flowers',
    does: 'Six small piles, blown alike.',
    how: 'Blow each of the six piles out, all as large as in the picture and all alike.',
  },
  spin: {
    label: 'Stop the spin',
    does: 'What is left to run, and when it warps or washes out.',
    how: 'Start the spin and stop it while the flower is as wide as it gets. Too long, and it runs over the edges and washes out.',
  },
  enough: {
    label: 'When to stop blowing',
    does: 'Pass after pass: when is it enough?',
    how: 'The dryer works on by itself. Say enough when the open space is as large as it should be; the rest is paint that runs off.',
  },
};

/** What a score is worth. */
export const scoreWords = (score: number): string =>
  score >= SITS ? 'it sits' : score >= PASSES ? 'it passes' : 'once more tomorrow';

/** When a drill is due again, by the clock of the page. */
export function dueWords({ at, isDue }: Due, now: Date = new Date()): string {
  if (at === null) return 'not played yet';
  if (isDue) return 'due';
  const days = dayjs(at).startOf('day').diff(dayjs(now).startOf('day'), 'day');
  if (days <= 0) return 'due later today';
  return days === 1 ? 'due tomorrow' : `due in ${days} days`;
}

/** How an artist's words for thickness lie. */
export function eyeWords({ ln, sdLn, spreadLn, named }: Eye): string {
  const factor = Math.exp(Math.abs(ln));
  const range = [Math.exp(ln - 1.645 * sdLn), Math.exp(ln + 1.645 * sdLn)].map((each) => each.toFixed(2));
  const side =
    factor < 1.08
      ? 'Your words lie right on average'
      : `You call paint ${factor.toFixed(2)} times ${ln > 0 ? 'thicker' : 'thinner'} than it is`;
  return `${side} (nine in ten: ${range.join(' to ')} times); a single word strays by a factor of ${Math.exp(spreadLn).toFixed(1)}. From ${named} that were named.`;
}
