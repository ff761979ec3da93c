import { z } from 'zod';
import { hexColorSchema, massMgSchema, nameSchema, timestampSchema } from '../../base/field/index.ts';
import { MATERIAL_KINDS } from './kinds.ts';
import { FINISHES, OPACITIES, PIGMENTS } from './pigment.ts';
import { TRUSTS } from './trust.ts';

export const materialKindSchema = z.enum(
  MATERIAL_KINDS.map((each) => each.kind),
  'Choose the kind of material.',
);

const share = (what: string) =>
  z
    .number(`Enter ${what} as a percentage.`)
    .min(0, `Enter ${what} from 0 to 100 %.`)
    .max(1, `Enter ${what} from 0 to 100 %.`)
    .nullable();
const between = (what: string, [least, most, unit]: [number, number, string?], hint: string) => {
  const message = `Enter ${what} from ${least} to ${[most, unit].filter(Boolean).join(' ')}. ${hint}`;
  return z.number(message).min(least, message).max(most, message);
};

/** What a material is: what a cup keeps of it for good. */
export const materialShape = {
  name: nameSchema,
  kind: materialKindSchema,
  /** Wet color of the paint; media are near white or clear. */
  colorHex: hexColorSchema,
  /** What it dries to, once seen. */
  dryColorHex: hexColorSchema.nullable(),
  finish: z.enum(FINISHES),
  opacity: z.enum(OPACITIES),
  pigment: z.enum(PIGMENTS.map((each) => each.pigment)).nullable(),
  densityGPerMl: between('a density', [0.1, 5, 'g/ml'], 'Most paint has 0.9 to 2, loose powder less.'),
  densityTrust: z.enum(TRUSTS),
  viscosityPaS: between('a thickness', [0.0005, 2000, 'Pa·s'], 'Water has 0.001, stiff tube paint about 60.'),
  viscosityTrust: z.enum(TRUSTS),
  /** Found for this very material; `null`: the usual value of its kind. */
  solids: share('what stays when it dries'),
  waterLimit: share('the most water'),
  /** How strongly it colors a mix beside others; null: as strong as most. */
  tintingStrength: between('a tinting strength', [0.05, 20], '1 is as strong as most.')
    .nullable()
    .default(null),
};

/** What is kept of the pack on the shelf. */
export const packShape = {
  /** Price of a pack in cents, and what the pack holds. */
  priceCents: z
    .int('Enter the price in whole cents.')
    .min(0, 'Enter a price of 0 or more.')
    .max(10_000_000, 'A pack costs at most 100,000.')
    .nullable(),
  packMg: massMgSchema.min(1, 'A pack holds more than 0 g.').nullable(),
  /** What was there when it was last counted; what is weighed in afterwards comes off. */
  stockMg: massMgSchema.nullable(),
  stockCountedAt: timestampSchema.nullable(),
  openedOn: z.iso.date('Enter a date like 2026-03-01.').nullable(),
  /** Whether the artist can buy more of it. */
  canBuy: z.boolean(),
};
