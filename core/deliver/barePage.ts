import type { ProjectDocument } from '../document/projectDocument';
import { example } from './example';
import { escapeHtml, rootAttribute } from './html';

/** What `barePage` marks the example of an element with: the element's key. */
export const BARE_ELEMENT = 'data-element';

/**
 * A page with nothing but the delivered style sheet and an example of each text element: what a browser
 * makes of the bundle by itself.
 */
export function barePage(document: ProjectDocument): string {
  const words = escapeHtml(document.words);
  const sections = Object.entries(document.elements).map(
    ([key, { selectors }]) =>
      `<section ${BARE_ELEMENT}="${key}">${example(selectors, words, words)}</section>`,
  );
  return `<!doctype html>
<html lang="${escapeHtml(document.languages[0] ?? 'en')}"${rootAttribute(document)}>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>${escapeHtml(document.name)}</title>
<link rel="stylesheet" href="lettera.css">
<body>
${sections.join('\n')}
</body>
</html>
`;
}
