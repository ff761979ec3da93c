import type { Piece, PieceSummary, PourEventKind } from '@icy-ribbon/contract';
import { cupColor } from '@icy-ribbon/core/paint/color';
import { cupStates } from '@icy-ribbon/core/thickness/learn';
import { pieceProgress } from '@icy-ribbon/core/piece/progress';
import { touchDryHours } from '@icy-ribbon/core/flow/drying';
import { careInShort } from '@icy-ribbon/core/piece/care';
import { driftPerSlope, dryingFilm } from '@icy-ribbon/core/judgement/drying';
import { photoNumbers, pourRecordOf, shownPhoto, speakingPhoto } from '@icy-ribbon/core/judgement/outcome';
import { laidMgOf, inForce } from '@icy-ribbon/core/piece/event';

/** The numbers of the photo that speaks for a piece. */
function outcomeOf({ photos }: Piece): PieceSummary['outcome'] {
  const measurement = speakingPhoto(photos)?.measurement;
  return measurement ? photoNumbers(measurement) : null;
}

/** How long it usually dries; what the artist's own log makes of it is worked out where all pieces are known. */
function dryingOf(piece: Piece): PieceSummary['drying'] {
  const record = pourRecordOf(piece);
  const film = dryingFilm(record);
  if (!film) return null;
  return { ...touchDryHours(film), thickMm: film.thickMm, driftMmPerSlope: driftPerSlope(record) ?? 0 };
}

/** What moves the paint once it is laid: not every technique blows it. */
const MOVES: readonly PourEventKind[] = ['pass', 'card', 'lift', 'spin'];

/** A piece in short, as lists and the page "Today" show it. */
export function summarize(piece: Piece): PieceSummary {
  const events = inForce(piece.events);
  const layers = events.filter((event) => event.kind === 'layer');
  const passes = events.filter((event) => event.kind === 'pass');
  const laidOf = (cupId: string) => laidMgOf(piece.events, cupId);
  const { states } = cupStates(piece.mixes, piece.readings, laidOf);
  const mixes = piece.mixes.map((mix, index) => {
    const state = states[index]!;
    return {
      id: mix.id,
      name: mix.name,
      role: mix.role,
      colorHex: cupColor(mix.ingredients),
      phase: state.phase,
      viscosityPaS: state.properties.viscosityPaS,
      spreadLn: state.spreadLn,
      actualMg: state.actualMg,
      leftMg: state.leftMg,
      laidMg: laidOf(mix.id),
      restHours: mix.recipe.restHours,
      lid: mix.lid,
      version: mix.version,
      mixedAt: state.phase === 'mixed' ? (mix.additions.at(-1)?.at ?? null) : null,
    };
  });
  const care = careInShort(piece.care, piece.topCoatedAt);
  const progress = pieceProgress({
    cups: states,
    planned: piece.plan !== null,
    layers: layers.length,
    passes: events.filter(({ kind }) => MOVES.includes(kind)).length,
    photos: piece.photos.length,
    judged: piece.judgement !== null,
    verdict: piece.judgement?.verdict,
    cropped: piece.origin?.how === 'crop',
    care: { isCoated: care.coats.length > 0, isDone: care.isDone },
  });
  return {
    id: piece.id,
    version: piece.version,
    name: piece.name,
    technique: piece.technique,
    support: piece.support,
    createdAt: piece.createdAt,
    updatedAt: piece.updatedAt,
    pouredAt: layers[0]?.at ?? null,
    topCoatedAt: piece.topCoatedAt,
    touchDryAt: piece.touchDryAt,
    drying: dryingOf(piece),
    care,
    origin: piece.origin,
    ...progress,
    mixes,
    passes: passes.map(({ data }) => ({
      tool: data.tool,
      distanceMm: data.distanceMm,
      slantDeg: data.slantDeg,
      seconds: data.seconds,
    })),
    photo: shownPhoto(piece.photos),
    outcome: outcomeOf(piece),
    judgement: piece.judgement,
    trouble: null,
  };
}
