import { isLayerName } from '@lettera/core/css';
import { escapeHtml } from '@lettera/core/deliver';
import type { Page } from '../store/pageStore';
import { Problem } from './problem';

/** Where the project's rules stand on a page of the site's own. */
const START = '<link rel="stylesheet" id="lettera-start" href="../start.css">';

/** A style sheet of the page's own, as pages are kept: a name in an attribute has no plain quotes. */
const OWN_SHEET = /(<link rel="stylesheet" href="\.\.\/sites\/[^"?]*)(?=")/g;

/**
 * A page of the site's own with a place for the project's rules, before all style sheets of its own or after
 * them, and those in a cascade layer if they are to be.
 * @param start what stands there
 */
export function pageLinking(
  html: string,
  { linked, layer, start = START }: { linked: unknown; layer: string | null; start?: string },
): string {
  const layered = layer
    ? html.replace(OWN_SHEET, (sheet) => `${sheet}?layer=${encodeURIComponent(layer)}`)
    : html;
  // Pages are kept without comments, so that the last end of a body is its own; one of frames has none.
  const end = layered.lastIndexOf('</body>');
  if (linked !== 'after' || end < 0) {
    return layered.replace(/<head[^>]*>/, (head) => head + start);
  }
  return layered.slice(0, end) + start + layered.slice(end);
}

/** The name of a cascade layer that an address asks for. @throws Problem 400 */
export function layerNamed(value: unknown): string | null {
  if (value === undefined) return null;
  if (typeof value === 'string' && isLayerName(value)) return value;
  throw new Problem('bad-request', 'What “layer” has is no name of a cascade layer.');
}

/** A page that came with the project, in the project's language. @param head what its head holds besides */
export const samplePage = (
  { slug: key, title, html, css }: Page,
  language: string,
  head = '',
): string =>
  `<!doctype html>
<html lang="${escapeHtml(language)}">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>${escapeHtml(title)}</title>
${css ? `<link rel="stylesheet" href="${encodeURIComponent(key)}/page.css">` : ''}
${head}</head>
<body>
${html}
</body>
</html>
`;

/** What a cascade layer's style sheet is asked for by: the sheet itself, imported into the layer. */
export const layeredSheet = (path: string, layer: string): string =>
  `@import url("${encodeURIComponent(path.replace(/^.*\//, ''))}") layer(${layer});\n`;
