import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';
import { notices } from './notices.ts';

const SERVER = process.env.ICY_RIBBON_SERVER ?? 'http://127.0.0.1:4480';

/** Pages and workers are built apart and share one list. */
const packages = new Map();

export default defineConfig({
  plugins: [vue(), notices(packages)],
  resolve: { conditions: ['source', 'module', 'browser', 'development|production'] },
  server: {
    host: '127.0.0.1',
    proxy: { '/api': { target: SERVER, changeOrigin: true, headers: { origin: SERVER } } },
  },
  worker: { format: 'es', plugins: () => [notices(packages)] },
  build: {
    target: 'es2022',
    chunkSizeWarningLimit: 700,
  },
});
