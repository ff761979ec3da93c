import type { Random } from '../src/base/random/index.ts';
import { AIR_TOOL_NAMES } from '../src/flow/air/index.ts';
import type { Technique } from '../src/paint/stage/index.ts';
import { LAYOUTS, layOut, type Plan, type PlanPaint } from '../src/piece/plan/index.ts';
import { sceneOf, type Scene } from '../src/piece/rehearse/index.ts';
import type { SupportSize } from '../src/piece/support/index.ts';
import { counting, paint } from './plan.ts';

export interface RandomPlan {
  readonly name: string;
  readonly support: SupportSize;
  readonly plan: Plan;
  readonly paints: readonly PlanPaint[];
}

/** A plan as anybody may make it: any layout, size, tool, number of colors, thin and thick, light and heavy, blown anyhow. */
export function randomPlan(random: Random): RandomPlan {
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
    ...(technique === 'bloom' || random() < 0.3 ? [paint('pillow', { role: 'pillow', ...own() })] : []),
    ...colors,
    ...(random() < 0.6 ? [paint('net', { role: 'activator', ...own(), viscosityPaS: 0.6 * thick })] : []),
    ...(technique === 'swipe' ? [paint('over', { role: 'swipe', ...own() })] : []),
  ];
  const support = { shape, widthMm, heightMm, sideDepthMm: Math.round(between(0, 40)) } as const;
  const tool = random() < 0.5 ? { tool: anyOf(AIR_TOOL_NAMES) } : {};
  const plan = layOut(layout, { support, technique, paints, newId: counting(), ...tool });
  const [longer, farther] = [Math.exp(between(-0.7, 0.7)), Math.exp(between(-0.5, 0.9))];
  const passes = plan.passes.map((pass) => ({
    ...pass,
    seconds: pass.seconds * longer,
    distanceMm: pass.distanceMm * farther,
    slantDeg: random() < 0.7 ? pass.slantDeg : between(10, 90),
  }));
  const name = `${layout}, ${technique}, ${shape} ${widthMm} x ${heightMm}, ${thick.toFixed(2)} Pa·s${alike ? ' all' : ''}, ${colors.length} colors`;
  return { name, support, plan: { ...plan, passes }, paints };
}

/** The same, ready for the film. */
export function randomScene(random: Random): { readonly name: string; readonly scene: Scene } {
  const { name, support, plan, paints } = randomPlan(random);
  return { name, scene: sceneOf(support, plan, paints, []) };
}
