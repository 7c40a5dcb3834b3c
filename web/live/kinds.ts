import type { ProjectDocument } from '@lettera/core/document';
import { elementAt } from '@lettera/core/style';
import type { LiveKinds } from '@lettera/core/wire';

/** Which text element and style a text of the page has, as the project has them by now. */
export class Kinds {
  #kinds: LiveKinds | null = null;
  #known = '';

  constructor(private readonly base: string) {}

  /** Asks for them where they are others. @param called what they are called by now */
  async refresh(called: string): Promise<void> {
    if (called === this.#known) return;
    this.#known = called;
    const answer = await fetch(`${this.base}kinds`).catch(() => null);
    if (answer?.ok) this.#kinds = (await answer.json()) as LiveKinds;
    else this.#known = '';
  }

  /** The nearest element around a node that has a style, but for the page as a whole; null for none. */
  of(node: Element): { node: Element; element: string; name: string; style: string } | null {
    const kinds = this.#kinds;
    if (!kinds) return null;
    // It knows as much of the project as is asked of it.
    const known = kinds as unknown as ProjectDocument;
    for (let at: Element | null = node; at && at !== document.body; at = at.parentElement) {
      const element = elementAt(known, at);
      const kind = element === null ? undefined : kinds.elements[element];
      if (element !== null && kind) {
        return {
          node: at,
          element,
          name: kinds.styles[kind.style] ?? kind.name,
          style: kind.style,
        };
      }
    }
    return null;
  }

  /** The texts of a style: what its selectors meet, and no other style has. */
  ofStyle({ style, selectors }: { style: string; selectors: string }): Element[] {
    if (!selectors) return [];
    try {
      return [...document.querySelectorAll(selectors)].filter((node) => {
        const kind = this.of(node);
        return kind?.node === node && kind.style === style;
      });
    } catch {
      return [];
    }
  }
}
