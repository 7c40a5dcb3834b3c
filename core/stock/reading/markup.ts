import { is, selectAll } from 'css-select';
import type { AnyNode, Document, Element } from 'domhandler';
import { compileQuery, matches } from 'media-query-fns';
import { adapter } from 'parse5-htmlparser2-tree-adapter';
import { structureOf } from '../../css';
import { descriptorOf, PROPERTY_NAMES } from '../../document/property';
import type { PageView } from '../../page/cascade';
import { parseHtmlAs } from '../../page/parseHtml';
import { NO_TEXT, PLACES, plainText } from '../../page/textsOfPage';
import type { Seen } from '../../page/unclaimed';

const OUT: ReadonlySet<string> = new Set(NO_TEXT);
const AROUND: ReadonlySet<string> = new Set(PLACES);

export const documentOf = (html: string): Document =>
  parseHtmlAs(html, { treeAdapter: adapter, scriptingEnabled: false });

export const isElement = (node: AnyNode): node is Element => 'attribs' in node;
const around = ({ parent }: AnyNode): Element | null =>
  parent && isElement(parent) ? parent : null;
const inText = ({ data }: { data: string }): boolean => data.trim() !== '';

/** The text that an element holds itself, blanks as one. */
export const ownText = (node: Element): string =>
  plainText(node.children.map((child) => (child.type === 'text' ? child.data : '')).join(''));

/** Every element of a page that holds text of its own, in the order of the page. */
export function textElementsOf(page: Document): Element[] {
  const found: Element[] = [];
  const visit = (nodes: readonly AnyNode[]): void => {
    for (const node of nodes) {
      if (!isElement(node) || OUT.has(node.name)) continue;
      if (node.children.some((child) => child.type === 'text' && inText(child))) found.push(node);
      visit(node.children);
    }
  };
  visit(meeting(page, 'body').flatMap(({ children }) => children));
  return found;
}

export function seen(node: Element): Omit<Seen<Element>, 'text'> {
  let place = around(node);
  while (place && !AROUND.has(place.name)) place = around(place);
  return {
    node,
    tag: node.name,
    classes: (node.attribs['class'] ?? '').split(/\s+/).filter(Boolean),
    role: node.attribs['role'] ?? null,
    place: place?.name ?? null,
  };
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
