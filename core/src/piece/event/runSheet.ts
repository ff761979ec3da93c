import {
  curveMiddle,
  type Plan,
  type PlanPass,
  type PlanPath,
  type PlanSettings,
  type PlanStack,
  type Spreader,
  type StackWay,
} from '../plan/index.ts';
import type { SupportSize } from '../support/index.ts';
import type { LoggedEvent } from './event.ts';
import { inForce } from './log.ts';
import type { FacePlace, Mark, Spot } from './mark.ts';

export type SpinWay = 'clockwise' | 'counterclockwise';

/** One step of a pour, in the order of the work. */
export type RunStep = { readonly id: string } & (
  | { readonly kind: 'level' }
  | {
      readonly kind: 'lay';
      readonly cupId: string;
      readonly mg: number;
      readonly itemId: string | null;
      readonly number: number;
      /** Of a pile: laid there at once, or first into the cup that is turned over or poured in rings. */
      readonly way?: StackWay | undefined;
    }
  | { readonly kind: 'spread'; readonly by: Spreader }
  | { readonly kind: 'run-off'; readonly tiltDeg: number; readonly seconds: number }
  | { readonly kind: 'blow-test' }
  | { readonly kind: 'lift'; readonly itemId: string; readonly way: Exclude<StackWay, 'puddles'> }
  | { readonly kind: 'card'; readonly mark: Mark | null }
  | { readonly kind: 'torch' }
  | { readonly kind: 'wait'; readonly seconds: number; readonly forWhat: string }
  | { readonly kind: 'pass'; readonly pass: PlanPass; readonly number: number }
  | { readonly kind: 'straw'; readonly mark: Mark | null }
  | {
      readonly kind: 'spin';
      readonly rpm: number;
      readonly seconds: number;
      readonly way: SpinWay | 'both';
      readonly number: number;
      readonly of: number;
    }
  | { readonly kind: 'tip-test' }
  | { readonly kind: 'skewer'; readonly mark: Mark | null }
  | { readonly kind: 'photo' }
  | { readonly kind: 'scrape'; readonly mark: Spot }
  | { readonly kind: 'wipe' }
  | {
      readonly kind: 'relay';
      readonly cupId: string;
      readonly mg: number;
      readonly mark: Spot;
      readonly number: number;
    }
  | { readonly kind: 'air-again'; readonly mark: Spot; readonly directionDeg: number }
);

/** What a layer weighs, by item and layer; the base by its area's number; grams. */
export interface StepGrams {
  readonly layer: (itemId: string, layerId: string) => number;
  readonly base: (area: number) => number;
}

/** The plan as a list of steps to be done one by one. */
export function runSheet(plan: Plan, support: SupportSize, grams: StepGrams): RunStep[] {
  const { settings } = plan;
  const floods = (moment: NonNullable<PlanPath['moment']>) =>
    plan.paths
      .filter((path) => path.kind === 'flood' && (path.moment ?? 'before') === moment)
      .flatMap((path) => layersOf(path, grams));
  const colors = plan.paths.filter((path) => path.kind !== 'flood');
  const steps: RunStep[] = [
    { id: 'level', kind: 'level' },
    ...baseSteps(plan, grams),
    ...floods('before'),
    ...colors.flatMap((path) => layersOf(path, grams)),
    ...plan.stacks.flatMap((stack) => stackSteps(stack, grams)),
    ...floods('around'),
    ...floods('over'),
    ...(settings.card ? [{ id: 'card', kind: 'card', mark: cardStroke(plan, support) } as const] : []),
  ];
  if (steps.length === 1 && plan.passes.length === 0) return steps;
  if (steps.length > 1) steps.push({ id: 'torch', kind: 'torch' });
  steps.push(...airSteps(plan), ...finishSteps(plan, support));
  if (steps.length > 1) steps.push({ id: 'photo', kind: 'photo' });
  return steps;
}

function baseSteps({ base, settings }: Plan, grams: StepGrams): RunStep[] {
  if (!base) return [];
  const { film } = base;
  return [
    ...base.areas.map((area, index): RunStep => ({
      id: `base:${index}`,
      kind: 'lay',
      cupId: area.cupId,
      mg: Math.round(1000 * grams.base(index)),
      itemId: null,
      number: index + 1,
    })),
    ...(settings.spreadBy === 'tilting'
      ? []
      : [{ id: 'spread', kind: 'spread', by: settings.spreadBy } as const]),
    ...(film.kind === 'run-off'
      ? [{ id: 'run-off', kind: 'run-off', tiltDeg: film.tiltDeg, seconds: film.seconds } as const]
      : []),
    ...(settings.blowTest ? [{ id: 'blow-test', kind: 'blow-test' } as const] : []),
  ];
}

function layersOf(item: PlanPath | PlanStack, grams: StepGrams): RunStep[] {
  const way = 'way' in item ? item.way : undefined;
  return item.layers.map((layer, index) => ({
    id: `layer:${item.id}:${layer.id}`,
    kind: 'lay',
    cupId: layer.cupId,
    mg: Math.round(1000 * grams.layer(item.id, layer.id)),
    itemId: item.id,
    number: index + 1,
    ...(way && way !== 'puddles' && { way }),
  }));
}

/** What shall lie lowest goes last into a cup that is turned over, and first out of one that is poured. */
function stackSteps(stack: PlanStack, grams: StepGrams): RunStep[] {
  const layers = layersOf(stack, grams);
  if (!stack.way || stack.way === 'puddles') return layers;
  return [...layers.toReversed(), { id: `lift:${stack.id}`, kind: 'lift', itemId: stack.id, way: stack.way }];
}

function airSteps({ passes, settings }: Plan): RunStep[] {
  const stands = passes.length > 0 && settings.standSeconds > 0;
  const opens = (passes.length > 0 || settings.card) && settings.waitSeconds > 0;
  return [
    ...(stands
      ? [
          {
            id: 'stand',
            kind: 'wait',
            seconds: settings.standSeconds,
            forWhat: 'the paint to settle',
          } as const,
        ]
      : []),
    ...passes.map((pass, index): RunStep => ({
      id: `pass:${pass.id}`,
      kind: 'pass',
      pass,
      number: index + 1,
    })),
    ...(opens
      ? [{ id: 'cells', kind: 'wait', seconds: settings.waitSeconds, forWhat: 'the cells to open' } as const]
      : []),
  ];
}

/** The straw in what is left in the middle, slow spins both ways with a tip test between, the skewer last. */
function finishSteps(plan: Plan, support: SupportSize): RunStep[] {
  const { settings } = plan;
  const straw: RunStep[] = !settings.straw
    ? []
    : plan.stacks.length === 0
      ? [{ id: 'straw', kind: 'straw', mark: null }]
      : plan.stacks.map((stack) => ({
          id: `straw:${stack.id}`,
          kind: 'straw',
          mark: { kind: 'spot', at: shareOf(stack.at, support), radiusMm: MIDDLE_SHARE * stack.footprintMm },
        }));
  return [
    ...straw,
    ...spinSteps(settings),
    ...(settings.skewer ? [{ id: 'skewer', kind: 'skewer', mark: null } as const] : []),
  ];
}

/** What stays behind in the middle of a flower, as a share of its width (common practice). */
const MIDDLE_SHARE = 0.12;

function spinSteps({ spinRpm, spinSeconds, spinTimes }: PlanSettings): RunStep[] {
  if (!(spinRpm > 0 && spinSeconds > 0)) return [];
  const seconds = Math.round((10 * spinSeconds) / spinTimes) / 10;
  return Array.from({ length: spinTimes }, (_, index): RunStep[] => [
    {
      id: index === 0 ? 'spin' : `spin:${index + 1}`,
      kind: 'spin',
      rpm: spinRpm,
      seconds,
      way: spinTimes === 1 ? 'both' : index % 2 === 0 ? 'clockwise' : 'counterclockwise',
      number: index + 1,
      of: spinTimes,
    },
    ...(index < spinTimes - 1 ? [{ id: `tip:${index + 1}`, kind: 'tip-test' } as const] : []),
  ]).flat();
}

/** The card begins at the last line that was laid, and is drawn through the middle of the face as far again. */
function cardStroke(plan: Plan, support: SupportSize): Mark | null {
  const path = plan.paths.findLast(({ kind }) => kind !== 'flood');
  if (!path) return null;
  const from = shareOf(curveMiddle(path), support);
  return { kind: 'stroke', from, to: { x: 1 - from.x, y: 1 - from.y } };
}

const shareOf = ({ x, y }: { x: number; y: number }, { widthMm, heightMm }: SupportSize): FacePlace => ({
  x: within(x / widthMm),
  y: within(y / heightMm),
});
const within = (share: number): number => Math.min(1, Math.max(0, share));

export type StepState = 'done' | 'skipped' | 'open';

/** What became of each step, by the events that name it. */
export function stepStates(steps: readonly RunStep[], log: readonly LoggedEvent[]): Map<string, StepState> {
  const states = new Map<string, StepState>(steps.map((step) => [step.id, 'open']));
  for (const event of inForce(log)) {
    const stepId = 'stepId' in event.data ? event.data.stepId : undefined;
    const outcome = event.kind === 'step' ? event.data.outcome : 'done';
    if (stepId !== undefined && states.has(stepId)) states.set(stepId, outcome);
  }
  return states;
}

/** The first step that is neither done nor skipped. */
export function nextStep(steps: readonly RunStep[], log: readonly LoggedEvent[]): RunStep | undefined {
  const states = stepStates(steps, log);
  return steps.find((step) => states.get(step.id) === 'open');
}
