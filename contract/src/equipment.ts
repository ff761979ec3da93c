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

const MOST_SLOTS = 40;
const slot = z.object({
  id: z.string().min(1).max(80),
  name: nameSchema,
  widthMm: z
    .number('Give the width of the slot.')
    .min(50, 'A slot is at least 5 cm wide.')
    .max(10_000, 'At most 10 m.'),
});

/** A shelf of the rack that pieces dry on, seen from the front: its slots from the left. */
const shelf = {
  kind: z.literal('shelf'),
  name: nameSchema,
  depthMm: z
    .number('Give the depth of the shelf.')
    .min(50, 'A shelf is at least 5 cm deep.')
    .max(5000, 'At most 5 m.'),
  slots: z
    .array(slot)
    .min(1, 'A shelf has at least one slot.')
    .max(MOST_SLOTS, `At most ${MOST_SLOTS} slots.`),
};

/** Cups and bottles to mix in, what blows the air, and what pieces dry on. */
export const equipmentSchema = z.discriminatedUnion('kind', [
  z.object({ ...recordFields, ...vessel }),
  z.object({ ...recordFields, ...blower }),
  z.object({ ...recordFields, ...shelf }),
]);
export const equipmentCreateSchema = z.discriminatedUnion('kind', [
  z.object({ id: idSchema.optional(), ...vessel }),
  z.object({ id: idSchema.optional(), ...blower }),
  z.object({ id: idSchema.optional(), ...shelf }),
]);
export const equipmentUpdateSchema = z.discriminatedUnion('kind', [
  z.object({ version: versionSchema, ...vessel }),
  z.object({ version: versionSchema, ...blower }),
  z.object({ version: versionSchema, ...shelf }),
]);

export type Equipment = z.output<typeof equipmentSchema>;
export type Vessel = Extract<Equipment, { kind: 'vessel' }>;
export type Blower = Extract<Equipment, { kind: 'blower' }>;
export type Shelf = Extract<Equipment, { kind: 'shelf' }>;
export type EquipmentCreate = z.output<typeof equipmentCreateSchema>;
export type EquipmentUpdate = z.output<typeof equipmentUpdateSchema>;
