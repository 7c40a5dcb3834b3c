import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Page } from 'puppeteer-core';

const AXE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

interface AxeResults {
  violations: { id: string; nodes: { target: string[]; failureSummary: string }[] }[];
}

/** What of WCAG 2.2 AA a page breaks, as far as axe can tell; `where` names the view. */
export async function violationsOn(page: Page, where: string): Promise<string[]> {
  // What is fading in or out has other colours for a moment.
  await page.evaluate(async () => {
    await Promise.allSettled(document.getAnimations().map(({ finished }) => finished));
  });
  await page.evaluate(AXE);
  const { violations } = (await page.evaluate(
    `axe.run(document, { iframes: false, preload: false, resultTypes: ['violations'], runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'] })`,
  )) as AxeResults;
  return violations.flatMap(({ id, nodes }) =>
    nodes.map(
      ({ target, failureSummary }) => `${where}: ${id} at ${target.join(' ')} ${failureSummary}`,
    ),
  );
}
