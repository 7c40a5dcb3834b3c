import { valuesAt, type ProjectDocument } from '@lettera/core/document';
import { documentAt, occasionsUsed } from '@lettera/core/style';

/** States that a pointer, a key or a visit brings about, which a page is looked at in. Selectors 4 §8, §9, §13. */
export const STATES = [
  'hover',
  'focus-visible',
  'focus-within',
  'focus',
  'active',
  'visited',
  'disabled',
  'user-invalid',
  'invalid',
] as const;
export type State = (typeof STATES)[number];

const MARK = 'data-lettera-state';
const PSEUDO = new RegExp(`:(${STATES.join('|')})(?![\\w-])`, 'g');

/** A selector that meets what is marked as in a state, of the same weight. */
const marked = (selector: string): string =>
  selector.replace(PSEUDO, (_all, state: string) => `[${MARK}~="${state}"]`);

const isGroup = (rule: CSSRule): rule is CSSGroupingRule => 'cssRules' in rule;

function* styleRulesOf(list: CSSRuleList): Generator<CSSStyleRule> {
  for (const rule of list) {
    if ('selectorText' in rule) yield rule as CSSStyleRule;
    const { styleSheet } = rule as Partial<CSSImportRule>;
    if (styleSheet) yield* styleRulesOf(styleSheet.cssRules);
    if (isGroup(rule)) yield* styleRulesOf(rule.cssRules);
  }
}

/** A selector for an element whatever its state is. */
export const withoutStates = (selector: string): string => selector.replace(PSEUDO, '');

/** Whether a selector is one that was added here. */
export const isMarked = (selector: string): boolean => selector.includes(MARK);

/** The style sheet of Lettera's on a page: where the page has it linked, or is delivered it. */
const OURS = '#lettera-start, #delivered';

/** Every style rule of a page; of its own style sheets alone where that is asked for. */
export function* rulesOfSheets(page: Document, { ofSite = false } = {}): Generator<CSSStyleRule> {
  for (const sheet of [...page.styleSheets, ...page.adoptedStyleSheets]) {
    const owner = sheet.ownerNode as Element | null;
    if (!ofSite || !owner?.matches(OURS)) yield* styleRulesOf(sheet.cssRules);
  }
}

/**
 * Makes the rules of a page for such states meet what is marked as well: no script can bring them about.
 * @returns the states that it has rules for
 */
export function makeForceable(page: Document): Set<State> {
  const found = new Set<State>();
  for (const rule of rulesOfSheets(page)) {
    const { selectorText } = rule;
    const states = [...selectorText.matchAll(PSEUDO)].map(([, state]) => state as State);
    if (states.length === 0) continue;
    for (const state of states) found.add(state);
    if (!selectorText.includes(MARK))
      rule.selectorText = `${selectorText}, ${marked(selectorText)}`;
  }
  return found;
}

/** States that others come with. */
const WITH: Partial<Record<State, string>> = {
  'focus-visible': 'focus focus-visible',
  active: 'hover active',
  'user-invalid': 'invalid user-invalid',
};

/** The states that the occasions of a project are, by the key of the occasion. */
const OF_OCCASIONS: Readonly<Record<string, State>> = {
  visited: 'visited',
  hover: 'hover',
  focus: 'focus-visible',
  active: 'active',
  invalid: 'user-invalid',
  disabled: 'disabled',
};

/** The state that an occasion is; null for what is none, or none that can be forced. */
export const stateOf = (occasion: string): State | null =>
  Object.hasOwn(OF_OCCASIONS, occasion) ? (OF_OCCASIONS[occasion] ?? null) : null;

/** The project as it is in a state of its texts. */
export function documentIn(document: ProjectDocument, state: State | null): ProjectDocument {
  if (state === null) return document;
  const forced = (WITH[state] ?? state).split(' ');
  return Object.entries(OF_OCCASIONS)
    .filter(([, one]) => forced.includes(one))
    .reduce((at, [key]) => documentAt(at, valuesAt(key)), document);
}

/** States that a project has rules for. */
export const statesSet = (document: ProjectDocument): State[] =>
  occasionsUsed(document).flatMap((key) => stateOf(key) ?? []);

/**
 * Marks what is on a page as in a state; null for at rest.
 * @param nodes what is marked; everything when left out
 */
export function forceState(
  page: Document,
  state: State | null,
  nodes: Iterable<Element> = [page.documentElement, ...page.documentElement.querySelectorAll('*')],
): void {
  for (const node of nodes) {
    if (state) node.setAttribute(MARK, WITH[state] ?? state);
    else node.removeAttribute(MARK);
  }
}

/** A project whose text elements claim by such marks what they claim in a state. */
export const claimingMarked = (document: ProjectDocument): ProjectDocument => ({
  ...document,
  elements: Object.fromEntries(
    Object.entries(document.elements).map(([key, element]) => [
      key,
      { ...element, selectors: element.selectors.map(marked) },
    ]),
  ),
});

/** Names by which sites turn dark: an attribute of the root, or a class. */
const BY_ATTRIBUTE = /\[(data-[\w-]*(?:theme|mode|scheme)[\w-]*)[~|^$*]?=["']?(dark)["']?\]/;
const BY_CLASS = /(?:^|[\s,(])(?:html|:root|body)?\.(dark|dark-mode|theme-dark)(?![\w-])/;

/** How a page is turned dark, where its own style sheets know a name for that; null where they ask the browser alone. */
export function darkSwitch(page: Document): { attribute: string; value: string } | null {
  for (const { selectorText } of rulesOfSheets(page, { ofSite: true })) {
    const [, attribute, value] = BY_ATTRIBUTE.exec(selectorText) ?? [];
    if (attribute && value) return { attribute, value };
    const [, name] = BY_CLASS.exec(selectorText) ?? [];
    if (name) return { attribute: 'class', value: name };
  }
  return null;
}

/** Turns a page dark by the name that its own style sheets know. @returns what turns it back */
export function turnDark(page: Document): () => void {
  const by = darkSwitch(page);
  if (!by) return () => undefined;
  const { documentElement: root } = page;
  const before = root.getAttribute(by.attribute);
  if (by.attribute === 'class') root.classList.add(by.value);
  else root.setAttribute(by.attribute, by.value);
  return () => {
    if (before === null) root.removeAttribute(by.attribute);
    else root.setAttribute(by.attribute, before);
  };
}
