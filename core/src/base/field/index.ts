export { hexColorSchema, idSchema, massMgSchema, nameSchema, noteSchema, timestampSchema } from './field.ts';
export type { ReadonlyDeep } from './readonlyDeep.ts';
