import { CAUTIONS } from '../caution/index.ts';
import { airBounds, jetOnPaint, type AirTool } from '../air/index.ts';
import {
  baseAreas,
  exitOf,
  pieceFilm,
  secondsToSpin,
  stackLayers,
  type Amounts,
  type BlowerExit,
  type PieceFilm,
} from '../amount/index.ts';
import { contrast, type ContrastCup } from '../match/index.ts';
import { mudOf, suggestOrder, type OrderLayer } from '../order/index.ts';
import { distanceMm, type Plan, type PlanPaint, type PlanStack } from '../plan/index.ts';
import { coreSample, evenlyMm, sampleLayers, type CoreSample, type SampleLayer } from '../stack/index.ts';
import type { SupportSize } from '../support/index.ts';
import type { Technique } from '../thickness/index.ts';
import type { Fix } from './fix.ts';

/** What is known of a cup that the plan pours. */
export interface CheckCup extends ContrastCup {
  /** False for one that is only planned. */
  readonly mixed: boolean;
  readonly leftG: number;
  readonly testedToday: boolean;
  /** Hours it still has to rest; 0 when it is rested or needs none. */
  readonly restHours: number;
  readonly water: 'fine' | 'caution' | 'stop';
  readonly weakFilm: boolean;
}

export interface Finding {
  readonly id: string;
  /** "wrong" spoils the piece, "look" may, "do" is to be done before the pour. */
  readonly level: 'wrong' | 'look' | 'do';
  readonly words: string;
  /** The number behind it. */
  readonly because: string;
  readonly fix: Fix | null;
}

export interface CheckInput {
  readonly technique: Technique;
  readonly support: SupportSize;
  readonly plan: Plan;
  readonly paints: readonly PlanPaint[];
  readonly cups: readonly CheckCup[];
  readonly blowers: readonly BlowerExit[];
  readonly amounts: Amounts;
  /** Findings the artist has seen to: the table is level, cautions were read. */
  readonly ticked: readonly string[];
}

/** All paint on the piece over face and sides, mm: more sags and cracks at the rim, less leaves bands. */
export const USUAL_FILM_MM = { thin: 0.45, thick: 2.6 } as const;
const MUDDY = 0.45;
/** Slow turns: fast ones warp the cells (common practice). */
const USUAL_RPM = 60;
const ORDER = { wrong: 0, look: 1, do: 2 } as const;

/**
 * All that is to be seen to before the pour, worst first; an empty list is a clean check.
 *
 * Sources: the physics of the stations before; limits of film and mud are common practice, no published
 * source.
 *
 * @throws InputError naming the field when the plan cannot be worked out
 */
export function check(input: CheckInput): Finding[] {
  const findings = [
    ...nothingLaid(input),
    ...contrastFindings(input),
    ...stackFindings(input),
    ...pathMud(input),
    ...airFindings(input),
    ...filmFindings(input),
    ...cupFindings(input),
    ...doings(input),
  ];
  return findings
    .filter((finding) => !input.ticked.includes(finding.id))
    .map((finding) => (finding.fix || finding.level === 'wrong' ? finding : leavable(finding)))
    .sort((a, b) => ORDER[a.level] - ORDER[b.level]);
}

/** What cannot be mended in the plan may be left as it is, knowingly. */
const leavable = (finding: Finding): Finding => ({
  ...finding,
  fix: { kind: 'tick', id: finding.id, leave: true },
});

const round = (value: number, digits = 1): string => String(Number(value.toFixed(digits)));

function nothingLaid({ plan }: CheckInput): Finding[] {
  if (plan.base || plan.stacks.length > 0 || plan.paths.length > 0) {
    if (plan.passes.length > 0) return [];
    return [
      {
        id: 'no-air',
        level: 'look',
        words: 'No air is planned: draw where to blow.',
        because: '0 passes',
        fix: { kind: 'add-passes' },
      },
    ];
  }
  return [
    {
      id: 'empty',
      level: 'wrong',
      words: 'Nothing is laid yet: choose a layout or put a stack down.',
      because: '0 g',
      fix: null,
    },
  ];
}

function usedCups({ amounts, cups }: CheckInput): CheckCup[] {
  return cups.filter((cup) => amounts.paints.some((paint) => paint.paintId === cup.id));
}

function contrastFindings(input: CheckInput): Finding[] {
  return contrast(input.technique, usedCups(input))
    .filter((finding) => finding.level !== 'fine')
    .map((finding): Finding => ({
      id: `contrast ${finding.cupIds.join(' ')} ${finding.level}`,
      level: finding.level === 'wrong' ? 'wrong' : 'look',
      words: finding.words,
      because: finding.because,
      fix: { kind: 'go', to: 'thickness' },
    }));
}

function orderLayers(input: CheckInput, stack: PlanStack): OrderLayer[] {
  return stackLayers(input.plan, stack, input.paints, input.blowers).map(({ layer, paint, massG }) => ({
    id: layer.id,
    paint,
    massG,
  }));
}

function stackFindings(input: CheckInput): Finding[] {
  const seen = new Set<string>();
  return input.plan.stacks
    .flatMap((stack) => [...sinking(input, stack), ...opening(input, stack), ...dose(input, stack)])
    .filter(({ words }) => !seen.has(words) && seen.add(words));
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
    .map(({ lower, cells }): Finding => {
      const [below, above] = [sample.layers[lower]!.paint, sample.layers[lower + 1]!.paint];
      const seconds = cells.stable ? 0 : cells.openingSeconds;
      return {
        id: `sinks ${stack.id} ${above.id} ${below.id}`,
        level: seconds < input.plan.settings.waitSeconds ? 'wrong' : 'look',
        words: `${above.name} sinks into ${below.name}.`,
        because: `${round(above.densityGPerMl, 2)} over ${round(below.densityGPerMl, 2)} g/ml and thicker; in about ${round(seconds, 0)} s`,
        fix: better,
      };
    });
  const mud = layers.slice(1).flatMap((upper, index): Finding[] => {
    const lower = layers[index]!;
    const share = mudOf(lower.paint.colorHex, upper.paint.colorHex);
    if (share < MUDDY || upper.paint.role === 'activator' || lower.paint.role === 'pillow') return [];
    return [mudFinding(`mud ${stack.id} ${upper.id}`, lower.paint, upper.paint, share, better)];
  });
  return [...sinks, ...mud];
}

const mudFinding = (
  id: string,
  lower: PlanPaint,
  upper: PlanPaint,
  share: number,
  fix: Fix | null,
): Finding => ({
  id,
  level: 'look',
  words: `${lower.name} beside ${upper.name} goes to mud.`,
  because: `their mixture keeps ${round(100 * (1 - share), 0)} % of the color`,
  fix,
});

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
  if (forecast.cells.stable) {
    return [
      {
        id: `stable ${stack.id}`,
        level: 'look',
        words: `${name} is no heavier than the color below: no cells from weight alone. A lighter color under it opens them.`,
        because: `${round(activator.paint.densityGPerMl, 2)} over ${round(sample.layers[top - 1]!.paint.densityGPerMl, 2)} g/ml`,
        fix: lighterUnder(stack, sample, activator),
      },
    ];
  }
  const opens = forecast.cells.openingSeconds;
  if (opens < blowSeconds) {
    return [
      {
        id: `early ${stack.id}`,
        level: 'look',
        words: `${name} opens before it is blown out: blow faster, or make the colors thicker.`,
        because: `opens in about ${round(opens, 0)} s, blowing takes ${round(blowSeconds, 0)} s`,
        fix: { kind: 'go', to: 'thickness' },
      },
    ];
  }
  if (opens > settings.waitSeconds) {
    return [
      {
        id: `late ${stack.id}`,
        level: 'look',
        words: `${name} needs longer to open than you mean to wait.`,
        because: `about ${round(opens, 0)} s against ${round(settings.waitSeconds, 0)} s`,
        fix: { kind: 'settings', changes: { waitSeconds: Math.ceil(opens / 30) * 30 } },
      },
    ];
  }
  return [];
}

/** The lightest color brought right under the activator, if it is light enough to come up. */
function lighterUnder(stack: PlanStack, sample: CoreSample, activator: SampleLayer): Fix | null {
  const colors = sample.layers.filter(({ paint }) => paint.role === 'color' || paint.role === 'swipe');
  const [lightest] = [...colors].sort((a, b) => a.paint.densityGPerMl - b.paint.densityGPerMl);
  if (!lightest || lightest.paint.densityGPerMl >= activator.paint.densityGPerMl) return null;
  const rest = stack.layers.map(({ id }) => id).filter((id) => id !== lightest.layerId);
  return {
    kind: 'order',
    stackId: stack.id,
    order: [...rest.slice(0, -1), lightest.layerId!, ...rest.slice(-1)],
  };
}

function dose(input: CheckInput, stack: PlanStack): Finding[] {
  return stackLayers(input.plan, stack, input.paints, input.blowers)
    .filter(({ paint, layer }) => paint.role === 'activator' && layer.massG !== null)
    .flatMap(({ paint, volumeMl, layer }): Finding[] => {
      const sheet = evenlyMm(volumeMl, stack.footprintMm);
      if (sheet >= 0.2 && sheet <= 0.6) return [];
      return [
        {
          id: `dose ${stack.id}`,
          level: 'look',
          words:
            sheet < 0.2
              ? `Little ${paint.name}: petals without lacing.`
              : `Much ${paint.name}: a blob stays in the middle and the petals wash out.`,
          because: `a sheet of ${round(sheet, 2)} mm; 0.2 to 0.6 is usual`,
          fix: { kind: 'layer', layerId: layer.id, massG: null },
        },
      ];
    });
}

function pathMud(input: CheckInput): Finding[] {
  const paint = (id: string) => input.paints.find((each) => each.id === id);
  return input.plan.paths
    .filter((path) => path.kind !== 'flood')
    .flatMap((path) => {
      const colors = path.layers.map((layer) => paint(layer.paintId)).filter((each) => each !== undefined);
      const layers = path.layers.flatMap((layer): OrderLayer[] => {
        const found = paint(layer.paintId);
        return found ? [{ id: layer.id, paint: found, massG: layer.massG ?? 0 }] : [];
      });
      const better = layers.length > 1 && layers.length <= 10 ? suggestOrder(input.technique, layers) : null;
      const fix: Fix | null =
        better && better.mended.length > 0 ? { kind: 'order', stackId: path.id, order: better.order } : null;
      return colors.slice(1).flatMap((upper, index): Finding[] => {
        const share = mudOf(colors[index]!.colorHex, upper.colorHex);
        if (share < MUDDY) return [];
        return [mudFinding(`mud ${path.id} ${index}`, colors[index]!, upper, share, fix)];
      });
    });
}

/** Passes that dig deeper than the paint under them allows. */
function airFindings(input: CheckInput): Finding[] {
  const { plan, blowers } = input;
  return plan.passes.flatMap((pass, index): Finding[] => {
    const ground = groundUnder(input, pass.at);
    if (!ground) return [];
    const jet = { ...exitOf(pass, blowers), distanceMm: pass.distanceMm, slantDeg: pass.slantDeg };
    const paintDensityKgM3 = 1000 * ground.densityGPerMl;
    const { dentMm } = jetOnPaint({ ...jet, paintDensityKgM3 });
    const allowedMm = ground.depthMm - plan.settings.marginMm;
    if (dentMm <= allowedMm + 1e-9) return [];
    const bare = dentMm >= ground.depthMm;
    const fix = allowedMm > 0 ? gentler(pass.id, input, jet, ground, allowedMm) : null;
    return [
      {
        id: `dent ${pass.id}`,
        level: bare ? 'wrong' : 'look',
        words: bare
          ? `Pass ${index + 1} digs to the support: the middle stays behind.`
          : `Pass ${index + 1} leaves less than ${round(plan.settings.marginMm)} mm in the middle.`,
        because: `${TOOL_WORDS[pass.tool]} at ${round(pass.distanceMm / 10)} cm, ${round(pass.slantDeg, 0)}°: dent ${round(dentMm)} mm in ${round(ground.depthMm)} mm`,
        fix,
      },
    ];
  });
}

const TOOL_WORDS: Readonly<Record<AirTool, string>> = {
  mouth: 'mouth',
  straw: 'straw',
  'mini-blower': 'mini blower',
  'fan-blower': 'fan blower',
  'hair-dryer': 'hair dryer',
  'leaf-blower': 'leaf blower',
  compressor: 'compressor',
};

/** Further off as long as that is at arm's length, else less steep, else both. */
function gentler(
  passId: string,
  { plan }: CheckInput,
  jet: { exitSpeedMS: number; exitDiameterMm: number; distanceMm: number; slantDeg: number },
  ground: { depthMm: number; densityGPerMl: number },
  allowedMm: number,
): Fix {
  const question = {
    ...jet,
    paintDensityKgM3: 1000 * ground.densityGPerMl,
    depthMm: allowedMm + plan.settings.marginMm,
    filmMm: plan.settings.marginMm,
  };
  const { nearestDistanceMm, steepestSlantDeg } = airBounds(question);
  const distanceMm = Math.ceil(nearestDistanceMm / 5) * 5;
  if (distanceMm <= 2.5 * jet.distanceMm && distanceMm <= 3000) {
    return { kind: 'pass', passId, changes: { distanceMm } };
  }
  if (steepestSlantDeg >= 12)
    return { kind: 'pass', passId, changes: { slantDeg: Math.floor(steepestSlantDeg) } };
  const low = airBounds({ ...question, slantDeg: 15 }).nearestDistanceMm;
  return {
    kind: 'pass',
    passId,
    changes: { slantDeg: 15, distanceMm: Math.min(3000, Math.ceil(low / 5) * 5) },
  };
}

/** How deep layers lie on one another, and how heavy they are together. */
export function pile(layers: readonly SampleLayer[]): { depthMm: number; densityGPerMl: number } {
  const mass = layers.reduce((sum, layer) => sum + layer.massG, 0);
  const volume = layers.reduce((sum, layer) => sum + layer.volumeMl, 0);
  const depthMm = layers.reduce((sum, layer) => sum + layer.thicknessMm, 0);
  return { depthMm, densityGPerMl: mass / volume };
}

/** What lies under a place: the pile of the stack that is there. */
export function groundUnder(
  { plan, paints, blowers }: Pick<CheckInput, 'plan' | 'paints' | 'blowers'>,
  at: { readonly x: number; readonly y: number },
): { depthMm: number; densityGPerMl: number } | undefined {
  const stack = plan.stacks
    .filter((each) => distanceMm(each.at, at) <= each.footprintMm / 2 && each.layers.length > 0)
    .sort((a, b) => distanceMm(a.at, at) - distanceMm(b.at, at))[0];
  if (!stack) return undefined;
  return pile(sampleLayers(plan, stack, paints, { blowers, moment: 'poured' }));
}

function filmFindings(input: CheckInput): Finding[] {
  const { plan, support, paints, blowers } = input;
  const film = pieceFilm(support, plan, paints, blowers);
  if (!film) return [];
  const allMm = film.afterMm;
  const findings: Finding[] = [];
  if (allMm > USUAL_FILM_MM.thick) {
    findings.push({
      id: 'too-much',
      level: 'look',
      words: 'Too much paint stays on: the middle sags and the rim cracks while it dries.',
      because: `${round(allMm)} mm over face and sides; up to ${USUAL_FILM_MM.thick} is usual`,
      fix: tooMuch(input.technique, film),
    });
  }
  if (plan.base) {
    const films = baseAreas(support, plan.base, paints);
    const [thin] = films.filter((area) => area.filmMm < USUAL_FILM_MM.thin);
    const [thick] = films.filter((area) => area.filmMm > USUAL_FILM_MM.thick);
    const odd = thin ?? thick;
    if (odd) {
      findings.push({
        id: `film ${odd.paint.id}`,
        level: 'look',
        words: thin
          ? `${odd.paint.name} runs off to too thin a film: bare edges and bands.`
          : `${odd.paint.name} stays on too thick: the design drowns and wells up.`,
        because: `${round(odd.filmMm, 2)} mm stay; ${USUAL_FILM_MM.thin} to ${USUAL_FILM_MM.thick} is usual`,
        fix: { kind: 'film', mm: 1 },
      });
    }
  } else if (allMm < USUAL_FILM_MM.thin && input.technique !== 'bloom') {
    findings.push({
      id: 'no-base',
      level: 'look',
      words: 'Too little paint to cover the face: bare edges.',
      because: `${round(allMm, 2)} mm over face and sides`,
      fix: { kind: 'add-base' },
    });
  }
  return findings;
}

/** A bloom is spun until enough has run off; of a Dutch pour less is laid. */
function tooMuch(technique: Technique, film: PieceFilm): Fix {
  const toMm = 0.95 * USUAL_FILM_MM.thick;
  if (technique !== 'bloom') return { kind: 'scale-layers', factor: toMm / film.afterMm };
  const seconds = secondsToSpin({ ...film, fromMm: film.laidMm, toMm, rpm: USUAL_RPM });
  return { kind: 'settings', changes: { spinRpm: USUAL_RPM, spinSeconds: Math.ceil(seconds) } };
}

function cupFindings(input: CheckInput): Finding[] {
  return input.amounts.paints.flatMap((amount): Finding[] => {
    const paint = input.paints.find((each) => each.id === amount.paintId)!;
    const cup = input.cups.find((each) => each.id === amount.paintId);
    const found: Finding[] = [];
    const leftG = cup?.leftG ?? 0;
    if (leftG < amount.massG - 0.05) {
      found.push({
        id: `short ${paint.id}`,
        level: 'wrong',
        words: cup?.mixed ? `${paint.name} is short.` : `${paint.name} is not mixed yet.`,
        because: `${round(amount.massG)} g wanted, ${round(leftG)} g in the cup`,
        fix: { kind: 'mix', paintId: paint.id },
      });
    }
    if (!cup?.mixed) return found;
    if (cup.water === 'stop' || cup.weakFilm) {
      found.push({
        id: `film-weak ${cup.id}`,
        level: cup.water === 'stop' ? 'wrong' : 'look',
        words: `${cup.name} dries to a weak film: stir in a squirt of binder-rich medium.`,
        because: cup.water === 'stop' ? 'above its water limit' : 'little binder for its pigment',
        fix: { kind: 'go', to: 'mix' },
      });
    }
    if (cup.restHours > 0) {
      found.push({
        id: `rest ${cup.id}`,
        level: 'look',
        words: `${cup.name} is fresh: its bubbles leave pinholes.`,
        because: `${round(cup.restHours, 0)} h more under the lid`,
        fix: null,
      });
    }
    if (!cup.testedToday) {
      found.push({
        id: `untested ${cup.id}`,
        level: 'do',
        words: `${cup.name} was not tested today.`,
        because: 'paint changes in the cup',
        fix: { kind: 'go', to: 'thickness' },
      });
    }
    return found;
  });
}

/** To be done at the table; ticked off by hand. */
function doings({ plan, amounts }: CheckInput): Finding[] {
  if (amounts.paints.length === 0) return [];
  const tick = (id: string, words: string, because: string): Finding => ({
    id,
    level: 'do',
    words,
    because,
    fix: { kind: 'tick', id },
  });
  const mains = plan.passes.some((pass) => ['hair-dryer', 'fan-blower', 'compressor'].includes(pass.tool));
  const mouth = plan.passes.some((pass) => pass.tool === 'mouth' || pass.tool === 'straw');
  return [
    tick('level', 'Level the support both ways.', 'a slope moves the design overnight'),
    tick('torch', CAUTIONS.torch, 'caution'),
    ...(plan.settings.spinRpm > 0
      ? [tick('spinner', 'Fix the board on the spinner and stand clear.', 'caution')]
      : []),
    ...(mains ? [tick('mains', 'Cool air; keep wet hands and splashes off mains parts.', 'caution')] : []),
    ...(mouth ? [tick('breath', 'Never suck back through a straw; rest if you get dizzy.', 'caution')] : []),
  ];
}
