import { MOST_PARTS, type ProjectDocument, type TextStyle } from '@lettera/core/document';
import { seatedDocument } from '../core/testing/documents';

/** How many styles follow one that stands alone. */
const FOLLOWERS = 4;

/** The project of a large site: as many styles and elements as there may be, a fifth of which follow none. */
export function largeDocument({
  styles = MOST_PARTS.styles,
  elements = MOST_PARTS.elements,
}: { styles?: number; elements?: number } = {}): ProjectDocument {
  const document = seatedDocument();
  const lead = document.styles['lead'] as TextStyle;
  const more = styles - Object.keys(document.styles).length;
  for (let i = 0; i < more; i++) {
    const follows = i % (FOLLOWERS + 1) === 0 ? 'lead' : `style-${i - (i % (FOLLOWERS + 1))}`;
    document.styles[`style-${i}`] = {
      ...lead,
      name: `Part ${i}`,
      follows,
      set: { weight: 300 + (i % 7) * 50, lineHeight: 1.2 + (i % 5) / 10 },
    };
  }
  for (let i = 0; Object.keys(document.elements).length < elements; i++) {
    document.elements[`element-${i}`] = {
      name: `Part ${i}`,
      selectors: [`.part-${i}`],
      style: `style-${i % more}`,
      parent: i % 2 ? 'table' : null,
    };
  }
  return document;
}
