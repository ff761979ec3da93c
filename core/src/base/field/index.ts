export {
  hexColorSchema,
  idSchema,
  massMgSchema,
  nameSchema,
  noteSchema,
  sayingSchema,
  timestampSchema,
} from './field.ts';
export type { ReadonlyDeep } from './readonlyDeep.ts';
