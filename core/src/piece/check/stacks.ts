import { LIMITS } from '../../paint/stage/index.ts';
import { stackLayers } from '../amount/index.ts';
import { mudOf, suggestOrder, type OrderLayer } from '../order/index.ts';
import { distanceMm, type PlanPaint, type PlanStack } from '../plan/index.ts';
import { coreSample, evenlyMm } from '../stack/index.ts';
import type { CheckInput, Finding } from './finding.ts';
import type { Fix } from './fix.ts';
import { mudFinding } from './mud.ts';

/** What is to be said of every stack; alike ones are spoken of once. */
export function stackFindings(input: CheckInput): Finding[] {
  const seen = new Set<string>();
  return input.plan.stacks
    .flatMap((stack) => [...sinking(input, stack), ...opening(input, stack), ...dose(input, stack)])
    .filter((finding) => {
      const saying = JSON.stringify([finding.code, namesOf(finding.facts)]);
      return !seen.has(saying) && seen.add(saying);
    });
}

/** Whom a finding is about. */
const namesOf = (facts: object): unknown[] =>
  Object.values(facts).filter((value) => typeof value === 'string');

function orderLayers(input: CheckInput, stack: PlanStack): OrderLayer[] {
  return stackLayers(input.plan, stack, input.paints, input.blowers).map(({ layer, paint, massG }) => ({
    id: layer.id,
    paint,
    massG,
  }));
}

function sinking(input: CheckInput, stack: PlanStack): Finding[] {
  const layers = orderLayers(input, stack);
  const sample = coreSample(input.plan, stack, input.paints, { blowers: input.blowers, moment: 'poured' });
  const better = reordered(input, stack, layers);
  const sinks = sample.interfaces
    .filter(({ verdict, lower }) => {
      const upper = sample.layers[lower + 1]!;
      return verdict === 'sinks' && upper.paint.role !== 'activator';
    })
    .map(({ lower, opens }): Finding => {
      const [below, above] = [sample.layers[lower]!.paint, sample.layers[lower + 1]!.paint];
      const { fromSeconds, toSeconds } = opens!;
      return {
        id: `sinks ${stack.id} ${above.id} ${below.id}`,
        level: fromSeconds < input.plan.settings.waitSeconds && isFarDenser(above, below) ? 'wrong' : 'look',
        code: 'sinks',
        facts: {
          upper: above.name,
          lower: below.name,
          upperGPerMl: above.densityGPerMl,
          lowerGPerMl: below.densityGPerMl,
          ...{ fromSeconds, toSeconds },
        },
        fix: better,
      };
    });
  const mud = layers.slice(1).flatMap((upper, index): Finding[] => {
    const lower = layers[index]!;
    const share = mudOf(lower.paint.colorHex, upper.paint.colorHex);
    if (
      share < LIMITS.neighborsLose.most ||
      upper.paint.role === 'activator' ||
      lower.paint.role === 'pillow'
    )
      return [];
    return [mudFinding(`mud ${stack.id} ${upper.id}`, lower.paint, upper.paint, share, better)];
  });
  return [...sinks, ...mud];
}

const isFarDenser = (above: PlanPaint, below: PlanPaint): boolean =>
  above.densityGPerMl > (1 + LIMITS.sinks) * below.densityGPerMl;

/** A better order of a stack, if there is one. */
function reordered(input: CheckInput, stack: PlanStack, layers: readonly OrderLayer[]): Fix | null {
  if (layers.length < 2 || layers.length > 10) return null;
  const { order, mended } = suggestOrder(input.technique, layers);
  const same = order.every((id, index) => id === layers[index]!.id);
  return same || mended.length === 0 ? null : { kind: 'order', stackId: stack.id, order };
}

/** The activator must stay up until it is blown out, and open before the artist walks away. */
function opening(input: CheckInput, stack: PlanStack): Finding[] {
  const sample = coreSample(input.plan, stack, input.paints, { blowers: input.blowers, moment: 'blown' });
  const top = sample.layers.length - 1;
  const activator = sample.layers[top];
  const forecast = sample.interfaces.find(({ lower }) => lower === top - 1);
  if (activator?.paint.role !== 'activator' || !forecast) return [];
  const { settings, passes } = input.plan;
  const blowSeconds = passes
    .filter((pass) => distanceMm(pass.at, stack.at) <= stack.footprintMm / 2)
    .reduce((sum, pass) => sum + pass.seconds, 0);
  const name = activator.paint.name;
  // Where weight does not open it, the sheet itself does; when, only one's own pours tell.
  if (!forecast.opens || forecast.verdict === 'opens-otherwise') return [];
  const { fromSeconds, toSeconds } = forecast.opens;
  if (toSeconds < blowSeconds) {
    return [
      {
        id: `early ${stack.id}`,
        level: 'look',
        code: 'opens-early',
        facts: { name, fromSeconds, toSeconds, blowSeconds },
        fix: { kind: 'go', to: 'thickness' },
      },
    ];
  }
  if (fromSeconds > settings.waitSeconds) {
    return [
      {
        id: `late ${stack.id}`,
        level: 'look',
        code: 'opens-late',
        facts: { name, fromSeconds, toSeconds, waitSeconds: settings.waitSeconds },
        fix: { kind: 'settings', changes: { waitSeconds: Math.ceil(toSeconds / 30) * 30 } },
      },
    ];
  }
  return [];
}

function dose(input: CheckInput, stack: PlanStack): Finding[] {
  return stackLayers(input.plan, stack, input.paints, input.blowers)
    .filter(({ paint, layer }) => paint.role === 'activator' && layer.massG !== null)
    .flatMap(({ paint, volumeMl, layer }): Finding[] => {
      const sheet = evenlyMm(volumeMl, stack.footprintMm);
      const { thin, thick } = LIMITS.sheetMm;
      if (sheet >= thin && sheet <= thick) return [];
      return [
        {
          id: `dose ${stack.id}`,
          level: 'look',
          code: sheet < thin ? 'dose-little' : 'dose-much',
          facts: { name: paint.name, sheetMm: sheet },
          fix: { kind: 'layer', layerId: layer.id, massG: null },
        },
      ];
    });
}
