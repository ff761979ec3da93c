import { contrast } from '@icy-ribbon/core/thickness/match';
import { contrastWords } from './contrast.ts';

const cup = (name: string, role: string, viscosityPaS: number, spreadLn = 0.1) =>
  ({ id: name, name, role, viscosityPaS, spreadLn }) as never;
const said = (technique: 'dutch' | 'bloom' | 'swipe', ...cups: ReturnType<typeof cup>[]) =>
  contrast(technique, cups).map((finding) => contrastWords(finding));

it('a cup that is too thin is named with its thickness, its window and its chance', () => {
  const [first] = said('bloom', cup('tide', 'color', 0.35), cup('white', 'activator', 0.15));
  expect(first!.words).toMatch(/^tide is too thin: the activator sinks into it/);
  expect(first!.because).toBe('0.35\u00a0Pa·s; colors: 0.5 to 5\u00a0Pa·s; 100\u00a0% likely');
});

it('cups that may lie outside are told together', () => {
  const [first] = said('dutch', cup('rust', 'color', 2.08, 0.4), cup('rain', 'color', 2.08, 0.5));
  expect(first!.words).toMatch(/^rust and rain may be too thick: it will not blow out/);
  expect(first!.because).toMatch(/; 44 to 46\u00a0% likely$/);
});

it('ratios are told as one to more', () => {
  expect(said('bloom', cup('tide', 'color', 2), cup('white', 'activator', 0.6))[0]!.because).toMatch(
    /1 to 3\.3$/,
  );
  expect(
    said('bloom', cup('tide', 'color', 2), cup('white', 'activator', 2.4)).map((each) => each.because),
  ).toContainEqual(expect.stringMatching(/1\.2 to 1; at most 1 to 1\.7 holds it up; \d+\u00a0% likely$/));
});

it.each([
  [0.8, /separate colors/],
  [0.55, /cells with colors inside/],
  [0.38, /tiny cells/],
])('an alike Dutch set at %f Pa.s is told what it makes', (paS, words) => {
  expect(said('dutch', cup('base', 'base', paS), cup('rain', 'color', paS * 1.05)).at(-1)!.words).toMatch(
    words,
  );
});
