import { setTimeout as wait } from 'node:timers/promises';
import { ServerError, type RunningServer } from './onServer';
import { BundleFolder } from './writeBundle';

/** How long it is waited before a server that went away is asked again, milliseconds. */
const AGAIN = 1000;

/**
 * Writes a project's bundle to a folder, and again what changed at each change, until it is stopped. A server that
 * goes away leaves the files as they are, and is asked again.
 *
 * @param says tells what was done
 * @throws ServerError where it does not answer the first time
 */
export async function watchBuild(
  server: RunningServer,
  name: string,
  folder: string,
  { says, signal }: { says: (line: string) => void; signal: AbortSignal },
): Promise<void> {
  const bundle = new BundleFolder(folder);
  let built = -1;
  const build = async (): Promise<void> => {
    const project = await server.project(name);
    if (project.revision === built) return;
    const begun = Date.now();
    const { written, gone } = await bundle.write(await server.contents(project));
    built = project.revision;
    const changed = [...written, ...gone.map((path) => `${path} (gone)`)];
    const what = changed.length > 6 ? `${changed.length} files` : changed.join(', ');
    says(`Revision ${built}: ${what || 'nothing changed'}, in ${Date.now() - begun} ms`);
  };
  await build();
  const { id } = await server.project(name);
  let isAway = false;
  while (!signal.aborted) {
    try {
      for await (const { event } of server.events(id, signal)) {
        if (isAway) says('The server is there again.');
        isAway = false;
        // What changed while it was away is written as well.
        if (event === 'hello' || event === 'revision') await build();
      }
    } catch (error) {
      if (signal.aborted) return;
      if (!(error instanceof ServerError)) throw error;
      if (!isAway) says(`${error.message} It is asked again; the files stay as they are.`);
      isAway = true;
    }
    await wait(AGAIN, undefined, { signal }).catch(() => undefined);
  }
}
