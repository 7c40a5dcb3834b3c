import { fork } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readFace } from '@lettera/core/font/file';
import { measureFace } from '@lettera/core/measure/file';
import { orderPartners, pairScaleOf, type Partner } from '@lettera/core/pairing';
import { testLibrary, testUse } from '../core/pairing/testing/library';
import { Jobs, openServices, WorkerPool, readConfig, type Project } from '@lettera/server';
import { startLettera, type RunningLettera } from '../e2e/lettera';
import { summarise, time, type Row } from './timing';

const HISTORY = 10_000;

/** Reads one file of each of many families, none of them twice. */
export async function readingFaces(): Promise<Row> {
  const scope = 'node_modules/@fontsource-variable';
  const files = readdirSync(scope)
    .map((id) => join(scope, id, 'files', `${id}-latin-wght-normal.woff2`))
    .map((path) => new Uint8Array(readFileSync(path)));
  const samples = await time(files.length, async (run) => {
    const file = files[run] ?? new Uint8Array();
    await readFace(file);
    await measureFace(file, { wght: 400 });
  });
  return summarise('read and measure a face, none of them twice', samples, 300);
}

const FACES = 200;

/** Reads and measures 200 faces in the server's worker processes, as a library is. */
export async function readingMany(): Promise<Row> {
  const scopes = ['node_modules/@fontsource-variable', 'node_modules/@fontsource'];
  const files = scopes
    .flatMap((scope) =>
      readdirSync(scope).flatMap((id) =>
        readdirSync(join(scope, id, 'files'))
          .filter((name) => name.endsWith('.woff2') && name.includes('-latin-'))
          .map((name) => join(scope, id, 'files', name)),
      ),
    )
    .slice(0, FACES)
    .map((path) => new Uint8Array(readFileSync(path)));
  const samples: number[] = [];
  for (let run = 0; run < 3; run++) {
    const jobs = new Jobs(new WorkerPool());
    samples.push(
      ...(await time(1, () =>
        Promise.all(
          files.map((file) =>
            jobs.sheet({ regular: { files: [file], weight: 400 }, italic: null, uprights: [] }),
          ),
        ),
      )),
    );
    await jobs.close();
  }
  return summarise(`read and measure ${files.length} faces in worker processes`, samples, 20_000);
}

/** Orders 2,000 partners for a held family, as the worker of Pair does. */
export async function orderingPartners(): Promise<Row> {
  const library = await testLibrary();
  const many = Array.from({ length: 2000 }, (_, i): Partner => {
    const partner = library[i % library.length] as Partner;
    return { ...partner, key: `${partner.key}-${i}` };
  });
  const scale = pairScaleOf(many, testUse(17));
  const order = (run: number) =>
    Promise.resolve(
      run % 2
        ? orderPartners({ heading: many[run] as Partner }, 'text', many, scale)
        : orderPartners({ text: many[run] as Partner }, 'heading', many, scale),
    );
  await time(5, order);
  return summarise('order 2,000 partners for a held family', await time(40, order), 150);
}

/** Starts the built application on data that is there, until it answers. */
export async function startingUp(): Promise<Row> {
  const first = await startLettera();
  const { port } = new URL(first.url);
  await first.kill();
  const samples = await time(10, async () => {
    const child = fork('build/lettera.mjs', ['start', '--port', port, '--data', first.dataFolder], {
      stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
      // The built program needs no loader of sources, which this process runs under.
      execArgv: [],
    });
    for (;;) {
      const answer = await fetch(`${first.url}/api/v1/health`).catch(() => null);
      if (answer?.ok) break;
      await new Promise((resolve) => setTimeout(resolve, 5));
    }
    await new Promise((resolve) => {
      child.once('exit', resolve);
      child.kill('SIGKILL');
    });
  });
  await first.close();
  return summarise('start on existing data until it answers', samples, 1000);
}

/** Gives a project a history of changes, as if each had been made. */
async function giveHistory(dataFolder: string, project: Project): Promise<void> {
  const services = await openServices(readConfig({ data: dataFolder }));
  const client = services.database.$client;
  const { id, revision } = project;
  const at = new Date().toISOString();
  const patch = JSON.stringify([{ op: 'replace', path: '/words', value: 'Light in order' }]);
  for (let from = revision + 1; from <= revision + HISTORY; from += 500) {
    await client.batch(
      Array.from({ length: 500 }, (_, i) => ({
        sql: 'INSERT INTO changes (project_id, revision, kind, label, patch, inverse, below, at) VALUES (?, ?, ?, ?, ?, ?, ?, ?)',
        args: [id, from + i, 'change', 'Words', patch, patch, from + i - 1 || null, at],
      })),
      'write',
    );
  }
  await client.execute({
    sql: 'UPDATE projects SET revision = ?, undo_top = ? WHERE id = ?',
    args: [revision + HISTORY, revision + HISTORY, id],
  });
  await services.close();
}

/** Saves changes over HTTP behind a long history. */
export async function savingChanges(): Promise<Row> {
  const lettera = await startLettera();
  const address = `${lettera.url}/api/v1/projects/tarnholm-light`;
  const project = (await (await fetch(address)).json()) as Project;
  await lettera.kill();
  await giveHistory(lettera.dataFolder, project);
  await lettera.restart();
  let revision = project.revision + HISTORY;
  const save = async (run: number) => {
    const response = await fetch(address, {
      method: 'PATCH',
      headers: { 'Content-Type': 'application/json-patch+json', 'If-Match': `"${revision}"` },
      body: JSON.stringify([{ op: 'replace', path: '/words', value: `Change ${run}` }]),
    });
    if (!response.ok) throw new Error(await response.text());
    await response.arrayBuffer();
    revision++;
  };
  await time(20, save);
  const samples = await time(300, save);
  await lettera.close();
  return summarise(`save a change, ${HISTORY.toLocaleString('en')} behind it`, samples, 20);
}

async function takeEightFaces({ url }: RunningLettera): Promise<string> {
  const send = async (method: string, path: string, body: unknown, type = 'application/json') => {
    const response = await fetch(`${url}/api/v1${path}`, {
      method,
      headers: { 'Content-Type': type, 'If-Match': '"3"' },
      body: JSON.stringify(body),
    });
    if (!response.ok) throw new Error(await response.text());
    return (await response.json()) as Project;
  };
  const { id } = await send('POST', '/projects', { name: 'Bench' });
  await send('PUT', `/projects/${id}/foundry`, { allowedBy: 'bench' });
  const faces = [
    { style: 'normal', weight: 400 },
    { style: 'normal', weight: 700 },
    { style: 'italic', weight: 400 },
    { style: 'italic', weight: 700 },
  ];
  for (const family of ['spectral', 'alegreya-sans']) {
    await send('POST', `/projects/${id}/foundry/families/${family}`, {
      scripts: ['latin', 'cyrillic'],
      faces,
    });
  }
  await send(
    'PATCH',
    `/projects/${id}`,
    [
      { op: 'replace', path: '/voices/text/family', value: 'spectral' },
      { op: 'replace', path: '/voices/heading/family', value: 'alegreya-sans' },
    ],
    'application/json-patch+json',
  );
  return id;
}

/** Makes a bundle of two families, eight faces, two scripts: fallbacks fitted anew each time. */
export async function makingBundles(): Promise<Row> {
  const lettera = await startLettera();
  const id = await takeEightFaces(lettera);
  const samples: number[] = [];
  for (let run = 0; run < 5; run++) {
    await lettera.kill();
    await lettera.restart();
    samples.push(
      ...(await time(1, async () => {
        const response = await fetch(`${lettera.url}/api/v1/projects/${id}/bundle.zip`);
        if (!response.ok) throw new Error(await response.text());
        await response.arrayBuffer();
      })),
    );
  }
  await lettera.close();
  return summarise('make a bundle, two families, eight faces, two scripts', samples, 3000);
}
