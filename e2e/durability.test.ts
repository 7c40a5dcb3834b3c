import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { Project } from '@lettera/server';
import { startLettera, type RunningLettera } from './lettera';

let lettera: RunningLettera;
beforeAll(async () => {
  lettera = await startLettera();
});
afterAll(() => lettera.close());

const address = () => `${lettera.url}/api/v1/projects/tarnholm-light`;
const project = async () => (await (await fetch(address())).json()) as Project;

const write = (revision: number, words: string) =>
  fetch(address(), {
    method: 'PATCH',
    headers: { 'Content-Type': 'application/json-patch+json', 'If-Match': `"${revision}"` },
    body: JSON.stringify([{ op: 'replace', path: '/words', value: words }]),
  });

test('an acknowledged change survives the process being killed in the midst of writes', async () => {
  for (let round = 1; round <= 8; round++) {
    let { revision } = await project();
    const acknowledged: string[] = [];
    let killing: Promise<void> | undefined;
    for (let i = 0; ; i++) {
      // Killed after a few answers, while the next change is on its way or being written.
      if (i === 2 + round * 3) killing = lettera.kill();
      const words = `round ${round}, change ${i}`;
      const response = await write(revision, words).catch(() => null);
      if (!response?.ok) break;
      ({ revision } = (await response.json().catch(() => ({ revision }))) as Project);
      acknowledged.push(words);
    }
    await killing;
    await lettera.restart();
    const after = await project();
    expect(acknowledged.length).toBeGreaterThanOrEqual(2 + round * 3);
    // What was under way when the process died may be stored too, whole; nothing acknowledged is lost.
    expect(after.revision - revision).toBeLessThanOrEqual(1);
    expect(after.revision).toBeGreaterThanOrEqual(revision);
    if (after.revision === revision) expect(after.document.words).toBe(acknowledged.at(-1));
  }
});
