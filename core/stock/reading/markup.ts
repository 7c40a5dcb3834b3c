import { is, selectAll } from 'css-select';
import type { AnyNode, Document, Element } from 'domhandler';
import { compileQuery, matches } from 'media-query-fns';
import { adapter } from 'parse5-htmlparser2-tree-adapter';
import { structureOf } from '../../css';
import { descriptorOf, PROPERTY_NAMES } from '../../document/property';
import type { PageView } from '../../page/cascade';
import { parseHtmlAs } from '../../page/parseHtml';
import { textElementsIn, type PageTree } from '../../page/pageTree';

export const documentOf = (html: string): Document =>
  parseHtmlAs(html, { treeAdapter: adapter, scriptingEnabled: false });

export const isElement = (node: AnyNode): node is Element => 'attribs' in node;
const around = ({ parent }: AnyNode): Element | null =>
  parent && isElement(parent) ? parent : null;

/** A page as a parser holds it. */
export const MARKUP: PageTree<Element> = {
  tag: ({ name }) => name.toLowerCase(),
  attribute: ({ attribs }, name) => attribs[name] ?? null,
  parent: around,
  *children({ children }) {
    for (const child of children) {
      if (isElement(child)) yield child;
      else if (child.type === 'text') yield child.data;
    }
  },
};

/** Every element of a page that holds text of its own, in the order in which their text begins. */
export function textElementsOf(page: Document): Element[] {
  const [body] = meeting(page, 'body');
  return body ? textElementsIn(MARKUP, body) : [];
}

/** Elements that a selector meets; none for one that asks for what only a browser knows. */
export function meeting(page: Document, selector: string): Element[] {
  try {
    return selectAll<AnyNode, Element>(selector, page);
  } catch {
    return [];
  }
}

/** What the `font` shorthand sets. CSS Fonts 4 §2.7. */
const IN_FONT: ReadonlySet<string> = new Set(
  PROPERTY_NAMES.map(descriptorOf).flatMap(({ inFontShorthand, css }) =>
    inFontShorthand ? [css] : [],
  ),
);
const isSetBy = (declared: string, property: string): boolean =>
  declared === property || declared === 'all' || (declared === 'font' && IN_FONT.has(property));

const declarationsIn = (style: string) =>
  structureOf(`x { ${style} }`).flatMap((statement) =>
    statement.kind === 'rule' ? statement.body.filter((inner) => inner.kind === 'declaration') : [],
  );

/** The screen of a visitor who has set nothing. */
const VISITOR = { dppx: 1, prefersColorScheme: 'light', heightPx: 800 } as const;

/**
 * What can be known of a page without a browser, from what its own browser left of it: rules and values that
 * it did not know are gone, and conditions on containers are taken not to hold.
 *
 * @param width of the viewport, CSS px
 */
export function viewWithoutBrowser(page: Document, width: number): PageView<Element> {
  const screen = { ...VISITOR, widthPx: width, deviceWidthPx: width, deviceHeightPx: 800 };
  return {
    find: (selector) => meeting(page, selector),
    knows: () => true,
    takes: () => true,
    holds: ({ kind, text }) => {
      if (kind !== 'media') return !/^\s*not\b/i.test(text);
      try {
        return matches(compileQuery(text), screen);
      } catch {
        return false;
      }
    },
    holdsAround: () => false,
    matches: (node, selector) => {
      try {
        return is(node, selector);
      } catch {
        return false;
      }
    },
    parent: around,
    inline: (node, property) => {
      const style = node.attribs['style'];
      if (!style) return null;
      const own = declarationsIn(style).filter((one) => isSetBy(one.property, property));
      const last = own.findLast((one) => one.important) ?? own.at(-1);
      return last ? { value: last.value, important: last.important } : null;
    },
  };
}
