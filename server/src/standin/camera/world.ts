import type { PourRecord } from '@icy-ribbon/core/judgement/outcome';
import { quantitiesOf } from '@icy-ribbon/core/judgement/compare';
import { jetOnPaint } from '@icy-ribbon/core/flow/air';
import { airTool } from '@icy-ribbon/core/flow/air';
import { paintedArea } from '@icy-ribbon/core/piece/support';

/** What happened on the support, as the painter needs to know it. */
export interface WorldOutcome {
  readonly petals: number;
  readonly reach: number;
  readonly cellMedianMm: number;
  readonly cellsPerCm2: number;
  readonly lacingWidthMm: number;
  readonly netShare: number;
  readonly mud: number;
  /** Deepest dent over the depth of paint: above 1 the air reached the support. */
  readonly dug: number;
}

const clamp = (value: number, low: number, high: number) => Math.min(high, Math.max(low, value));

/**
 * The law of the stand-in's invented world: what a pour looks like from what was done. In a bloom the sheet of
 * activator opens into cells spaced by its thickness (spacing about 6.2 h (mu1/mu2)^0.23, the fit of the two-layer
 * model), thin activator makes a fine net, far air a finer one, a short wait leaves cells closed; thin paint goes to
 * mud, close and steep air digs.
 *
 * Invented for the camera stand-in only; the application claims nothing from it.
 */
export function outcomeOf(pour: PourRecord): WorldOutcome {
  const numbers = quantitiesOf(pour);
  const value = (key: string, otherwise: number) => numbers[key] ?? otherwise;
  const bloom = pour.technique === 'bloom';
  const meant = bloom ? 2.8 : 0.62;
  const thickness = Math.log(value('colorPaS', meant) / meant);
  const distance = value('distanceMm', 120);
  const dug = diggingOf(pour);
  const sheetMm = sheetOf(pour);
  const ratio = value('activatorRatio', 0.3);
  const opened = 1 - Math.exp(-(pour.waitSeconds ?? 90) / 70);
  const cellMm = bloom
    ? 1.5 * 6.2 * sheetMm * ratio ** -0.23
    : 2.6 * Math.exp(0.6 * thickness) * (distance / 140) ** -0.25;
  return {
    petals: clamp(pour.passes.length + (bloom ? 0 : 2), 4, 9),
    reach: clamp(1.02 - 0.22 * thickness - 0.18 * Math.max(0, dug - 0.8), 0.55, 1.15),
    cellMedianMm: clamp(cellMm, 1.4, 5.5),
    cellsPerCm2: clamp((bloom ? 11 : 6) * opened * cellMm ** -1.6 * Math.exp(-0.5 * thickness), 0.25, 4),
    lacingWidthMm: clamp((bloom ? 0.75 * (ratio / 0.3) ** 0.4 : 0.6) * (distance / 120) ** -0.45, 0.4, 1.6),
    netShare: clamp(1.05 - 1.5 * ratio, 0.1, 0.9),
    mud: clamp(0.006 - 0.09 * Math.min(0, thickness + 0.1) + 0.05 * Math.max(0, dug - 1), 0, 0.22),
    dug,
  };
}

/** Thickness of the activator once it is blown over the flower, mm. */
function sheetOf(pour: PourRecord): number {
  const volumeMl = pour.cups
    .filter((cup) => cup.role === 'activator')
    .reduce((sum, cup) => sum + cup.laidMg / 1000 / cup.densityGPerMl, 0);
  const { faceCm2 } = paintedArea(pour.support);
  return volumeMl > 0 ? clamp((10 * volumeMl) / (0.4 * faceCm2), 0.12, 0.6) : 0.28;
}

function diggingOf(pour: PourRecord): number {
  const volumeMl = pour.cups.reduce((sum, cup) => sum + cup.laidMg / 1000 / cup.densityGPerMl, 0);
  const share = pour.technique === 'bloom' ? 0.35 : 0.8;
  const depthMm = Math.max(0.8, (10 * volumeMl) / (paintedArea(pour.support).faceCm2 * share));
  const dents = pour.passes.map((pass) => {
    const { exitDiameterMm, exitSpeedMS } = airTool(pass.tool);
    const { distanceMm, slantDeg } = pass;
    return jetOnPaint({ exitDiameterMm, exitSpeedMS, distanceMm, slantDeg, paintDensityKgM3: 1150 }).dentMm;
  });
  return Math.max(0, ...dents) / (depthMm * 4);
}
