import { cupColor } from '../../paint/color/index.ts';
import {
  CARE_CHECKS,
  careState,
  type CareCheck,
  type CareState,
  type LoggedCare,
} from '../../piece/care/index.ts';
import type { FaultKind } from './faults.ts';
import { cupStates, type ReadingRecord, type TestedCup } from '../../thickness/learn/index.ts';
import {
  holdsSilicone,
  isPaint,
  materialKind,
  type Finish,
  type Opacity,
} from '../../paint/material/index.ts';
import { actualParts, type NamedCup } from '../../paint/mix/index.ts';
import {
  dataOf,
  eventsOfKind,
  laidMgOf,
  inForce,
  planOfPour,
  type LoggedEvent,
} from '../../piece/event/index.ts';
import { repairIdOf } from '../../piece/repair/index.ts';
import { airPassOf, flowerDm2, type Plan } from '../../piece/plan/index.ts';
import type { SupportSize } from '../../piece/support/index.ts';
import type { Aims, Technique } from '../../paint/stage/index.ts';
import { photoNumbers, type MeasuredPhoto } from './photoQuantities.ts';
import type { BlownPass, Outcome, PouredCup, PourRecord } from './record.ts';
import { speakingPhoto } from './speakingPhoto.ts';

interface PieceCup extends TestedCup, NamedCup {
  readonly ingredients: readonly (TestedCup['ingredients'][number] & {
    readonly material: {
      readonly colorHex: string;
      readonly finish: Finish;
      readonly opacity: Opacity;
    };
  })[];
  readonly additions: readonly (TestedCup['additions'][number] & { readonly at: string })[];
}

type PieceEvent = LoggedEvent & { readonly at: string };

/** What is read of a photo; its palette leads from colors to cups. */
interface PieceMeasurement extends MeasuredPhoto {
  readonly palette: readonly { readonly name: string; readonly cupId: string | null }[];
  readonly shares: Readonly<Record<string, number>>;
  readonly cells: MeasuredPhoto['cells'] & { readonly from?: Outcome['cellsFrom'] | undefined };
}

/** The least a piece must tell to be compared. */
export interface ComparedPiece {
  readonly id: string;
  readonly name: string;
  readonly technique: Technique;
  readonly aims?: Aims | undefined;
  readonly plan?: Plan | null | undefined;
  readonly support: SupportSize;
  readonly mixes: readonly PieceCup[];
  readonly readings: readonly ReadingRecord[];
  readonly events: readonly PieceEvent[];
  /** What happened after its pour. */
  readonly care?: readonly LoggedCare[] | undefined;
  readonly photos: readonly { readonly state: string; readonly measurement: PieceMeasurement | null }[];
  readonly judgement: {
    readonly rating: number | null;
    readonly faults: readonly { readonly kind: FaultKind; readonly cupId: string | null }[];
  } | null;
}

/** A piece as a pour that can be compared with others: what was done, and what came of it. */
export function pourRecordOf(piece: ComparedPiece): PourRecord {
  const events = inForce(piece.events);
  const layers = eventsOfKind(events, 'layer');
  const passes = eventsOfKind(events, 'pass');
  const torches = eventsOfKind(events, 'torch');
  const waits = dataOf(events, 'wait');
  const room = dataOf(events, 'room').findLast(({ standIn }) => !standIn);
  const { states } = cupStates(piece.mixes, piece.readings, (cupId) => laidMgOf(piece.events, cupId));
  const care = careState(piece.care ?? []);
  const pouredAt = layers[0]?.at ?? null;
  const lastAir = passes.at(-1)?.at;
  const cups = piece.mixes.map((mix, index): PouredCup => {
    const { properties, shownIngredientMg } = states[index]!;
    const strongest = [...mix.ingredients]
      .filter(({ material }) => isPaint(material.kind) || materialKind(material.kind).group === 'powder')
      .sort((a, b) => b.targetMg - a.targetMg)[0];
    const parts = actualParts(
      mix.ingredients.map((each, at) => ({ role: each.role, mg: shownIngredientMg[at] ?? 0 })),
    );
    const mixedAt = mix.additions.at(-1)?.at;
    return {
      id: mix.id,
      name: mix.name,
      role: mix.role,
      colorHex: cupColor(mix.ingredients),
      viscosityPaS: properties.viscosityPaS,
      densityGPerMl: properties.densityGPerMl,
      waterFraction: properties.waterFraction,
      laidMg: laidMgOf(piece.events, mix.id),
      opacity: strongest?.material.opacity ?? null,
      finish: strongest?.material.finish ?? null,
      partsWords: parts
        .filter((part) => part > 0)
        .map((part) => String(Number(part.toFixed(2))))
        .join(' : '),
      restedHours:
        pouredAt && mixedAt ? Math.max(0, (Date.parse(pouredAt) - Date.parse(mixedAt)) / 3_600_000) : null,
      waterLimit: mix.recipe?.waterLimit ?? null,
      doseFactor: mix.recipe?.doseFactor ?? null,
      hasSilicone: holdsSilicone(mix.ingredients, shownIngredientMg),
      hasWeakBinder: strongest ? materialKind(strongest.material.kind).binder < WEAK_BINDER : false,
    };
  });
  return {
    id: piece.id,
    name: piece.name,
    technique: piece.technique,
    aims: piece.aims,
    ...layoutOf(piece, cups),
    support: piece.support,
    pouredAt,
    cups,
    // What a repair laid once more is no part of the order that made the piece.
    order: layers.filter((layer) => repairIdOf(layer) === null).map(({ data }) => data.cupId),
    passes: passes.map(({ data }): BlownPass => ({ ...airPassOf(data), exit: data.blower ?? null })),
    torches: torches.length,
    torchedAfterAir: lastAir !== undefined && torches.some(({ at }) => at > lastAir),
    waitSeconds: waits.length > 0 ? waits.reduce((sum, { seconds }) => sum + seconds, 0) : null,
    spins: dataOf(events, 'spin').map(({ rpm, seconds }) => ({ rpm, seconds })),
    tilts: dataOf(events, 'tilt').length,
    addedMg: layers.filter(({ data }) => data.moment === 'add').reduce((sum, { data }) => sum + data.mg, 0),
    repairs: eventsOfKind(events, 'repair').length,
    blowTest: dataOf(events, 'blow-test').at(-1) ?? null,
    rackRoom: care.room,
    level: care.level,
    temperatureC: room?.temperatureC ?? null,
    humidityPercent: room?.humidityPercent ?? null,
    outcome: outcomeOf(piece),
    rating: piece.judgement?.rating ?? null,
    faults: [...(piece.judgement?.faults ?? []), ...foundLater(piece, care)],
  };
}

const FAULT_OF: Partial<Readonly<Record<CareCheck, FaultKind>>> = {
  cracks: 'cracks',
  drift: 'moved-overnight',
  pinholes: 'pinholes',
};

/** What was found on the rack and is not pinned already: it is asked for as any other fault. */
function foundLater({ judgement }: Pick<ComparedPiece, 'judgement'>, { checks }: CareState) {
  return CARE_CHECKS.flatMap((what) => {
    const kind = checks[what]?.data.found ? FAULT_OF[what] : undefined;
    const isPinned = judgement?.faults.some((each) => each.kind === kind);
    return kind && !isPinned ? [{ kind, cupId: null }] : [];
  });
}

/** Where paint was laid; where that was not all logged, where it was planned to lie when the pour began, else where it is planned now. */
function layoutOf(
  { events, plan, support }: ComparedPiece,
  cups: readonly PouredCup[],
): Pick<PourRecord, 'flowersDm2' | 'onFace' | 'asPoured'> {
  const log = inForce(events);
  const layers = dataOf(log, 'layer');
  const isPlaced = layers.length > 0 && layers.every(({ shape }) => shape);
  let made = 0;
  const asPoured = isPlaced ? planOfPour(events, cups, support, () => `laid ${(made += 1)}`) : undefined;
  const lies = asPoured ?? dataOf(log, 'plan').at(-1) ?? plan;
  if (!lies) return {};
  return {
    flowersDm2: lies.stacks.reduce((sum, stack) => sum + flowerDm2(stack.footprintMm), 0),
    onFace: lies.base?.areas.map(({ cupId }) => cupId) ?? [],
    ...(asPoured && { asPoured }),
  };
}

const WEAK_BINDER = 0.22;

function outcomeOf({ photos }: ComparedPiece): Outcome | null {
  const found = speakingPhoto(photos)?.measurement;
  if (!found) return null;
  return {
    ...photoNumbers(found),
    ...(found.cells.from ? { cellsFrom: found.cells.from } : {}),
    shareByCup: Object.fromEntries(
      found.palette.flatMap(({ name, cupId }) => (cupId ? [[cupId, found.shares[name] ?? 0]] : [])),
    ),
  };
}
