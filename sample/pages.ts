import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { sampleFolder } from './folder';

/** A page of the Trust's site: the contents of its body, and its layout. */
export interface SamplePage {
  slug: string;
  title: string;
  html: string;
  css: string;
}

const TITLES: Record<string, string> = {
  home: 'Home',
  'log-entry': 'Log entry',
  tides: 'Tide tables',
  stay: 'Stay with us',
  sheet: 'Every kind of text',
};

const FOLDER = sampleFolder('pages');

/** The Trust's pages, in the order in which they are offered. */
export async function samplePages(): Promise<SamplePage[]> {
  const css = await readFile(join(FOLDER, 'page.css'), 'utf8');
  return Promise.all(
    Object.entries(TITLES).map(async ([slug, title]) => ({
      slug,
      title,
      html: await readFile(join(FOLDER, `${slug}.html`), 'utf8'),
      css,
    })),
  );
}

/** What a project is proofed on that has no pages of its own yet: every kind of text. */
export const sheetOfElements = async (): Promise<SamplePage[]> =>
  (await samplePages()).filter(({ slug }) => slug === 'sheet');

/** The site that the Trust has had, as files: what taking stock of it reads. */
export async function sampleSite(): Promise<{ path: string; bytes: Uint8Array }[]> {
  const folder = sampleFolder('own');
  const paths = ['index.html', 'css/site.css', 'css/type.css'];
  return Promise.all(
    paths.map(async (path) => ({
      path,
      bytes: new Uint8Array(await readFile(join(folder, path))),
    })),
  );
}
