import type { PageView } from '@lettera/core/page';
import { ContainerProbe } from './containerProbe';

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
