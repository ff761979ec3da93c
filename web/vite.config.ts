import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';
import { dirname } from 'node:path';
import { fileURLToPath } from 'node:url';
import { addresses } from './addresses.ts';
import { compressed } from './compressed.ts';
import { firstModules } from './first.ts';
import { laterFiles } from './later.ts';
import { notices, type Package } from './notices.ts';
import { offlineShell } from './shell.ts';

const SERVER = process.env.ICY_RIBBON_SERVER ?? 'http://127.0.0.1:4480';

/** Pages and workers are built apart and share one list. */
const packages = new Map<string, Package>();

const ROOT = dirname(fileURLToPath(import.meta.url));

export default defineConfig(async ({ command }) => ({
  plugins: [vue(), addresses(), notices(packages), laterFiles(), compressed(), offlineShell(packages)],
  resolve: { conditions: ['source', 'module', 'browser', 'development|production'] },
  server: {
    host: '127.0.0.1',
    proxy: { '/api': { target: SERVER, changeOrigin: true, headers: { origin: SERVER } } },
  },
  worker: { format: 'es', plugins: () => [addresses(), notices(packages)] },
  build: {
    target: 'es2022',
    chunkSizeWarningLimit: 700,
    rolldownOptions: {
      output: {
        codeSplitting: command === 'build' ? { groups: await groups() } : true,
      },
    },
  },
}));

/** What the first pages need comes in few files, what most other pages share in two: a request costs more than what one page does not need of them. */
async function groups() {
  const { both, today, scale } = await firstModules(ROOT);
  const isPackage = (id: string) => /node_modules[\\/]/.test(id);
  return [
    { name: 'frame', test: (id: string) => both.has(id) && isPackage(id), priority: 5 },
    { name: 'first', test: (id: string) => both.has(id), priority: 5 },
    { name: 'today', test: (id: string) => today.has(id), priority: 4 },
    { name: 'scale', test: (id: string) => scale.has(id), priority: 3 },
    { name: 'kit', test: isPackage, minShareCount: 5, priority: 2 },
    { name: 'shared', minShareCount: 5, priority: 1 },
  ];
}
