import { airTool, deepDentMm, jetOnPaint } from '../../flow/air/index.ts';
import type { BlownPass, PouredCup, PourRecord } from '../outcome/record.ts';
import { paintedArea } from '../../piece/support/index.ts';
import { windowFor } from '../../paint/stage/index.ts';
import type { FaultKind } from '../outcome/faults.ts';

/** A possible cause of a fault, weighed against the record. */
export interface Cause {
  readonly name: string;
  /** From 0, the record speaks against it, to 1, it says so clearly. */
  readonly weight: number;
  readonly evidenceFor: readonly string[];
  readonly evidenceAgainst: readonly string[];
  readonly nextTime: string;
}

export interface Why {
  /** Likeliest first; those the record speaks against come last. */
  readonly causes: readonly Cause[];
  /** What the record would need to hold to tell. */
  readonly cannotTell: readonly string[];
}

/** The fault as it was pinned. */
export interface Pinned {
  readonly kind: FaultKind;
  readonly mixId: string | null;
}

/**
 * Why a fault came about: the usual causes of the trade (common practice, no published source), each held against
 * what was recorded of this pour. Numbers decide how likely a cause is; what was not recorded is said.
 */
export function why(pour: PourRecord, pinned: Pinned): Why {
  const gather = new Gathering(pour, pinned);
  for (const check of CHECKS[pinned.kind]) check(gather);
  return gather.answer();
}

type Check = (gather: Gathering) => void;

/** Collects what speaks for and against the causes of one fault. */
class Gathering {
  readonly #causes: Cause[] = [];
  readonly #missing: string[] = [];
  readonly pour: PourRecord;
  readonly pinned: Pinned;

  constructor(pour: PourRecord, pinned: Pinned) {
    this.pour = pour;
    this.pinned = pinned;
  }

  add(name: string, weight: number, evidence: string, nextTime: string): void {
    const speaksFor = weight > 0.3;
    this.#causes.push({
      name,
      weight: Math.min(1, Math.max(0, weight)),
      evidenceFor: speaksFor ? [evidence] : [],
      evidenceAgainst: speaksFor ? [] : [evidence],
      nextTime,
    });
  }

  missing(what: string): void {
    this.#missing.push(what);
  }

  answer(): Why {
    return {
      causes: [...this.#causes].sort((a, b) => b.weight - a.weight),
      cannotTell: [...new Set(this.#missing)],
    };
  }

  cups(...roles: PouredCup['role'][]): PouredCup[] {
    return this.pour.cups.filter((cup) => roles.includes(cup.role) && cup.laidMg > 0);
  }

  get concerned(): PouredCup | undefined {
    return this.pour.cups.find((cup) => cup.id === this.pinned.mixId);
  }
}

const pas = (value: number) => `${value < 1 ? value.toFixed(2) : value.toFixed(1)} Pa.s`;
const cm = (mm: number) => `${(mm / 10).toFixed(mm < 100 ? 1 : 0)} cm`;
const grams = (mg: number) => `${(mg / 1000).toFixed(mg < 10_000 ? 1 : 0)} g`;
const percent = (share: number) => `${(100 * share).toFixed(share < 0.1 ? 1 : 0)} %`;

const middle = (cups: readonly PouredCup[]): number | undefined =>
  cups.length === 0
    ? undefined
    : Math.exp(cups.reduce((sum, cup) => sum + Math.log(cup.viscosityPaS), 0) / cups.length);

/** Weight of "too far beyond a limit": none at the limit, sure at half as much again. */
const beyond = (value: number, limit: number) =>
  Math.min(1, Math.max(0, 0.35 + 1.3 * Math.log(value / limit)));

const colorsTooThin: Check = (gather) => {
  const colors = gather.cups('color');
  const window = windowFor(gather.pour.technique, 'color');
  const value = middle(colors);
  if (value === undefined || !window) return gather.missing('No colors were logged as laid.');
  gather.add(
    'The colors were too thin',
    beyond(window.thinPaS, value),
    `Colors ${pas(value)}; ${gather.pour.technique === 'bloom' ? 'a bloom' : 'this pour'} asks for ${pas(window.thinPaS)} or thicker.`,
    `Mix the colors to ${pas(Math.sqrt(window.thinPaS * window.thickPaS))}: hold back the last water.`,
  );
};

const colorsTooThick: Check = (gather) => {
  const value = middle(gather.cups('color'));
  const window = windowFor(gather.pour.technique, 'color');
  if (value === undefined || !window) return gather.missing('No colors were logged as laid.');
  gather.add(
    'The colors were too thick',
    beyond(value, window.thickPaS),
    `Colors ${pas(value)}; the window ends at ${pas(window.thickPaS)}.`,
    `Thin them to ${pas(Math.sqrt(window.thinPaS * window.thickPaS))} in small steps.`,
  );
};

const activatorAgainstColors: Check = (gather) => {
  const activator = middle(gather.cups('activator'));
  const colors = middle(gather.cups('color'));
  if (gather.pour.technique !== 'bloom') return;
  if (activator === undefined || colors === undefined) {
    return gather.missing('No activator was logged as laid.');
  }
  gather.add(
    activator > colors
      ? 'The activator was thicker than the colors: it sank'
      : 'The activator was too thick for the colors',
    beyond(activator / colors, 0.5),
    `Activator ${pas(activator)} against colors ${pas(colors)}; it should be clearly thinner, half or less.`,
    `Thin the activator to about ${pas(Math.min(0.9, colors / 3))}.`,
  );
};

const activatorDose: Check = (gather) => {
  if (gather.pour.technique !== 'bloom') return;
  const activator = gather.cups('activator').reduce((sum, cup) => sum + cup.laidMg, 0);
  const colors = gather.cups('color').reduce((sum, cup) => sum + cup.laidMg, 0);
  if (activator === 0 || colors === 0) return gather.missing('The grams of activator were not logged.');
  const share = activator / colors;
  const much = gather.pinned.kind === 'washed-out';
  gather.add(
    much ? 'Too much activator' : 'Too little activator',
    much ? beyond(share, 0.16) : beyond(0.06, share),
    `${grams(activator)} of activator on ${grams(colors)} of colors, ${percent(share)}; 6 to 16 % is usual.`,
    much
      ? `Lay ${grams(0.1 * colors)} next time.`
      : `Lay ${grams(0.1 * colors)}, so that the sheet reaches every petal.`,
  );
};

/** What a pass did to the ground below it. */
function dentOf(pass: BlownPass, densityKgM3: number): number {
  const { exitDiameterMm, exitSpeedMS } = airTool(pass.tool);
  const jet = { exitSpeedMS, exitDiameterMm, distanceMm: pass.distanceMm, paintDensityKgM3: densityKgM3 };
  const shallow = jetOnPaint({ ...jet, slantDeg: pass.slantDeg }).dentMm;
  return pass.slantDeg >= 70 ? Math.min(shallow, deepDentMm(jet) * 1.2) : shallow;
}

/** Mean thickness of what lay under the air, from the grams; blooms stand on a third of the face. */
function groundMm(gather: Gathering): number | undefined {
  const ground = gather.cups('base', 'pillow', 'color');
  const mass = ground.reduce((sum, cup) => sum + cup.laidMg, 0);
  if (mass === 0) return undefined;
  const volumeMl = ground.reduce((sum, cup) => sum + cup.laidMg / 1000 / cup.densityGPerMl, 0);
  const share = gather.pour.technique === 'bloom' ? 1 / 3 : 1;
  return (10 * volumeMl) / (paintedArea(gather.pour.support).faceCm2 * share);
}

const airDug: Check = (gather) => {
  if (gather.pour.passes.length === 0) return gather.missing('No blowing pass was logged.');
  const ground = groundMm(gather);
  if (ground === undefined)
    return gather.missing('What was laid was not logged, so the depth of paint is unknown.');
  const dents = gather.pour.passes.map((pass, index) => ({ pass, index, dent: dentOf(pass, 1150) }));
  const worst = dents.reduce((a, b) => (b.dent > a.dent ? b : a));
  const steep = worst.pass.slantDeg >= 70 ? 'straight down' : `at ${worst.pass.slantDeg}°`;
  gather.add(
    'The air was too close or too steep',
    beyond(worst.dent, 0.9 * ground),
    `Pass ${worst.index + 1}, ${airTool(worst.pass.tool).label.toLowerCase()} at ${cm(worst.pass.distanceMm)} ${steep}: dent ${worst.dent.toFixed(0)} mm in about ${ground.toFixed(1)} mm of paint.`,
    `Begin at ${cm(worst.pass.distanceMm * Math.max(1.3, Math.sqrt(worst.dent / ground)))} and slant it to 30°.`,
  );
};

const pillowThin: Check = (gather) => {
  const pillow = gather.cups('pillow');
  if (gather.pour.technique !== 'bloom') return;
  if (pillow.length === 0) return gather.missing('No pillow was logged as laid.');
  const ground = groundMm(gather)!;
  gather.add(
    'The pillow was too thin',
    beyond(4, ground),
    `Pillow and colors stood about ${ground.toFixed(1)} mm deep; 4 mm and more cushion the air.`,
    `Lay ${grams(pillow.reduce((sum, cup) => sum + cup.laidMg, 0) * Math.min(2, Math.max(1.2, 4 / ground)))} of pillow.`,
  );
};

const unequalCups: Check = (gather) => {
  const colors = gather.cups('color');
  if (colors.length < 2) return;
  const sorted = [...colors].sort((a, b) => a.viscosityPaS - b.viscosityPaS);
  const [thin, thick] = [sorted[0]!, sorted.at(-1)!];
  const spread = thick.viscosityPaS / thin.viscosityPaS;
  gather.add(
    'The colors were not equally thick',
    beyond(spread, 1.6),
    `${thick.name} ${pas(thick.viscosityPaS)} against ${thin.name} ${pas(thin.viscosityPaS)}, ${spread.toFixed(1)} times.`,
    'Race the cups level before the pour.',
  );
};

const concernedSank: Check = (gather) => {
  const cup = gather.concerned;
  if (!cup) return gather.missing('Say which color it was: pin the fault with its cup.');
  const others = gather.cups('color').filter((other) => other.id !== cup.id);
  if (others.length > 0) {
    const density = others.reduce((sum, other) => sum + other.densityGPerMl, 0) / others.length;
    gather.add(
      'It was heavier than its neighbors',
      // Densities lie close together: three hundredths more begin to tell.
      (0.35 * (cup.densityGPerMl / density - 1)) / 0.03,
      `${cup.name} ${cup.densityGPerMl.toFixed(2)} g/ml against ${density.toFixed(2)} g/ml.`,
      'Lay it higher in the stack, or thin it with medium instead of more paint.',
    );
    const thickness = middle(others)!;
    gather.add(
      'It was thinner than its neighbors',
      beyond(thickness / cup.viscosityPaS, 1.3),
      `${cup.name} ${pas(cup.viscosityPaS)} against ${pas(thickness)}.`,
      `Bring it to ${pas(thickness)}.`,
    );
  }
  if (gather.pour.technique === 'bloom' && cup.opacity !== null) {
    const place = gather.pour.order.indexOf(cup.id);
    const low = place >= 0 && place < gather.pour.order.length / 2;
    gather.add(
      'An opaque color laid low',
      cup.opacity === 'opaque' && low ? 0.8 : 0.1,
      `${cup.name} is ${cup.opacity} and was laid ${place < 0 ? 'at a place that was not logged' : `as number ${place + 1} of ${gather.pour.order.length}`}.`,
      'Opaque colors go high in the pyramid.',
    );
  }
  const total = gather.cups('color').reduce((sum, other) => sum + other.laidMg, 0);
  const share = cup.laidMg / Math.max(1, total);
  const wanted = 1 / Math.max(1, gather.cups('color').length);
  gather.add(
    'There was little of it',
    beyond(0.6 * wanted, share),
    `${grams(cup.laidMg)}, ${percent(share)} of the colors.`,
    `Lay ${grams(total * wanted)}.`,
  );
};

const littleBase: Check = (gather) => {
  const base = gather.cups('base', 'pillow');
  if (base.length === 0) return gather.missing('No base was logged as laid.');
  const { faceCm2 } = paintedArea(gather.pour.support);
  const perDm2 = base.reduce((sum, cup) => sum + cup.laidMg, 0) / 1000 / (faceCm2 / 100);
  gather.add(
    'Too little base around the colors',
    beyond(8, perDm2),
    `${perDm2.toFixed(1)} g of base on a square decimeter; 8 to 15 g let colors travel.`,
    `Lay ${(0.11 * faceCm2).toFixed(0)} g and flood a little along the colors.`,
  );
};

const weakAir: Check = (gather) => {
  const seconds = gather.pour.passes.reduce((sum, pass) => sum + pass.seconds, 0);
  if (gather.pour.passes.length === 0) return gather.missing('No blowing pass was logged.');
  const perDm2 = seconds / (paintedArea(gather.pour.support).faceCm2 / 100);
  gather.add(
    'Little air',
    beyond(1, perDm2),
    `${seconds.toFixed(0)} s of air in ${gather.pour.passes.length} passes, ${perDm2.toFixed(1)} s on a square decimeter.`,
    'Blow longer, from each side, moving back as the paint starts to run.',
  );
};

const overworked: Check = (gather) => {
  const seconds = gather.pour.passes.reduce((sum, pass) => sum + pass.seconds, 0);
  if (gather.pour.passes.length === 0) return gather.missing('No blowing pass was logged.');
  const perDm2 = seconds / (paintedArea(gather.pour.support).faceCm2 / 100);
  gather.add(
    'Overworked',
    beyond(perDm2, 4),
    `${seconds.toFixed(0)} s of air, ${perDm2.toFixed(1)} s on a square decimeter.`,
    'Stop sooner: blow out once, back once, and let it stand.',
  );
};

const watered: Check = (gather) => {
  const colors = gather.cups('color');
  if (colors.length === 0) return gather.missing('No colors were logged as laid.');
  const most = colors.reduce((a, b) => (b.waterFraction > a.waterFraction ? b : a));
  const weak = most.hasWeakBinder ? ' Its paint has little binder.' : '';
  gather.add(
    'Over-thinned',
    Math.max(beyond(most.waterFraction, 0.3), most.hasWeakBinder ? beyond(most.waterFraction, 0.22) : 0),
    `${most.name} holds ${percent(most.waterFraction)} water; 30 % is a common ceiling.${weak}`,
    'Thin with medium or varnish, or add a squirt (5 to 10 %) of binder.',
  );
};

const torchedLate: Check = (gather) => {
  gather.add(
    'Torched after the cells had come',
    gather.pour.torchedAfterAir ? 0.75 : 0.05,
    gather.pour.torchedAfterAir
      ? 'A torching was logged after the last pass.'
      : 'No torching was logged after the last pass.',
    'Torch before and during blowing, not once the cells are right.',
  );
};

const spunFast: Check = (gather) => {
  const fastest = Math.max(0, ...gather.pour.spins.map((spin) => spin.rpm));
  gather.add(
    'Spun too fast',
    fastest === 0 ? 0.02 : beyond(fastest, 60),
    fastest === 0
      ? 'No spin was logged.'
      : `Spun at ${fastest.toFixed(0)} turns a minute; slow and several times is the rule.`,
    'Keep below 60 turns a minute, both ways.',
  );
};

const tooMuchPaint: Check = (gather) => {
  const volume = gather.pour.cups.reduce((sum, cup) => sum + cup.laidMg / 1000 / cup.densityGPerMl, 0);
  if (volume === 0) return gather.missing('What was laid was not logged.');
  const mm = (10 * volume) / paintedArea(gather.pour.support).faceCm2;
  gather.add(
    'Too much wet paint',
    beyond(mm, 3.2),
    `${mm.toFixed(1)} mm of paint were laid, run-off not counted.`,
    'Tip the board until the middle hardly moves before leaving it.',
  );
};

const notTorched: Check = (gather) => {
  gather.add(
    'Bubbles were not torched',
    gather.pour.torches === 0 ? 0.6 : 0.1,
    gather.pour.torches === 0 ? 'No torching was logged.' : `Torched ${gather.pour.torches} times.`,
    'Torch lightly before and after blowing, away from anything that burns.',
  );
};

const freshMix: Check = (gather) => {
  const rests = gather.cups('color').flatMap((cup) => (cup.restedHours === null ? [] : [cup.restedHours]));
  if (rests.length === 0) return gather.missing('When the cups were mixed is not known.');
  const least = Math.min(...rests);
  gather.add(
    'A fresh mix still full of bubbles',
    least < 1 ? 0.5 : least < 8 ? 0.35 : 0.05,
    `The youngest cup had rested ${least < 1 ? 'less than an hour' : `${least.toFixed(0)} h`}.`,
    'Mix the day before and keep the lid on.',
  );
};

const coarse: Check = (gather) => {
  const shiny = gather
    .cups('color')
    .filter((cup) => cup.finish !== null && cup.finish !== 'plain' && cup.finish !== 'neon');
  gather.add(
    'Coarse mica',
    shiny.length > 0 ? 0.6 : 0.05,
    shiny.length > 0
      ? `${shiny.map((cup) => cup.name).join(', ')}: ${shiny[0]!.finish}.`
      : 'No metallic or pearl was laid.',
    'Strain it, or use a finer one.',
  );
};

const cannotKnow =
  (what: string): Check =>
  (gather) =>
    gather.missing(what);

const groundNotLevel = cannotKnow(
  'Whether the support lay level is not recorded: check it with a spirit level.',
);

/** The usual causes of each fault, as the trade tells them. */
const CHECKS: Readonly<Record<FaultKind, readonly Check[]>> = {
  'not-moving': [colorsTooThick, littleBase, weakAir],
  sunk: [concernedSank],
  'washed-out': [activatorDose, activatorAgainstColors, colorsTooThin, weakAir],
  'no-lacing': [activatorDose, weakAir, littleBase],
  dented: [airDug, pillowThin],
  mud: [colorsTooThin, overworked, watered, airDug],
  specks: [
    colorsTooThin,
    torchedLate,
    cannotKnow('Whether silicone was in a cup is not recorded apart from its recipe.'),
  ],
  warped: [spunFast, colorsTooThin, groundNotLevel],
  'broken-film': [watered, unequalCups, colorsTooThin],
  cracks: [
    tooMuchPaint,
    unequalCups,
    cannotKnow('Whether a ceiling paint was used is not recorded: its chalk cracks.'),
  ],
  pinholes: [notTorched, freshMix],
  crust: [cannotKnow('Nothing in the record tells of dried skin: strain every mix.')],
  'moved-overnight': [tooMuchPaint, groundNotLevel],
  grainy: [coarse],
  'fish-eyes': [
    cannotKnow('Silicone or wax below a top coat is not recorded: clean the face and test a corner.'),
  ],
};
