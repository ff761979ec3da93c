import { EQUIPMENT_DATA } from '@icy-ribbon/core/piece/equipment';
import type { z } from 'zod';
import { idSchema, recordFields, versionSchema } from './common.ts';
import { recordsByKind } from './log.ts';

/** Cups and bottles to mix in, what blows the air, and what pieces dry on. */
export const equipmentSchema = recordsByKind(EQUIPMENT_DATA, recordFields);
export const equipmentCreateSchema = recordsByKind(EQUIPMENT_DATA, { id: idSchema.optional() });
export const equipmentUpdateSchema = recordsByKind(EQUIPMENT_DATA, { version: versionSchema });

export type Equipment = z.output<typeof equipmentSchema>;
export type Vessel = Extract<Equipment, { kind: 'vessel' }>;
export type Blower = Extract<Equipment, { kind: 'blower' }>;
export type Shelf = Extract<Equipment, { kind: 'shelf' }>;
export type EquipmentCreate = z.output<typeof equipmentCreateSchema>;
export type EquipmentUpdate = z.output<typeof equipmentUpdateSchema>;
