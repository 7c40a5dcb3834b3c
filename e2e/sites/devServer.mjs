// The development server of a site: its folder, its port, and a file with a plugin for it where there is one.
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import vue from '@vitejs/plugin-vue';
import { createServer } from 'vite';

const [root, port, plugin] = process.argv.slice(2);
const server = await createServer({
  root,
  configFile: false,
  logLevel: 'error',
  cacheDir: join(root, '.cache'),
  server: { host: 'localhost', port: Number(port), strictPort: true },
  plugins: [...(plugin ? [(await import(pathToFileURL(plugin).href)).lettera] : []), vue()],
});
await server.listen();
process.send?.('ready');
