import { projectRules } from '@lettera/core/deliver';
import {
  descriptorOf,
  narrowBelowOf,
  PROPERTIES,
  PROPERTY_NAMES,
  type ProjectDocument,
} from '@lettera/core/document';
import { narrowDocument } from '@lettera/core/style';
import {
  accountOf,
  Cascade,
  type Account,
  type PageView,
  type Seen,
  type TypeProperty,
  type TypeRules,
} from '@lettera/core/page';

import { ContainerProbe } from './containerProbe';

/** The properties that a project's text styles set, as CSS has them. */
export const typeOf = ({ styles }: ProjectDocument): TypeProperty[] =>
  PROPERTY_NAMES.filter(
    (name) =>
      PROPERTIES[name].whenOpen === 'inherit' ||
      Object.values(styles).some(({ set }) => set[name] !== undefined),
  )
    .map(descriptorOf)
    .map(({ css, longhand, shorthands = [], ...rest }) => ({
      ...rest,
      css: longhand ?? css,
      shorthands: longhand ? [css, ...shorthands] : shorthands,
    }));

/** What the frame that shows a page knows of it, at the width that it has. */
export function viewOf(page: Document): PageView<Element> {
  const window = page.defaultView as (Window & typeof globalThis) | null;
  const conditions = new Map<string, boolean>();
  const holds = (kind: string, text: string): boolean => {
    if (kind === 'media') return window?.matchMedia(text).matches ?? false;
    return window?.CSS.supports(text) ?? false;
  };
  const containers = new ContainerProbe(page);
  const find = (selector: string): Iterable<Element> => {
    try {
      return page.querySelectorAll(selector);
    } catch {
      return [];
    }
  };
  return {
    find,
    knows: (selector) => isKnown(page, selector),
    holds: ({ kind, text }) => {
      const key = `${kind} ${text}`;
      const before = conditions.get(key) ?? holds(kind, text);
      conditions.set(key, before);
      return before;
    },
    holdsAround: (node, container) => containers.holds(node, container),
    matches: (node, selector) => node.matches(selector),
    takes: (property, value) => window?.CSS.supports(property, value) ?? false,
    parent: (node) => node.parentElement,
    inline: (node, property) => {
      const { style } = node as HTMLElement;
      const value = style?.getPropertyValue(property);
      return value ? { value, important: style.getPropertyPriority(property) !== '' } : null;
    },
  };
}

/** Whether a list of selectors is one that the browser takes. */
function isKnown(page: Document, selector: string): boolean {
  try {
    page.documentElement.matches(selector);
    return true;
  } catch {
    return false;
  }
}

export const NO_RULES: TypeRules = { rules: [], layers: [] };

/** The cascade of a page that is shown, with the project's rules where they are delivered. */
export const cascadeOf = (
  document: ProjectDocument,
  page: Document,
  rules: TypeRules,
): Cascade<Element> => {
  const { innerWidth = Infinity } = page.defaultView ?? {};
  const isNarrow = innerWidth < narrowBelowOf(document);
  const at = isNarrow ? narrowDocument(document) : document;
  return new Cascade(rules, projectRules(at), viewOf(page), typeOf(document));
};

/** Elements whose text is no text of the page's. */
const NO_TEXT = 'script, style, template, noscript, title, head, option, textarea';

/** Every element of a page that holds text of its own, in the order of the page. */
export function textElementsOf(page: Document): Element[] {
  const found = new Set<Element>();
  const walker = page.createTreeWalker(page.body, NodeFilter.SHOW_TEXT);
  while (walker.nextNode()) {
    const { parentElement, nodeValue } = walker.currentNode as Text;
    if (nodeValue?.trim() && parentElement && !found.has(parentElement)) {
      if (!parentElement.closest(NO_TEXT)) found.add(parentElement);
    }
  }
  return [...found];
}

export const pageAccount = (
  document: ProjectDocument,
  page: Document,
  rules: TypeRules,
): Account<Element> =>
  accountOf(
    cascadeOf(document, page, rules),
    textElementsOf(page),
    typeOf(document),
    (node, selector) => node.matches(selector),
    document.delivery.leave,
  );

const PLACES = 'header, nav, main, aside, footer';

/** An element as it is told of where its kind is looked for. */
export const seen = (node: Element): Seen<Element> => ({
  node,
  tag: node.tagName.toLowerCase(),
  classes: [...node.classList],
  role: node.getAttribute('role'),
  place: node.parentElement?.closest(PLACES)?.tagName.toLowerCase() ?? null,
  text: node.textContent ?? '',
});
