import type { Patch } from '../document/patch';
import { pairSeatsOf } from '../document/pairVoices';
import type { ProjectDocument } from '../document/projectDocument';
import { PROPERTIES, type PropertyName, type PropertyValues } from '../document/property';
import { stepNumbers } from '../scale/steps';

/** A style of a starting set. Voices are named by what they are for: the project says which voice that is. */
interface SetStyle {
  name: string;
  follows: string | null;
  set: PropertyValues;
}

/** A text element of a starting set: taken over only where the project has none of that name. */
interface SetElement {
  name: string;
  selectors: string[];
  style: string;
  parent?: string;
}

/** A whole set of styles to begin from. */
export interface StartingSet {
  key: string;
  name: string;
  /** What it is for, and what it does. */
  about: string;
  styles: Readonly<Record<string, SetStyle>>;
  elements: Readonly<Record<string, SetElement>>;
}

const style = (name: string, follows: string | null, set: PropertyValues): SetStyle => ({
  name,
  follows,
  set,
});

/** What all sets have: kinds of text that most sites have. */
const ELEMENTS: Readonly<Record<string, SetElement>> = {
  display: { name: 'Display', selectors: ['.display'], style: 'display' },
  kicker: { name: 'Kicker', selectors: ['.kicker'], style: 'kicker' },
  'pull-quote': { name: 'Pull quote', selectors: ['.pull-quote'], style: 'pull-quote' },
  time: { name: 'Time', selectors: ['time'], style: 'time' },
  hint: { name: 'Hint', selectors: ['.hint'], style: 'caption' },
  error: { name: 'Error', selectors: ['.error', '[role="alert"]'], style: 'error' },
};

/** What a set decides; the rest is common to all. */
interface Decided {
  body: PropertyValues;
  heading: PropertyValues;
  /** Steps of headings 1 to 4, and the line height of the first. */
  levels: readonly [number, number, number, number];
  first: number;
  control?: PropertyValues;
  small?: PropertyValues;
  more?: Readonly<Record<string, SetStyle>>;
}

/** Lists stand a little closer than running text. */
const inLists = (running = 1.5): number => Number((running - 0.05).toFixed(2));

const stylesOf = ({
  body,
  heading,
  levels,
  first,
  control = {},
  small = {},
  more = {},
}: Decided): StartingSet['styles'] => ({
  body: style('Body', null, {
    voice: 'text',
    weight: 400,
    slant: 'normal',
    step: 0,
    letterSpacing: 0,
    case: 'none',
    colour: 'ink',
    ...body,
  }),
  heading: style('Heading', null, { voice: 'heading', letterSpacing: 0, ...heading }),
  ...Object.fromEntries(
    levels.map((step, i) => [
      `heading-${i + 1}`,
      style(`Heading ${i + 1}`, 'heading', { step, ...(i === 0 ? { lineHeight: first } : {}) }),
    ]),
  ),
  control: style('Control', null, { voice: 'heading', weight: 600, lineHeight: 1.3, ...control }),
  small: style('Small text', null, { step: -1, lineHeight: 1.45, ...small }),
  caption: style('Caption', 'small', { colour: 'quiet' }),
  display: style('Display', 'heading', { step: 6, lineHeight: 1.02, letterSpacing: -0.02 }),
  kicker: style('Kicker', 'control', { step: -1, case: 'uppercase', letterSpacing: 0.06 }),
  'pull-quote': style('Pull quote', 'quote', { step: 3, lineHeight: 1.25 }),
  list: style('List', null, { lineHeight: inLists(body.lineHeight) }),
  time: style('Time', null, { figures: 'tabular-nums' }),
  error: style('Error', 'small', { colour: 'accent', weight: 700 }),
  ...more,
});

/** Our own sets, each for a kind of site. Sizes are steps of the project's scale, faces those of its voices. */
export const STARTING_SETS: readonly StartingSet[] = [
  {
    key: 'reading',
    name: 'Reading',
    about: 'Long texts: open lines, quiet headings, italics that carry weight.',
    styles: stylesOf({
      body: { lineHeight: 1.6, wrapping: 'pretty' },
      heading: { weight: 600, lineHeight: 1.2, letterSpacing: -0.005, wrapping: 'balance' },
      levels: [4, 2, 1, 0],
      first: 1.1,
      small: { lineHeight: 1.5 },
      more: {
        lead: style('Lead', null, { step: 1, lineHeight: 1.5 }),
        quote: style('Quotation', null, { slant: 'italic', lineHeight: 1.55 }),
      },
    }),
    elements: ELEMENTS,
  },
  {
    key: 'reference',
    name: 'Reference',
    about:
      'Texts that are looked things up in: firm headings close together, tables with even figures.',
    styles: stylesOf({
      body: { lineHeight: 1.5 },
      heading: { weight: 700, lineHeight: 1.2 },
      levels: [4, 3, 2, 1],
      first: 1.1,
      more: {
        lead: style('Lead', null, { step: 1, lineHeight: 1.45 }),
        table: style('Table', 'small', { figures: 'lining-nums tabular-nums' }),
        'table-heading': style('Table heading', 'table', { weight: 700 }),
      },
    }),
    elements: ELEMENTS,
  },
  {
    key: 'shop',
    name: 'Shop',
    about: 'Things with a price: strong names, prices in even figures, buttons that stand out.',
    styles: stylesOf({
      body: { lineHeight: 1.5 },
      heading: { weight: 700, lineHeight: 1.15, letterSpacing: -0.01, wrapping: 'balance' },
      levels: [5, 3, 1, 0],
      first: 1.05,
      control: { weight: 700, lineHeight: 1.25 },
      more: {
        // What a button says is heavier than what stands beside a field.
        label: style('Label', 'control', { step: -1, weight: 600 }),
        price: style('Price', null, {
          voice: 'heading',
          weight: 600,
          step: 1,
          figures: 'lining-nums tabular-nums',
        }),
      },
    }),
    elements: {
      ...ELEMENTS,
      price: { name: 'Price', selectors: ['.price'], style: 'price' },
    },
  },
  {
    key: 'product',
    name: 'Product',
    about: 'Forms and views that are worked in: small steps between levels, labels that lead.',
    styles: stylesOf({
      body: { lineHeight: 1.45 },
      heading: { weight: 600, lineHeight: 1.25 },
      levels: [3, 2, 1, 0],
      first: 1.15,
      small: { lineHeight: 1.4 },
      more: {
        lead: style('Lead', null, { step: 1, lineHeight: 1.35 }),
        label: style('Label', 'control', { step: -1 }),
        table: style('Table', 'small', { figures: 'tabular-nums' }),
      },
    }),
    elements: ELEMENTS,
  },
];

/** A set's values in a project: its voices and colours, and steps that its scale has; what it has not is left out. */
function valuesIn(document: ProjectDocument, set: PropertyValues): PropertyValues {
  const seats = pairSeatsOf(document);
  const steps = stepNumbers(document.scale);
  const nearest = (wanted: number): number =>
    steps.reduce((best, one) => (Math.abs(one - wanted) < Math.abs(best - wanted) ? one : best));
  const values = Object.entries(set).flatMap(([name, value]): [string, string | number][] => {
    const { values: takes } = PROPERTIES[name as PropertyName];
    if (takes.kind === 'step') return [[name, nearest(Number(value))]];
    if (takes.kind !== 'key') return [[name, value]];
    const named = { heading: seats?.heading, text: seats?.text }[String(value)] ?? String(value);
    return Object.hasOwn(document[takes.of], named) ? [[name, named]] : [];
  });
  return Object.fromEntries(values) as PropertyValues;
}

/**
 * Puts a starting set over a project, in its present voices and scale: its styles take the place of those of
 * the same key, text elements that the project lacks are added, and all else stays.
 */
export function startingSetPatch(
  document: ProjectDocument,
  { styles, elements }: StartingSet,
): Patch {
  const claimed = new Set(Object.values(document.elements).flatMap(({ selectors }) => selectors));
  const put = Object.entries(styles).map(([key, { name, follows, set }]): Patch[number] => {
    const before = document.styles[key];
    const value = { ...before, name: before?.name ?? name, follows, set: valuesIn(document, set) };
    return { op: 'add', path: `/styles/${key}`, value };
  });
  const added = Object.entries(elements).flatMap(([key, element]): Patch => {
    const isThere =
      Object.hasOwn(document.elements, key) || element.selectors.some((one) => claimed.has(one));
    const value = { ...element, parent: element.parent ?? null };
    return isThere ? [] : [{ op: 'add', path: `/elements/${key}`, value }];
  });
  return [...put, ...added];
}
