import type { Random } from '../src/base/random/index.ts';
import { AIR_TOOL_NAMES } from '../src/flow/air/index.ts';
import type { Technique } from '../src/paint/stage/index.ts';
import { LAYOUTS, layOut } from '../src/piece/plan/index.ts';
import { sceneOf, type Scene } from '../src/piece/rehearse/index.ts';
import { counting, paint } from './plan.ts';

/** A plan as anybody may make it, ready for the film: any layout, size, tool, number of colors, thin and thick, light and heavy. */
export function randomScene(random: Random): { readonly name: string; readonly scene: Scene } {
  const anyOf = <Value>(values: readonly Value[]): Value => values[Math.floor(random() * values.length)]!;
  const between = (low: number, high: number) => low + (high - low) * random();
  const { name: layout, techniques } = anyOf(LAYOUTS);
  const technique = anyOf<Technique>(techniques);
  const shape = random() < 0.25 ? 'round' : 'rectangle';
  const widthMm = Math.round(between(100, 400));
  const heightMm = shape === 'round' ? widthMm : Math.round(between(100, 400));
  const thick = random() < 0.3 ? between(0.3, 0.8) : between(0.5, 6);
  const alike = random() < 0.3;
  const own = () => ({
    viscosityPaS: alike ? thick : thick * between(0.6, 1.7),
    densityGPerMl: alike ? 1.1 : between(1, 1.5),
  });
  const colors = Array.from({ length: 1 + Math.floor(random() * 5) }, (_, index) =>
    paint(`color ${index}`, own()),
  );
  const paints = [
    paint('base', { role: 'base', ...own() }),
    ...(random() < 0.6 ? [paint('pillow', { role: 'pillow', ...own() })] : []),
    ...colors,
    ...(random() < 0.6 ? [paint('net', { role: 'activator', ...own(), viscosityPaS: 0.6 * thick })] : []),
  ];
  const support = { shape, widthMm, heightMm, sideDepthMm: Math.round(between(0, 40)) } as const;
  const tool = random() < 0.5 ? { tool: anyOf(AIR_TOOL_NAMES) } : {};
  const plan = layOut(layout, { support, technique, paints, newId: counting(), ...tool });
  const name = `${layout}, ${technique}, ${shape} ${widthMm} x ${heightMm}, ${thick.toFixed(2)} Pa·s${alike ? ' all' : ''}, ${colors.length} colors`;
  const passes = plan.passes.map((pass) => ({
    ...pass,
    slantDeg: random() < 0.5 ? pass.slantDeg : between(10, 90),
  }));
  return { name, scene: sceneOf(support, { ...plan, passes }, paints, []) };
}
