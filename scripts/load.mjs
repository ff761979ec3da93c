/** `npm run load`: fifty clients at once on a large studio, and how long their answers took. */
import { runHarness } from './harness.mjs';

await runHarness('load');
