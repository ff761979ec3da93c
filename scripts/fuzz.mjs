/** `npm run fuzz`: made-up requests to every route; see `harness/fuzz/main.ts`. */
import { runHarness } from './harness.mjs';

await runHarness('fuzz');
