/** `npm run demo`: installs, builds, makes the demo studio in a folder of its own, and starts. */
import { join } from 'node:path';
import { ensureBuilt, ensureInstalled, ROOT } from './bootstrap.mjs';
import { serve } from './serve.mjs';

ensureInstalled();
ensureBuilt();
serve({
  ICY_RIBBON_DEMO: '1',
  ICY_RIBBON_DATA: process.env.ICY_RIBBON_DEMO_DATA ?? join(ROOT, 'demo-data'),
  ICY_RIBBON_PORT: process.env.ICY_RIBBON_PORT ?? '4480',
});
