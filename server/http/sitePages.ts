import { createHash } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { slug } from '@lettera/core/deliver';
import { freeKey, type ProjectDocument, type SitePage } from '@lettera/core/document';
import type { ReadPage } from '@lettera/core/page/file';

/** What tells a site from all others: the hash of its files and their paths. */
export async function siteHash(files: readonly { path: string; at: string }[]): Promise<string> {
  const hash = createHash('sha256');
  for (const { path, at } of files) {
    hash.update(`${path}\0`);
    for await (const piece of createReadStream(at)) hash.update(piece as Buffer);
    hash.update('\0');
  }
  return hash.digest('hex');
}

/** What a page is called by its title: without controls, not too long, and never nothing. */
export const plainName = (title: string): string =>
  title
    .replace(/[\p{Cc}\p{Cs}]/gu, '')
    .slice(0, 120)
    .trim() || 'Page';

/** Pages as parts of the document, each under a key of its own. */
export function pagesIn(
  { pages = {} }: ProjectDocument,
  read: readonly ReadPage[],
  site: string,
  taken: readonly string[],
): [key: string, page: SitePage][] {
  const keys = new Set([...taken, ...Object.keys(pages)]);
  const known = Object.values(pages);
  return read
    .filter(({ path }) => !known.some((page) => page.site === site && page.path === path))
    .map(({ title, path }) => {
      const key = freeKey(keys, slug(title) || 'page', 'page');
      keys.add(key);
      return [key, { name: plainName(title), site, path }];
    });
}
