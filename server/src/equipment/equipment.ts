import { equipmentSchema, type Equipment, type EquipmentCreate } from '@icy-ribbon/contract';
import { AIR_TOOLS } from '@icy-ribbon/core/flow/air';
import type { Writer } from '../db/record.ts';
import { recordsOf } from '../db/records.ts';

export const EQUIPMENT = recordsOf<Equipment, EquipmentCreate>({
  table: 'equipment',
  what: 'cup or blower',
  schema: equipmentSchema,
  order: [
    ['kind', 'desc'],
    ['createdAt', 'asc'],
  ],
  columns: ['kind', 'name'],
});

const USUAL_VESSELS = [
  ['Lidded cup 60', 60],
  ['Lidded cup 150', 150],
  ['Bottle 60', 60],
  ['Tub 500', 500],
] as const;

/** The usual cups, and one blower of each kind with its typical exit. */
export async function stockEquipment(trx: Writer): Promise<void> {
  for (const [name, capacityMl] of USUAL_VESSELS) {
    await EQUIPMENT.create(trx, { kind: 'vessel', name, capacityMl, tareMg: null });
  }
  for (const { tool, label, exitDiameterMm, exitSpeedMS } of AIR_TOOLS) {
    await EQUIPMENT.create(trx, {
      ...{ kind: 'blower', name: label, tool, exitDiameterMm, exitSpeedMS },
      ...{ exitTrust: 'typical', baffle: false, note: '' },
    });
  }
}
