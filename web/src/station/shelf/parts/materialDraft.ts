import type { MaterialCreate, MaterialUpdate, ShelvedMaterial } from '@icy-ribbon/contract';
import { isPaint, materialKind, pigmentDensity, stockLeftMg } from '@icy-ribbon/core/paint/material';

/** A material while it is being entered; `null` numbers mean the typical value of its kind. */
export interface MaterialDraft {
  name: string;
  kind: MaterialCreate['kind'];
  colorHex: string;
  dryColorHex: string | null;
  finish: MaterialCreate['finish'];
  opacity: MaterialCreate['opacity'];
  pigment: MaterialCreate['pigment'];
  densityGPerMl: number | null;
  viscosityPaS: number | null;
  /** In whole units of money, not cents. */
  price: number | null;
  packMg: number | null;
  stockMg: number | null;
  openedOn: string | null;
  canBuy: boolean;
  solids: number | null;
  waterLimit: number | null;
  tintingStrength: number | null;
  note: string;
}

export const emptyMaterial = (): MaterialDraft => ({
  name: '',
  kind: 'artist-tube',
  colorHex: '#5f7f95',
  dryColorHex: null,
  finish: 'plain',
  opacity: 'semi-opaque',
  pigment: 'organic',
  densityGPerMl: null,
  viscosityPaS: null,
  price: null,
  packMg: null,
  stockMg: null,
  openedOn: null,
  canBuy: true,
  solids: null,
  waterLimit: null,
  tintingStrength: null,
  note: '',
});

export const draftOf = (material: ShelvedMaterial): MaterialDraft => ({
  name: material.name,
  kind: material.kind,
  colorHex: material.colorHex,
  dryColorHex: material.dryColorHex,
  finish: material.finish,
  opacity: material.opacity,
  pigment: material.pigment,
  densityGPerMl: material.densityTrust === 'measured' ? material.densityGPerMl : null,
  viscosityPaS: material.viscosityTrust === 'measured' ? material.viscosityPaS : null,
  price: material.priceCents === null ? null : material.priceCents / 100,
  packMg: material.packMg,
  stockMg: stockLeftMg(material),
  openedOn: material.openedOn,
  canBuy: material.canBuy,
  solids: material.solids,
  waterLimit: material.waterLimit,
  tintingStrength: material.tintingStrength,
  note: material.note,
});

/** The values a draft falls back on where nothing was measured. */
export function typicalOf(draft: MaterialDraft): { densityGPerMl: number; viscosityPaS: number } {
  const kind = materialKind(draft.kind);
  return {
    densityGPerMl: (isPaint(draft.kind) ? pigmentDensity(draft.pigment) : undefined) ?? kind.densityGPerMl,
    viscosityPaS: kind.viscosityPaS,
  };
}

const centsOf = (price: number | null): number | null => (price === null ? null : Math.round(price * 100));

/** A new material as it was entered; what is typical is left to the server. */
export function materialOf({ densityGPerMl, viscosityPaS, price, ...rest }: MaterialDraft): MaterialCreate {
  return {
    ...rest,
    priceCents: centsOf(price),
    ...(densityGPerMl !== null && { densityGPerMl }),
    ...(viscosityPaS !== null && { viscosityPaS }),
  };
}

/** What changes in a material; its stock counts as counted anew only when it was typed. */
export function changesOf(draft: MaterialDraft, before: ShelvedMaterial): Omit<MaterialUpdate, 'version'> {
  const { kind, densityGPerMl, viscosityPaS, price, stockMg, ...rest } = draft;
  void kind;
  const typical = typicalOf(draft);
  return {
    ...rest,
    priceCents: centsOf(price),
    ...(stockMg !== stockLeftMg(before) && { stockMg }),
    densityGPerMl: densityGPerMl ?? typical.densityGPerMl,
    densityTrust: densityGPerMl === null ? 'typical' : 'measured',
    viscosityPaS: viscosityPaS ?? typical.viscosityPaS,
    viscosityTrust: viscosityPaS === null ? 'typical' : 'measured',
  };
}
