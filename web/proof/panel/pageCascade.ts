import { projectRules } from '@lettera/core/deliver';
import {
  narrowBelowOf,
  PROPERTIES,
  PROPERTY_NAMES,
  type ProjectDocument,
} from '@lettera/core/document';
import { narrowDocument } from '@lettera/core/style';
import {
  accountOf,
  Cascade,
  typeProperty,
  type Account,
  type TypeProperty,
  type TypeRules,
} from '@lettera/core/page';
import { viewOf } from '../../reader/pageView';
import { textElementsOf } from '../../reader/textElements';

/** The properties that a project's text styles set, as CSS has them. */
export const typeOf = ({ styles }: ProjectDocument): TypeProperty[] =>
  PROPERTY_NAMES.filter(
    (name) =>
      PROPERTIES[name].whenOpen === 'inherit' ||
      Object.values(styles).some(({ set }) => set[name] !== undefined),
  ).map(typeProperty);

export const NO_RULES: TypeRules = { rules: [], layers: [], leftOut: 0 };

/** The cascade of a page that is shown, with the project's rules where they are delivered. */
export const cascadeOf = (
  document: ProjectDocument,
  page: Document,
  rules: TypeRules,
): Cascade<Element> => {
  const { innerWidth = Infinity } = page.defaultView ?? {};
  const isNarrow = innerWidth < narrowBelowOf(document);
  const at = isNarrow ? narrowDocument(document) : document;
  return new Cascade(rules, projectRules(at), viewOf(page), typeOf(document));
};

export const pageAccount = (
  document: ProjectDocument,
  page: Document,
  rules: TypeRules,
): Account<Element> =>
  accountOf(
    cascadeOf(document, page, rules),
    textElementsOf(page),
    typeOf(document),
    (node, selector) => node.matches(selector),
    document.delivery.leave,
  );
