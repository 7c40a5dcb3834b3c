#!/usr/bin/env node
// Runs the built command; `npm run build` makes it.
import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

const built = new URL('../build/lettera.mjs', import.meta.url);
if (!existsSync(fileURLToPath(built))) {
  console.error('Lettera has not been built here yet. Run “npm run build” first.');
  process.exit(1);
}
await import(built.href);
