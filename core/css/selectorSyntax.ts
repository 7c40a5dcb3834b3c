import type { CssNode } from 'css-tree';

/**
 * Whether a selector that was parsed is one that browsers take. The parser takes more than they do, and what one of
 * them does not know takes the whole rule away where several selectors stand in one. Selectors 4.
 */

const childrenOf = (node: CssNode): CssNode[] =>
  'children' in node && node.children ? [...node.children] : [];

/** Pseudo-classes without arguments that browsers of today know, all three engines. Selectors 4, HTML §4.16.3. */
const PLAIN = new Set(
  'active any-link autofill checked default defined disabled empty enabled first-child first-of-type focus focus-visible focus-within fullscreen hover in-range indeterminate invalid last-child last-of-type link modal only-child only-of-type optional out-of-range placeholder-shown popover-open read-only read-write required root scope target user-invalid user-valid valid visited'.split(
    ' ',
  ),
);
/** Pseudo-elements that are written as pseudo-classes: whether one may stand there is reported in words of its own. */
export const LEGACY_PSEUDO_ELEMENTS = /^(before|after|first-line|first-letter)$/i;
/** Those that take one word; of several languages not every engine knows. */
const OF_ONE_WORD = new Set(['lang', 'dir']);
/** Those that take a list of selectors, and those that take a place among siblings. */
const OF_SELECTORS = new Set(['is', 'where', 'not', 'has']);
const OF_PLACES = new Set(['nth-child', 'nth-last-child', 'nth-of-type', 'nth-last-of-type']);

const COMBINATORS = new Set([' ', '>', '+', '~']);

/** An identifier may not begin like a number. CSS Syntax 3 §4.3.9. */
const isIdentifier = (name: string): boolean => !/^(-?[0-9]|-?$)/.test(name);
/** A name without a namespace, of which a style sheet declares none here; any, or none, can be said. */
const isUnprefixed = (name: string): boolean =>
  isIdentifier(name.replace(/^\*?\|/, '')) && !/[^*]\|/.test(name);

function isAttribute(node: Extract<CssNode, { type: 'AttributeSelector' }>): boolean {
  const { name, matcher, value, flags } = node;
  const operator = matcher === null || /^[~|^$*]?=$/.test(matcher);
  const flag = flags === null || (/^[is]$/i.test(flags) && value !== null);
  return isUnprefixed(name.name) && name.name !== '*' && operator && flag;
}

function isPlace(parts: readonly CssNode[], name: string): boolean {
  const [place, ...more] = parts;
  if (place?.type !== 'Nth' || more.length > 0) return false;
  if (place.nth.type === 'Identifier' && !/^(even|odd)$/i.test(place.nth.name)) return false;
  if (!place.selector) return true;
  return name.endsWith('-child') && childrenOf(place.selector).every((one) => isSelector(one));
}

interface Within {
  /** Whether it may begin with a combinator: in `:has()`. */
  relative?: boolean;
  /** Whether it stands in `:has()`, which holds no other. */
  inHas?: boolean;
}

function isPseudoClass(
  node: Extract<CssNode, { type: 'PseudoClassSelector' }>,
  { inHas = false }: Within,
): boolean {
  const name = node.name.toLowerCase();
  // `:hover()` has arguments, none of them.
  if (!node.children) return PLAIN.has(name) || LEGACY_PSEUDO_ELEMENTS.test(name);
  const parts = childrenOf(node);
  if (OF_PLACES.has(name)) return isPlace(parts, name);
  if (OF_ONE_WORD.has(name)) {
    const [word, ...more] = parts;
    return word?.type === 'Identifier' && more.length === 0;
  }
  if (!OF_SELECTORS.has(name) || (name === 'has' && inHas)) return false;
  const [list, ...more] = parts;
  if (list?.type !== 'SelectorList' || more.length > 0) return false;
  const within = { inHas: inHas || name === 'has' };
  return childrenOf(list).every((one) => isSelector(one, { ...within, relative: name === 'has' }));
}

function isSimple(node: CssNode, isFirst: boolean, within: Within): boolean {
  switch (node.type) {
    case 'TypeSelector':
      // A type stands first in its compound: `[x]p` is none. `--a:hover {` would be read as a declaration.
      return isFirst && isUnprefixed(node.name) && !node.name.startsWith('--');
    case 'ClassSelector':
      return true;
    case 'IdSelector':
      return isIdentifier(node.name);
    case 'AttributeSelector':
      return isAttribute(node);
    case 'PseudoClassSelector':
      return isPseudoClass(node, within);
    case 'PseudoElementSelector':
      return true;
    default:
      return false;
  }
}

/** Whether a parsed complex selector is one that browsers take. */
export function isSelector(selector: CssNode, within: Within = {}): boolean {
  const parts = childrenOf(selector);
  if (parts.length === 0) return false;
  return parts.every((part, i) => {
    const before = parts[i - 1];
    const isFirst = before === undefined || before.type === 'Combinator';
    if (part.type !== 'Combinator') return isSimple(part, isFirst, within);
    const begins = before === undefined && within.relative === true && part.name !== ' ';
    return COMBINATORS.has(part.name) && i < parts.length - 1 && (begins || !isFirst);
  });
}
