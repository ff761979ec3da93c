import type { Mix, ShelvedMaterial } from '@icy-ribbon/contract';

/**
 * What a cup costs, in cents, from the prices on the shelf; `undefined` while one of its paints and media
 * has no price. Water is free.
 */
export function cupCostCents(
  mix: Pick<Mix, 'ingredients'>,
  shelf: readonly Pick<ShelvedMaterial, 'id' | 'priceCents' | 'packMg'>[],
): number | undefined {
  let cents = 0;
  for (const each of mix.ingredients) {
    if (each.material.kind === 'water' || each.targetMg === 0) continue;
    const material = shelf.find((one) => one.id === each.material.materialId);
    if (!material?.packMg || material.priceCents === null) return undefined;
    cents += (material.priceCents * each.targetMg) / material.packMg;
  }
  return cents;
}
