import {
  DOCUMENT_FORMAT,
  type ProjectDocument,
  type TextElement,
  type TextStyle,
} from './projectDocument';

type Styles = Record<string, TextStyle>;
type Elements = Record<string, TextElement>;

const style = (name: string, follows: string | null, set: TextStyle['set']): TextStyle => ({
  name,
  follows,
  set,
});

/** The styles a project starts with: body once, headings once, the rest following. */
const styles = (): Styles => ({
  body: style('Body', null, {
    voice: 'text',
    weight: 400,
    slant: 'normal',
    step: 0,
    lineHeight: 1.55,
    letterSpacing: 0,
    case: 'none',
    colour: 'ink',
  }),
  heading: style('Heading', null, {
    voice: 'heading',
    weight: 700,
    slant: 'normal',
    lineHeight: 1.2,
    letterSpacing: 0,
    colour: 'ink',
  }),
  'heading-1': style('Heading 1', 'heading', { step: 5, lineHeight: 1.08 }),
  'heading-2': style('Heading 2', 'heading', { step: 3 }),
  'heading-3': style('Heading 3', 'heading', { step: 2 }),
  'heading-4': style('Heading 4', 'heading', { step: 1 }),
  title: style('Site title', 'heading', { step: 1, lineHeight: 1.1 }),
  lead: style('Lead', null, { step: 1, lineHeight: 1.45 }),
  quote: style('Quotation', null, { step: 1, slant: 'italic' }),
  small: style('Small text', null, { step: -1, lineHeight: 1.45 }),
  caption: style('Caption', 'small', { colour: 'quiet' }),
  control: style('Control', null, { voice: 'heading', weight: 600, step: 0, lineHeight: 1.3 }),
  navigation: style('Navigation', 'control', { weight: 500 }),
  label: style('Label', 'control', { step: -1 }),
  table: style('Table', 'small', { figures: 'tabular-nums' }),
  'table-heading': style('Table heading', 'table', { weight: 700 }),
  emphasis: style('Emphasis', null, { slant: 'italic' }),
  strong: style('Strong', null, { weight: 700 }),
  link: style('Link', null, { colour: 'accent' }),
  code: style('Code', null, { voice: 'code', step: -1 }),
});

const element = (
  name: string,
  selectors: string[],
  styleKey: string,
  parent: string | null = null,
): TextElement => ({ name, selectors, style: styleKey, parent });

/**
 * The kinds of text a project starts with. Rules have no specificity, so where two match the same
 * element, the later one here has its way.
 */
const elements = (): Elements => ({
  body: element('Body', ['body'], 'body'),
  lead: element('Lead', ['.lead'], 'lead'),
  quote: element('Quotation', ['blockquote'], 'quote'),
  h1: element('Heading 1', ['h1'], 'heading-1'),
  h2: element('Heading 2', ['h2'], 'heading-2'),
  h3: element('Heading 3', ['h3'], 'heading-3'),
  h4: element('Heading 4', ['h4', 'h5', 'h6'], 'heading-4'),
  title: element('Site title', ['.site-title'], 'title'),
  navigation: element('Navigation', ['nav'], 'navigation'),
  table: element('Table', ['table'], 'table'),
  'table-heading': element('Table heading', ['th'], 'table-heading', 'table'),
  caption: element('Caption', ['figcaption', 'caption'], 'caption'),
  small: element('Small text', ['small', 'footer'], 'small'),
  label: element('Label', ['label', 'legend'], 'label'),
  field: element('Field', ['input', 'select', 'textarea'], 'body'),
  button: element('Button', ['button', '.button'], 'control'),
  code: element('Code', ['code', 'pre', 'kbd', 'samp'], 'code'),
  'code-block': element('Code in a block', ['pre code'], 'code', 'code'),
  emphasis: element('Emphasis', ['em', 'i', 'cite'], 'emphasis'),
  strong: element('Strong', ['strong', 'b'], 'strong'),
  link: element('Link', ['a:not(.button):not(nav a):not(.site-title)'], 'link'),
});

/** Parts with their places, in the order in which they are written. */
const inPlaces = <P extends object>(
  parts: Record<string, P>,
): Record<string, P & { place: number }> =>
  Object.fromEntries(
    Object.entries(parts).map(([key, part], i) => [key, { ...part, place: i + 1 }]),
  );

/** The document of a new project: everything a site needs, with every seat still empty. */
export function newDocument(name: string): ProjectDocument {
  return {
    format: DOCUMENT_FORMAT,
    name,
    languages: ['en'],
    words: name,
    case: {},
    voices: inPlaces({
      heading: { name: 'Heading', family: null, generic: 'sans-serif', fallback: null },
      text: { name: 'Text', family: null, generic: 'serif', fallback: null },
      code: { name: 'Code', family: null, generic: 'monospace', fallback: null },
    }),
    scale: {
      small: { width: 360, base: 16, ratio: 1.2 },
      large: { width: 1280, base: 18, ratio: 1.25 },
      down: 2,
      up: 6,
      rounding: 'none',
      overrides: {},
    },
    colours: inPlaces({
      ink: { name: 'Ink', light: '#16202a', dark: '#e8edf0' },
      quiet: { name: 'Quiet', light: '#52606b', dark: '#a5b2bb' },
      accent: { name: 'Accent', light: '#8a3324', dark: '#f0a48f' },
      ground: { name: 'Ground', light: '#ffffff', dark: '#11181d' },
    }),
    styles: inPlaces(styles()),
    elements: inPlaces(elements()),
    delivery: { layer: 'lettera', display: 'swap', dark: false },
  };
}
