import { Color, mix } from 'spectral.js';
import { curveOf, mixInto } from './curves.ts';
import { colorDifference } from './difference.ts';
import { tinting } from './mixColor.ts';

export interface MatchPaint {
  readonly id: string;
  readonly hex: string;
  /** How strongly it tints; left out: as strong as most. */
  readonly strength?: number | null | undefined;
}

export interface ColorMatch {
  readonly parts: readonly { readonly id: string; readonly amount: number }[];
  readonly hex: string;
  readonly de2000: number;
}

/** Parts that can be measured with kitchen spoons. */
const SPOONS = [1, 1 / 2, 1 / 4, 1 / 8];
const KEPT_PER_ROUND = 60;
const MOST_PAINTS = 4;

interface Candidate {
  readonly parts: readonly { readonly index: number; readonly amount: number }[];
  readonly distance: number;
}

/**
 * The best mixes of up to four paints for a target color, in kitchen-sized parts (1, 1/2, 1/4, 1/8).
 *
 * Search: every single paint and every pair, then the best of them with a third and a fourth paint added
 * (a beam of 60), mixed by Kubelka-Munk and compared in OKLab; the answers are ranked by CIEDE2000.
 * A wider beam might find a better mix of three or four; the pairs are complete.
 *
 * @param targetHex #rrggbb
 * @param count how many answers: those that come as near as the eye can tell first, the fewest paints first among them
 */
export function matchColor(targetHex: string, paints: readonly MatchPaint[], count = 5): ColorMatch[] {
  const colors = paints.map((paint) => tinting(paint.hex, paint.strength));
  const curves = colors.map(curveOf);
  const [l, a, b] = new Color(targetHex).OKLab;
  const lab = new Float32Array(3);
  const rate = (parts: Candidate['parts']): Candidate => {
    mixInto(
      parts.map(({ index, amount }) => ({ curve: curves[index]!, amount })),
      lab,
    );
    return { parts, distance: Math.hypot(lab[0]! - l, lab[1]! - a, lab[2]! - b) };
  };
  const singles = colors.map((_, index) => rate([{ index, amount: 1 }]));
  let beam: readonly Candidate[] = singles;
  const found: Candidate[] = [...singles];
  for (let size = 2; size <= MOST_PAINTS; size += 1) {
    const grown = beam.flatMap((candidate) => grow(candidate, colors.length).map(rate));
    beam = closest(grown, KEPT_PER_ROUND);
    found.push(...beam);
  }
  return closest(found, 4 * count + 20)
    .map((candidate): ColorMatch => {
      const hex = mix(...candidate.parts.map((part) => [colors[part.index]!, part.amount] as const))
        .toString()
        .toLowerCase();
      return {
        parts: candidate.parts.map((part) => ({ id: paints[part.index]!.id, amount: part.amount })),
        hex,
        de2000: colorDifference(hex, targetHex),
      };
    })
    .sort((a, b) => nearness(a) - nearness(b) || a.parts.length - b.parts.length || a.de2000 - b.de2000)
    .slice(0, count);
}

/** Differences that look alike: not to be told apart, very near, near, another color (common practice for CIEDE2000). */
const LOOKS_ALIKE = [1, 2.5, 6];
const nearness = ({ de2000 }: ColorMatch): number => LOOKS_ALIKE.filter((most) => de2000 >= most).length;

/** The nearest, one of each set of parts: the order in which paints were added does not matter. */
function closest(candidates: readonly Candidate[], count: number): Candidate[] {
  const byParts = new Map<string, Candidate>();
  for (const candidate of [...candidates].sort((a, b) => a.distance - b.distance)) {
    const most = Math.max(...candidate.parts.map((part) => part.amount));
    const parts = candidate.parts
      .map((part) => ({ ...part, amount: part.amount / most }))
      .sort((a, b) => b.amount - a.amount || a.index - b.index);
    const key = parts.map((part) => `${part.index}x${part.amount}`).join(' ');
    if (!byParts.has(key)) byParts.set(key, { ...candidate, parts });
    if (byParts.size === count) break;
  }
  return [...byParts.values()];
}

/** A candidate with one more paint in each spoon size; a pair also the other way round. */
function grow(candidate: Candidate, paintCount: number): Candidate['parts'][] {
  const grown: Candidate['parts'][] = [];
  const highest = Math.max(...candidate.parts.map((part) => part.index));
  for (let index = 0; index < paintCount; index += 1) {
    if (candidate.parts.some((part) => part.index === index)) continue;
    if (candidate.parts.length === 1 && index < highest) continue;
    for (const amount of SPOONS) {
      grown.push([...candidate.parts, { index, amount }]);
      if (candidate.parts.length === 1 && amount < 1) {
        grown.push([
          { ...candidate.parts[0]!, amount },
          { index, amount: 1 },
        ]);
      }
    }
  }
  return grown;
}
