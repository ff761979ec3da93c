import { describe, expect, it } from '@jest/globals';
import { CALCULATIONS } from '@icy-ribbon/core/registry';
import { typeset } from './typeset.ts';

/** As marks in a line: quantities between stars, raised after ^, lowered after _. */
const marked = (law: string) =>
  typeset(law)
    .map(({ text, style }) =>
      style === 'quantity'
        ? `*${text}*`
        : style === 'raised'
          ? `^${text}`
          : style === 'lowered'
            ? `_${text}`
            : text,
    )
    .join('');

describe('a law, typeset', () => {
  it.each([
    ['ln mu = sum w_i ln mu_i', 'ln *μ* = sum *w*_i ln *μ*_i'],
    ['r = 0.894 (g Q^3 / 3 nu)^(1/8) t^(1/8)', '*r* = 0.894 (*g* *Q*^3 / 3 *ν*)^1/8 *t*^1/8'],
    ['h = sqrt(mu L / (rho g sin(a) t))', '*h* = √(*μ* *L* / (*ρ* *g* sin(*a*) *t*))'],
    ['tau Re^(-1/2) (H/d)^(-2)', '*τ* Re^−1/2 (*H*/*d*)^−2'],
    ['b = 0.705 - 0.0017 T', '*b* = 0.705 − 0.0017 *T*'],
    ['a Gaussian belief', 'a Gaussian belief'],
    ['the effect’s least', 'the effect’s least'],
    ['film x (face + sides)', 'film × (face + sides)'],
    ['nu (mm2/s) of t (s)', '*ν* (mm²/s) of *t* (s)'],
    ['9 cm at 3 Pa.s', '9 cm at 3 Pa·s'],
  ])('%s', (law, set) => {
    expect(marked(law)).toBe(set);
  });

  it('leaves no plain exponent, index, root or full-stop unit in any law of the registry', () => {
    for (const { law } of CALCULATIONS as readonly { law: string }[]) {
      const text = typeset(law)
        .map((piece) => piece.text)
        .join('');
      expect(text).not.toMatch(/[\^_]|sqrt|Pa\.s| - |\b(mu|rho|nu|tau|gamma|theta)\b/);
    }
  });
});
