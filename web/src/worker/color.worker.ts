import { matchColor, type ColorMatch, type MatchPaint } from '@icy-ribbon/core/paint/color';
import { expose } from 'comlink';

/** What the color worker does, away from the page. */
const colorWorker = {
  match(targetHex: string, paints: readonly MatchPaint[], count: number): ColorMatch[] {
    return matchColor(targetHex, paints, count);
  },
};

export type ColorWorker = typeof colorWorker;
expose(colorWorker);
