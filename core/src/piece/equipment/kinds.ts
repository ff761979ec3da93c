import { z } from 'zod';
import { massMgSchema, nameSchema, noteSchema } from '../../base/field/index.ts';
import { AIR_TOOL_NAMES } from '../../flow/air/index.ts';
import { TRUSTS } from '../../paint/material/index.ts';

const MOST_SLOTS = 40;

const measured = (what: string, least: number, most: number, said: readonly [string, string]) =>
  z.number(`Enter ${what}.`).min(least, said[0]).max(most, said[1]);

/** What is kept of each kind of equipment. */
export const EQUIPMENT_DATA = {
  /** A cup or bottle to mix in. */
  vessel: z.object({
    name: nameSchema,
    capacityMl: measured('the capacity', 1, 20_000, [
      'A cup holds at least 1 ml.',
      'A cup holds at most 20 l.',
    ]),
    /** What it weighs empty; `null` until it was weighed. */
    tareMg: massMgSchema.nullable(),
  }),
  /** What blows the air. */
  blower: z.object({
    name: nameSchema,
    tool: z.enum(AIR_TOOL_NAMES, 'Choose what kind of blower it is.'),
    exitDiameterMm: measured('the exit’s diameter', 0.1, 500, ['At least 0.1 mm.', 'At most 50 cm.']),
    exitSpeedMS: measured('the speed of the air', 0.1, 200, ['At least 0.1 m/s.', 'At most 200 m/s.']),
    exitTrust: z.enum(TRUSTS),
    baffle: z.boolean(),
    note: noteSchema,
  }),
  /** A shelf of the rack that pieces dry on, seen from the front: its slots from the left. */
  shelf: z.object({
    name: nameSchema,
    depthMm: measured('the depth of the shelf', 50, 5000, ['A shelf is at least 5 cm deep.', 'At most 5 m.']),
    slots: z
      .array(
        z.object({
          id: z.string().min(1).max(80),
          name: nameSchema,
          widthMm: measured('the width of the slot', 50, 10_000, [
            'A slot is at least 5 cm wide.',
            'At most 10 m.',
          ]),
        }),
      )
      .min(1, 'A shelf has at least one slot.')
      .max(MOST_SLOTS, `At most ${MOST_SLOTS} slots.`),
  }),
};
