import { onceFor } from '../document/once';
import type { ProjectDocument } from '../document/projectDocument';

/**
 * The project as it is on narrow screens: what styles set there stands in place of what they set for every
 * width, and what follows them follows it. The document itself where nothing differs.
 */
export const narrowDocument = onceFor((document: ProjectDocument): ProjectDocument => {
  const styles = Object.entries(document.styles);
  if (styles.every(([, { narrow = {} }]) => Object.keys(narrow).length === 0)) return document;
  return {
    ...document,
    styles: Object.fromEntries(
      styles.map(([key, { narrow, ...style }]) => [
        key,
        { ...style, set: { ...style.set, ...narrow } },
      ]),
    ),
  };
});
