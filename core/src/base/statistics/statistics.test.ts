import fc from 'fast-check';
import { leastSquares, normalBelow } from './index.ts';

/** NIST StRD, linear regression: Norris (data and certified values from memory). */
const NORRIS_X = [
  0.2, 337.4, 118.2, 884.6, 10.1, 226.5, 666.3, 996.3, 448.6, 777.0, 558.2, 0.4, 0.6, 775.5, 666.9, 338.0,
  447.5, 11.6, 556.0, 228.1, 995.8, 887.6, 120.2, 0.3, 0.3, 556.8, 339.1, 887.2, 999.0, 779.0, 11.1, 118.3,
  229.2, 669.1, 448.9, 0.5,
];
const NORRIS_Y = [
  0.1, 338.8, 118.1, 888.0, 9.2, 228.1, 668.5, 998.5, 449.1, 778.9, 559.2, 0.3, 0.1, 778.1, 668.8, 339.3,
  448.9, 10.8, 557.7, 228.3, 998.0, 888.8, 119.6, 0.3, 0.6, 557.6, 339.3, 888.0, 998.5, 778.9, 10.2, 117.6,
  228.9, 668.4, 449.2, 0.2,
];

/** NIST StRD: Longley, a set whose columns nearly depend on each other. */
const LONGLEY = [
  [60323, 83.0, 234289, 2356, 1590, 107608, 1947],
  [61122, 88.5, 259426, 2325, 1456, 108632, 1948],
  [60171, 88.2, 258054, 3682, 1616, 109773, 1949],
  [61187, 89.5, 284599, 3351, 1650, 110929, 1950],
  [63221, 96.2, 328975, 2099, 3099, 112075, 1951],
  [63639, 98.1, 346999, 1932, 3594, 113270, 1952],
  [64989, 99.0, 365385, 1870, 3547, 115094, 1953],
  [63761, 100.0, 363112, 3578, 3350, 116219, 1954],
  [66019, 101.2, 397469, 2904, 3048, 117388, 1955],
  [67857, 104.6, 419180, 2822, 2857, 118734, 1956],
  [68169, 108.4, 442769, 2936, 2798, 120445, 1957],
  [66513, 110.8, 444546, 4681, 2637, 121950, 1958],
  [68655, 112.6, 482704, 3813, 2552, 123366, 1959],
  [69564, 114.2, 502601, 3931, 2514, 125368, 1960],
  [69331, 115.7, 518173, 4806, 2572, 127852, 1961],
  [70551, 116.9, 554894, 4007, 2827, 130081, 1962],
] as const;

describe('least squares against certified values of NIST StRD', () => {
  it('Norris: B0 = -0.262323073774029, B1 = 1.00211681802045, residual sd 0.884796396144373', () => {
    const found = leastSquares(
      NORRIS_X.map((x) => [1, x]),
      NORRIS_Y,
    );
    expect(found.coefficients[0]).toBeCloseTo(-0.262323073774029, 11);
    expect(found.coefficients[1]).toBeCloseTo(1.00211681802045, 13);
    expect(found.residualSd).toBeCloseTo(0.884796396144373, 11);
    expect(found.standardErrors[0]).toBeCloseTo(0.232818234301152, 11);
    expect(found.standardErrors[1]).toBeCloseTo(0.429796848199937e-3, 13);
  });

  it('Longley: all seven coefficients to nine digits', () => {
    const certified = [
      -3482258.63459582, 15.0618722713733, -0.035819179292591, -2.02022980381683, -1.03322686717359,
      -0.0511041056535807, 1829.15146461355,
    ];
    const { coefficients } = leastSquares(
      LONGLEY.map(([, ...x]) => [1, ...x]),
      LONGLEY.map(([y]) => y),
    );
    coefficients.forEach((value, at) => expect(value / certified[at]!).toBeCloseTo(1, 9));
  });

  it('an exact line comes back exactly, whatever its scale', () => {
    const numbers = fc.double({ min: -100, max: 100, noNaN: true });
    fc.assert(
      fc.property(numbers, numbers, fc.double({ min: 1e-3, max: 1e3, noNaN: true }), (a, b, scale) => {
        const x = [0, 1, 2, 5].map((each) => each * scale);
        const { coefficients, residualSd } = leastSquares(
          x.map((each) => [1, each]),
          x.map((each) => a + b * each),
        );
        expect(coefficients[0]).toBeCloseTo(a, 7);
        expect(coefficients[1]! * scale).toBeCloseTo(b * scale, 7);
        expect(residualSd).toBeLessThan(1e-6 * (1 + Math.abs(b) * scale));
      }),
    );
  });

  it('too few rows, or columns that say the same, are refused', () => {
    expect(() => leastSquares([[1, 2]], [1])).toThrow(expect.objectContaining({ field: 'rows' }));
    expect(() => leastSquares([], [])).toThrow(expect.objectContaining({ field: 'rows' }));
    expect(() =>
      leastSquares(
        [
          [1, 2],
          [1, 2],
          [1, 2],
        ],
        [1, 2, 3],
      ),
    ).toThrow(/cannot tell/);
  });
});

describe('the normal distribution (tables, from memory)', () => {
  it.each([
    [0, 0.5],
    [1, 0.841345],
    [-1.959964, 0.025],
    [2.326348, 0.99],
  ])('below %f lies %f', (z, share) => {
    expect(normalBelow(z, 0, 1)).toBeCloseTo(share, 5);
  });

  it('without spread is a step', () => {
    expect([normalBelow(1, 2, 0), normalBelow(2, 2, 0), normalBelow(3, 2, 0)]).toEqual([0, 0.5, 1]);
  });
});
