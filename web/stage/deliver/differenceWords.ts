import { differenceWords as say } from './words';
import type { Difference } from '@lettera/core/deliver/trying';
import type { ProjectDocument } from '@lettera/core/document';

const WHAT: Record<Difference['what'], string> = {
  family: 'family',
  size: 'size',
  lineHeight: say.lineHeight,
  weight: 'weight',
  slant: 'style',
};

/** One thing that a browser makes otherwise, in words. */
export function differenceInWords(
  { elements }: ProjectDocument,
  { element, what, width, project, browser }: Difference,
): string {
  const name = elements[element]?.name ?? element;
  return say.atPxOnPage(name, WHAT[what], width, browser, project);
}
