import { layOut, LAYOUTS, type PlanPaint } from '@icy-ribbon/core/piece/plan';
import { coreSample } from '@icy-ribbon/core/piece/stack';
import { measureWords } from '../words/measure.ts';
import { forecastWords } from '../words/forecast.ts';
import { drawColumn, drawSilhouette } from './coreSample.ts';
import { baseShapes, faceOutline, inkOn, itemName, pathBands, stackDisks, tipOf } from './plan.ts';
import { planSvg } from './planSvg.ts';

const paint = (id: string, role: PlanPaint['role'], changes: Partial<PlanPaint> = {}): PlanPaint => ({
  id,
  name: id,
  role,
  colorHex: '#3f6f8f',
  viscosityPaS: 2,
  densityGPerMl: 1.1,
  opacity: 'semi-opaque',
  finish: 'plain',
  ...changes,
});
const paints = [
  paint('white', 'base', { colorHex: '#f3f2ec' }),
  paint('gray', 'base', { colorHex: '#888888' }),
  paint('pillow', 'pillow', { densityGPerMl: 1.35, viscosityPaS: 5 }),
  paint('rust', 'color', { colorHex: '#9c4a2c' }),
  paint('rain', 'color'),
  paint('net', 'activator', { densityGPerMl: 1.15, viscosityPaS: 0.5 }),
];
const support = { shape: 'rectangle', widthMm: 300, heightMm: 400, sideDepthMm: 20 } as const;
let count = 0;
const newId = () => `i${(count += 1)}`;
const contextOf = (
  name: (typeof LAYOUTS)[number]['name'],
  on = support as Parameters<typeof faceOutline>[0],
) => ({
  plan: layOut(name, { support: on, technique: 'bloom', paints, newId }),
  support: on,
  paints,
  blowers: [],
});

const METRIC = measureWords({ mass: 'g', volume: 'ml', length: 'cm', temperature: 'C' });

describe('shapes of a plan', () => {
  it('puddles of a pile lie inside one another', () => {
    const context = contextOf('center-bloom');
    const radii = stackDisks(context, context.plan.stacks[0]!).map((disk) => disk.radiusMm);
    expect(radii).toHaveLength(4);
    expect([...radii].sort((a, b) => b - a)).toEqual(radii);
  });

  it('a stack whose paint is gone is still there to be taken hold of, without puddles', () => {
    const context = contextOf('center-bloom');
    expect(stackDisks({ ...context, paints: [] }, context.plan.stacks[0]!)).toEqual([]);
  });

  it('the bands of a ribbon lie side by side and are as wide as their grams', () => {
    const context = contextOf('diagonal');
    const ribbon = context.plan.paths.find((path) => path.kind === 'ribbon')!;
    const twice = {
      ...ribbon,
      layers: ribbon.layers.map((layer, index) => ({ ...layer, massG: index === 0 ? 40 : 20 })),
    };
    const [first, second] = pathBands(context, twice);
    expect(first!.widthMm / second!.widthMm).toBeCloseTo(2, 9);
    const apart = Math.hypot(
      first!.places[12]!.x - second!.places[12]!.x,
      first!.places[12]!.y - second!.places[12]!.y,
    );
    expect(apart).toBeCloseTo((first!.widthMm + second!.widthMm) / 2 / 1.06, 6);
  });

  it('a split base has two areas, a marbled one bands, a round face its own outline', () => {
    const context = contextOf('seam');
    expect(baseShapes(context).map((area) => area.colorHex)).toEqual(['#f3f2ec', '#888888']);
    const marbled = { ...context.plan.base!, pattern: 'marbled' as const, seam: null };
    expect(baseShapes({ ...context, plan: { ...context.plan, base: marbled } }).length).toBeGreaterThan(5);
    expect(
      faceOutline({ shape: 'round', widthMm: 300, heightMm: 300, sideDepthMm: 0 }).length,
    ).toBeGreaterThan(50);
  });

  it('a pass points where it blows, long enough to be held', () => {
    const context = contextOf('diagonal');
    const [pass] = context.plan.passes;
    const right = { ...pass!, directionDeg: 90 };
    const tip = tipOf(context, right);
    expect(tip.y).toBeCloseTo(right.at.y, 9);
    expect(tip.x - right.at.x).toBeGreaterThanOrEqual(22);
  });

  it('items are called by what they are, in their order', () => {
    const { plan } = contextOf('diagonal');
    expect(plan.paths.map(({ id }) => itemName(plan, id))).toEqual(['Flood 1', 'Ribbon 2']);
    expect(itemName(plan, plan.passes[1]!.id)).toBe('Pass 2, hair dryer, cool');
    expect(itemName(plan, 'nothing')).toBe('');
  });

  it('ink can be read on light and on dark', () => {
    expect(inkOn('#f3f2ec')).toBe('#15252f');
    expect(inkOn('#101010')).toBe('#ffffff');
  });
});

describe('the drawing as a file', () => {
  it.each(LAYOUTS.map(({ name }) => name))('%s is well-formed SVG in true size', (name) => {
    const svg = planSvg(contextOf(name));
    expect(svg).toMatch(/^<svg [^>]*width="324mm" height="424mm"/);
    expect(svg).not.toMatch(/NaN|undefined|Infinity/);
    const opened = svg.match(/<(svg|g|defs|clipPath|text)\b/g)!.length;
    expect(svg.match(/<\/(svg|g|defs|clipPath|text)>/g)).toHaveLength(opened);
  });
});

describe('the core sample drawn', () => {
  const context = contextOf('center-bloom');
  const sample = coreSample(context.plan, context.plan.stacks[0]!, paints, { moment: 'poured' });

  it('is to scale: every layer is as high as its thickness, one on the other', () => {
    const drawn = drawColumn(sample, { width: 200, height: 300 }, 1.5);
    drawn.layers.forEach(({ layer, top, bottom }, index) => {
      expect(bottom - top).toBeCloseTo(layer.thicknessMm * drawn.pxPerMm, 9);
      expect(bottom).toBeCloseTo(drawn.layers[index - 1]?.top ?? drawn.floor, 9);
    });
    expect(drawn.dent).toMatch(/^M/);
  });

  it('from the side has one scale for width and height', () => {
    const side = drawSilhouette(sample, { width: 260, height: 44 });
    expect((side.to - side.from) / side.height).toBeCloseTo(side.widthMm / side.heightMm, 9);
    expect(side.width).toBeLessThanOrEqual(260 + 1e-9);
    expect(side.height).toBeLessThanOrEqual(44 + 1e-9);
    expect(side.layers.every(({ path }) => !path.includes('NaN'))).toBe(true);
  });

  it('labels do not cover one another, even in a low drawing', () => {
    const labels = drawColumn(sample, { width: 110, height: 300 }, 0).layers.map(({ labelY }) => labelY);
    labels.slice(1).forEach((y, index) => expect(labels[index]! - y).toBeGreaterThanOrEqual(50));
  });

  it('says what an interface will do', () => {
    const cells = { stable: false, wavelengthMm: 2.484, growthPerS: 0.02326, openingSeconds: 43 } as never;
    const opens = { fromSeconds: 99, toSeconds: 198 };
    const say = (changes: object) =>
      forecastWords({ lower: 0, cells, opens, also: [], verdict: 'opens', ...changes } as never, METRIC);
    expect(say({})).toBe('opens in 2 to 3\u00a0min, 2.5\u00a0mm');
    expect(say({ opens: { fromSeconds: 23, toSeconds: 46 } })).toBe('opens in 23 to 46\u00a0s, 2.5\u00a0mm');
    expect(say({ verdict: 'sinks' })).toBe('sinks in 2 to 3\u00a0min');
    expect(say({ verdict: 'slow' })).toBe('dries before it opens');
    expect(say({ verdict: 'holds', cells: { stable: true }, opens: null })).toBe('holds');
    expect(say({ verdict: 'opens-otherwise', also: ['thin-sheet', 'metallic'] })).toBe(
      'the sheet opens by itself',
    );
  });
});
