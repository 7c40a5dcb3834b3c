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
    lineHeight: 1.2,
    letterSpacing: 0,
  }),
  'heading-1': style('Heading 1', 'heading', { step: 5, lineHeight: 1.08 }),
  'heading-2': style('Heading 2', 'heading', { step: 3 }),
  'heading-3': style('Heading 3', 'heading', { step: 2 }),
  'heading-4': style('Heading 4', 'heading', { step: 1 }),
  display: style('Display', 'heading', { step: 6, lineHeight: 1.02, letterSpacing: -0.02 }),
  title: style('Site title', 'heading', { step: 1, lineHeight: 1.1 }),
  lead: style('Lead', null, { step: 1, lineHeight: 1.45 }),
  list: style('List', null, { lineHeight: 1.5 }),
  quote: style('Quotation', null, { step: 1, slant: 'italic' }),
  'pull-quote': style('Pull quote', 'quote', { step: 3, lineHeight: 1.25 }),
  large: style('Large text', null, { step: 1 }),
  small: style('Small text', null, { step: -1, lineHeight: 1.45 }),
  caption: style('Caption', 'small', { colour: 'quiet' }),
  error: style('Error', 'small', { colour: 'accent', weight: 700 }),
  table: style('Table', 'small', { figures: 'tabular-nums' }),
  'table-heading': style('Table heading', 'table', { weight: 700 }),
  figures: style('Figures in tables', 'table', { alignment: 'end' }),
  control: style('Control', null, { voice: 'heading', weight: 600, lineHeight: 1.3 }),
  'control-small': style('Small button', 'control', { step: -1, lineHeight: 1.25 }),
  'control-large': style('Large button', 'control', { step: 1, lineHeight: 1.2 }),
  navigation: style('Navigation', 'control', { weight: 500 }),
  label: style('Label', 'control', { step: -1 }),
  kicker: style('Kicker', 'control', { step: -1, case: 'uppercase', letterSpacing: 0.06 }),
  emphasis: style('Emphasis', null, { slant: 'italic' }),
  strong: style('Strong', null, { weight: 700 }),
  link: {
    ...style('Link', null, { colour: 'accent', decoration: 'underline' }),
    at: {
      visited: { colour: 'quiet' },
      hover: { decoration: 'none' },
      focus: { decoration: 'none' },
    },
  },
  time: style('Time', null, { figures: 'tabular-nums' }),
  code: style('Code', null, { voice: 'code', step: -1 }),
  keyboard: style('Keyboard', 'code', { weight: 700 }),
  rule: style('Rule line', null, {
    lineThickness: '1px',
    lineKind: 'solid',
    lineColour: 'quiet',
  }),
});

const element = (
  name: string,
  selectors: string[],
  styleKey: string,
  parent: string | null = null,
): TextElement => ({ name, selectors, style: styleKey, parent });

/** Links in text, and not those that look like something else. */
const LINK = 'a:not(.button):not(nav a):not(.site-title)';

/** Elements that do not stand in another. */
const outside = (other: string, ...names: string[]): string[] =>
  names.map((name) => `${name}:not(${other} ${name})`);

/**
 * The kinds of text a project starts with. Rules have no specificity, so where two match the same
 * element, the later one here wins.
 */
const elements = (): Elements => ({
  body: element('Body', ['body'], 'body'),
  lead: element('Lead', ['.lead'], 'lead'),
  list: element('List', outside('nav', 'ul', 'ol'), 'list'),
  quote: element('Quotation', ['blockquote'], 'quote'),
  'pull-quote': element('Pull quote', ['.pull-quote'], 'pull-quote'),
  h1: element('Heading 1', ['h1'], 'heading-1'),
  h2: element('Heading 2', ['h2'], 'heading-2'),
  h3: element('Heading 3', ['h3'], 'heading-3'),
  h4: element('Heading 4', ['h4'], 'heading-4'),
  h5: element('Heading 5', ['h5'], 'heading-4'),
  h6: element('Heading 6', ['h6'], 'heading-4'),
  display: element('Display', ['.display'], 'display'),
  title: element('Site title', ['.site-title'], 'title'),
  kicker: element('Kicker', ['.kicker'], 'kicker'),
  navigation: element('Navigation', ['nav'], 'navigation'),
  table: element('Table', ['table'], 'table'),
  'table-heading': element('Table heading', ['th'], 'table-heading', 'table'),
  cell: element('Table cell', ['td'], 'table', 'table'),
  figures: element('Figures in tables', ['td.figure', 'td.number'], 'figures', 'table'),
  caption: element('Caption', ['figcaption', 'caption'], 'caption'),
  large: element('Large text', ['.text-large'], 'large'),
  small: element('Small text', ['small', '.text-small'], 'small'),
  footer: element('Footer', ['footer'], 'small'),
  label: element('Label', ['label', 'legend'], 'label'),
  field: element('Field', ['input', 'select', 'textarea'], 'body'),
  hint: element('Hint', ['.hint'], 'caption'),
  error: element('Error', ['.error', '[role="alert"]'], 'error'),
  button: element('Button', ['button', '.button'], 'control'),
  'button-small': element('Small button', ['.button-small'], 'control-small'),
  'button-large': element('Large button', ['.button-large'], 'control-large'),
  code: element('Code', ['code', 'pre', 'samp'], 'code'),
  'code-block': element('Code in a block', ['pre code'], 'code', 'code'),
  keyboard: element('Keyboard', ['kbd'], 'keyboard'),
  time: element('Time', ['time'], 'time'),
  emphasis: element('Emphasis', ['em', 'i', 'cite'], 'emphasis'),
  strong: element('Strong', ['strong', 'b'], 'strong'),
  link: element('Link', [LINK], 'link'),
  rule: element('Rule line', ['hr'], 'rule'),
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
      'on-accent': { name: 'On accent', light: '#ffffff', dark: '#11181d' },
      ground: { name: 'Background', light: '#ffffff', dark: '#11181d' },
      panel: { name: 'Panel', light: '#f0f3f4', dark: '#1b242a' },
    }),
    styles: inPlaces(styles()),
    elements: inPlaces(elements()),
    delivery: { layer: 'lettera', display: 'swap', dark: false },
  };
}
