import { colouredAt, type ComputedType, type LostContrast } from '@lettera/core/deliver/trying';
import { selectorsFault, selectorTexts } from '@lettera/core/css';
import type { ProjectDocument } from '@lettera/core/document';
import { darkSwitch, isMarked, rulesOfSheets, withoutStates } from './forcedStates';

/** Where the site's own colours have to stay, for its texts to be read as well as before. */
export type KeptColours = Required<
  Pick<ProjectDocument['delivery'], 'keepColoursOn' | 'keepDarkColours'>
>;

const CLEAR = /^(transparent|rgba\(0, 0, 0, 0\))$/;

/** The element whose ground a text stands on; null for the page's own. */
function painted(node: Element): Element | null {
  const { body, documentElement, defaultView } = node.ownerDocument;
  for (let at: Element | null = node; at && at !== body && at !== documentElement;) {
    const style = defaultView?.getComputedStyle(at);
    if (style && !CLEAR.test(style.backgroundColor)) return at;
    at = at.parentElement;
  }
  return null;
}

/** Selectors of the site's own, the strongest last, by which a property is set on an element. */
function* settersOf(node: Element, properties: readonly string[]): Generator<string> {
  for (const { selectorText, style } of rulesOfSheets(node.ownerDocument, { ofSite: true })) {
    if (!properties.some((property) => style.getPropertyValue(property) !== '')) continue;
    for (const selector of selectorTexts(selectorText)) {
      if (isMarked(selector)) continue;
      const plain = withoutStates(selector);
      if (selectorsFault(plain) === null && node.matches(plain)) yield plain;
    }
  }
}

/** What paints a ground. */
const GROUND = ['background-color', 'background'];

/** Selectors that would take in every text. */
const EVERYTHING = /^(\*|html|:root|body)$/;

/** What sets a property on an element, by the last selector of the site's that names more than everything. */
const setterOf = (node: Element, properties: readonly string[]): string | null =>
  [...settersOf(node, properties)].filter((selector) => !EVERYTHING.test(selector)).at(-1) ?? null;

/**
 * Where the site's own colours have to stay so that no text is harder to read than its limit asks: on grounds that
 * parts of the site have of their own, named by the selectors by which it paints them; on texts to which it gives a
 * colour itself; and on its dark ground, where texts are lost there alone.
 *
 * @param nodes elements, and how they were read
 * @param light what is lost on the light ground, in any state
 * @param dark what is lost on the dark one
 */
export function keepColours(
  document: ProjectDocument,
  { nodes, read }: { nodes: readonly Element[]; read: readonly ComputedType[] },
  light: readonly LostContrast[],
  dark: readonly LostContrast[],
): KeptColours {
  const on = new Set<string>();
  const numbersOf = (lost: readonly LostContrast[]) => new Set(lost.flatMap(({ texts }) => texts));
  const lostInLight = numbersOf(light);
  const keepHere = (number: number): void => {
    const node = nodes[colouredAt(document, read, number) ?? number];
    if (!node) return;
    if (node === node.ownerDocument.body) {
      on.add('body');
      return;
    }
    const ground = painted(node);
    const selector =
      (ground && setterOf(ground, GROUND)) ?? setterOf(node, GROUND) ?? setterOf(node, ['color']);
    if (selector) on.add(selector);
  };
  for (const number of lostInLight) keepHere(number);
  const lostInDark = [...numbersOf(dark)].filter((number) => !lostInLight.has(number));
  const [first] = nodes;
  const by = first ? darkSwitch(first.ownerDocument) : null;
  if (lostInDark.length > 0 && by) {
    on.add(by.attribute === 'class' ? `.${by.value}` : `[${by.attribute}="${by.value}"]`);
  }
  return { keepColoursOn: [...on], keepDarkColours: lostInDark.length > 0 };
}
