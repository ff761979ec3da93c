/** `npm run build`: installs what is missing and builds everything. */
import { ensureBuilt, ensureInstalled } from './bootstrap.mjs';

ensureInstalled();
ensureBuilt();
