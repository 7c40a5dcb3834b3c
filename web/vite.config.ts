import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [vue()],
  build: {
    outDir: '../build/web',
    emptyOutDir: true,
    target: 'es2022',
    assetsInlineLimit: 0,
  },
});
