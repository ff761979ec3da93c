import { shapeOf, usualKind } from './laidShape.ts';

const support = { shape: 'rectangle', widthMm: 300, heightMm: 400, sideDepthMm: 18 } as const;
const nothing = { stacks: [], paths: [] };
let made = 0;
const newId = () => `n${(made += 1)}`;
const tap = { start: { x: 80, y: 90 }, end: { x: 82, y: 91 } };
const stroke = { start: { x: 40, y: 40 }, end: { x: 240, y: 40 } };

it('a base covers the face, a tap is a puddle, a stroke a ribbon', () => {
  expect(usualKind('base', null)).toBe('face');
  expect(usualKind('base', stroke)).toBe('flood');
  expect(usualKind('color', null)).toBe('stack');
  expect(usualKind('color', tap)).toBe('stack');
  expect(usualKind('color', stroke)).toBe('ribbon');
});

it('a puddle lies where it was tapped, and in the middle where nothing was said', () => {
  expect(shapeOf('stack', tap, support, nothing, 10_000, newId)).toMatchObject({ at: { x: 80, y: 90 } });
  expect(shapeOf('stack', null, support, nothing, 10_000, newId)).toMatchObject({ at: { x: 150, y: 200 } });
});

it('the next puddle on a pile belongs to it', () => {
  const pile = { id: 'pile', at: { x: 85, y: 95 }, footprintMm: 60, layers: [] };
  const found = shapeOf('stack', tap, support, { stacks: [pile], paths: [] }, 10_000, newId);
  expect(found).toEqual({ kind: 'stack', itemId: 'pile', at: pile.at, footprintMm: 60 });
});

it('a second color along the same stroke lies beside the first', () => {
  const first = shapeOf('ribbon', stroke, support, nothing, 10_000, newId);
  if (first.kind !== 'ribbon') throw new Error('A ribbon was asked for.');
  const paths = [{ ...first, id: first.itemId, layers: [] }];
  expect(shapeOf('ribbon', stroke, support, { stacks: [], paths }, 10_000, newId)).toEqual(first);
  expect(shapeOf('line', stroke, support, { stacks: [], paths }, 10_000, newId)).not.toMatchObject({
    itemId: first.itemId,
  });
});

it('a crescent bends aside, a line does not', () => {
  const ends = { start: stroke.start, end: stroke.end };
  expect(shapeOf('line', stroke, support, nothing, 10_000, newId)).toMatchObject({
    ...ends,
    control: { x: 140, y: 40 },
  });
  const crescent = shapeOf('crescent', stroke, support, nothing, 10_000, newId);
  expect(crescent).toMatchObject({ ...ends, control: { x: 140, y: 160 } });
});
