import { hexOf } from '../css';
import type { ProjectDocument } from '../document/projectDocument';
import { PROPERTIES, type ComputedValue, type PropertyName } from '../document/property';
import { stepSizeAt } from '../scale/sizeAt';
import { documentAtWidth } from '../style/documentAt';
import { carries, resolveElement } from '../style/resolve';
import { siteName } from '../document/familyName';
import { seenColour } from './fold/foldColours';
import {
  lookOf,
  STOCK_ENDS,
  type Stock,
  type StockProperty,
  type StockText,
  type TextLook,
} from './stock';
import { claimsIn, type Claim, type Lineage } from './claims';

/** Texts that a project claims, and that are set otherwise on the site. */
export interface Drifted {
  /** Key of the text element. */
  element: string;
  /** `unicode-range` where the files of a family on the site have no characters of a text: then that, and these. */
  property: StockProperty | 'unicode-range';
  /**
   * `said` where the project sets it on these texts; `open` where its styles leave it open there, and the site
   * has something else than what is around them.
   */
  by: 'said' | 'open';
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
  /** Numbers of the texts that follow it in everything that it says, and of those that no element claims. */
  following: number[];
  unclaimed: number[];
  /** What is set otherwise, first what is in most texts. */
  drifted: Drifted[];
}

/** What two browsers, or two ways of rounding, may differ by. */
const SAME = { size: 0.06, lineHeight: 0.01, letterSpacing: 0.002, weight: 0.5 };

const px = (size: number): string => `${Number(size.toFixed(2))} px`;

/** What is looked at of a text: as it is on the site, or as the project has it. */
interface Looked {
  family: string;
  size: number;
  weight: number;
  slant: string;
  /** A multiple of the size, as it is inherited. */
  lineHeight: number;
  /** CSS px, as it is inherited. */
  letterSpacing: number;
  letterCase: string;
  ink: string;
}

/** How a text is set on the site. */
const foundIn = (look: TextLook): Looked => ({
  family: look.stack[0] ?? '',
  size: look.size,
  weight: look.weight,
  slant: look.slant === 'normal' ? 'normal' : 'italic',
  lineHeight:
    look.lineHeight === null || look.size === 0
      ? PROPERTIES.lineHeight.initial
      : look.lineHeight / look.size,
  letterSpacing: look.letterSpacing,
  letterCase: look.letterCase,
  ink: seenColour(look.colour, look.ground),
});

/** The properties of a text's style that say what is looked at. */
const PROPERTY_OF = {
  family: 'voice',
  size: 'step',
  weight: 'weight',
  slant: 'slant',
  lineHeight: 'lineHeight',
  letterSpacing: 'letterSpacing',
  letterCase: 'case',
  ink: 'colour',
} as const satisfies Record<keyof Looked, PropertyName>;

/** How a text is set that text elements claim. */
interface SetHere {
  /** What the strongest that says it says, over what there is around it. */
  looked: Partial<Looked>;
  /** What one of them says. */
  said: ReadonlySet<keyof Looked>;
}

/** @param elements keys of what claims it, the strongest first; nothing of a colour where the site's own stay */
function setBy(
  document: ProjectDocument,
  { elements, keepsColours }: Pick<Lineage, 'elements' | 'keepsColours'>,
  width: number,
  around: Partial<Looked>,
): SetHere {
  const styles = elements.map((element) => resolveElement(document, element));
  const said = new Set<keyof Looked>();
  /** The value of the strongest that says a property. */
  const own = <P extends PropertyName>(property: P): ComputedValue<P> | undefined =>
    keepsColours && property === 'colour'
      ? undefined
      : (styles.map((style) => style[property]).find(carries)?.value as
          ComputedValue<P> | undefined);
  for (const member of Object.keys(PROPERTY_OF) as (keyof Looked)[]) {
    if (own(PROPERTY_OF[member]) !== undefined) said.add(member);
  }
  const over = <P extends PropertyName, T>(
    property: P,
    inherited: T | undefined,
    looked: (value: ComputedValue<P>) => T | undefined,
  ): T | undefined => {
    const value = own(property);
    return value === undefined ? inherited : looked(value);
  };
  const size = over('step', around.size, (step) => stepSizeAt(document.scale, step, width));
  const all = {
    family: over('voice', around.family, (voice) => {
      const seat = document.voices[voice ?? ''];
      const family = document.case[seat?.family ?? ''];
      return (family ? siteName(family) : (seat?.plain?.[0] ?? seat?.generic)) ?? '';
    }),
    size,
    weight: over('weight', around.weight, (weight) => weight),
    slant: over('slant', around.slant, (slant) => slant),
    lineHeight: over('lineHeight', around.lineHeight, (lineHeight) => lineHeight),
    letterSpacing: over('letterSpacing', around.letterSpacing, (spacing) =>
      size === undefined ? undefined : spacing * size,
    ),
    letterCase: over('case', around.letterCase, (letterCase) => letterCase),
    ink: over('colour', around.ink, (colour) =>
      hexOf(document.colours[colour ?? '']?.light ?? '#000'),
    ),
  };
  return {
    said,
    looked: Object.fromEntries(
      Object.entries(all).filter(([, value]) => value !== undefined),
    ) as Partial<Looked>,
  };
}

const decimals = (value: number): string => String(Number(value.toFixed(3)));
const inEm = (spacing: number, size: number): string =>
  `${decimals(size > 0 ? spacing / size : 0)} em`;

/** How each property is reported, and how near to what is expected is the same. */
const COMPARED: readonly (readonly [
  property: StockProperty,
  member: keyof Looked,
  words: (looked: Looked) => string,
  by: number,
])[] = [
  ['font-family', 'family', ({ family }) => family, 0],
  ['font-size', 'size', ({ size }) => px(size), SAME.size],
  ['font-weight', 'weight', ({ weight }) => String(weight), SAME.weight],
  ['font-style', 'slant', ({ slant }) => slant, 0],
  ['line-height', 'lineHeight', ({ lineHeight }) => decimals(lineHeight), SAME.lineHeight],
  ['letter-spacing', 'letterSpacing', ({ letterSpacing, size }) => inEm(letterSpacing, size), 0],
  ['text-transform', 'letterCase', ({ letterCase }) => letterCase, 0],
  ['color', 'ink', ({ ink }) => ink, 0],
];

/** What is set otherwise than the project has it; what neither it nor anything around says is left alone. */
function differences(
  { looked: expected, said }: SetHere,
  found: Looked,
): Pick<Drifted, 'property' | 'by' | 'expected' | 'found'>[] {
  return COMPARED.flatMap(([property, member, words, by]) => {
    const [value, is] = [expected[member], found[member]];
    if (value === undefined) return [];
    // What is said in em is so much of the size that is there: a size that is another is told by itself.
    const wanted =
      member === 'letterSpacing' && said.has(member) && expected.size
        ? (Number(value) / expected.size) * found.size
        : value;
    const within = member === 'letterSpacing' ? SAME.letterSpacing * found.size : by;
    const isSame =
      typeof wanted === 'number' && typeof is === 'number'
        ? Math.abs(wanted - is) <= within + 1e-9
        : String(wanted).toLowerCase() === String(is).toLowerCase();
    if (isSame) return [];
    return [
      {
        property,
        by: said.has(member) ? 'said' : 'open',
        expected: words({ ...found, [member]: wanted }),
        found: words(found),
      },
    ];
  });
}

/** Characters of a text that the files on the site are not for, where it is in the family that the project has. */
const outgrown = (
  { looked: { family } }: SetHere,
  found: Looked,
  { outside = '' }: StockText,
): Pick<Drifted, 'property' | 'by' | 'expected' | 'found'>[] =>
  outside && family?.toLowerCase() === found.family.toLowerCase()
    ? [
        {
          property: 'unicode-range',
          by: 'said',
          expected: found.family,
          found: [...outside].join(' '),
        },
      ]
    : [];

/**
 * What of a site follows a project, and what does not: each text that a text element claims, at both widths, in
 * all that the project says of it. What its style leaves open is inherited, as a browser has it: from a text around
 * it as that is on the site, from what is claimed and holds no text of its own as the project has that.
 *
 * @param lineages what claims each text and what stands around it
 */
export function driftOf(
  stock: Stock,
  document: ProjectDocument,
  lineages: (claims: readonly Claim[]) => readonly Lineage[],
): Drift {
  const all = lineages(claimsIn(document));
  const drifted = new Map<string, Drifted>();
  const following: number[] = [];
  const unclaimed: number[] = [];
  stock.texts.forEach((text, number) => {
    const lineage = all[number] ?? { elements: [], keepsColours: false, around: [] };
    const { around } = lineage;
    const [element] = lineage.elements;
    if (element === undefined) {
      unclaimed.push(number);
      return;
    }
    let follows = true;
    for (const end of STOCK_ENDS) {
      const width = stock.pages[text.page]?.[end] ?? 0;
      const at = documentAtWidth(document, width);
      const foundOf = (one: number): Looked | null => {
        const other = stock.texts[one];
        return other ? foundIn(lookOf(stock, other, end)) : null;
      };
      // From the nearest text around it inwards.
      const nearest = around.findIndex((one) => one.text !== null);
      const inwards = (nearest < 0 ? around : around.slice(0, nearest + 1)).toReversed();
      let inherited: Partial<Looked> = {};
      for (const one of inwards) {
        const found = one.text === null ? null : foundOf(one.text);
        if (found) inherited = found;
        else inherited = setBy(at, one, width, inherited).looked;
      }
      const expected = setBy(at, lineage, width, inherited);
      const found = foundIn(lookOf(stock, text, end));
      for (const one of [...differences(expected, found), ...outgrown(expected, found, text)]) {
        if (one.by === 'said') follows = false;
        const key = [element, one.property, one.by, width, one.expected, one.found].join('|');
        const known = drifted.get(key) ?? { element, ...one, width, texts: [] };
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
