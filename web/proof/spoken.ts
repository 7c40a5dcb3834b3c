import type { OtherLanguage } from '../store/proof';

/** The language and the direction of elements of pages as they were read. */
const written = new WeakMap<Element, { lang: string; dir: string }>();

/** Sets an attribute, or takes it off where it is to be empty. */
function put(element: Element, name: 'lang' | 'dir', value: string): void {
  if (value) element.setAttribute(name, value);
  else element.removeAttribute(name);
}

/**
 * Says of a page, and of all parts of it that are in a language of their own, that they are in one language and run
 * as it does; or again what they said when they were read.
 * @param language null for as it is written
 */
export function speak(
  page: Document,
  language: Pick<OtherLanguage, 'tag' | 'direction'> | null,
): void {
  const root = page.documentElement;
  for (const element of [root, ...root.querySelectorAll('[lang], [dir]')]) {
    const own = written.get(element) ?? {
      lang: element.getAttribute('lang') ?? '',
      dir: element.getAttribute('dir') ?? '',
    };
    written.set(element, own);
    const isRoot = element === root;
    put(element, 'lang', language && (isRoot || own.lang) ? language.tag : own.lang);
    put(element, 'dir', language && (isRoot || own.dir) ? language.direction : own.dir);
  }
}
