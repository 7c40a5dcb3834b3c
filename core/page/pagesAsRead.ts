import { livePageOf, livePathOf, NOT_LIVE, type LivePage } from './readerFile';
import type { ReadSite } from './readSite';
import { hostsIn, sheetsMissing } from './removed';
import { rulesOfPage } from './siteRules';
import type { TypeRules } from './typeRules';

/** A page of a site that was read from files, with all that is needed to take stock of it. */
export interface PageAsRead {
  title: string;
  html: string;
  rules: TypeRules;
  /** Hosts that it asks for fonts and style sheets, and that were not asked. */
  elsewhere: readonly string[];
  /** Style sheets that it asks for and that are not there. */
  unread: readonly string[];
  /** What it showed where it is live, if the reader gave that. */
  live: LivePage;
}

/** The pages of a site, with what their style sheets do to type. */
export function pagesAsRead({ pages, files }: ReadSite): PageAsRead[] {
  const texts = new Map(
    files
      .filter(({ type }) => type.startsWith('text/css'))
      .map(({ path, bytes }) => [path, new TextDecoder().decode(bytes)]),
  );
  return pages.map(({ path, title, html, sheets, removed }) => {
    const live = files.find((file) => file.path === livePathOf(path));
    return {
      title,
      html,
      rules: rulesOfPage(sheets, texts),
      elsewhere: hostsIn(removed),
      unread: sheetsMissing(removed),
      live: live ? livePageOf(new TextDecoder().decode(live.bytes)) : NOT_LIVE,
    };
  });
}
