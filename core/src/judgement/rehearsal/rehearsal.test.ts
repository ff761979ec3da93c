import { compiledFilmFromFile } from '../../../testing/compiledFilm.ts';
import { paint } from '../../../testing/plan.ts';
import { measurePhoto } from '../../picture/index.ts';
import { EMPTY_PLAN, type Plan } from '../../piece/plan/index.ts';
import { NO_PUSH, pushOn, sceneOf, startRehearsal, USUAL_UNKNOWNS } from '../../piece/rehearse/index.ts';
import { depthAtMm, middleOf, rehearsalNumbers, rehearsalPhoto, spacingForCells } from './index.ts';

const support = { shape: 'rectangle', widthMm: 200, heightMm: 200, sideDepthMm: 10 } as const;
const paints = [
  paint('oyster', { role: 'base', colorHex: '#7f9c6a', viscosityPaS: 3, densityGPerMl: 1.1 }),
  paint('rust', { colorHex: '#9c4a2c', viscosityPaS: 2, densityGPerMl: 1.12, opacity: 'opaque' }),
  paint('slate', { colorHex: '#26333f', viscosityPaS: 2, densityGPerMl: 1.1, opacity: 'opaque' }),
];
const plan: Plan = {
  ...EMPTY_PLAN,
  base: {
    ...{ pattern: 'one', areas: [{ cupId: 'oyster', share: 1 }], seam: null },
    film: { kind: 'thickness', mm: 2 },
  },
  stacks: [
    {
      ...{ id: 's', at: { x: 100, y: 100 }, footprintMm: 100 },
      layers: [
        { id: 'a', cupId: 'rust', massG: 9 },
        { id: 'b', cupId: 'slate', massG: 4 },
      ],
    },
  ],
};
const rehearsal = startRehearsal(sceneOf(support, plan, paints, []), 96, compiledFilmFromFile);
pushOn(rehearsal, 1, NO_PUSH);

it('the numbers while it runs add up to the face', () => {
  const { shares, negativeSpace, bare, middleMm } = rehearsalNumbers(rehearsal);
  expect(Object.values(shares).reduce((sum, each) => sum + each, 0) + bare).toBeCloseTo(1, 6);
  expect(negativeSpace).toBeCloseTo(shares.oyster!, 9);
  expect(middleOf(rehearsal.scene)).toEqual({ x: 100, y: 100 });
  expect(middleMm).toBeGreaterThan(3);
  expect(depthAtMm(rehearsal.film, { x: 25, y: 25 })).toBeCloseTo(2, 1);
});

it('the picture measured as a photo says what the film says', () => {
  const now = rehearsalNumbers(rehearsal);
  const { photo, input } = rehearsalPhoto(rehearsal, 600);
  const measured = measurePhoto(photo, input);
  for (const name of ['oyster', 'rust', 'slate']) {
    expect(Math.abs(measured.shares[name]! - now.shares[name]!)).toBeLessThan(0.02);
  }
  expect(measured.cells.count).toBeLessThan(4);
});

it.each([1.2, 2.4])('cells of %p mm are asked for, and cells of about that size are measured', (cellMm) => {
  const sheet = paint('white', {
    ...{ role: 'activator', colorHex: '#f7f3ea', viscosityPaS: 0.6, densityGPerMl: 1.18, opacity: 'opaque' },
  });
  const [pile] = plan.stacks;
  const layers = [...pile!.layers, { id: 'c', cupId: 'white', massG: 0.3 }];
  const scene = sceneOf(support, { ...plan, stacks: [{ ...pile!, layers }] }, [...paints, sheet], []);
  const { cells } = USUAL_UNKNOWNS;
  const opened = startRehearsal(scene, 50, compiledFilmFromFile, {
    ...USUAL_UNKNOWNS,
    cells: { ...cells, spacingM: spacingForCells(cellMm) },
  });
  pushOn(opened, 12, NO_PUSH);
  const { photo, input } = rehearsalPhoto(opened, 800);
  const measured = measurePhoto(photo, input);
  expect(measured.cells.count).toBeGreaterThan(20);
  expect(Math.abs(Math.log(measured.cells.medianMm / cellMm))).toBeLessThan(0.3);
  // What is said while it runs is the same.
  const { open, medianMm } = rehearsalNumbers(opened).cells;
  expect(open).toBeGreaterThan(measured.cells.count);
  expect(Math.abs(Math.log(medianMm / measured.cells.medianMm))).toBeLessThan(0.2);
});
