import { materialSnapshotSchema, type MaterialSnapshot, type ShelvedMaterial } from '@icy-ribbon/contract';
import { readable } from '../db/readable.ts';
import { colorShift, cupColor, meanShift, type ColorShift } from '@icy-ribbon/core/paint/color';
import { isPaint } from '@icy-ribbon/core/paint/material';
import { fromJson } from '../db/json.ts';
import { cached } from '../db/cached.ts';
import type { Db } from '../db/open.ts';
import type { Reader } from '../db/record.ts';

type DryShift = NonNullable<ShelvedMaterial['dryShift']>;

/** The same, worked out anew only after a mix has changed. */
export const dryShiftsCached = (db: Db): Promise<Map<string, DryShift>> =>
  cached(db, 'dried', '', () => dryShifts(db));

/** How each paint's mixes moved while they dried, from the mixes whose dry color was seen. */
async function dryShifts(db: Reader): Promise<Map<string, DryShift>> {
  const rows = await db
    .selectFrom('mix')
    .innerJoin('mixIngredient', 'mixIngredient.cupId', 'mix.id')
    .select(['mix.id', 'mix.dryColorHex', 'mixIngredient.targetMg', 'mixIngredient.materialSnapshot'])
    .where('mix.dryColorHex', 'is not', null)
    .where('mix.deletedAt', 'is', null)
    .execute();
  const cups = new Map<string, { dry: string; parts: { targetMg: number; material: MaterialSnapshot }[] }>();
  for (const row of rows) {
    const cup = cups.get(row.id) ?? { dry: row.dryColorHex ?? '', parts: [] };
    const [material] = readable(materialSnapshotSchema, [fromJson(row.materialSnapshot)]);
    if (material) cup.parts.push({ targetMg: row.targetMg, material });
    if (cup.parts.length > 0) cups.set(row.id, cup);
  }
  const seen = new Map<string, ColorShift[]>();
  for (const { dry, parts } of cups.values()) {
    const shift = colorShift(cupColor(parts), dry);
    for (const { material, targetMg } of parts) {
      if (!isPaint(material.kind) || targetMg === 0) continue;
      seen.set(material.materialId, [...(seen.get(material.materialId) ?? []), shift]);
    }
  }
  const shifts = new Map<string, DryShift>();
  for (const [id, all] of seen) {
    const mean = meanShift(all);
    if (mean) shifts.set(id, { ...mean, mixes: all.length });
  }
  return shifts;
}
