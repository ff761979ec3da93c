/** `npm run bench`: how fast the parts are on this machine. Compare ratios within one run, never two runs. */
import { runHarness } from './harness.mjs';

await runHarness('bench', { pages: true });
