import { subjectsOf, type Subject } from '../css';
import { escapeHtml } from './html';

/** What an element of an example stands in, where HTML asks for more than a body around it. */
const AROUND: Record<string, readonly string[]> = {
  li: ['ul'],
  dt: ['dl'],
  dd: ['dl'],
  tr: ['table', 'tbody'],
  td: ['table', 'tbody', 'tr'],
  th: ['table', 'thead', 'tr'],
  caption: ['table'],
  figcaption: ['figure'],
  legend: ['fieldset'],
  summary: ['details'],
};

const BLOCKS = new Set(
  'address article aside blockquote caption dd details div dl dt fieldset figcaption figure footer form h1 h2 h3 h4 h5 h6 header label legend li main nav ol p pre search section summary table tbody td th thead tr ul'.split(
    ' ',
  ),
);
const INLINE = new Set(
  'a abbr b bdi cite code data del dfn em i ins kbd mark output q s samp small span strong sub sup time u var'.split(
    ' ',
  ),
);

/** Controls, which hold their text in ways of their own. All that comes in has been escaped. */
const CONTROLS: Record<string, (attributes: string, short: string, long: string) => string> = {
  button: (attributes, short) => `<button type="button"${attributes}>${short}</button>`,
  input: (attributes, short) =>
    `<input aria-label="${short}" value="${short}" size="40"${attributes}>`,
  select: (attributes, short) =>
    `<select aria-label="${short}"${attributes}><option>${short}</option></select>`,
  textarea: (attributes, short, long) =>
    `<textarea aria-label="${short}" rows="3" cols="40"${attributes}>${long}</textarea>`,
};

const classAttribute = (classes: readonly string[]): string =>
  classes.length > 0 ? ` class="${escapeHtml(classes.join(' '))}"` : '';

/** A tag of one of the elements above, never of one that a selector names beyond them. */
const tag = (name: string, classes: readonly string[], inside: string): string =>
  `<${name}${classAttribute(classes)}${name === 'a' ? ' href="#top"' : ''}>${inside}</${name}>`;

/** The element that shows a subject: its own where it is one of those above, else one that only holds text. */
const shownAs = ({ element }: Subject): string =>
  element !== null && (BLOCKS.has(element) || INLINE.has(element)) ? element : 'p';

/** What an element stands in by its selector; what must stand there anyway is left to `AROUND`. */
function inAncestors(
  ancestors: readonly Subject[],
  needed: readonly string[],
  inside: string,
): string {
  return ancestors.reduceRight((around, subject) => {
    const name = shownAs(subject);
    if (needed.includes(name) && subject.classes.length === 0) return around;
    if (INLINE.has(name)) return tag(name, subject.classes, around);
    return tag(name === 'p' || needed.length > 0 ? 'div' : name, subject.classes, around);
  }, inside);
}

/**
 * An example of a text element for a page of examples, by the first of its selectors: one line, then
 * several. Only elements from a list of our own are made, whatever selectors name.
 *
 * @param short escaped HTML, as `long` is
 */
export function example(selectors: readonly string[], short: string, long: string): string {
  const subjects = subjectsOf(selectors[0] ?? 'p');
  const subject = subjects.at(-1) ?? { element: null, classes: [] };
  const ancestors = subjects.slice(0, -1);
  const attributes = classAttribute(subject.classes);
  const { element } = subject;
  if (element !== null && Object.hasOwn(CONTROLS, element)) {
    return inAncestors(ancestors, [], CONTROLS[element]?.(attributes, short, long) ?? '');
  }
  if (element === 'body' || element === 'html') return `<p>${short}</p><p>${long}</p>`;
  const name = shownAs(subject);
  if (INLINE.has(name)) {
    const inPre = ancestors.some((ancestor) => ancestor.element === 'pre');
    const one = (text: string) => tag(name, subject.classes, text);
    if (inPre) return inAncestors(ancestors, [], one(`${short}\n${long}`));
    return inAncestors(ancestors, [], `<p>${one(short)}</p><p>${one(long)}</p>`);
  }
  const needed = Object.hasOwn(AROUND, name) ? (AROUND[name] ?? []) : [];
  const both = [short, long].map((text) => tag(name, subject.classes, text));
  const texts =
    name === 'caption' || name === 'legend' || name === 'summary' ? both.slice(0, 1) : both;
  const inside = needed.reduceRight((around, outer) => tag(outer, [], around), texts.join(''));
  return inAncestors(ancestors, needed, inside);
}
