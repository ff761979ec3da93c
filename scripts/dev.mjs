/** `npm run dev`: the server on the demo data, and the pages from their sources with live reload. */
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { ensureBuilt, ensureInstalled, ROOT, toolPath } from './bootstrap.mjs';
import { serve } from './serve.mjs';

ensureInstalled();
ensureBuilt({ pages: false });
serve({
  ICY_RIBBON_DEMO: '1',
  ICY_RIBBON_DATA: process.env.ICY_RIBBON_DEMO_DATA ?? join(ROOT, 'demo-data'),
  ICY_RIBBON_PORT: '4480',
});
spawn(process.execPath, [toolPath('vite')], { cwd: join(ROOT, 'web'), stdio: 'inherit' });
