import { defaultTreeAdapter, type DefaultTreeAdapterTypes as Tree } from 'parse5';
import { decodeText } from './decode';
import { parseHtml } from './parseHtml';
import { SITE_LIMITS } from './siteFile';

/** Elements whose address leads to another page. HTML §4.6.1. */
const LINKS = new Set(['a', 'area']);

const attribute = (node: Tree.Element, name: string): string | undefined =>
  node.attrs.find((one) => one.name === name)?.value;

/**
 * Addresses that the links of a page lead to, as a browser resolves them, without what stands behind `#`; each once, in
 * the order in which they stand.
 *
 * @param address of the page itself
 * @throws SiteError for a page with too many elements
 */
export function linksOf(bytes: Uint8Array, address: string): string[] {
  const { text } = decodeText(bytes.subarray(0, SITE_LIMITS.html));
  const found = new Set<string>();
  let base = address;
  let hasBase = false;
  const waiting: Tree.Node[] = [parseHtml(text)];
  const hrefs: string[] = [];
  for (let node = waiting.pop(); node; node = waiting.pop()) {
    if (defaultTreeAdapter.isElementNode(node)) {
      const href = attribute(node, 'href');
      if (href !== undefined && LINKS.has(node.tagName)) hrefs.push(href);
      // The first that has an address counts. HTML §4.2.3.
      if (href !== undefined && node.tagName === 'base' && !hasBase) {
        hasBase = true;
        if (URL.canParse(href, address)) base = new URL(href, address).href;
      }
    }
    if (!('childNodes' in node)) continue;
    for (const child of node.childNodes.toReversed()) waiting.push(child);
  }
  for (const href of hrefs) {
    if (!URL.canParse(href, base)) continue;
    const url = new URL(href, base);
    url.hash = '';
    if (/^https?:$/.test(url.protocol)) found.add(url.href);
  }
  return [...found];
}
