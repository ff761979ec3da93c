import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';

const SERVER = process.env.ICY_RIBBON_SERVER ?? 'http://127.0.0.1:4480';

export default defineConfig({
  plugins: [vue()],
  resolve: { conditions: ['source', 'module', 'browser', 'development|production'] },
  server: {
    host: '127.0.0.1',
    proxy: { '/api': { target: SERVER, changeOrigin: true, headers: { origin: SERVER } } },
  },
  worker: { format: 'es' },
  build: {
    target: 'es2022',
    chunkSizeWarningLimit: 700,
  },
});
