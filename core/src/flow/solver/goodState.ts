import type { FilmFields } from './film.ts';

const kept = new WeakMap<FilmFields, { readonly thickness: Float64Array[]; readonly lost: Float64Array }>();

/** Saves the thickness of every layer before a step. */
export function keepState(fields: FilmFields): void {
  const { thickness, lost } = fields;
  let state = kept.get(fields);
  if (!state) {
    state = { thickness: thickness.map((field) => field.slice()), lost: lost.slice() };
    kept.set(fields, state);
    return;
  }
  thickness.forEach((field, layer) => state.thickness[layer]!.set(field));
  state.lost.set(lost);
}

/** Restores what was saved. */
export function backToState(fields: FilmFields): void {
  const state = kept.get(fields);
  if (!state) return;
  state.thickness.forEach((field, layer) => fields.thickness[layer]!.set(field));
  fields.lost.set(state.lost);
}
