import type { ProjectDocument } from '../document/projectDocument';
import { siteName } from '../document/familyName';
import { candidateSpread, type TunedCandidate } from '../fallback/fallbackFace';
import { localName } from '../fallback/localFonts';
import type { FallbackPlan } from '../fallback/plan';
import { cssRule, cssString, indent } from './css';
import {
  colourProperties,
  gridProperties,
  occasionProperties,
  otherNames,
  sizeProperties,
  styleProperties,
  voiceProperties,
  type CustomProperty,
} from './customProperties';
import { referencedFamilies } from './delivered';
import type { SheetPlans } from './plans';
import { changeWidth } from '../scale/sizeAt';
import { widthOf } from '../scale/words';
import { layeredRules, narrowTokens } from './elementRules';
import { changedSizes, languageTokens } from './languages';
import { otherSizes } from './occasions';
import { fallbackFaceRule, localFaceRule, servedFaceRules, woff2Source } from './fontFaces';

const comment = (text: string): string => `/* ${text} */\n`;

const sizesTitle = ({ scale }: ProjectDocument): string =>
  scale.between === 'media'
    ? `Sizes, which change at ${changeWidth(scale)} px of viewport`
    : `Sizes, from ${scale.small.width} px to ${scale.large.width} px of ${widthOf(scale)}`;

function tokens(document: ProjectDocument, fallback: FallbackPlan): string {
  const groups: [string, CustomProperty[]][] = [
    ['Voices', voiceProperties(document, fallback)],
    [sizesTitle(document), [...sizeProperties(document), ...gridProperties(document)]],
    ['Colours', colourProperties(document, 'light')],
    ['Text styles', [...styleProperties(document), ...occasionProperties(document)]],
  ];
  const body = groups
    .map(([title, properties]) => {
      const lines = properties.map(([name, value]) => `${name}: ${value};\n`).join('');
      return `${comment(title)}${lines}`;
    })
    .join('\n');
  return `:root {\n${indent(body)}}\n`;
}

const darkColours = (document: ProjectDocument): string =>
  `@media (prefers-color-scheme: dark) {\n${indent(
    cssRule(':root', colourProperties(document, 'dark')),
  )}}\n`;

/** How far words lie off, from the kind of text that goes best to the one that goes worst. */
function wordsOff(candidate: TunedCandidate): string {
  const figures = (candidateSpread(candidate) ?? []).map((ratio) => (ratio * 100).toFixed(1));
  return `±${[...new Set(figures)].join(' to ')} %`;
}

/** What the fallback faces are, and what was tuned on what. */
function fallbackTitle(document: ProjectDocument, { voices }: FallbackPlan): string {
  const families = Object.entries(voices).flatMap(([key, { tuned }]) => {
    const family = document.case[document.voices[key]?.family ?? ''];
    const over = tuned.map(
      (candidate, i) =>
        `${localName(candidate.local)} (${i === 0 ? 'words ' : ''}${wordsOff(candidate)})`,
    );
    return family && over.length > 0 ? [`${siteName(family)} over ${inWords(over)}`] : [];
  });
  const title = `Fallback faces, until the web faces arrive and where they never do: ${[...new Set(families)].join('; ')}; tuned on text of ${inWords(document.languages)} and the site’s own, words measured on other text of several kinds`;
  return title.replaceAll('*/', '* /');
}

/** Several names as a sentence has them. */
const inWords = (names: readonly string[]): string =>
  names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;

/** `lettera.css`: faces, fallback faces, tokens and element rules, in that order, as far as the delivery has them. */
export function stylesheet(document: ProjectDocument, { fallback, delivery }: SheetPlans): string {
  const { display, dark, form = 'whole' } = document.delivery;
  const names = otherNames(document);
  const title = comment(
    `Typography of ${document.name.replaceAll('*/', '* /')}, made with Lettera.`,
  );
  const rules = comment('Elements') + layeredRules(document);
  if (form === 'rules') return [title, rules].join('\n');
  const parts = [
    title,
    referencedFamilies(document)
      .map(({ stylesheet: address }) => `@import url(${cssString(address)});\n`)
      .join(''),
    comment('Web faces') +
      delivery.files
        .map((font) =>
          servedFaceRules(document, font, woff2Source(font.path), font.family.display ?? display),
        )
        .filter(Boolean)
        .join('\n'),
    ...(delivery.locals.length > 0
      ? [
          comment('Faces that show where visitors have them installed') +
            delivery.locals.map((face) => localFaceRule(face, display)).join('\n'),
        ]
      : []),
    ...(fallback.faces.length > 0
      ? [
          comment(fallbackTitle(document, fallback)) +
            fallback.faces.map((face) => fallbackFaceRule(face)).join('\n'),
        ]
      : []),
    comment('Tokens') + tokens(document, fallback),
    changedSizes(document),
    narrowTokens(document),
    otherSizes(document),
    languageTokens(document, fallback),
    ...(dark ? [darkColours(document)] : []),
    ...(names.length > 0
      ? [
          comment('Tokens by the names that the site’s own style sheets read') +
            cssRule(':root', names),
        ]
      : []),
    ...(form === 'whole' ? [rules] : []),
  ];
  return parts.filter(Boolean).join('\n');
}
