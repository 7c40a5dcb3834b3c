import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { ProjectDocument } from '@lettera/core/document';
import { readFamily, type SampleFamily, type Wanted } from './families';
import { sampleFolder } from './folder';
import type { SamplePage } from './pages';
import { sampleDocument } from './project';

export const WELCOME_SLUG = 'tarnholm-welcome';
export const WELCOME_NAME = 'Tarnholm welcome pages';

/** The family for each script, by voice: without serifs for headings, with contrast for text. */
export const WELCOME_SEATS = {
  heading: { arabic: 'readex-pro', japanese: 'biz-udpgothic', devanagari: 'noto-sans-devanagari' },
  text: {
    arabic: 'noto-naskh-arabic',
    japanese: 'sawarabi-mincho',
    devanagari: 'noto-serif-devanagari',
  },
} as const;

const of = (
  key: string,
  drawn: SampleFamily['class'],
  script: string,
  weights?: number[],
): Wanted => ({
  key,
  class: drawn,
  scripts: [script],
  styles: ['normal'],
  ...(weights ? { weights } : {}),
});

const WANTED: readonly Wanted[] = [
  of('readex-pro', 'sans-serif', 'arabic'),
  of('biz-udpgothic', 'sans-serif', 'japanese', [400, 700]),
  of('noto-sans-devanagari', 'sans-serif', 'devanagari'),
  of('noto-naskh-arabic', 'serif', 'arabic'),
  of('sawarabi-mincho', 'serif', 'japanese', [400]),
  of('noto-serif-devanagari', 'serif', 'devanagari'),
];

/** The families for other scripts, with their files; those for Latin are the sample's own. */
export const welcomeFamilies = (): Promise<SampleFamily[]> => Promise.all(WANTED.map(readFamily));

/** The Trust's decisions for a site in four languages, before its families are in the case. */
export function welcomeDocument(): ProjectDocument {
  const document = sampleDocument();
  return { ...document, name: WELCOME_NAME, languages: ['en', 'ar', 'ja', 'hi'] };
}

const TITLES: Readonly<Record<string, string>> = {
  en: 'Welcome',
  ar: 'Welcome in Arabic',
  ja: 'Welcome in Japanese',
  hi: 'Welcome in Hindi',
};

/** The Trust's page of welcome in each of its languages. */
export async function welcomePages(): Promise<SamplePage[]> {
  const css = await readFile(join(sampleFolder('pages'), 'page.css'), 'utf8');
  return Promise.all(
    Object.entries(TITLES).map(async ([slug, title]) => ({
      slug: `welcome-${slug}`,
      title,
      html: await readFile(join(sampleFolder('welcome'), `${slug}.html`), 'utf8'),
      css,
    })),
  );
}
