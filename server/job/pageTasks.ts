import { readFile } from 'node:fs/promises';
import type { ProjectDocument } from '@lettera/core/document';
import { SiteError, type ReadRules, type SiteFile } from '@lettera/core/page';
import {
  charactersOf,
  pageAgain,
  readSite,
  requestsOf,
  rulesOfPage,
  siteAgain,
  siteFilesIn,
  type Addresses,
  type PageLetters,
  type ReadPage,
  type ReadSite,
  type Requests,
  type SheetOfPage,
} from '@lettera/core/page/file';
import { elementsAt } from '@lettera/core/style';
import type { Page } from '../store/pageStore';
import { pageText } from './pageText';

/** Files of a site on their way in: where each lies, or what is in it, and its path as it was sent. */
export interface SiteRequest {
  files: ({ path: string; at: string } | { path: string; bytes: Uint8Array })[];
  /** Where they were fetched from, by their paths, where they were. */
  addresses?: Addresses;
  /** What the addresses of files begin with in a page. */
  base: string;
}

/** Why there are no pages, as a value: errors lose their class on the way from a worker. */
export interface UnreadSite {
  unread: string;
}

/** What a task gives, or why there are no pages. */
async function orUnread<T>(work: () => T | Promise<T>): Promise<T | UnreadSite> {
  try {
    return await work();
  } catch (error) {
    if (!(error instanceof SiteError)) throw error;
    return { unread: error.message };
  }
}

/** Reads the pages among files, those of archives too; or says why there are none. */
export const readPages = ({
  files,
  base,
  addresses,
}: SiteRequest): Promise<ReadSite | UnreadSite> =>
  orUnread(async () => {
    const brought = await Promise.all(
      files.map(async (file) =>
        'at' in file ? { path: file.path, bytes: new Uint8Array(await readFile(file.at)) } : file,
      ),
    );
    return readSite(siteFilesIn(brought), base, addresses);
  });

export interface RequestsRequest {
  bytes: Uint8Array;
  kind: 'page' | 'sheet';
}

/** What a page or a style sheet asks for that sets type. */
export const requestsIn = ({ bytes, kind }: RequestsRequest): Promise<Requests | UnreadSite> =>
  orUnread(() => requestsOf(bytes, kind));

export interface StoredSite {
  site: string;
  pages: readonly ReadPage[];
  files: readonly SiteFile[];
}

/** Pages of a site that are stored already, and its files, cleaned again. */
export const cleanSite = ({
  site,
  ...read
}: StoredSite): Promise<ReturnType<typeof siteAgain> | UnreadSite> =>
  orUnread(() => siteAgain(read, site));

/** Pages that came with a project and are stored already, cleaned again. */
export const cleanPages = (pages: readonly Page[]): Promise<Page[] | UnreadSite> =>
  orUnread(() => pages.map(pageAgain));

export interface RulesRequest {
  sheets: SheetOfPage[];
  texts: Map<string, string>;
}

/** What the style sheets of a page do to type. */
export const typeRules = ({ sheets, texts }: RulesRequest): ReadRules => rulesOfPage(sheets, texts);

export interface LettersRequest {
  pages: { html: string; css: string }[];
  document: Pick<ProjectDocument, 'elements' | 'delivery'>;
}

/** What the text of pages is made of. */
export const pageCharacters = ({ pages, document }: LettersRequest): PageLetters =>
  charactersOf(pages, (node) => elementsAt(document, node));

/** The running text of pages, each a line a block. */
export const pageTexts = (pages: readonly string[]): string[] => pages.map(pageText);
