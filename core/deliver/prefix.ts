import type { ProjectDocument } from '../document/projectDocument';
import { prefixedName, tokenNames } from './customProperties';

/** Text that is delivered, with every token under the project's prefix; other custom properties stay. */
export function withPrefix(document: ProjectDocument, text: string): string {
  if (!document.delivery.prefix) return text;
  const names = new Set(tokenNames(document));
  return text.replace(/(?<![\w-])--[A-Za-z0-9_-]+/g, (name) =>
    names.has(name) ? prefixedName(document, name) : name,
  );
}
