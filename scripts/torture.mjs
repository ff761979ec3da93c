/** `npm run torture`: kills the server at random moments; see `harness/torture/main.ts`. */
import { runHarness } from './harness.mjs';

await runHarness('torture');
