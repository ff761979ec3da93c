import { warningsOf, type Quality } from './warnings.ts';

const good: Quality = {
  ...{ blurPx: 0.8, glareShare: 0.005, strangeShare: 0.01, pxPerCell: 14, lightRatio: 1.3 },
  ...{ mudShare: 0.01, baseShare: 0.5, lost: [], asked: [], colors: 5, foreignShare: 0 },
};
const codes = (changes: Partial<Quality>) => warningsOf({ ...good, ...changes }).map(({ code }) => code);

it('a good photo is not warned of, nor is one without cells', () => {
  expect(codes({})).toEqual([]);
  expect(codes({ pxPerCell: null })).toEqual([]);
});

it.each([
  ['blurred', { blurPx: 1.6 }, { blurPx: 1.5 }],
  ['glare', { glareShare: 0.03 }, { glareShare: 0.02 }],
  ['veil', { strangeShare: 0.12 }, { strangeShare: 0.08 }],
  ['too-small', { pxPerCell: 6 }, { pxPerCell: 8 }],
  ['uneven-light', { lightRatio: 2.5 }, { lightRatio: 2.2 }],
  ['foreign', { foreignShare: 0.03 }, { foreignShare: 0 }],
  ['no-pour', { foreignShare: 0.45 }, {}],
  ['no-pour', { lost: ['rust', 'rain', 'foam'] }, {}],
  ['colors-off', { asked: ['rust'] }, {}],
  ['colors-off', { mudShare: 0.06 }, { mudShare: 0.05 }],
  ['colors-off', { baseShare: 0.01 }, { baseShare: 0.02 }],
  ['colors-off', { lost: ['Rust'] }, { lost: [] }],
] as const)('%s beyond its limit, and not at it', (code, beyond, at) => {
  expect(codes(beyond)).toEqual([code]);
  expect(codes(at)).toEqual([]);
});

it('every warning says what to do', () => {
  const all = warningsOf({
    ...{ blurPx: 3, glareShare: 0.2, strangeShare: 0.2, pxPerCell: 3, lightRatio: 4, foreignShare: 0.1 },
    ...{ mudShare: 0.2, baseShare: 0, lost: ['Rust'], asked: [], colors: 5 },
  });
  expect(all).toHaveLength(7);
  for (const { message } of all) {
    expect(message).toMatch(
      /Hold still|Move the lamp|Click each color|Go closer|Turn the piece|click its color/,
    );
  }
});
