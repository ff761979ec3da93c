import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';
import { compressed } from './compressed.ts';
import { notices } from './notices.ts';

const SERVER = process.env.ICY_RIBBON_SERVER ?? 'http://127.0.0.1:4480';

/** Pages and workers are built apart and share one list. */
const packages = new Map();

export default defineConfig({
  plugins: [vue(), notices(packages), compressed()],
  resolve: { conditions: ['source', 'module', 'browser', 'development|production'] },
  server: {
    host: '127.0.0.1',
    proxy: { '/api': { target: SERVER, changeOrigin: true, headers: { origin: SERVER } } },
  },
  worker: { format: 'es', plugins: () => [notices(packages)] },
  build: {
    target: 'es2022',
    chunkSizeWarningLimit: 700,
    rolldownOptions: {
      output: {
        // What most pages share comes in three files: a request costs more than what one page does not need of them.
        advancedChunks: {
          groups: [
            {
              name: 'frame',
              test: /node_modules[\\/](@vue|vue|vue-router|pinia|zod|@vueuse|idb|dayjs)[\\/]/,
              priority: 3,
            },
            { name: 'kit', test: /node_modules[\\/]/, minShareCount: 5, priority: 2 },
            { name: 'shared', minShareCount: 5, priority: 1 },
          ],
        },
      },
    },
  },
});
