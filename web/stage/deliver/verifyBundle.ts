import {
  BARE_ELEMENT,
  differencesOf,
  facesMissing,
  saidOf,
  typeOf,
  widthsToVerify,
  type Difference,
  type GivenFace,
  type SetType,
} from '@lettera/core/deliver/trying';
import type { ProjectDocument } from '@lettera/core/document';
import { selectorsOf } from '@lettera/core/style';

/** What came of trying a bundle in a browser. */
export interface Verified {
  /** Elements that were compared at every width. */
  elements: number;
  /** Elements that an example cannot bring about: what a pointer does, and voices without a family. */
  untried: number;
  widths: readonly number[];
  differences: readonly Difference[];
  missing: readonly string[];
}

/** Names of families as CSS writes them, without quotes and escapes. */
const unquoted = (family: string): string =>
  family
    .trim()
    .replace(/^"(.*)"$/, '$1')
    .replace(/\\(.)/g, '$1');

/** The first family of a computed `font-family`; commas within quotes are part of a name. */
const firstFamily = (value: string): string =>
  unquoted(/^\s*("(?:[^"\\]|\\.)*"|[^,]*)/.exec(value)?.[1] ?? '');

export function computedType(node: Element): SetType {
  const view = node.ownerDocument.defaultView as Window;
  const { fontFamily, fontSize, lineHeight, fontWeight, fontStyle } = view.getComputedStyle(node);
  return {
    family: firstFamily(fontFamily),
    size: parseFloat(fontSize),
    lineHeight: lineHeight === 'normal' ? null : parseFloat(lineHeight),
    weight: Number(fontWeight),
    slant: fontStyle,
  };
}

/** The example of an element; null where none of its selectors matches one. */
function exampleOf(page: Document, document: ProjectDocument, key: string): Element | null {
  const element = document.elements[key];
  const section = page.querySelector(`[${BARE_ELEMENT}="${key}"]`);
  const selectors = element ? selectorsOf(document, element).join(', ') : '';
  if (!section || !selectors) return null;
  const found = section.querySelector(selectors);
  return found ?? (page.body.matches(selectors) ? page.body : null);
}

const faceOf = ({ family, style, weight, status }: FontFace): GivenFace => {
  const [min = 400, max = min] = weight
    .split(' ')
    .map((one) => ({ normal: 400, bold: 700 })[one] ?? Number(one));
  return {
    family: unquoted(family),
    slant: style,
    weightMin: min,
    weightMax: max,
    loaded: status === 'loaded',
  };
};

/**
 * Compares what a browser makes of the bundle's bare page with what the project has, at each width.
 * @param setWidth gives the page's viewport a width
 */
export async function verifyBundle(
  document: ProjectDocument,
  page: Document,
  setWidth: (width: number) => Promise<void>,
): Promise<Verified> {
  const widths = widthsToVerify(document);
  const isLast = document.delivery.linked === 'after' && !document.delivery.inheritOpen;
  const differences: Difference[] = [];
  const compared = new Set<string>();
  for (const width of widths) {
    await setWidth(width);
    for (const key of Object.keys(document.elements)) {
      const project = typeOf(document, key, width);
      const node = project && exampleOf(page, document, key);
      if (!node) continue;
      compared.add(key);
      const all = differencesOf(key, width, project, computedType(node));
      // After the site's own style sheets, what is left open is theirs, or the browser's where they say nothing.
      const said = isLast ? saidOf(document, key) : null;
      differences.push(...all.filter(({ what }) => !said || said.has(what)));
    }
  }
  const families = new Set(
    Object.keys(document.elements).flatMap((key) => typeOf(document, key, 0)?.family ?? []),
  );
  const web = [...page.fonts].filter(({ family }) => families.has(unquoted(family)));
  await Promise.allSettled(web.map((face) => face.load()));
  return {
    elements: compared.size,
    untried: Object.keys(document.elements).length - compared.size,
    widths,
    differences,
    missing: facesMissing(document, web.map(faceOf)),
  };
}
