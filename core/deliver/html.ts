import type { ProjectDocument } from '../document/projectDocument';

const ENTITIES: Record<string, string> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
  "'": '&#39;',
};

/** Text as it stands in HTML, in an element or a quoted attribute. */
export const escapeHtml = (text: string): string =>
  text.replace(/[&<>"']/g, (character) => ENTITIES[character] ?? character);

/** How a page of Lettera's own has what 1rem is on the site: as an attribute of its `html`. Empty where that is usual. */
export const rootAttribute = ({ scale: { root } }: Pick<ProjectDocument, 'scale'>): string =>
  typeof root === 'number' ? ` style="font-size: ${root}px"` : '';
