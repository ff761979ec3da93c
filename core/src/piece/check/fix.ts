import { blownOut, USUAL_FILM, type Plan, type PlanPass, type PlanSettings } from '../plan/index.ts';

/** What a finding offers to do; "go" leads to another station, the others change the plan. */
export type Fix =
  | { readonly kind: 'go'; readonly to: 'mix' | 'thickness' }
  | { readonly kind: 'mix'; readonly cupId: string }
  /** Seen to at the table, or left as it is knowingly. */
  | { readonly kind: 'tick'; readonly id: string; readonly leave?: boolean }
  | { readonly kind: 'order'; readonly stackId: string; readonly order: readonly string[] }
  | { readonly kind: 'layer'; readonly layerId: string; readonly massG: number | null }
  | { readonly kind: 'scale-layers'; readonly factor: number }
  | { readonly kind: 'film'; readonly mm: number }
  | { readonly kind: 'settings'; readonly changes: Partial<PlanSettings> }
  | {
      readonly kind: 'pass';
      readonly passId: string;
      readonly changes: Partial<Pick<PlanPass, 'distanceMm' | 'slantDeg' | 'seconds'>>;
    }
  | { readonly kind: 'add-passes' }
  | { readonly kind: 'add-base' };

/** The fixes that change nothing but the plan itself. */
export type PlanFix = Exclude<Fix, { kind: 'go' | 'mix' | 'tick' }>;

export const isPlanFix = (fix: Fix): fix is PlanFix => !['go', 'mix', 'tick'].includes(fix.kind);

/**
 * Applies a fix to a plan.
 *
 * @param options.baseId the paint a base is made of
 */
export function applyFix(
  plan: Plan,
  fix: PlanFix,
  options: { readonly newId: () => string; readonly baseId: string | undefined },
): Plan {
  switch (fix.kind) {
    case 'order':
      return {
        ...plan,
        stacks: plan.stacks.map((stack) => (stack.id === fix.stackId ? inOrder(stack, fix.order) : stack)),
        paths: plan.paths.map((path) => (path.id === fix.stackId ? inOrder(path, fix.order) : path)),
      };
    case 'layer':
      return mapLayers(plan, (layer) => (layer.id === fix.layerId ? { ...layer, massG: fix.massG } : layer));
    case 'scale-layers':
      return scaleLayers(plan, fix.factor);
    case 'film':
      return plan.base ? { ...plan, base: { ...plan.base, film: { kind: 'thickness', mm: fix.mm } } } : plan;
    case 'settings':
      return { ...plan, settings: { ...plan.settings, ...fix.changes } };
    case 'pass':
      return {
        ...plan,
        passes: plan.passes.map((pass) => (pass.id === fix.passId ? { ...pass, ...fix.changes } : pass)),
      };
    case 'add-passes':
      return { ...plan, passes: blownOut(plan, options.newId) };
    case 'add-base':
      return options.baseId
        ? {
            ...plan,
            base: {
              pattern: 'one',
              areas: [{ cupId: options.baseId, share: 1 }],
              seam: null,
              film: USUAL_FILM,
            },
          }
        : plan;
  }
}

function scaleLayers(plan: Plan, factor: number): Plan {
  const scaled = mapLayers(plan, (layer) =>
    layer.massG === null ? layer : { ...layer, massG: Math.round(layer.massG * factor * 10) / 10 || 0.1 },
  );
  if (!plan.base) return scaled;
  const { film } = plan.base;
  // A film that runs off is thinner by the root of the time it runs.
  const less =
    film.kind === 'thickness'
      ? { ...film, mm: film.mm * factor }
      : { ...film, seconds: Math.min(3600, film.seconds / factor ** 2) };
  return { ...scaled, base: { ...plan.base, film: less } };
}

type Layered = Plan['stacks'][number] | Plan['paths'][number];

function inOrder<Item extends Layered>(item: Item, order: readonly string[]): Item {
  const layers = order
    .map((id) => item.layers.find((layer) => layer.id === id))
    .filter((layer) => layer !== undefined);
  const rest = item.layers.filter((layer) => !order.includes(layer.id));
  return { ...item, layers: [...layers, ...rest] };
}

function mapLayers(plan: Plan, map: (layer: Layered['layers'][number]) => Layered['layers'][number]): Plan {
  const mapped = <Item extends Layered>(item: Item): Item => ({ ...item, layers: item.layers.map(map) });
  return { ...plan, stacks: plan.stacks.map(mapped), paths: plan.paths.map(mapped) };
}
