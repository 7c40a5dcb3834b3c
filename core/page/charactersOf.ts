import type { DefaultTreeAdapterTypes } from 'parse5';
import { parseHtml } from './parseHtml';

type Node = DefaultTreeAdapterTypes.Node;

/** Elements whose text is never set. */
const UNSET = new Set(['script', 'style', 'template', 'noscript', 'title']);
/** Attributes whose text is: in a field, a button, a list of choices, and where a picture is missing. */
const SET_ATTRIBUTES = new Set(['placeholder', 'value', 'label', 'alt']);

function gather(node: Node, found: Set<string>): void {
  if (node.nodeName === '#text') {
    for (const character of (node as DefaultTreeAdapterTypes.TextNode).value) found.add(character);
  }
  if ('attrs' in node) {
    for (const { name, value } of node.attrs) {
      if (SET_ATTRIBUTES.has(name)) for (const character of value) found.add(character);
    }
  }
  if (!('childNodes' in node) || UNSET.has(node.nodeName)) return;
  for (const child of node.childNodes) gather(child, found);
}

/** What style sheets set by `content` and list markers: whatever they hold beyond ASCII, escaped or not. */
function gatherCss(css: string, found: Set<string>): void {
  for (const character of css) if (character > '\u007f') found.add(character);
  for (const [, hex = ''] of css.matchAll(/\\([0-9a-f]{1,6})/gi)) {
    const codePoint = parseInt(hex, 16);
    if (codePoint > 0x7f && codePoint <= 0x10ffff) found.add(String.fromCodePoint(codePoint));
  }
}

/**
 * Every character that pages set, each once, in the order of code points.
 * @param pages each its HTML and the text of its style sheets
 */
export function charactersOf(pages: readonly { html: string; css: string }[]): string {
  const found = new Set<string>();
  for (const { html, css } of pages) {
    gather(parseHtml(html), found);
    gatherCss(css, found);
  }
  return [...found]
    .filter((character) => !/[\p{Cc}\p{Cs}]/u.test(character))
    .sort((a, b) => (a.codePointAt(0) ?? 0) - (b.codePointAt(0) ?? 0))
    .join('');
}
