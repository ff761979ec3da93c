import type { PieceSummary } from '@icy-ribbon/contract';
import { lifeAt, type DryingHours } from '@icy-ribbon/core/flow/drying';
import { lifeFacts } from '@icy-ribbon/core/piece/care';
import dayjs from 'dayjs';

/** A show with the pieces that go to it. */
export interface ShownPieces {
  readonly name: string;
  readonly opensOn: string | null;
  readonly pieces: readonly { readonly piece: PieceSummary; readonly missing: readonly string[] }[];
}

/** Every show, the next one first, with what each piece lacks until it opens. */
export function showsOf(
  pieces: readonly PieceSummary[],
  nowMs: number,
  dryingOf: (piece: PieceSummary) => DryingHours,
): ShownPieces[] {
  const byName = new Map<string, PieceSummary[]>();
  for (const piece of pieces) {
    const name = piece.care.show?.name;
    if (name && !piece.care.isGone) byName.set(name, [...(byName.get(name) ?? []), piece]);
  }
  return [...byName]
    .map(([name, those]) => {
      const opensOn = those.map(({ care }) => care.show?.opensOn ?? null).find((day) => day !== null) ?? null;
      const opensMs = opensOn === null ? nowMs : dayjs(opensOn).valueOf();
      return {
        ...{ name, opensOn },
        pieces: those.map((piece) => ({ piece, missing: missingOf(piece, opensMs, dryingOf(piece)) })),
      };
    })
    .sort((a, b) => (a.opensOn ?? '9').localeCompare(b.opensOn ?? '9'));
}

function missingOf(piece: PieceSummary, opensMs: number, drying: DryingHours): string[] {
  const { care, photo, judgement } = piece;
  const facts = lifeFacts(piece, drying);
  const stage = facts && lifeAt(facts, opensMs).stage;
  const isCropped = piece.origin?.how === 'crop';
  return [
    !facts && !isCropped ? 'not poured yet' : '',
    stage === 'wet' || stage === 'skin' ? 'will still be wet' : '',
    stage === 'curing' ? 'its coat will not have cured' : '',
    care.decision === 'finish' && care.coats.length === 0 ? 'its top coat' : '',
    care.decision === null ? 'what becomes of it is not decided' : '',
    photo ? '' : 'a photo',
    (judgement?.hangingDeg ?? null) === null ? 'which edge is up' : '',
    care.show?.hanging ? '' : 'how it hangs',
    care.price?.askedCents ? '' : 'a price',
    care.sale ? 'it is sold' : '',
  ].filter(Boolean);
}

/** What a piece cost the artist, as it was reckoned, without wear and hours. */
const materialsOf = ({ care: { price } }: PieceSummary): number | null =>
  price && price.paintCents + price.supportCents + price.coatCents + price.otherCents;

const SIZE = ({ support: { shape, widthMm, heightMm } }: PieceSummary) =>
  shape === 'round' ? `round ${widthMm / 10}` : `${widthMm / 10} x ${heightMm / 10}`;

/** A year's pieces as rows of a table: what each cost, was asked for and brought. */
export function yearRows(pieces: readonly PieceSummary[], year: number): Record<string, string | number>[] {
  const money = (cents: number | null | undefined) =>
    cents === null || cents === undefined ? '' : (cents / 100).toFixed(2);
  return pieces
    .filter(({ pouredAt, care }) => dayjs(care.sale?.at ?? pouredAt ?? 0).year() === year)
    .map((piece) => ({
      piece: piece.name,
      size_cm: SIZE(piece),
      poured_on: piece.pouredAt?.slice(0, 10) ?? '',
      hours: piece.care.price?.hours ?? '',
      paint: money(piece.care.price?.paintCents),
      support: money(piece.care.price?.supportCents),
      coats: money(piece.care.price?.coatCents),
      other: money(piece.care.price?.otherCents),
      materials: money(materialsOf(piece)),
      asked: money(piece.care.price?.askedCents),
      sold_on: piece.care.sale?.at.slice(0, 10) ?? '',
      sold_to: piece.care.sale?.to ?? '',
      sold_for: money(piece.care.sale?.cents),
      show: piece.care.show?.name ?? '',
    }));
}
