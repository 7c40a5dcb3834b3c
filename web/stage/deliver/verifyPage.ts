import { verifyPage as say } from './words';
import { differencesOf, saidOf, typeOf, type Difference } from '@lettera/core/deliver/trying';
import type { ProjectDocument } from '@lettera/core/document';
import { textElementsOf } from '../../reader/domTree';
import { styledElement } from '../../proof/pageText';
import { computedType } from './verifyBundle';

/** What came of the bundle on a page of the site's own. */
export interface TriedPage {
  title: string;
  /** Texts that a text element claims, and those that come out as the project has them at every width. */
  texts: number;
  agreeing: number;
  /** What comes out otherwise, by text element and part of its type, with how many texts it is. */
  differences: (Difference & { texts: number })[];
}

/** How long a style sheet may take to come, milliseconds. */
const PATIENCE = 20_000;

/** Puts the delivered style sheet where the page has a place for it. @throws Error when it does not come */
export function linkBundle(page: Document, href: string): Promise<void> {
  const link = page.querySelector<HTMLLinkElement>('#lettera-start');
  if (!link) return Promise.reject(new Error(say.pageNoPlaceStyle));
  return new Promise((resolve, reject) => {
    const fail = () => reject(new Error(say.styleSheetDidNot));
    link.addEventListener('load', () => resolve(), { once: true });
    link.addEventListener('error', fail, { once: true });
    setTimeout(fail, PATIENCE);
    link.href = href;
  });
}

/**
 * Compares what a browser makes of a page that links the bundle with what the project has, in all that the
 * style of each text's element says itself.
 */
export async function verifyPage(
  document: ProjectDocument,
  page: Document,
  { title, setWidth }: { title: string; setWidth: (width: number) => Promise<void> },
): Promise<TriedPage> {
  const claimed = textElementsOf(page).flatMap((text) => {
    const found = styledElement(document, text);
    return found && found.node !== page.body ? [found] : [];
  });
  const wrong = new Set<number>();
  const found = new Map<string, Difference & { texts: number }>();
  for (const { width } of [document.scale.small, document.scale.large]) {
    await setWidth(width);
    claimed.forEach(({ node, key }, i) => {
      const project = typeOf(document, key, width);
      if (!project) return;
      const said = saidOf(document, key);
      const differences = differencesOf(key, width, project, computedType(node));
      for (const difference of differences.filter(({ what }) => said.has(what))) {
        wrong.add(i);
        const at = `${key} ${difference.what} ${width}`;
        found.set(at, { ...difference, texts: (found.get(at)?.texts ?? 0) + 1 });
      }
    });
  }
  return {
    title,
    texts: claimed.length,
    agreeing: claimed.length - wrong.size,
    differences: [...found.values()].sort((a, b) => b.texts - a.texts),
  };
}
