// Before `npm pack`: what the package is made of is built, and it asks for what its programs load.
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ensureBuilt } from './build.mjs';
import { ensurePackages, ROOT } from './install.mjs';
import { loadedPackages } from './program.mjs';

ensurePackages();
await ensureBuilt();
const path = join(ROOT, 'package.json');
const manifest = JSON.parse(readFileSync(path, 'utf8'));
const dependencies = loadedPackages();
if (JSON.stringify(manifest.dependencies) !== JSON.stringify(dependencies)) {
  writeFileSync(path, `${JSON.stringify({ ...manifest, dependencies }, null, 2)}\n`);
  console.log('package.json asks for other packages now, as its programs load them.');
}
