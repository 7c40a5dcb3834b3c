import { cleanCss } from './cleanCss';
import { cleanHtml } from './cleanHtml';
import { decodeText } from './decode';
import { SITE_LIMITS } from './siteFile';

/** An address that a page or a style sheet asks for, as it stands there. */
export interface Request {
  address: string;
  kind: 'sheet' | 'font';
}

const FONT = /\.(woff2?|ttf|otf)([?#]|$)/i;

function inCss(css: string): Request[] {
  const found: Request[] = [];
  cleanCss(css, (address, request) => {
    if (/^data:/i.test(address)) return address;
    if (request === 'import') found.push({ address, kind: 'sheet' });
    else if (FONT.test(address)) found.push({ address, kind: 'font' });
    return address;
  });
  return found;
}

/** What a file asks for, and what that is resolved against, where the file itself says so. */
export interface Requests {
  requests: Request[];
  /** As a `base` element has it, HTML §4.2.3; null where the file says nothing. */
  base: string | null;
}

/**
 * The style sheets and fonts that a page or a style sheet asks for; pictures set no type.
 * @throws SiteError for a page with too many elements
 */
export function requestsOf(bytes: Uint8Array, kind: 'page' | 'sheet'): Requests {
  const { text } = decodeText(bytes.subarray(0, SITE_LIMITS.html));
  if (kind === 'sheet') return { requests: inCss(text), base: null };
  const found: Request[] = [];
  let base: string | null = null;
  cleanHtml(text, {
    use: (address) => address,
    // The first that has an address counts.
    base: (href) => (base ??= href.trim() || null),
    linked: (address) => found.push({ address, kind: 'sheet' }),
    standing: (css) => {
      found.push(...inCss(css));
      return { address: '', removed: [] };
    },
  });
  return { requests: found, base };
}
