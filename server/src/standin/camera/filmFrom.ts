import { readFileSync } from 'node:fs';
import { compiledFilm, plainFilm, type FilmModule, type MakeKernel } from '@icy-ribbon/core/flow/solver';

/** What of the engine's own is used here: the types that Node brings do not know it. */
interface Engine {
  readonly WebAssembly: {
    readonly Module: new (bytes: Uint8Array) => object;
    readonly Instance: new (module: object, imports: object) => { readonly exports: object };
  };
}
const { WebAssembly } = globalThis as unknown as Engine;

/** Makes films that are stepped by the compiled module in a file, read when it is first needed; by the plain step where there is none. */
export function filmFrom(path: string): MakeKernel {
  let module: object | null | undefined;
  return (grid, layers, given) => {
    module ??= moduleIn(path);
    if (!module) return plainFilm(grid, layers, given);
    const { exports } = new WebAssembly.Instance(module, {});
    return compiledFilm(exports as unknown as FilmModule, grid, layers, given);
  };
}

function moduleIn(path: string): object | null {
  try {
    return new WebAssembly.Module(readFileSync(path));
  } catch {
    return null;
  }
}
