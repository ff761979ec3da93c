/** `npm run demo:pictures`: takes the photos of the demo's pours anew, some minutes long; they are kept in `server/demo`. */
import { runHarness } from './harness.mjs';

await runHarness('demo');
