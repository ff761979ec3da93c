import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, constants } from 'node:zlib';
import type { Plugin } from 'vite';

/** Smaller than this, bytes, a file gains nothing. */
const LEAST = 1000;
const QUALITY = 10;
const TEXT = /\.(js|css|svg|wasm)$/;

/** Puts a compressed copy beside every file that gains by it, so that no request waits for it to be made. */
export function compressed(): Plugin {
  let folder = '';
  return {
    name: 'compressed',
    apply: 'build',
    configResolved: ({ root, build }) => void (folder = join(root, build.outDir, 'assets')),
    closeBundle() {
      for (const name of readdirSync(folder)) {
        if (!TEXT.test(name)) continue;
        const whole = readFileSync(join(folder, name));
        if (whole.length < LEAST) continue;
        const params = { [constants.BROTLI_PARAM_QUALITY]: QUALITY };
        const small = brotliCompressSync(whole, { params });
        if (small.length < whole.length) writeFileSync(join(folder, `${name}.br`), small);
      }
    },
  };
}
