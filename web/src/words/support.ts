import type { SupportSize } from '@icy-ribbon/core/piece/support';

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
