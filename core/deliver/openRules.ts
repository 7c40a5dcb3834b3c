import { selectorTexts, subjectsOf } from '../css';
import { PROPERTIES, PROPERTY_NAMES } from '../document/property';
import type { ProjectDocument, TextElement } from '../document/projectDocument';
import { setByBrowsers } from '../page/browserDefaults';
import { carries, resolveStyle, type Origin } from '../style/resolve';
import { colouredBy, selectorsOf } from '../style/ruleWeight';
import { cssRule, where, type Declaration } from './css';
import { styleProperty } from './customProperties';

/**
 * The size that text has where it stands, as it is reckoned and not as a length: custom properties are
 * inherited unreckoned, so that what refers to this one in a container takes its size from that container.
 */
export const SIZE_HERE = '--size';

export const followsContainer = ({ scale }: ProjectDocument): boolean =>
  scale.between === 'container';

/** Origins of what the project sets around a text. */
const FROM_AROUND: readonly Origin[] = ['parent', 'body'];

/**
 * The cascade layer of what is said of properties that styles leave open: it stands before all others, so that any
 * rule of the site's wins, and of the project's too.
 */
export const openLayer = ({ delivery: { layer } }: ProjectDocument): string =>
  `${layer ?? 'lettera'}.open`;

/** Whether a layer of the project's is weaker than all of the site's own. */
export const isWeakest = ({
  delivery: { linked = 'before', inheritOpen = false },
}: ProjectDocument): boolean => linked === 'before' || inheritOpen;

/** What some texts are given of properties that their styles leave open. */
export interface OpenPart {
  selectors: readonly string[];
  declarations: readonly Declaration[];
}

/** Of what an element meets the links: what a browser gives a colour without a ground that goes with it. */
const linksIn = (selectors: readonly string[]): string[] =>
  selectors.flatMap(selectorTexts).flatMap((selector) => {
    const name = subjectsOf(selector).at(-1)?.element ?? null;
    if (name === 'a') return [selector];
    return name === null ? [`${selector}:where(a)`] : [];
  });

/**
 * What an element is given of the properties that its style leaves open, where the project sets them around it and
 * browsers' own style sheets stand between: that they are inherited; a link the colour itself, since what is around
 * it may have one of the site's. Nothing where the style sheet comes after layers of the site's own: no layer of it
 * would be weaker than all of the site's.
 */
export function openParts(document: ProjectDocument, element: TextElement): OpenPart[] {
  const resolved = resolveStyle(document, element.style, element.parent);
  const isSize = ([property]: Declaration) => property === PROPERTIES.step.css;
  const isSizedHere = followsContainer(document) && !carries(resolved.step);
  const between = isWeakest(document) ? setByBrowsers(element.selectors) : new Set();
  const fromAround = PROPERTY_NAMES.filter(
    (property) => between.has(property) && FROM_AROUND.includes(resolved[property].origin),
  );
  const inherited = fromAround
    .filter((property) => property !== 'colour')
    .map((property): Declaration => [PROPERTIES[property].css, 'inherit']);
  const declarations: Declaration[] = isSizedHere
    ? [...inherited.filter((one) => !isSize(one)), [PROPERTIES.step.css, `var(${SIZE_HERE})`]]
    : inherited;
  const { source } = resolved.colour;
  const links =
    source !== null && fromAround.includes('colour') && !document.delivery.keepDarkColours
      ? linksIn(colouredBy(document, element))
      : [];
  return [
    ...(declarations.length > 0
      ? [{ selectors: selectorsOf(document, element), declarations }]
      : []),
    ...(links.length > 0 && source !== null
      ? [
          {
            selectors: links,
            declarations: [
              [PROPERTIES.colour.css, `var(${styleProperty(source, 'colour')})`],
            ] satisfies Declaration[],
          },
        ]
      : []),
  ];
}

/** What is said of properties that styles leave open, texts of which the same is said in one rule. */
export function openRules(document: ProjectDocument): string[] {
  const alike = new Map<string, { declarations: readonly Declaration[]; selectors: string[] }>();
  for (const element of Object.values(document.elements)) {
    for (const { selectors, declarations } of openParts(document, element)) {
      const id = declarations.join();
      const known = alike.get(id) ?? { declarations, selectors: [] };
      alike.set(id, known);
      known.selectors.push(...selectors);
    }
  }
  return [...alike.values()].map(({ declarations, selectors }) =>
    cssRule(where([...new Set(selectors)]), declarations),
  );
}

/** Elements that hold text and whose size browsers' own style sheets leave alone. HTML §15.3. */
const FLOW =
  'address article aside blockquote dd details dialog div dl dt fieldset figure footer form header li main nav ol p search section summary table td ul'.split(
    ' ',
  );

/**
 * A length in `cqi` that is inherited is the ancestor's, so all that may stand in a container, and has no size of
 * its own, takes the size of the text around it anew.
 */
export function containerSizes(document: ProjectDocument): string[] {
  if (!followsContainer(document)) return [];
  const { containers = [] } = document.scale;
  const inside = containers.map((selector) => `:is(${selector}) > *`);
  return [
    cssRule(where([...FLOW, ...inside]), [[PROPERTIES.step.css, `var(${SIZE_HERE}, inherit)`]]),
  ];
}
