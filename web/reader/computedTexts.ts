import { READ_AS, type ComputedType } from '@lettera/core/deliver/trying';
import {
  PROPERTIES,
  PROPERTY_NAMES,
  type ProjectDocument,
  type PropertyName,
} from '@lettera/core/document';
import { BROWSER_SETS } from '@lettera/core/page';
import { elementsAt } from '@lettera/core/style';
import { Breather } from './breathe';
import { textElementsOf } from './domTree';
import { Grounds } from './grounds';

/** The elements of a page that hold text, and all that stands around them, what is around before what is in it. */
export function elementsRead(page: Document): Element[] {
  const found = new Set<Element>();
  for (const text of textElementsOf(page)) {
    const passed: Element[] = [];
    for (let at: Element | null = text; at && !found.has(at); at = at.parentElement)
      passed.push(at);
    for (const at of passed.reverse()) found.add(at);
  }
  return [...found];
}

/** Properties that browsers' own style sheets set on elements, with those elements. */
const SET_BY_BROWSERS = PROPERTY_NAMES.flatMap((name) => {
  const selector = BROWSER_SETS[READ_AS[name]];
  return selector && PROPERTIES[name].inherited ? [{ name, css: READ_AS[name], selector }] : [];
});

/** What browsers' own style sheets set on an element, which the page's own may set otherwise; null for nothing. */
function browsersOwn(node: Element): ComputedType['byBrowser'] | null {
  const set = SET_BY_BROWSERS.filter(({ selector }) => node.matches(selector));
  const { style } = node as HTMLElement;
  if (set.length === 0 || !style) return null;
  const before = node.getAttribute('style');
  for (const { css } of set) style.setProperty(css, 'revert', 'important');
  const computed = node.ownerDocument.defaultView?.getComputedStyle(node);
  const own = set.map(({ name, css }) => [name, computed?.getPropertyValue(css) ?? ''] as const);
  if (before === null) node.removeAttribute('style');
  else node.setAttribute('style', before);
  return Object.fromEntries(own);
}

/**
 * Reads how elements of a page are set, as the browser computes it at the width, on the ground and in the state that
 * the page has.
 *
 * @param nodes as `elementsRead` gives them
 * @throws Stopped when it is no longer wanted
 */
export async function readComputed(
  document: ProjectDocument,
  nodes: readonly Element[],
  stopped: () => boolean,
): Promise<ComputedType[]> {
  const numbers = new Map(nodes.map((node, number) => [node, number]));
  const [first] = nodes;
  const texts = new Set(first ? textElementsOf(first.ownerDocument) : []);
  const grounds = new Grounds();
  const breather = new Breather();
  const read: ComputedType[] = [];
  for (const node of nodes) {
    await breather.pause(stopped);
    const style = node.ownerDocument.defaultView?.getComputedStyle(node);
    const value = (property: string): string => style?.getPropertyValue(property) ?? '';
    const ground = grounds.of(node);
    const claims = elementsAt(document, node);
    const byBrowser = claims.length > 0 ? browsersOwn(node) : null;
    const around = node.parentElement ? numbers.get(node.parentElement) : undefined;
    read.push({
      around: around ?? null,
      claims,
      ...(byBrowser && { byBrowser }),
      isText: texts.has(node),
      values: Object.fromEntries(
        PROPERTY_NAMES.map((name) => [name, value(READ_AS[name])]),
      ) as Record<PropertyName, string>,
      size: parseFloat(value('font-size')) || 0,
      weight: Number(value('font-weight')) || 400,
      colour: value('color'),
      ground: 'unknown' in ground ? null : ground.colour,
    });
  }
  return read;
}
