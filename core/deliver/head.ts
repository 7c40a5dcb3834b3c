import type { ProjectDocument } from '../document/projectDocument';
import { BODY_STYLE } from '../document/vocabulary';
import { inUnicodeRange } from '../css/unicodeRange';
import { matchFace } from '../style/faceMatch';
import { resolveElement, resolveStyle, type ResolvedStyle } from '../style/resolve';
import { referencedFamilies } from './delivered';
import type { DeliveryPlan } from './plan';
import { escapeHtml } from './html';

/** A letter whose file is the one that the first text needs. */
const FIRST_LETTER = 0x61;

/**
 * Paths of the files worth fetching before the style sheet is read: the one that sets the body's text
 * and the one that sets the first heading.
 */
export function preloadedFonts(
  document: ProjectDocument,
  { files }: Pick<DeliveryPlan, 'files'>,
): string[] {
  const styles: ResolvedStyle[] = [resolveStyle(document, BODY_STYLE)];
  if (document.elements['h1']) styles.push(resolveElement(document, 'h1'));
  const paths = styles.flatMap(({ voice, weight, slant }) => {
    const familyKey = document.voices[voice.value ?? '']?.family;
    const fonts = files.filter((font) => font.familyKey === familyKey);
    const request = { weight: weight.value, slant: slant.value };
    const match = matchFace(
      fonts.map(({ face }) => face),
      request,
    );
    const font = fonts.find(
      ({ face, file }) => face === match?.face && inUnicodeRange(file.unicodeRange, FIRST_LETTER),
    );
    return font ? [font.path] : [];
  });
  return [...new Set(paths)];
}

/** `head.html`: what goes into the page's head, in order. Font fetches are always CORS, hence `crossorigin`. */
export function headMarkup(document: ProjectDocument, delivery: DeliveryPlan): string {
  return [
    ...preloadedFonts(document, delivery).map(
      (path) =>
        `<link rel="preload" href="${escapeHtml(path)}" as="font" type="font/woff2" crossorigin>`,
    ),
    ...referencedFamilies(document).map(
      ({ stylesheet }) => `<link rel="preload" href="${escapeHtml(stylesheet)}" as="style">`,
    ),
    '<link rel="stylesheet" href="lettera.css">',
    '',
  ].join('\n');
}
