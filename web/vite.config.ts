import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [vue()],
  build: {
    outDir: '../build/web',
    emptyOutDir: true,
    target: 'es2022',
    assetsInlineLimit: 0,
    rolldownOptions: {
      // How long plugins took is no fault of what is built.
      checks: { pluginTimings: false },
      output: {
        // What every stage shares comes in few files: dozens of small ones wait for one another.
        codeSplitting: {
          groups: [
            {
              name: 'shared',
              // What judges a project, or describes a page, comes after what is seen first.
              test: /[\\/](core[\\/](?!(check|page)[\\/])|web[\\/](frame|proof(?![\\/]panel)|store|api)[\\/])/,
              minShareCount: 3,
            },
          ],
        },
      },
    },
  },
});
