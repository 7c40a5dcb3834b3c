import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';

const require = createRequire(import.meta.url);

/** Style sheets that sites are built on, by package. */
const FRAMEWORKS: Readonly<Record<string, string>> = {
  bootstrap: 'dist/css/bootstrap.css',
  bulma: 'css/bulma.css',
  '@picocss/pico': 'css/pico.css',
  'foundation-sites': 'dist/css/foundation.css',
  purecss: 'build/pure.css',
  milligram: 'dist/milligram.css',
  uikit: 'dist/css/uikit.css',
  'spectre.css': 'dist/spectre.css',
  'water.css': 'out/water.css',
  tachyons: 'css/tachyons.css',
};

/** A page of every kind of text on a framework's style sheet, with the title that it is known by. */
export interface FrameworkPage {
  title: string;
  slug: string;
}

/** Brings such a page in for each framework. @param own what the site adds to its style sheet, and files */
export async function bringFrameworkPages(
  project: string,
  own: string,
  files: Readonly<Record<string, Blob>> = {},
): Promise<FrameworkPage[]> {
  const everything = readFileSync('e2e/sites/everything.html', 'utf8');
  const pages: FrameworkPage[] = [];
  for (const [name, path] of Object.entries(FRAMEWORKS)) {
    const title = name.replace(/\W+/g, ' ').trim();
    const html = `<!doctype html><html lang="en"><head><title>${title}</title><link rel="stylesheet" href="framework.css"><link rel="stylesheet" href="own.css"></head>${everything}</html>`;
    const body = new FormData();
    const all: Record<string, Blob> = {
      'index.html': new Blob([html]),
      'framework.css': new Blob([readFileSync(require.resolve(`${name}/${path}`))]),
      'own.css': new Blob([own]),
      ...files,
    };
    for (const [file, content] of Object.entries(all)) body.append('file', content, file);
    const answer = await fetch(`${project}/pages`, { method: 'POST', body });
    const brought = (await answer.json()) as { pages: { slug: string }[] };
    pages.push({ title, slug: brought.pages[0]?.slug ?? '' });
  }
  return pages;
}
