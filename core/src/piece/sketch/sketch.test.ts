import fc from 'fast-check';
import {
  markAreaMm2,
  outlineOf,
  sketchAmounts,
  sketchPlan,
  type SketchGrid,
  type SketchMark,
} from './index.ts';

const FACE = { widthMm: 300, heightMm: 200 };
const grid: SketchGrid = { width: 600, height: 400, pxPerMm: 2, shape: 'rectangle' };
const mark = (changes: Partial<SketchMark>): SketchMark => ({
  ...{ id: 'm', kind: 'area', materialId: 'rust', name: 'Rust', colorHex: '#aa4422' },
  ...{ points: [], widthMm: 20, onlyOn: null },
  ...changes,
});
const square: SketchMark['points'] = [
  [50, 50],
  [150, 50],
  [150, 150],
  [50, 150],
];

describe('the area that a mark covers', () => {
  it('of a square, of all but a square, of a disk, of a straight stroke: the formulas of geometry', () => {
    expect(markAreaMm2(mark({ points: square }), grid)).toBeCloseTo(10_000, 6);
    expect(markAreaMm2(mark({ kind: 'cut-out', points: square }), grid)).toBeCloseTo(60_000 - 10_000, 6);
    const dot = mark({ kind: 'stroke', points: [[100, 100]], widthMm: 60 });
    expect(markAreaMm2(dot, grid) / (Math.PI * 900)).toBeCloseTo(1, 2);
    const stroke = mark({
      kind: 'stroke',
      points: [
        [60, 100],
        [240, 100],
      ],
    });
    expect(markAreaMm2(stroke, grid) / (180 * 20 + Math.PI * 100)).toBeCloseTo(1, 2);
  });

  it('out to the edge: a line across the lower third fills the third below it', () => {
    const toEdge = mark({
      kind: 'to-edge',
      points: [
        [2, 150],
        [298, 150],
      ],
    });
    expect(markAreaMm2(toEdge, grid) / (300 * 50)).toBeCloseTo(1, 1);
  });

  it('never reaches over the face, nor over the rim of a round one', () => {
    const all = mark({ kind: 'stroke', points: [[150, 100]], widthMm: 1000 });
    expect(markAreaMm2(all, grid)).toBe(60_000);
    const round = { width: 400, height: 400, pxPerMm: 2, shape: 'round' } as const;
    const disk = mark({ kind: 'stroke', points: [[100, 100]], widthMm: 1000 });
    expect(markAreaMm2(disk, round) / (Math.PI * 100 * 100)).toBeCloseTo(1, 2);
  });

  it('is only where the photo shows the color it is masked by', () => {
    const labels = Uint8Array.from({ length: 600 * 400 }, (_, at) => (at % 600 < 300 ? 0 : 1));
    const seen = { ...grid, labels, names: ['Oyster', 'Rain'] };
    const whole = mark({ kind: 'cut-out', points: [] });
    expect(markAreaMm2({ ...whole, onlyOn: 'Oyster' }, seen)).toBeCloseTo(30_000, 6);
    expect(markAreaMm2({ ...whole, onlyOn: 'Lichen' }, seen)).toBe(0);
  });

  it('a petal is closed, begins at its root and reaches its tip', () => {
    const outline = outlineOf(
      {
        kind: 'petal',
        points: [
          [100, 100],
          [200, 100],
        ],
      },
      FACE,
    );
    const xs = outline.map(([x]) => x);
    expect(Math.min(...xs)).toBeCloseTo(100, 6);
    expect(Math.max(...xs)).toBeCloseTo(200, 6);
  });
});

describe('the paint that a sketch takes', () => {
  it('worked out by hand: 100 cm2 of 0.5 mm are 5 ml, with a quarter kept back 6.25 ml, of 1.2 g/ml 7.5 g', () => {
    const [rust] = sketchAmounts({ marks: [mark({ points: square })], filmMm: 0.5 }, grid, () => 1.2);
    expect(rust?.volumeMl).toBeCloseTo(6.25, 6);
    expect(rust?.massG).toBeCloseTo(7.5, 6);
  });

  it('its plan lays just as much, mark by mark, and on the face', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            kind: fc.constantFrom('stroke' as const, 'area' as const, 'petal' as const),
            points: fc.array(fc.tuple(fc.integer({ min: 5, max: 295 }), fc.integer({ min: 5, max: 195 })), {
              minLength: 3,
              maxLength: 8,
            }),
          }),
          { minLength: 1, maxLength: 4 },
        ),
        (drawn) => {
          const coarse = { ...grid, width: 150, height: 100, pxPerMm: 0.5 };
          const marks = drawn.map((each, index) => mark({ id: `m${index}`, ...each }));
          const density = () => 1.1;
          let made = 0;
          const plan = sketchPlan({ marks, filmMm: 1 }, coarse, {
            cupIdOf: (id) => id,
            densityOf: density,
            makeId: () => `i${(made += 1)}`,
          });
          const planned = [...plan.stacks, ...plan.paths]
            .flatMap(({ layers }) => layers)
            .reduce((sum, { massG }) => sum + (massG ?? 0), 0);
          const said = sketchAmounts({ marks, filmMm: 1 }, coarse, density, 0)[0]!.massG;
          expect(planned).toBeGreaterThanOrEqual(said - 1e-6);
          expect(planned).toBeLessThanOrEqual(said + 0.1 * marks.length + 1e-6);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('a film of 0 says so', () => {
    expect(() => sketchAmounts({ marks: [], filmMm: 0 }, grid, () => 1)).toThrow(
      expect.objectContaining({ field: 'filmMm' }),
    );
  });
});
