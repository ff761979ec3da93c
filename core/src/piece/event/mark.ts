import type { z } from 'zod';
import type { ReadonlyDeep } from '../../base/field/index.ts';
import type { facePlaceSchema, markSchema } from './kinds.ts';

/** A place on the support, as shares of its face from the top left. */
export type FacePlace = ReadonlyDeep<z.output<typeof facePlaceSchema>>;

/** A part of the face that something was done to: around a spot, with its radius in mm, or along a stroke. */
export type Mark = ReadonlyDeep<z.output<typeof markSchema>>;
export type Spot = Extract<Mark, { readonly kind: 'spot' }>;
