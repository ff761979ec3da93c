/** `npm run bench:pages`: what the pages cost, a part of `npm run bench`. */
import { runHarness } from './harness.mjs';

await runHarness('pages', { pages: true });
