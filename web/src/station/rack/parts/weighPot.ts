import type { Pot } from '#store/coatKit.ts';

/**
 * A pot with one more weight kept. What came of the first part sets how much the other is; too much of the other asks for
 * more of the first: the kit's ratio counts, not the amount, as resin of a wrong ratio stays sticky.
 *
 * @param index the part that was weighed
 * @param toleranceMg what the scale and the kit forgive
 */
export function withWeight(pot: Pot, index: number, mg: number, toleranceMg: number): Pot {
  const weighed = pot.weighed.map((each, at) => (at === index ? Math.round(mg) : each));
  const [a, b] = pot.parts;
  if (!a || !b || index > 1) return { ...pot, weighed };
  if (index === 0) {
    const grown = mg / a.mg;
    const parts = pot.parts.map((part, at) =>
      at === 0 ? { ...part, mg: Math.round(mg) } : { ...part, mg: Math.round(part.mg * grown) },
    );
    return { ...pot, parts, weighed };
  }
  const missing = Math.round((a.mg * mg) / b.mg) - (weighed[0] ?? 0);
  if (mg <= b.mg + toleranceMg || missing <= 0) return { ...pot, weighed };
  return {
    ...pot,
    parts: [...pot.parts, { name: `${a.name}, for what was too much`, mg: missing, bottle: a.bottle }],
    weighed: [...weighed, 0],
  };
}
