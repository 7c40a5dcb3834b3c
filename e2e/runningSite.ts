import type { ChildProcess } from 'node:child_process';
import {
  copyFileSync,
  cpSync,
  mkdtempSync,
  readFileSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import type { LiveState } from '@lettera/core/wire';
import { end, freePort, start, type RunningLettera } from './lettera';
import { ask } from './project';

/** A site that runs on its own development server, in a copy of its own. */
export interface RunningSite {
  url: string;
  /** Changes a file of its sources, as whoever works on it does. */
  edit(file: string, change: (text: string) => string): void;
  close(): Promise<void>;
}

/** A site that is not running yet, at the address that it will have. */
export interface SiteToRun {
  url: string;
  edit: RunningSite['edit'];
  /** @param plugin code of a plugin for its development server, where it is to have one */
  run(plugin?: string): Promise<RunningSite>;
}

/** Sites with scripts: one of Vue, one of React, and a page with a framework's style sheet. */
export async function siteToRun(kind: 'vue' | 'react' | 'static'): Promise<SiteToRun> {
  const folder = mkdtempSync(join(tmpdir(), 'lettera-site-'));
  cpSync(resolve('e2e/sites/running', kind), folder, { recursive: true });
  symlinkSync(resolve('node_modules'), join(folder, 'node_modules'));
  if (kind === 'static') {
    copyFileSync('node_modules/bootstrap/dist/css/bootstrap.css', join(folder, 'framework.css'));
  }
  const port = await freePort();
  const url = `http://localhost:${port}`;
  const edit: RunningSite['edit'] = (file, change) => {
    const path = join(folder, file);
    writeFileSync(path, change(readFileSync(path, 'utf8')));
  };
  return {
    url,
    edit,
    async run(plugin) {
      const at = join(folder, 'lettera.mjs');
      if (plugin) writeFileSync(at, plugin);
      const args = [folder, String(port), ...(plugin ? [at] : [])];
      const server: ChildProcess = await start('e2e/sites/devServer.mjs', args, {});
      return {
        url,
        edit,
        async close() {
          await end(server);
          rmSync(folder, { recursive: true, force: true });
        },
      };
    },
  };
}

/** A place of a site, whose page links the live sheet. */
export async function serveRunning(lines: () => string): Promise<{ url: string; close(): void }> {
  const server = createServer((_request, response) => {
    response.setHeader('Content-Type', 'text/html; charset=utf-8');
    response.end(
      `<!doctype html><html lang="en"><title>Log</title>${lines()}<h1 style="display: inline-block">Keeper’s log</h1><p>Fog</p></html>`,
    );
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const { port } = server.address() as AddressInfo;
  return {
    url: `http://localhost:${port}`,
    close() {
      server.closeAllConnections();
      server.close();
    },
  };
}

/** Opens the live sheet of a project for a place. @returns the lines for the head of its pages */
export async function linesOntoPage(
  lettera: RunningLettera,
  slug: string,
  { url }: { url: string },
): Promise<string> {
  const { sheet } = await ask<LiveState>(lettera, `/projects/${slug}/live`, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ origins: [url], tried: false }),
  });
  const at = `${lettera.url}/live/${sheet?.key ?? ''}/`;
  return `<link rel="stylesheet" href="${at}lettera.css" crossorigin><script src="${at}lettera.js" defer></script>`;
}
