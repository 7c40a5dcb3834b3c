import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { zipSync } from 'fflate';
import type { ElementHandle, Page } from 'puppeteer-core';
import { eventually, press } from './browser';
import type { RunningLettera } from './lettera';
import { ask } from './project';
import { FAMILY_OF, fiveScripts } from './sites/fiveScripts';

const bytesOf = (file: string | Buffer): Uint8Array =>
  typeof file === 'string' ? new TextEncoder().encode(file) : new Uint8Array(file);

/** The site of five scripts as it is served: its own style sheet in the layer that what is folded wins over. */
export const servedScripts = (): Record<string, Uint8Array> =>
  Object.fromEntries(
    Object.entries(fiveScripts()).map(([path, file]) => [
      path,
      path.endsWith('.html')
        ? bytesOf(
            String(file).replace(
              '<link rel="stylesheet" href="type/site.css">',
              '<style>@import url("type/site.css") layer(site);</style><link rel="stylesheet" href="lettera.css">',
            ),
          )
        : bytesOf(file),
    ]),
  );

/**
 * Takes stock of the site of five scripts in the real interface, takes its families into the project, and folds it.
 * @param page a window without anything open
 * @returns what was said of the fold before it was applied
 */
export async function foldScripts(
  lettera: RunningLettera,
  page: Page,
  slug: string,
): Promise<string> {
  const folder = mkdtempSync(join(tmpdir(), 'lettera-scripts-'));
  try {
    const path = join(folder, 'site.zip');
    const files = Object.entries(fiveScripts()).map(([name, file]) => [name, bytesOf(file)]);
    writeFileSync(path, zipSync(Object.fromEntries(files) as Record<string, Uint8Array>));
    await page.goto(`${lettera.url}/p/${slug}/stock`);
    const input = (await page.waitForSelector(
      'input[aria-label="Files of pages"]',
    )) as ElementHandle<HTMLInputElement>;
    await input.uploadFile(path);
    await page.waitForSelector('table.shares');
    for (const family of Object.values(FAMILY_OF)) {
      await page.locator(`button[aria-label="Use in this project: ${family}"]`).click();
      await press(page, 'Add 1 file');
      await page.waitForSelector('::-p-text(1 face added to the case)');
      await press(page, 'Done');
    }
    await press(page, 'Fold');
    await page.waitForSelector('section.fold[aria-busy="false"]');
    const said = await page.$eval('section.fold', (node) => node.textContent ?? '');
    const { revision } = await ask<{ revision: number }>(lettera, `/projects/${slug}`);
    await press(page, 'Apply what is ticked');
    await eventually(
      () => ask<{ revision: number }>(lettera, `/projects/${slug}`),
      (one) => one.revision > revision,
    );
    return said;
  } finally {
    rmSync(folder, { recursive: true });
  }
}
