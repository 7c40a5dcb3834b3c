import {
  defaultTreeAdapter,
  type DefaultTreeAdapterTypes as Tree,
  Parser,
  type ParserOptions,
  type TreeAdapter,
  type TreeAdapterTypeMap,
} from 'parse5';
import { SITE_LIMITS, SiteError } from './siteFile';

/** Attributes of one element at most. */
const MOST_ATTRIBUTES = 1000;

/** A tree as an adapter makes it, that ends growing: its elements are counted as they are made. */
function bounded<T extends TreeAdapterTypeMap>(adapter: TreeAdapter<T>): TreeAdapter<T> {
  let elements = 0;
  return {
    ...adapter,
    createElement(...given) {
      if (++elements > SITE_LIMITS.elements) {
        throw new SiteError(
          `It has more than ${SITE_LIMITS.elements.toLocaleString('en')} elements, which is more than a page is proofed with.`,
        );
      }
      return adapter.createElement(...given);
    },
  };
}

/** The parser of browsers, which stops where a page has more than it may: so its time is linear in the text. */
class BoundedParser<T extends TreeAdapterTypeMap> extends Parser<T> {
  override onStartTag(...[token]: Parameters<Parser<T>['onStartTag']>): void {
    if (token.attrs.length > MOST_ATTRIBUTES) {
      throw new SiteError(
        `One of its elements has more than ${MOST_ATTRIBUTES.toLocaleString('en')} attributes, which no page needs.`,
      );
    }
    super.onStartTag(token);
  }

  override onItemPush(...given: Parameters<Parser<T>['onItemPush']>): void {
    // What is pushed stands one deeper than the place that it has among the elements that are open.
    if (this.openElements.stackTop >= SITE_LIMITS.depth) {
      throw new SiteError(
        `Its elements stand more than ${SITE_LIMITS.depth} deep in one another, which no browser shows.`,
      );
    }
    super.onItemPush(...given);
  }
}

/**
 * Parses a whole page as browsers do, HTML §13.
 *
 * @param options of parse5: its adapter decides of what kind the tree is
 * @throws SiteError for one with too many elements or attributes, or whose elements stand too deep
 */
export function parseHtmlAs<T extends TreeAdapterTypeMap>(
  text: string,
  { treeAdapter, ...options }: ParserOptions<T> & { treeAdapter: TreeAdapter<T> },
): T['document'] {
  const parser = new BoundedParser<T>({ ...options, treeAdapter: bounded(treeAdapter) });
  parser.tokenizer.write(text, true);
  return parser.document;
}

/** Parses a whole page to parse5's own tree. @see parseHtmlAs */
export const parseHtml = (text: string) => parseHtmlAs(text, { treeAdapter: defaultTreeAdapter });

/** What stands in the body of a page, or of one that is given without its frame. @throws SiteError */
export const bodyOf = (text: string): Tree.ChildNode[] =>
  parseHtml(text).childNodes.flatMap((root) =>
    'childNodes' in root
      ? root.childNodes.flatMap((part) =>
          part.nodeName === 'body' && 'childNodes' in part ? part.childNodes : [],
        )
      : [],
  );
