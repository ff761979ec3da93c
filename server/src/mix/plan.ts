import type { Ingredient, Material, MaterialSnapshot } from '@icy-ribbon/contract';
import type { MaterialKind } from '@icy-ribbon/core/material';
import { partsFor, portion, type School } from '@icy-ribbon/core/mix';
import { unfit } from '../http/problem.ts';

/**
 * The ingredients of one cup: the school's parts, filled with the paint and the shelf's media, weighed
 * out to the milligram, each with its material's properties as they are now.
 *
 * @param media a material for every kind the school asks for
 * @param totalMg whole milligrams the cup shall hold
 */
export function planIngredients(
  school: School,
  paint: Material,
  media: ReadonlyMap<MaterialKind, Material>,
  totalMg: number,
  makeId: () => string,
): Ingredient[] {
  const parts = partsFor(school, paint.finish);
  const targets = portion(parts, totalMg);
  return parts.map((part, index) => {
    const material = part.kind === null ? paint : media.get(part.kind);
    if (!material) throw unfit('schoolId', `This recipe needs ${part.kind}.`);
    return {
      id: makeId(),
      role: part.role,
      parts: part.parts,
      targetMg: targets[index] ?? 0,
      material: snapshotOf(material),
    };
  });
}

function snapshotOf(material: Material): MaterialSnapshot {
  return {
    materialId: material.id,
    name: material.name,
    kind: material.kind,
    colorHex: material.colorHex,
    finish: material.finish,
    opacity: material.opacity,
    pigment: material.pigment,
    densityGPerMl: material.densityGPerMl,
    densityTrust: material.densityTrust,
    viscosityPaS: material.viscosityPaS,
    viscosityTrust: material.viscosityTrust,
  };
}
