import parse from 'css-tree/selector-parser';
import type { CssNode } from 'css-tree';

/** Ids; classes, attributes and pseudo-classes; types and pseudo-elements. Selectors 4 §17. */
export type Specificity = readonly [ids: number, classes: number, types: number];

const NONE: Specificity = [0, 0, 0];

export const compareSpecificity = (a: Specificity, b: Specificity): number =>
  a[0] - b[0] || a[1] - b[1] || a[2] - b[2];

const sum = (all: readonly Specificity[]): Specificity =>
  all.reduce((total, one) => [total[0] + one[0], total[1] + one[1], total[2] + one[2]], NONE);

const highest = (all: readonly Specificity[]): Specificity =>
  all.reduce((most, one) => (compareSpecificity(one, most) > 0 ? one : most), NONE);

const childrenOf = (node: CssNode): CssNode[] =>
  'children' in node && node.children ? [...node.children] : [];

/** Pseudo-elements that are written as pseudo-classes. */
const LEGACY = /^(before|after|first-line|first-letter)$/;
/** Pseudo-classes that count as the most specific selector in them. */
const AS_ARGUMENT = /^(is|not|has|matches|-webkit-any|-moz-any)$/;
const WITH_ARGUMENT = /^(nth-child|nth-last-child|host|host-context)$/;

const inLists = (node: CssNode): Specificity =>
  highest(
    childrenOf(node).flatMap((child) =>
      child.type === 'SelectorList'
        ? childrenOf(child).map(ofNode)
        : child.type === 'Selector'
          ? [ofNode(child)]
          : child.type === 'Nth' && child.selector
            ? childrenOf(child.selector).map(ofNode)
            : [],
    ),
  );

function ofNode(node: CssNode): Specificity {
  switch (node.type) {
    case 'Selector':
      return sum(childrenOf(node).map(ofNode));
    case 'IdSelector':
      return [1, 0, 0];
    case 'ClassSelector':
    case 'AttributeSelector':
      return [0, 1, 0];
    case 'TypeSelector':
      return node.name.endsWith('*') ? NONE : [0, 0, 1];
    case 'PseudoElementSelector':
      return [0, 0, 1];
    case 'PseudoClassSelector': {
      const name = node.name.toLowerCase();
      if (name === 'where') return NONE;
      if (AS_ARGUMENT.test(name)) return inLists(node);
      if (LEGACY.test(name)) return [0, 0, 1];
      return WITH_ARGUMENT.test(name) ? sum([[0, 1, 0], inLists(node)]) : [0, 1, 0];
    }
    default:
      return NONE;
  }
}

/** The specificity of one complex selector; nothing for what is none. */
export function specificityOf(selector: string): Specificity {
  try {
    return highest(childrenOf(parse(selector, { context: 'selectorList' })).map(ofNode));
  } catch {
    return NONE;
  }
}
