import { projectRules } from '@lettera/core/deliver';
import { PROPERTY_NAMES, type ProjectDocument } from '@lettera/core/document';
import { documentAtWidth } from '@lettera/core/style';
import {
  accountOf,
  Cascade,
  typeProperty,
  type Account,
  type Pieces,
  type TypeProperty,
  type TypeRules,
} from '@lettera/core/page';
import { viewOf } from '../../reader/pageView';
import { textElementsOf } from '../../reader/domTree';

/** The properties that a project's text styles set, as CSS has them. */
export const typeOf = ({ styles }: ProjectDocument): TypeProperty[] =>
  PROPERTY_NAMES.filter((name) =>
    Object.values(styles).some(({ set }) => set[name] !== undefined),
  ).map(typeProperty);

export const NO_RULES: TypeRules = { rules: [], layers: [] };

/**
 * The cascade of a page that is shown, with the project's rules where they are delivered.
 * @param find what a selector meets; of the whole page when left out
 * @param keepsAll whether what does not win is kept too
 */
export const cascadeOf = (
  document: ProjectDocument,
  page: Document,
  rules: TypeRules,
  { find, keepsAll }: { find?: (selector: string) => Iterable<Element>; keepsAll?: boolean } = {},
): Pieces<Cascade<Element>> => {
  const { innerWidth = Infinity } = page.defaultView ?? {};
  const at = documentAtWidth(document, innerWidth);
  const view = viewOf(page);
  const looking = find ? { ...view, find } : view;
  return Cascade.inPieces(rules, projectRules(at), looking, typeOf(document), { keepsAll });
};

/** Who sets the text of a page that is shown. */
export function* pageAccount(
  document: ProjectDocument,
  page: Document,
  rules: TypeRules,
): Pieces<Account<Element>> {
  return yield* accountOf(
    yield* cascadeOf(document, page, rules),
    textElementsOf(page),
    typeOf(document),
    (node, selector) => node.matches(selector),
    document.delivery.leave,
  );
}
