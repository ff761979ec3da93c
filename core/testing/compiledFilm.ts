import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { compiledFilm, type FilmModule } from '../src/flow/solver/compiledKernel.ts';
import type { MakeKernel } from '../src/flow/solver/plainKernel.ts';

let compiled: WebAssembly.Module | undefined;

/** A film stepped by the module that `npm run build` makes: the very file that the pages load. */
export const compiledFilmFromFile: MakeKernel = (grid, layers, given) => {
  compiled ??= new WebAssembly.Module(readFileSync(join(process.cwd(), 'core/bundle/film.wasm')));
  const { exports } = new WebAssembly.Instance(compiled, {});
  return compiledFilm(exports as unknown as FilmModule, grid, layers, given);
};
