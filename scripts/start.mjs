/** `npm start`: installs, builds and starts on the artist's own data. */
import { ensureBuilt, ensureInstalled } from './bootstrap.mjs';
import { serve } from './serve.mjs';

ensureInstalled();
ensureBuilt();
serve({ ICY_RIBBON_DEMO: '0' });
