/** @jest-environment jsdom */
import { mount } from '@vue/test-utils';
import fc from 'fast-check';
import HungPhoto from './HungPhoto.vue';

type Point = readonly [number, number];

/** Where a CSS matrix3d brings a point of the plane. Source: CSS Transforms 2, column-major matrix. */
function moved(transform: string, [x, y]: Point): Point {
  const m = transform.slice('matrix3d('.length, -1).split(',').map(Number);
  const w = m[3]! * x + m[7]! * y + m[15]!;
  return [(m[0]! * x + m[4]! * y + m[12]!) / w, (m[1]! * x + m[5]! * y + m[13]!) / w];
}

const SMALL_PX = 480;
const support = { widthMm: 300, heightMm: 400, shape: 'rectangle' };
const hang = (changes: object) =>
  mount(HungPhoto, {
    props: {
      photo: { id: 'p', widthPx: 1600, heightPx: 1200, corners: null },
      support,
      width: 150,
      alt: 'Brass moth',
      ...changes,
    } as never,
  });

describe('a hung photo', () => {
  it('fills its place with the support alone, however it was photographed', () => {
    const near = (x: number, y: number) =>
      fc.tuple(fc.integer({ min: x - 150, max: x + 150 }), fc.integer({ min: y - 150, max: y + 150 }));
    const corners = fc.tuple(near(400, 300), near(1200, 300), near(1200, 900), near(400, 900));
    fc.assert(
      fc.property(corners, (found) => {
        const shown = hang({ photo: { id: 'p', widthPx: 1600, heightPx: 1200, corners: found } });
        const transform = /transform: (matrix3d\([^)]*\))/.exec(shown.get('img').attributes('style')!)![1]!;
        const places = [
          [0, 0],
          [150, 0],
          [150, 200],
          [0, 200],
        ];
        found.forEach(([x, y], index) => {
          const scale = SMALL_PX / 1600;
          const [u, v] = moved(transform, [x * scale, y * scale]);
          expect(u).toBeCloseTo(places[index]![0]!, 4);
          expect(v).toBeCloseTo(places[index]![1]!, 4);
        });
      }),
      { numRuns: 50 },
    );
  });

  it('has the proportions of its support, and a round piece is round', () => {
    const square = hang({}).get('.hung');
    expect(square.attributes('style')).toContain('width: 150px; height: 200px');
    expect(square.classes()).not.toContain('round');
    expect(
      hang({ support: { ...support, shape: 'round' } })
        .get('.hung')
        .classes(),
    ).toContain('round');
  });

  it('shows all of a photo that is not measured yet', () => {
    expect(hang({}).get('img').classes()).toContain('whole');
  });
});
