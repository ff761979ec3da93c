import { counting, paint } from '../../../testing/index.ts';
import { LIMITS, type Technique } from '../../paint/stage/index.ts';
import { middleFilm } from '../amount/index.ts';
import { paintedArea, type SupportSize } from '../support/index.ts';
import { blownAs, BLOWINGS, flowerDm2, LAYOUTS, layOut, type Plan } from './index.ts';

/** Passes go with the face: on a coaster nothing is blown longer than its paint bears. */

const paints = [
  paint('base', { role: 'base', viscosityPaS: 0.6 }),
  paint('pillow', { role: 'pillow', viscosityPaS: 5 }),
  paint('rust'),
  paint('rain'),
  paint('net', { role: 'activator', viscosityPaS: 0.5 }),
  paint('over', { role: 'swipe' }),
];
const SIZES: readonly SupportSize[] = [100, 120, 150, 200].flatMap((mm) => [
  { shape: 'rectangle', widthMm: mm, heightMm: mm, sideDepthMm: 10 },
  { shape: 'rectangle', widthMm: mm, heightMm: 100, sideDepthMm: 10 },
  { shape: 'round', widthMm: mm, heightMm: mm, sideDepthMm: 10 },
]);
const usedIn = (technique: Technique) =>
  paints.filter(({ role }) =>
    technique === 'bloom'
      ? role !== 'base' && role !== 'swipe'
      : role !== 'pillow' && (role !== 'swipe' || technique === 'swipe'),
  );
const every = LAYOUTS.flatMap(({ name, techniques }) =>
  techniques.map((technique) => [name, technique] as const),
);

/** Seconds of air on each square decimeter that is worked. */
function airSPerDm2(plan: Plan, support: SupportSize): number {
  const faceDm2 = paintedArea(support).faceCm2 / 100;
  const flowersDm2 = plan.stacks.reduce((sum, { footprintMm }) => sum + flowerDm2(footprintMm), 0);
  const workedDm2 = flowersDm2 > 0 ? Math.min(faceDm2, flowersDm2) : faceDm2;
  return plan.passes.reduce((sum, { seconds }) => sum + seconds, 0) / workedDm2;
}

it.each(every)(
  '%s of a %s is not overworked on anything from 100 to 200 mm, nor piled up',
  (name, technique) => {
    for (const support of SIZES) {
      const plan = layOut(name, { support, technique, paints: usedIn(technique), newId: counting() });
      expect(airSPerDm2(plan, support)).toBeLessThan(0.8 * LIMITS.airSPerDm2.most);
      expect(middleFilm(plan, paints)?.afterMm ?? 0).toBeLessThan(LIMITS.middleMm.thick);
    }
  },
);

it.each(BLOWINGS)('a small flower blown as "%s" neither', (blowing) => {
  for (const footprintMm of [40, 60, 90, 140]) {
    const stack = { at: { x: 50, y: 50 }, footprintMm };
    const seconds = blownAs(blowing, stack, counting()).reduce((sum, pass) => sum + pass.seconds, 0);
    expect(seconds / flowerDm2(footprintMm)).toBeLessThan(0.8 * LIMITS.airSPerDm2.most);
  }
});
