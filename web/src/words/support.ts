import { supportTraits, type SupportKind, type SupportSize } from '@icy-ribbon/core/piece/support';

interface Shows {
  show(quantity: 'length', mm: number): string;
  showNumber(quantity: 'length', mm: number): string;
}

/** "30 × 40 cm"; "round, 25 cm across". */
export const supportWords = (
  { shape, widthMm, heightMm }: Pick<SupportSize, 'shape' | 'widthMm' | 'heightMm'>,
  units: Shows,
): string =>
  shape === 'round'
    ? `round, ${units.show('length', widthMm)} across`
    : `${units.showNumber('length', widthMm)} × ${units.show('length', heightMm)}`;

export const SUPPORT_KIND_LABELS: Readonly<Record<SupportKind, string>> = {
  canvas: 'stretched canvas',
  board: 'canvas board',
  panel: 'panel, bare edge',
  tile: 'tile',
  coaster: 'coaster',
};

/** What is to be minded of a kind of support. */
export function supportMinds(kind: SupportKind): string {
  const { isTaped, sags, warps, hasBareRim, meetsHeat } = supportTraits(kind);
  return [
    isTaped ? 'Tape its back.' : '',
    sags ? 'It sags in the middle under wet paint: prop it from below.' : '',
    warps ? 'It may bend as it dries: weight it, or bend it back then.' : '',
    hasBareRim ? 'A bare edge stops the flow and its rim cracks: wet it with base.' : '',
    meetsHeat ? 'Its coat decides about hot cups: follow the maker. Not for food.' : '',
  ]
    .filter(Boolean)
    .join(' ');
}
