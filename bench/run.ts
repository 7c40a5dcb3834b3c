import { writeFileSync } from 'node:fs';
import { cpus } from 'node:os';
import { bundleBytes } from './bytes';
import { manyClients } from './clients';
import { changingDocuments } from './document';
import { fallbacks } from './fallback';
import { largeSites } from './largeSite';
import { lineUps } from './lineUp';
import { liveSheet } from './live';
import {
  makingBundles,
  readingFaces,
  orderingPartners,
  readingMany,
  savingChanges,
  startingUp,
} from './server';
import { severalProcesses } from './several';
import { table, type Row } from './timing';
import { drags, firstLoads, takingStock, tokenChanges } from './web';

const RESULTS = 'bench/results.json';

/** The benchmarks by the name under which one is asked for alone: `npm run bench -- fallback`. */
const BENCHMARKS: Record<string, () => Promise<Row[]>> = {
  tokens: tokenChanges,
  drags,
  load: firstLoads,
  start: async () => [await startingUp()],
  'line-up': lineUps,
  partners: async () => [await orderingPartners()],
  faces: async () => [await readingFaces(), await readingMany()],
  saving: async () => [await savingChanges()],
  bundle: async () => [await makingBundles()],
  bytes: bundleBytes,
  documents: changingDocuments,
  fallback: fallbacks,
  stock: takingStock,
  clients: manyClients,
  large: largeSites,
  several: severalProcesses,
  live: liveSheet,
};

const asked = process.argv.slice(2);
const unknown = asked.filter((name) => !BENCHMARKS[name]);
if (unknown.length > 0) {
  console.error(
    `There is no benchmark ${unknown.join(', ')}. There are ${Object.keys(BENCHMARKS).join(', ')}.`,
  );
  process.exit(1);
}

const rows: Row[] = [];
for (const [name, measure] of Object.entries(BENCHMARKS)) {
  if (asked.length === 0 || asked.includes(name)) rows.push(...(await measure()));
}
console.log(table(rows));
// What was measured of some alone does not stand for the whole.
if (asked.length === 0) {
  writeFileSync(
    RESULTS,
    `${JSON.stringify({ at: new Date().toISOString(), cores: cpus().length, rows }, null, 2)}\n`,
  );
  console.log(`\nAs JSON: ${RESULTS}`);
}
