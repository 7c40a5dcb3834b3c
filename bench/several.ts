import type { Project } from '@lettera/server';
import { startStudio, type Kept } from '../e2e/studio';
import { summarise, type Row } from './timing';

/** People who save at the same time, each in a project of their own, and for how long, milliseconds. */
const WRITERS = 6;
const LASTING = 5000;

async function writing(kept: Kept, processes: number): Promise<Row> {
  const studio = await startStudio(kept, processes);
  const send = async (path: string, init: RequestInit) => {
    const answer = await fetch(`${studio.url}/api/v1${path}`, init);
    if (!answer.ok) throw new Error(await answer.text());
    return (await answer.json()) as Project;
  };
  const ids = await Promise.all(
    Array.from({ length: WRITERS }, async (_, i) => {
      const project = await send('/projects', {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify({ name: `Writer ${i}` }),
      });
      return project.id;
    }),
  );
  const until = Date.now() + LASTING;
  const samples: number[] = [];
  await Promise.all(
    ids.map(async (id) => {
      for (let revision = 1; Date.now() < until; revision++) {
        const start = performance.now();
        await send(`/projects/${id}`, {
          method: 'PATCH',
          headers: {
            'Content-Type': 'application/json-patch+json',
            'If-Match': `"${revision}"`,
            Prefer: 'return=minimal',
          },
          body: JSON.stringify([{ op: 'replace', path: '/words', value: `Change ${revision}` }]),
        });
        samples.push(performance.now() - start);
      }
    }),
  );
  await studio.close();
  const rate = Math.round((samples.length * 1000) / LASTING);
  return summarise(
    `save a change, ${WRITERS} people at once, ${processes} ${processes === 1 ? 'process' : 'processes'} on ${kept}: ${rate} a second`,
    samples,
    100,
  );
}

/** What one writer at a time limits, and what a server's replicas would not: changes a second by processes. */
export async function severalProcesses(): Promise<Row[]> {
  const rows: Row[] = [];
  for (const kept of ['a file', 'a server'] as const) {
    for (const processes of [1, 3]) rows.push(await writing(kept, processes));
  }
  return rows;
}
