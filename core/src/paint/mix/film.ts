import { materialKind, type MaterialKind } from '../material/index.ts';

export interface FilmVerdict {
  /** Binder as a share of all that stays when the film has dried. */
  readonly binderShare: number;
  readonly limit: number;
  readonly weak: boolean;
  readonly reason: string;
}

/** Below this share of binder a film of the paint gets weak (rough values, common practice). */
const LIMITS: Partial<Record<MaterialKind, number>> = { craft: 0.6, ink: 0.62, 'student-tube': 0.58 };
const USUAL_LIMIT = 0.45;

/**
 * Whether enough binder holds a dried film together.
 *
 * Law: binder solids / total solids. The idea is the critical pigment volume concentration (Asbeck & Van
 * Loo 1949, from memory); solids, binder and limits are rough values of the trade.
 *
 * @param parts what is in the mix, grams by kind; at least one with solids
 */
export function filmVerdict(
  parts: readonly {
    readonly kind: MaterialKind;
    readonly massG: number;
    /** Known for this very material, in place of the kind's usual share. */
    readonly solids?: number | null;
  }[],
): FilmVerdict {
  let [solidsG, binderG] = [0, 0];
  for (const { kind, massG, solids } of parts) {
    const usual = materialKind(kind);
    const share = solids ?? usual.solids;
    solidsG += massG * share;
    binderG += usual.solids > 0 ? (massG * share * usual.binder) / usual.solids : 0;
  }
  const binderShare = solidsG > 0 ? binderG / solidsG : 0;
  const paint = parts.find((part) => materialKind(part.kind).group === 'paint');
  const limit = (paint && LIMITS[paint.kind]) ?? USUAL_LIMIT;
  const weak = binderShare < limit;
  const percent = (value: number) => `${Math.round(value * 100)} %`;
  return {
    binderShare,
    limit,
    weak,
    reason: weak
      ? `${percent(binderShare)} of the dry film is binder, below ${percent(limit)}: add 5 to 10 % pouring medium.`
      : `${percent(binderShare)} of the dry film is binder.`,
  };
}
