import type { z } from 'zod';
import type { ReadonlyDeep } from '../../base/field/index.ts';
import type { CARE_DATA } from './kinds.ts';

export type CareKind = keyof typeof CARE_DATA;
/** What is noted of each kind: see its row in `kinds.ts`. */
export type CareData = { readonly [Kind in CareKind]: ReadonlyDeep<z.output<(typeof CARE_DATA)[Kind]>> };
export type CareEventOf<Kind extends CareKind> = Kind extends CareKind
  ? { readonly id: string; readonly at: string; readonly kind: Kind; readonly data: CareData[Kind] }
  : never;
/** One line of the log after a pour. */
export type LoggedCare = CareEventOf<CareKind>;
