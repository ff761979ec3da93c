import type { Measurement, Photo } from '@icy-ribbon/contract';
import type { Cup } from '#store/piece/piece.ts';
import { cornerStep } from '#drawing/corners.ts';
import { recipeAsPoured } from './asPoured.ts';
import {
  cardAt,
  cardMiddle,
  inputOf,
  isReady,
  measuredWith,
  setupOf,
  withColor,
  withoutColor,
} from './photoInput.ts';

const SUPPORT = { shape: 'rectangle', widthMm: 200, heightMm: 150, sideDepthMm: 0 } as const;
const CORNERS: Measurement['corners'] = [
  [100, 100],
  [900, 120],
  [880, 700],
  [110, 690],
];
const cup = (id: string, role: string, colorHex: string) =>
  ({ mix: { id, name: id, role }, colorHex }) as unknown as Cup;

describe('what is looked for in a photo', () => {
  const cups = [
    cup('white', 'base', '#f0eee8'),
    cup('rust', 'color', '#9c4a2c'),
    cup('rain', 'color', '#6f93a8'),
  ];
  const fresh = { measurement: null } as unknown as Photo;

  it('the colors of the cups that were laid, the base known', () => {
    const setup = setupOf(fresh, cups, new Set(['white', 'rust']));
    expect(setup.palette.map(({ name }) => name)).toEqual(['white', 'rust']);
    expect(setup).toMatchObject({ base: 'white', activator: null, grayPatchMm: null, corners: null });
  });

  it('all cups when nothing was laid yet', () => {
    expect(setupOf(fresh, cups, new Set()).palette).toHaveLength(3);
  });

  it('as it was measured before, card and all, and nothing of it shared with the record', () => {
    const setup = { ...setupOf(fresh, cups, new Set()), corners: CORNERS };
    setup.grayPatchMm = [-14, 23, -8, 32];
    const report = { numbers: { mud: 0.1 }, detail: { cells: [] } } as never;
    const { measurement } = measuredWith(setup, report, '2026-03-01T10:00:00.000Z');
    expect(measurement).toMatchObject({ mud: 0.1, base: 'white', grayPatchMm: [-14, 23, -8, 32] });
    const again = setupOf({ measurement } as Photo, cups, new Set());
    expect(again).toEqual(setup);
    again.corners![0][0] = 5;
    expect(measurement.corners[0][0]).toBe(100);
  });

  it('can be measured once its corners are in place and it has two colors', () => {
    const setup = setupOf(fresh, cups, new Set());
    expect(isReady(setup)).toBe(false);
    expect(isReady({ ...setup, corners: CORNERS })).toBe(true);
    expect(isReady({ ...setup, corners: CORNERS, palette: setup.palette.slice(1, 2) })).toBe(false);
  });

  it('a corner goes one pixel a key, ten with Shift, and nowhere by other keys', () => {
    expect(cornerStep('ArrowLeft', false)).toEqual([-1, 0]);
    expect(cornerStep('ArrowDown', true)).toEqual([0, 10]);
    expect(cornerStep('Enter', false)).toBeUndefined();
  });

  it('can be sent to a worker as plain data', () => {
    const setup = {
      ...setupOf(fresh, cups, new Set()),
      corners: CORNERS,
      grayPatchMm: [1, 2, 3, 4] as const,
    };
    expect(structuredClone(inputOf(setup, SUPPORT))).toMatchObject({
      widthMm: 200,
      activator: undefined,
      grayPatchMm: [1, 2, 3, 4],
    });
  });
});

describe('colors that no cup tells of', () => {
  const none = setupOf({ measurement: null } as Photo, [], new Set());

  it('are added one by one, the first as the base, and taken off again', () => {
    const two = withColor(withColor(none));
    expect(two.palette.map(({ name }) => name)).toEqual(['Color 1', 'Color 2']);
    expect(two.base).toBe('Color 1');
    const left = withoutColor({ ...two, activator: 'Color 1' }, 'Color 1');
    expect(left).toMatchObject({ base: 'Color 2', activator: null });
    expect(withColor(left).palette.map(({ name }) => name)).toEqual(['Color 2', 'Color 3']);
    expect(withoutColor(left, 'Color 2')).toMatchObject({ base: '', palette: [] });
  });
});

it('a click on the gray card becomes a square around it on the plane of the support, and back', () => {
  const patch = cardAt(CORNERS, SUPPORT, [60, 300]);
  expect(patch[2] - patch[0]).toBeCloseTo(5, 6);
  expect(patch[0]).toBeLessThan(-5);
  const [x, y] = cardMiddle(CORNERS, SUPPORT, patch);
  expect(x).toBeCloseTo(60, 3);
  expect(y).toBeCloseTo(300, 3);
});

describe('a recipe as it was poured', () => {
  const ingredient = (kind: string, targetMg: number) => ({ targetMg, material: { kind } });
  const poured = (shown: readonly number[]) =>
    ({
      mix: {
        name: 'Rust',
        role: 'color',
        recipe: { blend: null },
        ingredients: [
          ingredient('flow-conditioner', 20_000),
          ingredient('artist-tube', 10_000),
          ingredient('water', 7_500),
        ],
      },
      state: { shownIngredientMg: shown },
    }) as unknown as Cup;
  const piece = { name: 'Door panel', technique: 'bloom' } as const;

  it('is what the scale showed, when that strayed', () => {
    const recipe = recipeAsPoured(poured([20_000, 10_000, 4_000]), piece)!;
    expect(recipe.name).toBe('Rust as in Door panel');
    expect(recipe.parts.map(({ amount, of }) => [amount, of.kind])).toEqual([
      [20, 'material'],
      [10, 'paint'],
      [4, 'material'],
    ]);
  });

  it('is none when the cup was mixed as planned, or not at all', () => {
    expect(recipeAsPoured(poured([20_100, 10_050, 7_540]), piece)).toBeUndefined();
    expect(recipeAsPoured(poured([0, 0, 0]), piece)).toBeUndefined();
  });

  it('leaves out what was never poured in', () => {
    expect(recipeAsPoured(poured([20_000, 10_000, 0]), piece)!.parts).toHaveLength(2);
  });

  it('several paints are one part of it, however they strayed', () => {
    const of = (kind: string, materialId: string) => ({ targetMg: 5_000, material: { kind, materialId } });
    const cup = {
      mix: {
        name: 'Slate and rain',
        role: 'color',
        recipe: {
          blend: [
            { materialId: 'slate', parts: 1 },
            { materialId: 'rain', parts: 1 },
          ],
        },
        ingredients: [of('flow-conditioner', 'c'), of('artist-tube', 'slate'), of('fluid', 'rain')],
      },
      state: { shownIngredientMg: [5_000, 7_000, 4_000] },
    } as unknown as Cup;
    expect(recipeAsPoured(cup, piece)!.parts.map(({ amount, of: { kind } }) => [amount, kind])).toEqual([
      [5, 'material'],
      [11, 'paint'],
    ]);
  });

  it('twice the amount is the same recipe', () => {
    expect(recipeAsPoured(poured([40_000, 20_000, 15_000]), piece)).toBeUndefined();
  });
});
