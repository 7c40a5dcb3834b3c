import { readFile } from 'node:fs/promises';
import { SiteError, type TypeRules } from '@lettera/core/page';
import {
  charactersOf,
  readSite,
  rulesOfPage,
  siteFilesIn,
  type ReadSite,
  type SheetOfPage,
} from '@lettera/core/page/file';

/** Files of a site on their way in: where each lies, and its path as it was sent. */
export interface SiteRequest {
  files: { path: string; at: string }[];
  /** What the addresses of files begin with in a page. */
  base: string;
}

/** Why there are no pages, as a value: errors lose their class on the way from a worker. */
export interface UnreadSite {
  unread: string;
}

/** Reads the pages among files, those of archives too; or says why there are none. */
export async function readPages({ files, base }: SiteRequest): Promise<ReadSite | UnreadSite> {
  try {
    const brought = await Promise.all(
      files.map(async ({ path, at }) => ({ path, bytes: new Uint8Array(await readFile(at)) })),
    );
    return readSite(siteFilesIn(brought), base);
  } catch (error) {
    if (!(error instanceof SiteError)) throw error;
    return { unread: error.message };
  }
}

export interface RulesRequest {
  sheets: SheetOfPage[];
  texts: Map<string, string>;
}

/** What the style sheets of a page do to type. */
export const typeRules = ({ sheets, texts }: RulesRequest): TypeRules => rulesOfPage(sheets, texts);

/** Every character that pages set, each once. */
export const pageCharacters = (pages: { html: string; css: string }[]): string =>
  charactersOf(pages);
