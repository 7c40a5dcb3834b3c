import type { ProjectDocument } from '../document/projectDocument';
import { BODY_STYLE } from '../document/vocabulary';
import { inUnicodeRange } from '../css/unicodeRange';
import { languageOf } from '../script';
import { matchFace } from '../style/faceMatch';
import { resolveElement, resolveStyle } from '../style/resolve';
import { totalBytes, type DeliveryPlan, type PlannedFile } from './plan';

/** Text elements that are taken to be seen first while no page has told. */
const USUALLY_FIRST = ['body', 'h1'];
/** A file is worth its place before the others while so much of what is seen first waits for it. */
const SHARE_WAITED_FOR = 0.8;
/** What is fetched at once shares one connection: more files than these come later, all of them. */
const MOST_AT_ONCE = 3;

type Files = Pick<DeliveryPlan, 'files'>;

/** A letter whose file is the one that the site's text needs first: of its first language. */
const firstLetter = ({ languages }: ProjectDocument): number =>
  languageOf(languages[0] ?? '')?.characters.codePointAt(0) ?? 0x61;

const setsFirstLetter = (document: ProjectDocument, { file }: PlannedFile): boolean =>
  inUnicodeRange(file.unicodeRange, firstLetter(document));

/** The files that set the letters of the site's first language: what nearly every page waits for. */
export const firstFonts = (document: ProjectDocument, { files }: Files): PlannedFile[] =>
  files.filter((file) => setsFirstLetter(document, file));

/** The file that sets the letters of a text element; null where its family is no file of the bundle. */
export function firstFontOf(
  document: ProjectDocument,
  { files }: Files,
  element: string,
): PlannedFile | null {
  const isKnown = Object.hasOwn(document.elements, element);
  const { voice, weight, slant } = isKnown
    ? resolveElement(document, element)
    : resolveStyle(document, BODY_STYLE);
  const familyKey = document.voices[voice.value ?? '']?.family;
  const fonts = files.filter((font) => font.familyKey === familyKey);
  const match = matchFace(
    fonts.map(({ face }) => face),
    { weight: weight.value, slant: slant.value },
  );
  const font = fonts.find((one) => one.face === match?.face && setsFirstLetter(document, one));
  return font ?? null;
}

/**
 * The files worth fetching before the style sheet is read: those that set the text elements that are seen
 * first, as the pages told it, or the body and the first heading.
 */
export function preloadedFonts(document: ProjectDocument, delivery: Files): PlannedFile[] {
  const elements = document.delivery.first ?? USUALLY_FIRST;
  const known = elements.filter((key) => key === 'body' || Object.hasOwn(document.elements, key));
  return [...new Set(known.flatMap((key) => firstFontOf(document, delivery, key) ?? []))];
}

/**
 * The text elements whose files are worth fetching first: an element for each file, those first that most of
 * what is seen first waits for, until four fifths of it are served, three files at most.
 * @param areas how much of what is seen first each text element sets: size² × characters, px²
 */
export function elementsSeenFirst(
  document: ProjectDocument,
  delivery: Files,
  areas: ReadonlyMap<string, number>,
): string[] {
  const byFile = new Map<PlannedFile, { element: string; most: number; area: number }>();
  for (const [element, area] of areas) {
    const file = firstFontOf(document, delivery, element);
    if (!file) continue;
    const known = byFile.get(file) ?? { element, most: 0, area: 0 };
    if (area > known.most) Object.assign(known, { element, most: area });
    known.area += area;
    byFile.set(file, known);
  }
  const files = [...byFile.values()].sort((a, b) => b.area - a.area);
  const all = files.reduce((sum, { area }) => sum + area, 0);
  let served = 0;
  return files.slice(0, MOST_AT_ONCE).flatMap(({ element, area }) => {
    if (served >= SHARE_WAITED_FOR * all) return [];
    served += area;
    return [element];
  });
}

/** What a page of the site's first language fetches; null while a file has not been made. */
export function fontBytesFirst(
  document: ProjectDocument,
  delivery: Files,
): { fontBytes: number; preloadedBytes: number } | null {
  const fontBytes = totalBytes(firstFonts(document, delivery));
  const preloadedBytes = totalBytes(preloadedFonts(document, delivery));
  return fontBytes === null || preloadedBytes === null ? null : { fontBytes, preloadedBytes };
}
