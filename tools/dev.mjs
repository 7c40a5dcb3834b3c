// `npm run dev`: foundry, server, web and reader from their sources, reloading as they change.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { READER } from './build.mjs';
import { ensurePackages, ROOT } from './install.mjs';
import { flagValue, startFoundry } from './processes.mjs';

ensurePackages();
const args = process.argv.slice(2);
const port = flagValue(args, '--port') ?? process.env.LETTERA_PORT ?? '4380';

await startFoundry('foundry/main.ts', args, ['--import', 'tsx']);
const server = spawn(
  process.execPath,
  [
    join(ROOT, 'node_modules/tsx/dist/cli.mjs'),
    'watch',
    'cli/main.ts',
    'start',
    '--settled-sample',
    ...args,
  ],
  { cwd: ROOT, stdio: 'inherit' },
);
server.on('exit', (code) => process.exit(code ?? 0));

/** The reader as it stands now, where the built application has it. */
const reader = {
  name: 'reader',
  configureServer({ middlewares }) {
    middlewares.use('/reader.js', (_request, response, next) => {
      build({ ...READER, write: false }).then(({ outputFiles: [file] }) => {
        response.setHeader('Content-Type', 'text/javascript');
        response.end(file.text);
      }, next);
    });
  },
};

const { build } = await import('esbuild');
const { createServer } = await import('vite');
const web = await createServer({
  root: join(ROOT, 'web'),
  plugins: [reader],
  server: { host: '127.0.0.1', proxy: { '/api/v1': { target: `http://127.0.0.1:${port}` } } },
});
await web.listen();
web.printUrls();
