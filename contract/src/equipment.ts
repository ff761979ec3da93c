import { AIR_TOOL_NAMES } from '@icy-ribbon/core/flow/air';
import { TRUSTS } from '@icy-ribbon/core/paint/material';
import { z } from 'zod';
import { idSchema, massMgSchema, nameSchema, noteSchema, recordFields, versionSchema } from './common.ts';

const vessel = {
  kind: z.literal('vessel'),
  name: nameSchema,
  capacityMl: z
    .number('Give the capacity.')
    .min(1, 'A cup holds at least 1 ml.')
    .max(20_000, 'A cup holds at most 20 l.'),
  /** What it weighs empty; `null` until it was weighed. */
  tareMg: massMgSchema.nullable(),
};

const blower = {
  kind: z.literal('blower'),
  name: nameSchema,
  tool: z.enum(AIR_TOOL_NAMES, 'Choose what kind of blower it is.'),
  exitDiameterMm: z
    .number('Give the exit’s diameter.')
    .min(0.1, 'At least 0.1 mm.')
    .max(500, 'At most 50 cm.'),
  exitSpeedMS: z
    .number('Give the speed of the air.')
    .min(0.1, 'At least 0.1 m/s.')
    .max(200, 'At most 200 m/s.'),
  exitTrust: z.enum(TRUSTS),
  baffle: z.boolean(),
  note: noteSchema,
};

/** Cups and bottles to mix in, and what blows the air. */
export const equipmentSchema = z.discriminatedUnion('kind', [
  z.object({ ...recordFields, ...vessel }),
  z.object({ ...recordFields, ...blower }),
]);
export const equipmentCreateSchema = z.discriminatedUnion('kind', [
  z.object({ id: idSchema.optional(), ...vessel }),
  z.object({ id: idSchema.optional(), ...blower }),
]);
export const equipmentUpdateSchema = z.discriminatedUnion('kind', [
  z.object({ version: versionSchema, ...vessel }),
  z.object({ version: versionSchema, ...blower }),
]);

export type Equipment = z.output<typeof equipmentSchema>;
export type Vessel = Extract<Equipment, { kind: 'vessel' }>;
export type Blower = Extract<Equipment, { kind: 'blower' }>;
export type EquipmentCreate = z.output<typeof equipmentCreateSchema>;
export type EquipmentUpdate = z.output<typeof equipmentUpdateSchema>;
