import { selectorTexts, specificityOf, subjectsOf, type Specificity } from '../css';
import { onceFor } from '../document/once';
import type { ProjectDocument, TextElement } from '../document/projectDocument';

/** How many classes the rules weigh more that are to win over those of a site. */
export const CLASSES_OVER = 4;
/** What no page has: what is not that weighs as much as a class, or as an id. Selectors 4 §17. */
const NO_CLASS = ':not(.lettera-weight)';
const NO_ID = ':not(#lettera-weight)';

/** What is added to the weight of an element's own selectors; null where its rule has none at all. */
function addedTo(
  { delivery: { weight = 'none' } }: Pick<ProjectDocument, 'delivery'>,
  { weight: own }: Pick<TextElement, 'weight'>,
): readonly [ids: number, classes: number] | null {
  if (own) return own;
  return weight === 'none' ? null : [0, weight === 'over' ? CLASSES_OVER : 0];
}

/** The type of element that a selector is about; null for any. */
const typeOf = (selector: string): string | null => subjectsOf(selector).at(-1)?.element ?? null;

/** Whether two selectors may meet the same element, as far as the types tell that they are about. */
const mayMeet = (a: string | null, b: string | null): boolean =>
  a === null || b === null || a === b;

/**
 * What an element's rule meets: its selectors, but for texts that are left to the site's own style sheets.
 * What is taken out adds no specificity. Selectors 4 §17.
 */
export const selectorsOf = (
  { delivery: { leave } }: Pick<ProjectDocument, 'delivery'>,
  { selectors }: Pick<TextElement, 'selectors'>,
): readonly string[] => (leave?.length ? leaving(leave)(selectors) : selectors);

/**
 * What an element's rule gives its colours to: what it meets, but for texts on grounds where the site's own colours
 * stay.
 */
export const colouredBy = (
  document: Pick<ProjectDocument, 'delivery'>,
  element: Pick<TextElement, 'selectors'>,
): readonly string[] => {
  const { keepColoursOn: grounds } = document.delivery;
  const selectors = selectorsOf(document, element);
  return grounds?.length ? keeping(grounds)(selectors) : selectors;
};

/** Selectors without what stands on some grounds: read once for each. */
const keeping = onceFor((grounds: readonly string[]) => leaving(onGrounds(grounds)));

/**
 * Selectors of what stands on some grounds: what has the ground itself, and all that is in it. Of the page as a whole
 * it is the body alone, so that what is inherited from it is the site's, and what says a colour of its own has that.
 */
export const onGrounds = onceFor((grounds: readonly string[]): readonly string[] =>
  grounds
    .flatMap(selectorTexts)
    .flatMap((ground) => (ground === 'body' ? [ground] : [ground, `${ground} *`])),
);

/** Selectors without what is left alone: read once for each, as every text of a page is held to them. */
const leaving = onceFor((leave: readonly string[]) => {
  const left = leave.flatMap(selectorTexts).map((text) => ({ text, type: typeOf(text) }));
  return onceFor((selectors: readonly string[]): readonly string[] => without(selectors, left));
});

function without(
  selectors: readonly string[],
  left: readonly { text: string; type: string | null }[],
): string[] {
  return selectors.flatMap(selectorTexts).map((selector) => {
    const type = typeOf(selector);
    const out = left.filter((one) => mayMeet(one.type, type)).map(({ text }) => text);
    return out.length > 0 ? `${selector}:not(:where(${out.join(', ')}))` : selector;
  });
}

/**
 * How the selector of an element's rule is written, with the weight that the delivery has for it.
 * @param selectors what it meets, where that is not all that the element is
 */
export function weighedSelector(
  document: Pick<ProjectDocument, 'delivery'>,
  element: Pick<TextElement, 'selectors' | 'weight'>,
  selectors: readonly string[] = selectorsOf(document, element),
): string {
  const added = addedTo(document, element);
  if (added === null) return `:where(${selectors.join(', ')})`;
  const [ids, classes] = added;
  if (ids + classes === 0) return selectors.join(', ');
  const more = NO_ID.repeat(ids) + NO_CLASS.repeat(classes);
  return selectors.map((selector) => `:is(${selector})${more}`).join(', ');
}

/** What one of those selectors weighs so. */
export function ruleSpecificity(
  document: Pick<ProjectDocument, 'delivery'>,
  element: Pick<TextElement, 'weight'>,
  selector: string,
): Specificity {
  const added = addedTo(document, element);
  if (added === null) return [0, 0, 0];
  const [ids, classes, types] = specificityOf(selector);
  return [ids + added[0], classes + added[1], types];
}
