import type { DefaultTreeAdapterTypes } from 'parse5';
import { bodyOf } from '@lettera/core/page/file';

type Node = DefaultTreeAdapterTypes.ChildNode;

/** Elements whose text does not run on into what stands beside them. */
const BLOCKS = new Set(
  'p h1 h2 h3 h4 h5 h6 li td th dt dd caption figcaption blockquote label legend option button nav pre div section article header footer tr'.split(
    ' ',
  ),
);

function textOf(node: Node): string {
  if (node.nodeName === '#text') return (node as DefaultTreeAdapterTypes.TextNode).value;
  if (!('childNodes' in node)) return '';
  const inside = node.childNodes.map(textOf).join('');
  return BLOCKS.has(node.nodeName) ? `${inside}\n` : inside;
}

/** The running text of a page's HTML, or of what is in its body, a line a block. @throws SiteError */
export const pageText = (html: string): string =>
  bodyOf(html)
    .map(textOf)
    .join('')
    .replace(/[ \t]+/g, ' ')
    .replace(/\s*\n\s*/g, '\n')
    .trim();
