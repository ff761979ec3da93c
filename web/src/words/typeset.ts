/** A piece of a formula as it is set: upright words, an italic quantity, raised or lowered. */
export interface SetPiece {
  readonly text: string;
  readonly style: 'word' | 'quantity' | 'raised' | 'lowered';
}

const LETTERS: Readonly<Record<string, string>> = {
  mu: 'μ',
  nu: 'ν',
  rho: 'ρ',
  tau: 'τ',
  eta: 'η',
  gamma: 'γ',
  theta: 'θ',
  pi: 'π',
};

/** What stays upright although it is one letter: an article, and units after a number. */
const ARTICLE = /^a(?= [a-zA-Z]{3,})/;
const BEFORE_UNIT = /(\d |·|²\/)$/;
const UNITS = new Set(['s', 'g', 'm', 'h', 'C']);

/** Raised: ^2, ^b, ^-2, ^(1/8). Lowered: _i, _ref. */
const RAISED = /^\^(?:\(([^()]*)\)|(-?[A-Za-z0-9.]+))/;
const LOWERED = /^_([A-Za-z0-9]+)/;
const WORD = /^[A-Za-zα-ωΑ-Ω]+/;

const signs = (text: string) =>
  text
    .replace(/(^|[\s(/])-(?=[\d\s(]|$)/g, '$1−')
    .replace(/ - /g, ' − ')
    .replace(/(?<=[\w)] )x(?= [\w(])/g, '×')
    .replace(/sqrt\(/g, '√(')
    .replace(/\bsqrt /g, '√')
    .replace(/\b(mm|cm|dm|m)2\b/g, '$1²')
    .replace(/\bPa\.s\b/g, 'Pa·s');

/**
 * Sets a law that is written in plain letters as one writes it by hand: Greek letters, italic quantities, exponents
 * raised, indices lowered, true signs.
 *
 * @example typeset('mu_i^2').map(({ text }) => text).join(' ') // 'μ i 2'
 */
export function typeset(law: string): SetPiece[] {
  const pieces: SetPiece[] = [];
  const put = (text: string, style: SetPiece['style']) => {
    const last = pieces.at(-1);
    if (last && last.style === style && style === 'word') {
      pieces[pieces.length - 1] = { text: last.text + text, style };
    } else pieces.push({ text, style });
  };
  let rest = signs(law);
  let done = '';
  const take = (length: number) => {
    done += rest.slice(0, length);
    rest = rest.slice(length);
  };
  while (rest) {
    const raised = RAISED.exec(rest);
    const lowered = LOWERED.exec(rest);
    const word = WORD.exec(rest)?.[0];
    if (raised) {
      put((raised[1] ?? raised[2] ?? '').replace(/^-/, '−'), 'raised');
      take(raised[0].length);
    } else if (lowered) {
      put(lowered[1] ?? '', 'lowered');
      take(lowered[0].length);
    } else if (word) {
      const isAlone = done.endsWith('(') && rest[word.length] === ')';
      const isUnit = UNITS.has(word) && (BEFORE_UNIT.test(done) || isAlone);
      const isLetter = word.length === 1 && !ARTICLE.test(rest) && !isUnit && !done.endsWith('’');
      const greek = LETTERS[word];
      put(greek ?? word, greek || isLetter ? 'quantity' : 'word');
      take(word.length);
    } else {
      put(rest[0]!, 'word');
      take(1);
    }
  }
  return pieces;
}
