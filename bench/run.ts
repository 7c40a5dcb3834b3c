import { writeFileSync } from 'node:fs';
import { cpus } from 'node:os';
import { manyClients } from './clients';
import { changingDocuments } from './document';
import { lineUps } from './lineUp';
import {
  makingBundles,
  readingFaces,
  orderingPartners,
  readingMany,
  savingChanges,
  startingUp,
} from './server';
import { table, type Row } from './timing';
import { drags, firstLoads, tokenChanges } from './web';

const RESULTS = 'bench/results.json';

const rows: Row[] = [
  ...(await tokenChanges()),
  ...(await drags()),
  ...(await firstLoads()),
  await startingUp(),
  ...(await lineUps()),
  await orderingPartners(),
  await readingFaces(),
  await readingMany(),
  await savingChanges(),
  await makingBundles(),
  ...(await changingDocuments()),
  ...(await manyClients()),
];

console.log(table(rows));
writeFileSync(
  RESULTS,
  `${JSON.stringify({ at: new Date().toISOString(), cores: cpus().length, rows }, null, 2)}\n`,
);
console.log(`\nAs JSON: ${RESULTS}`);
