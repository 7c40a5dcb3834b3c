import { hexOf } from '../css';
import { narrowBelowOf } from '../document/narrow';
import type { ProjectDocument } from '../document/projectDocument';
import { PROPERTIES } from '../document/property';
import { stepSizeAt } from '../scale/sizeAt';
import { narrowDocument } from '../style/narrow';
import { resolveElement, type ResolvedProperty } from '../style/resolve';
import { selectorsOf } from '../style/ruleWeight';
import { siteName } from '../document/familyName';
import { seenColour } from './fold/foldColours';
import { lookAt, STOCK_ENDS, type Stock, type StockProperty, type TextLook } from './stock';

/** Texts that a project claims, and that are set otherwise on the site. */
export interface Drifted {
  /** Key of the text element. */
  element: string;
  property: StockProperty;
  /** Width of the viewport that it was seen at, CSS px. */
  width: number;
  /** As the project has it, and as the site does. */
  expected: string;
  found: string;
  /** Numbers of the texts. */
  texts: number[];
}

/** How far a site follows a project. */
export interface Drift {
  /** Numbers of the texts that follow it in everything, and of those that no element claims. */
  following: number[];
  unclaimed: number[];
  /** What is set otherwise, first what is in most texts. */
  drifted: Drifted[];
}

/** What two browsers, or two ways of rounding, may differ by. */
const SAME = { size: 0.06, lineHeight: 0.01, letterSpacing: 0.002, weight: 0.5 };

const px = (size: number): string => `${Number(size.toFixed(2))} px`;

/** A property as the project and the site have it, and whether it is the same. */
interface Compared {
  expected: string;
  found: string;
  isSame: boolean;
}

/** Whether the project itself says a property; what it leaves open comes from the text around, where there is any. */
const isSaid = ({ origin }: ResolvedProperty): boolean => origin === 'set' || origin === 'style';

/** A line height as a multiple of the size. */
const lineOf = ({ lineHeight, size }: TextLook): number =>
  lineHeight === null || size === 0 ? PROPERTIES.lineHeight.initial : lineHeight / size;
const slantOf = ({ slant }: TextLook): string => (slant === 'normal' ? 'normal' : 'italic');
const inkOf = ({ colour, ground }: TextLook): string => seenColour(colour, ground);

/** How a text is to be set, and how it is. @param around how the text is set that it stands in; null for none */
function compared(
  document: ProjectDocument,
  element: string,
  look: TextLook,
  width: number,
  around: TextLook | null,
): Record<StockProperty, Compared> {
  const at = width < narrowBelowOf(document) ? narrowDocument(document) : document;
  const style = resolveElement(at, element);
  /** What the project says, or what there is around. */
  const wanted = <T>(said: ResolvedProperty, own: T, of: (around: TextLook) => T): T =>
    around !== null && !isSaid(said) ? of(around) : own;
  const near = (
    expected: number,
    found: number,
    by: number,
    words: (value: number) => string,
  ): Compared => ({
    expected: words(expected),
    found: words(found),
    isSame: Math.abs(expected - found) <= by + 1e-9,
  });
  const same = (expected: string, found: string): Compared => ({
    expected,
    found,
    isSame: expected.toLowerCase() === found.toLowerCase(),
  });
  const decimals = (value: number): string => String(Number(value.toFixed(3)));
  const spacing = (of: TextLook): number => (look.size > 0 ? of.letterSpacing / look.size : 0);
  const seat = at.voices[style.voice.value ?? ''];
  const family = at.case[seat?.family ?? ''];
  const first = (family ? siteName(family) : (seat?.plain?.[0] ?? seat?.generic)) ?? '';
  const ink = hexOf(at.colours[style.colour.value ?? '']?.light ?? '#000');
  const size = stepSizeAt(at.scale, style.step.value, width);
  return {
    'font-family': same(
      wanted(style.voice, first, ({ stack }) => stack[0] ?? ''),
      look.stack[0] ?? '',
    ),
    'font-size': near(
      wanted(style.step, size, (of) => of.size),
      look.size,
      SAME.size,
      px,
    ),
    'font-weight': near(
      wanted(style.weight, style.weight.value, ({ weight }) => weight),
      look.weight,
      SAME.weight,
      String,
    ),
    'font-style': same(wanted(style.slant, style.slant.value as string, slantOf), slantOf(look)),
    'line-height': near(
      wanted(style.lineHeight, style.lineHeight.value, lineOf),
      lineOf(look),
      SAME.lineHeight,
      decimals,
    ),
    'letter-spacing': near(
      wanted(style.letterSpacing, style.letterSpacing.value, spacing),
      spacing(look),
      SAME.letterSpacing,
      (value) => `${decimals(value)} em`,
    ),
    'text-transform': same(
      wanted(style.case, style.case.value as string, ({ letterCase }) => letterCase),
      look.letterCase,
    ),
    color: same(wanted(style.colour, ink, inkOf), inkOf(look)),
  };
}

/**
 * What of a site follows a project, and what does not: each text that a text element claims, at both widths, in
 * all that the project says of it. Of several elements that claim a text the last has it, as on the site.
 *
 * @param meets numbers of the texts that a selector meets
 */
export function driftOf(
  stock: Stock,
  document: ProjectDocument,
  meets: (selector: string) => readonly number[],
): Drift {
  const claimed = new Map<number, string>();
  const inOrder = Object.entries(document.elements).sort(
    ([, a], [, b]) => (a.place ?? 0) - (b.place ?? 0),
  );
  for (const [key, element] of inOrder) {
    for (const selector of selectorsOf(document, element)) {
      // What is inherited from the body is no text's own.
      if (selector === 'body') continue;
      for (const number of meets(selector)) claimed.set(number, key);
    }
  }
  const drifted = new Map<string, Drifted>();
  const following: number[] = [];
  const unclaimed: number[] = [];
  stock.texts.forEach((text, number) => {
    const element = claimed.get(number);
    if (element === undefined) {
      unclaimed.push(number);
      return;
    }
    let follows = true;
    for (const end of STOCK_ENDS) {
      const width = stock.pages[text.page]?.[end] ?? 0;
      const around = text.within === null ? undefined : stock.texts[text.within];
      const all = compared(
        document,
        element,
        lookAt(stock, text, end),
        width,
        around ? lookAt(stock, around, end) : null,
      );
      for (const [property, one] of Object.entries(all)) {
        if (one.isSame) continue;
        follows = false;
        const { expected, found } = one;
        const key = [element, property, width, expected, found].join('|');
        const known = drifted.get(key) ?? {
          element,
          property: property as StockProperty,
          width,
          expected,
          found,
          texts: [],
        };
        drifted.set(key, known);
        known.texts.push(number);
      }
    }
    if (follows) following.push(number);
  });
  return {
    following,
    unclaimed,
    drifted: [...drifted.values()].sort((a, b) => b.texts.length - a.texts.length),
  };
}
