import { layOut, withBasePaint } from './index.ts';
import { counting, paint } from '../../../testing/index.ts';

const support = { shape: 'rectangle' as const, widthMm: 300, heightMm: 400, sideDepthMm: 18 };
const paints = [paint('white', { role: 'base' }), paint('black', { role: 'base' }), paint('rust')];
const pours = (plan: ReturnType<typeof layOut>) =>
  plan.paths.flatMap(({ kind, layers }) => layers.map(({ cupId }) => [kind, cupId]));

it('the flood follows the base to another cup, the colors stay', () => {
  const plan = layOut('diagonal', { support, technique: 'dutch', paints, newId: counting() });
  expect(pours(plan)).toEqual([
    ['flood', 'white'],
    ['ribbon', 'rust'],
  ]);
  const after = withBasePaint(plan, 0, 'black');
  expect(after.base?.areas.map(({ cupId }) => cupId)).toEqual(['black']);
  expect(pours(after)).toEqual([
    ['flood', 'black'],
    ['ribbon', 'rust'],
  ]);
});

it('a flood stays with a base that another half still has', () => {
  const split = layOut('seam', { support, technique: 'dutch', paints, newId: counting() });
  expect(split.base?.areas.map(({ cupId }) => cupId)).toEqual(['white', 'black']);
  const both = withBasePaint(split, 1, 'white');
  expect(pours(withBasePaint(both, 0, 'black'))).toContainEqual(['flood', 'white']);
  expect(pours(withBasePaint(split, 0, 'rust'))).toContainEqual(['flood', 'rust']);
});

it('an area that is not there changes nothing', () => {
  const plan = layOut('center-bloom', { support, technique: 'bloom', paints: [], newId: counting() });
  expect(withBasePaint(plan, 0, 'black')).toBe(plan);
});
