#!/usr/bin/env node
// Runs the built command; `npm run build` makes it.
import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { missingPackages } from '../tools/install.mjs';

const built = new URL('../build/lettera.mjs', import.meta.url);
if (!existsSync(fileURLToPath(built))) {
  console.error('Lettera has not been built here yet. Run “npm run build” first.');
  process.exit(1);
}
const missing = missingPackages();
if (missing.length > 0) {
  const names = missing.slice(0, 3).map((path) => path.replace(/^.*node_modules\//, ''));
  const more = missing.length > 3 ? ` and ${missing.length - 3} more` : '';
  console.error(`Packages are missing: ${names.join(', ')}${more}. Run “npm install” first.`);
  process.exit(1);
}
await import(built.href);
