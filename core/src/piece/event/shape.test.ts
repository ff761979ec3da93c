import { layerAmounts } from '../amount/index.ts';
import { layOut, LAYOUTS, scalePlan, type Plan, type PlanPaint } from '../plan/index.ts';
import type { Technique } from '../../paint/stage/index.ts';
import { planOfPour, runSheet, shapeOfStep, type LoggedEvent } from './index.ts';
import { counting, paint } from '../../../testing/index.ts';

const support = { shape: 'rectangle', widthMm: 300, heightMm: 400, sideDepthMm: 18 } as const;
const dutch = [
  paint('white', { role: 'base' }),
  paint('black', { role: 'base' }),
  paint('rust'),
  paint('rain'),
  paint('foam'),
];
const bloom = [
  paint('pillow', { role: 'pillow', viscosityPaS: 5, densityGPerMl: 1.3 }),
  paint('rust'),
  paint('rain'),
  paint('net', { role: 'activator', viscosityPaS: 0.5 }),
];
const swipe = [...dutch, paint('swiped', { role: 'swipe' })];
const paintsOf: Readonly<Record<Technique, readonly PlanPaint[]>> = {
  ...{ dutch, bloom, swipe, ring: dutch, 'lifted-cup': dutch, radial: dutch },
};

/** A plan poured step by step, just as it says. */
function poured(plan: Plan, paints: readonly PlanPaint[]): LoggedEvent[] {
  const amounts = layerAmounts(support, plan, paints, []);
  const gramsOf = (id: string) => amounts.find((each) => each.id === id)!.massG;
  const sheet = runSheet(plan, support, {
    layer: (itemId, layerId) => gramsOf(`${itemId} ${layerId}`),
    base: (area) => gramsOf(`base.${area}`),
  });
  return sheet.flatMap((step, index): LoggedEvent[] =>
    step.kind === 'lay'
      ? [
          {
            id: String(index),
            kind: 'layer',
            data: {
              cupId: step.cupId,
              mg: step.mg,
              shape: shapeOfStep(plan, step, support),
              stepId: step.id,
            },
          },
        ]
      : [],
  );
}

/** Where everything lies, whatever it is called. */
const lay = ({ stacks, paths, base }: Plan) => ({
  stacks: stacks.map(({ at, footprintMm, way, layers }) => [
    way,
    at,
    footprintMm,
    layers.map(({ cupId }) => cupId),
  ]),
  paths: paths.map(({ kind, start, control, end, layers }) => [
    kind,
    start,
    control,
    end,
    layers.map(({ cupId }) => cupId),
  ]),
  base: base && { pattern: base.pattern, seam: base.seam, areas: base.areas.map(({ cupId }) => cupId) },
});

const layouts = LAYOUTS.flatMap(({ name, techniques }) =>
  techniques.map((technique) => [name, technique as Technique] as const),
);

it.each(layouts)('%s of a %s keeps its places, shapes and seam through the pour', (name, technique) => {
  const paints = paintsOf[technique];
  const plan = layOut(name, { support, technique, paints, newId: counting() });
  const again = planOfPour(poured(plan, paints), paints, support, counting('again'));
  const floodsFirst = {
    ...plan,
    paths: [...plan.paths].sort((a, b) => Number(b.kind === 'flood') - Number(a.kind === 'flood')),
  };
  expect(lay(again)).toEqual(lay(floodsFirst));
  const laidG = (each: Plan) =>
    layerAmounts(support, each, paints, []).reduce(
      (sum, { massG, part }) => sum + (part === 'base' ? 0 : massG),
      0,
    );
  expect(laidG(again)).toBeCloseTo(laidG(plan), 1);
});

it.each(layouts)('%s of a %s keeps its shape on another size too', (name, technique) => {
  const paints = paintsOf[technique];
  const plan = layOut(name, { support, technique, paints, newId: counting() });
  const larger = { ...support, widthMm: 600, heightMm: 800 };
  const again = planOfPour(poured(plan, paints), paints, support, counting('again'));
  const kinds = (each: Plan) => [each.stacks.length, each.paths.map(({ kind }) => kind), each.base?.pattern];
  expect(kinds(scalePlan(again, support, larger).plan)).toEqual(kinds(again));
});

it('what was laid without a place still goes to the pile in the middle', () => {
  const shape = {
    kind: 'line',
    itemId: 'l',
    start: { x: 10, y: 10 },
    control: { x: 50, y: 50 },
    end: { x: 90, y: 90 },
  } as const;
  const log: LoggedEvent[] = [
    { id: '1', kind: 'layer', data: { cupId: 'rust', mg: 5000, shape } },
    { id: '2', kind: 'layer', data: { cupId: 'rain', mg: 4000 } },
  ];
  const again = planOfPour(log, dutch, support, counting());
  expect(again.paths.map(({ kind, start }) => [kind, start])).toEqual([['line', { x: 10, y: 10 }]]);
  expect(again.stacks.map(({ at, layers }) => [at, layers[0]!.cupId])).toEqual([
    [{ x: 150, y: 200 }, 'rain'],
  ]);
});
