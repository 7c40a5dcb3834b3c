import { SITE_LIMITS, SiteError } from '@lettera/core/page';
import { linksOf, requestsOf, type Addresses } from '@lettera/core/page/file';
import { SiteFetcher } from '@lettera/server';

/** How a site is gone through. */
export interface Crawling {
  /** Whether links are followed, to pages of the same host. */
  crawl?: boolean;
  /** Most pages. */
  pages?: number;
  /** What is sent along to the hosts that were named, by name. */
  headers?: Readonly<Record<string, string>>;
  says?: (line: string) => void;
}

/** Whether a path or an address is meant. */
export const isAddress = (given: string): boolean => /^https?:\/\//i.test(given);

/** Files of a site that came from its own server. */
export interface CrawledSite {
  files: { path: string; bytes: Uint8Array }[];
  /** Where each came from, by its path. */
  addresses: Record<string, Addresses[string]>;
}

/** Ends of addresses that are no pages. */
const NO_PAGE =
  /\.(pdf|zip|gz|png|jpe?g|gif|webp|avif|svg|ico|mp[34]|webm|woff2?|css|js|json|xml|txt)$/i;

/**
 * Fetches pages from their own servers, with their style sheets and fonts, each once. Hosts that are named are asked
 * even where they are this machine or a neighbour: whoever runs the command has named them.
 *
 * @throws SiteError where a page that was named does not come; one that was only linked is left out, and told
 */
export async function crawlSite(
  named: readonly string[],
  {
    crawl = false,
    pages: most = SITE_LIMITS.pages,
    headers = {},
    says = () => undefined,
  }: Crawling = {},
): Promise<CrawledSite> {
  const hosts = new Set(named.map((address) => new URL(address).host));
  const fetcher = new SiteFetcher([...hosts]);
  const reading = {
    requestsOf: ({ bytes, kind }: { bytes: Uint8Array; kind: 'page' | 'sheet' }) =>
      Promise.resolve(requestsOf(bytes, kind)),
  };
  const site: CrawledSite = { files: [], addresses: {} };
  const known = new Set<string>();
  const waiting = named.map((address) => ({ address: plainAddress(address), isNamed: true }));
  const asked = new Set(waiting.map(({ address }) => address));
  let pages = 0;
  for (const { address, isNamed } of waiting) {
    if (pages >= most) break;
    if (known.has(address)) continue;
    const came = await fetcher
      .fetch(address, reading, new AbortController().signal, { headers, known })
      .catch((error: unknown) => {
        if (isNamed || !(error instanceof SiteError)) throw error;
        says(`${address} was left out: ${error.message}`);
        return null;
      });
    const [page] = came ?? [];
    if (!came || !page || known.has(page.address)) continue;
    pages++;
    for (const { path, bytes, ...from } of came) {
      known.add(from.address);
      if (Object.hasOwn(site.addresses, path)) continue;
      site.files.push({ path, bytes });
      site.addresses[path] = { address: from.address, base: from.base };
    }
    if (!crawl) continue;
    for (const link of linksOf(page.bytes, page.address)) {
      const { host, pathname } = new URL(link);
      if (!hosts.has(host) || NO_PAGE.test(pathname) || asked.has(link)) continue;
      asked.add(link);
      waiting.push({ address: link, isNamed: false });
    }
  }
  return site;
}

/** An address without what stands behind `#`. */
function plainAddress(address: string): string {
  const url = new URL(address);
  url.hash = '';
  return url.href;
}
