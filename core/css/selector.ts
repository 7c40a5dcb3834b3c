import parse from 'css-tree/selector-parser';
import type { CssNode } from 'css-tree';
import { isSelector, LEGACY_PSEUDO_ELEMENTS } from './selectorSyntax';
import { isWhole, TOKEN, tokensOf, type Token } from './whole';

/**
 * Elements whose text no visitor sees, or that have none: nothing about their type can be decided. A thematic
 * break, `hr`, is a line like those of text styles, and has one.
 */
const WITHOUT_TEXT = new Set(
  'area audio base br canvas col colgroup embed head iframe img link map meta noscript object param picture script source style svg template title track video wbr'.split(
    ' ',
  ),
);

const childrenOf = (node: CssNode): CssNode[] =>
  'children' in node && node.children ? [...node.children] : [];

/** The compound that a complex selector is about: what stands behind its last combinator. */
function subjectOf(selector: CssNode): CssNode[] {
  const parts = childrenOf(selector);
  const last = parts.findLastIndex(({ type }) => type === 'Combinator');
  return parts.slice(last + 1);
}

/** Whether a combinator joins nothing. */
const isDangling = (selector: CssNode): boolean => {
  const parts = childrenOf(selector);
  return parts.some(
    ({ type }, i) =>
      type === 'Combinator' && (i === 0 || i === parts.length - 1 || parts[i + 1]?.type === type),
  );
};

/** What is wrong with one complex selector, as a sentence goes on after “must be”; null when nothing. */
function selectorFault(selector: CssNode): string | null {
  if (isDangling(selector)) return 'names nothing beside “>”, “+” or “~”';
  for (const part of subjectOf(selector)) {
    if (part.type === 'TypeSelector' && WITHOUT_TEXT.has(part.name.toLowerCase())) {
      return `names “${part.name}”, which holds no text that is seen`;
    }
    // `:is(script)` is about script as much as `script` is; `:not(script)` is not.
    if (part.type === 'PseudoClassSelector' && /^(is|where)$/i.test(part.name)) {
      const faults = childrenOf(part).flatMap(childrenOf).map(selectorFault);
      if (faults.length > 0 && faults.every(Boolean)) return faults[0] ?? null;
    }
  }
  return pseudoElementIn(selector)
    ? 'names a pseudo-element, which a rule without specificity cannot reach'
    : null;
}

function pseudoElementIn(node: CssNode): boolean {
  if (node.type === 'PseudoElementSelector') return true;
  if (node.type === 'PseudoClassSelector' && LEGACY_PSEUDO_ELEMENTS.test(node.name)) return true;
  return childrenOf(node).some(pseudoElementIn);
}

const OPENING = new Set(
  ['Function', 'LeftParenthesis', 'LeftSquareBracket'].map((name) => TOKEN[name]),
);
const CLOSING = new Set(['RightParenthesis', 'RightSquareBracket'].map((name) => TOKEN[name]));

const isBlank = ({ type }: Token): boolean =>
  type === TOKEN['WhiteSpace'] || type === TOKEN['Comment'];

/** Tokens without those at either end that say nothing. A blank that is escaped is part of a name. */
function trimmed(tokens: readonly Token[]): string {
  const first = tokens.findIndex((token) => !isBlank(token));
  const last = tokens.findLastIndex((token) => !isBlank(token));
  return first < 0
    ? ''
    : tokens
        .slice(first, last + 1)
        .map(({ text }) => text)
        .join('');
}

/** A whole piece of CSS, parted at the commas that stand in no bracket. */
function partedAtCommas(source: string): string[] {
  const parts: Token[][] = [[]];
  let depth = 0;
  for (const token of tokensOf(source)) {
    if (OPENING.has(token.type)) depth++;
    else if (CLOSING.has(token.type)) depth--;
    if (token.type === TOKEN['Comma'] && depth === 0) parts.push([]);
    else parts.at(-1)?.push(token);
  }
  return parts.map(trimmed);
}

/**
 * What is wrong with a list of selectors, as a sentence goes on after the place it stands in; null when it
 * can stand in `:where(…)` and meets text. Selectors 4 §18.
 */
export function selectorsFault(source: string): string | null {
  const notCss = 'must be CSS selectors, such as .lead or nav a';
  if (source.trim() === '' || source.includes('<') || !isWhole(tokensOf(source))) return notCss;
  let list: CssNode;
  try {
    list = parse(source, { context: 'selectorList' });
  } catch {
    return notCss;
  }
  // The parser lets a list end in a comma, which makes the whole of it no selector.
  const selectors = childrenOf(list);
  if (selectors.length !== partedAtCommas(source).length) return notCss;
  // A rule goes whole where a browser does not know one of its selectors.
  if (!selectors.every((selector) => isDangling(selector) || isSelector(selector))) return notCss;
  return selectors.map(selectorFault).reduce((first, fault) => first ?? fault, null);
}

/** A compound selector as far as an example of it can be made: `button.small#send` without its conditions. */
export interface Subject {
  /** Name of the element in small letters; null for any. */
  element: string | null;
  /** The first that is asked for; left out for any. */
  id?: string;
  classes: string[];
}

/** What the first of a list of sound selectors is about, and the elements that it stands in, outermost first. */
export function subjectsOf(source: string): Subject[] {
  const [first] = childrenOf(parse(source, { context: 'selectorList' }));
  const subjects: Subject[] = [{ element: null, classes: [] }];
  for (const part of first ? childrenOf(first) : []) {
    if (part.type === 'Combinator') {
      // A sibling does not stand around what follows it.
      if (part.name === '+' || part.name === '~') subjects.pop();
      subjects.push({ element: null, classes: [] });
    }
    const current = subjects.at(-1);
    if (!current) continue;
    if (part.type === 'TypeSelector' && part.name !== '*')
      current.element = part.name.toLowerCase();
    if (part.type === 'ClassSelector') current.classes.push(unescaped(part.name));
    if (part.type === 'IdSelector') current.id ??= unescaped(part.name);
  }
  return subjects;
}

/** An identifier without its escapes. CSS Syntax 3 §4.3.7. */
const unescaped = (name: string): string =>
  name.replace(/\\(?:([0-9a-f]{1,6})\s?|(.))/gi, (_all, hex: string | undefined, plain: string) =>
    hex ? String.fromCodePoint(Math.min(parseInt(hex, 16), 0x10ffff) || 0xfffd) : plain,
  );

/** The selectors of a list, each as it is written; as many as there are commas that part them. */
export const selectorTexts = (list: string): string[] => partedAtCommas(list).filter(Boolean);
