import type { Pieces } from './pieces';

/** What is known of an element of a page, without the page. */
export interface Seen<Node> {
  node: Node;
  /** In small letters. */
  tag: string;
  classes: readonly string[];
  role: string | null;
  /** The nearest part of a page that it stands in: `header`, `nav`, `main`, `aside`, `footer`; null for none. */
  place: string | null;
  /** What the page says that its text is in; undefined where it does not. HTML §3.2.6.2. */
  language?: string | undefined;
  text: string;
}

/** Texts of a page that are one kind of text, and that no text element claims. */
export interface UnclaimedKind<Node> {
  tag: string;
  classes: readonly string[];
  place: string | null;
  nodes: Node[];
  /** Text of one of them, to be shown. */
  specimen: string;
  /** What it may be called. */
  name: string;
  /** A selector that meets just these, as short as can be; null where none of a few words does. */
  selector: string | null;
}

const LONGEST_SPECIMEN = 80;
/** A word is cut at the last space before that. */
const cut = (text: string): string => {
  const plain = text.replace(/\s+/g, ' ').trim();
  if (plain.length <= LONGEST_SPECIMEN) return plain;
  const space = plain.lastIndexOf(' ', LONGEST_SPECIMEN);
  return plain.slice(0, space > 0 ? space : LONGEST_SPECIMEN);
};

/** Classes that say where something stands or what state it is in, and not what it is. */
const STATE =
  /^(js-|is-|has-|(active|open|current|selected|first|last|odd|even)$)|\d{3,}|[\w-]{24,}/;
/** What a program has made up: letters and figures mixed. */
const MADE_UP = /(^|[-_])(?=[a-z]*\d)(?=\d*[a-z])[a-z\d]{6,}$/i;
/**
 * Classes that say a distance, a colour or a place, by the names that such classes usually have: what they stand on
 * has nothing else in common, and may stand on any text.
 */
const DISTANCE =
  /^-?([mp][trblxyse]?|g[xy]?|gap|gap-[xy]|space-[xy]|[wh]|min-[wh]|max-[wh]|inset(-[xy])?|top|left|right|bottom|start|end|z|col|cols|row|rows|order|offset|col-span|row-span|basis|size|leading|tracking)-([a-z]{2,3}-)?(auto|full|px|screen|min|max|fit|none|-?\d[\w./]*|\[.*\])$/;
const COLOUR =
  /^(text|bg|border|fill|stroke|ring|link|decoration|accent|caret|outline|divide|placeholder|from|to|via)-(primary|secondary|success|danger|warning|info|light|dark|white|black|body|muted|current|transparent|inherit|[a-z]+-\d{2,3}|\[.*\])(-(subtle|emphasis|\d+))?$/;
const PLACE =
  /^(float|position|align|justify|items|self|content|place|object|overflow|d|flex|grid|text)-(start|end|left|right|center|centre|between|around|evenly|stretch|baseline|middle|top|bottom|block|inline|inline-block|flex|inline-flex|grid|none|row|column|col|wrap|nowrap|grow|shrink|auto|hidden|visible|scroll|justify|truncate|static|relative|absolute|fixed|sticky)([-\d].*)?$|^(block|inline|inline-block|flex|inline-flex|grid|hidden|visible|invisible|static|relative|absolute|fixed|sticky|clearfix|container|row|col|truncate|mx-auto)$/;
const isUtility = (name: string): boolean => {
  // Before a colon stands when it holds: `md:mt-2`.
  const plain = name.replace(/^.*:/, '');
  return DISTANCE.test(plain) || COLOUR.test(plain) || PLACE.test(plain);
};
const saysKind = (name: string): boolean =>
  !STATE.test(name) && !MADE_UP.test(name) && !isUtility(name);

const escaped = (name: string): string =>
  name.replace(/^(-?)(\d)/, '$1\\3$2 ').replace(/[^\w\u0080-\uffff\\ -]/g, '\\$&');

/** Selectors that may meet just some elements, the shortest first. */
function* candidates<Node>({ tag, classes, role, place }: Seen<Node>): Generator<string> {
  const own = classes.filter(saysKind).map((name) => `.${escaped(name)}`);
  yield* own;
  yield tag;
  for (const one of own) yield tag + one;
  for (const one of own) for (const other of own) if (one < other) yield one + other;
  if (role) yield `[role="${role}"]`;
  if (place) {
    for (const one of own) yield `${place} ${one}`;
    yield `${place} ${tag}`;
    for (const one of own) yield `${place} ${tag}${one}`;
  }
  if (own.length === 0) yield `${tag}:not([class])`;
  if (own.length === 0 && place) yield `${place} ${tag}:not([class])`;
  if (own.length > 2) yield own.join('');
  // Only where nothing else tells them apart.
  for (const one of classes.filter(isUtility)) yield `${tag}.${escaped(one)}`;
}

const KINDS: Readonly<Record<string, string>> = {
  p: 'Paragraph',
  span: 'Text',
  div: 'Text',
  li: 'List item',
  td: 'Table cell',
  th: 'Table head',
  a: 'Link',
  button: 'Button',
  label: 'Label',
  time: 'Time',
  dt: 'Term',
  dd: 'Description',
  legend: 'Legend',
  summary: 'Summary',
  address: 'Address',
  figcaption: 'Caption',
};

function nameOf<Node>({ tag, classes, place }: Seen<Node>): string {
  const [word] = classes.filter((name) => saysKind(name) && /^[a-z]/i.test(name));
  const kind = word ? word.replace(/[-_:]+/g, ' ').trim() : (KINDS[tag] ?? tag);
  const name = kind.charAt(0).toUpperCase() + kind.slice(1);
  return place && !word ? `${name} in ${place}` : name;
}

function firstOf<T>(all: Iterable<T>, holds: (one: T) => boolean): T | null {
  for (const one of all) if (holds(one)) return one;
  return null;
}

/** What makes texts one kind. */
function kindOf<Node>({ tag, classes, role, place }: Seen<Node>): string {
  return JSON.stringify([tag, classes.filter(saysKind).sort(), role, place]);
}

/**
 * Gathers texts that no text element claims by what they are: tag, classes, role and place. For each a
 * selector is proposed that meets just those texts, and on other pages nothing but texts of their kind. Kind by
 * kind, since a page may have many.
 *
 * @param meets every element of the page that a selector meets
 * @param elsewhere what a selector meets on the site's other pages
 * @returns the kinds, first those with most texts
 */
export function* unclaimedKinds<Node>(
  texts: readonly Seen<Node>[],
  meets: (selector: string) => Iterable<Node>,
  elsewhere: (selector: string) => readonly Seen<unknown>[] = () => [],
): Pieces<UnclaimedKind<Node>[]> {
  const kinds = new Map<string, Seen<Node>[]>();
  for (const one of texts) {
    const key = kindOf(one);
    const known = kinds.get(key);
    if (known) known.push(one);
    else kinds.set(key, [one]);
  }
  const found: UnclaimedKind<Node>[] = [];
  for (const [kind, all] of kinds) {
    const [first] = all;
    if (!first) continue;
    const wanted = new Set(all.map(({ node }) => node));
    const justThese = (selector: string): boolean => {
      const met = new Set(meets(selector));
      return (
        met.size === wanted.size &&
        [...met].every((node) => wanted.has(node)) &&
        elsewhere(selector).every((one) => kindOf(one) === kind)
      );
    };
    const selector = firstOf(candidates(first), justThese);
    yield;
    const { tag, classes, place } = first;
    const specimen = cut(all.map(({ text }) => text).sort((a, b) => b.length - a.length)[0] ?? '');
    found.push({
      tag,
      classes,
      place,
      nodes: [...wanted],
      specimen,
      name: nameOf(first),
      selector,
    });
  }
  return found.sort((a, b) => b.nodes.length - a.nodes.length);
}
