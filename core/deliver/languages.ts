import { onceFor } from '../document/once';
import type { ProjectDocument } from '../document/projectDocument';
import { narrowBelowOf } from '../document/styleValues';
import type { FallbackPlan } from '../fallback/plan';
import { changeWidth } from '../scale/sizeAt';
import { narrowDocument } from '../style/documentAt';
import { documentInLanguage, siteLanguages, type SetLanguage } from '../style/inLanguage';
import { cssRule, indent } from './css';
import { inLanguage } from './inLanguage';
import {
  changedSizeProperties,
  occasionProperties,
  sizeProperties,
  styleProperties,
  voiceProperties,
  type CustomProperty,
} from './customProperties';
import { otherSizes } from './occasions';

/**
 * The sizes that hold from one width on, where plain sizes change at one; empty where they run.
 * @param root what has them
 */
export function changedSizes(document: ProjectDocument, root = ':root'): string {
  const properties = changedSizeProperties(document);
  if (properties.length === 0) return '';
  const width = changeWidth(document.scale);
  return `@media (min-width: ${width}px) {\n${indent(cssRule(root, properties))}}\n`;
}

/** Tokens that a language can change. */
const tokensOf = (document: ProjectDocument, fallback: FallbackPlan): CustomProperty[] => [
  ...voiceProperties(document, fallback),
  ...sizeProperties(document),
  ...styleProperties(document),
  ...occasionProperties(document),
];

const differing = (
  tokens: readonly CustomProperty[],
  usual: readonly CustomProperty[],
): CustomProperty[] => {
  const known = new Map(usual);
  return tokens.filter(([name, value]) => known.get(name) !== value);
};

/** What a stack names first in a language, of families that share ideographs: those names, in another order. */
function planInLanguage(fallback: FallbackPlan, at: ProjectDocument): FallbackPlan {
  const voices = Object.fromEntries(
    Object.entries(fallback.voices).map(([key, voice]) => {
      const order = Object.keys(at.voices[key]?.scripts ?? {});
      const rank = (script: string) => order.indexOf(script);
      const scripts = voice.scripts.toSorted((a, b) => rank(a.script.key) - rank(b.script.key));
      return [key, { ...voice, scripts }];
    }),
  );
  return { ...fallback, voices };
}

/** A language that some tokens are others in, and those that are. */
interface DifferingLanguage {
  language: SetLanguage;
  at: ProjectDocument;
  tokens: CustomProperty[];
}

function differingLanguages(
  document: ProjectDocument,
  fallback: FallbackPlan,
): DifferingLanguage[] {
  const others = siteLanguages(document)
    .map((language) => ({ language, at: documentInLanguage(document, language) }))
    .filter(({ at }) => at !== document);
  if (others.length === 0) return [];
  const usual = tokensOf(document, fallback);
  return others.flatMap(({ language, at }): DifferingLanguage[] => {
    const tokens = differing(tokensOf(at, planInLanguage(fallback, at)), usual);
    return tokens.length > 0 ? [{ language, at, tokens }] : [];
  });
}

function tokensByLanguage(document: ProjectDocument, fallback: FallbackPlan): string {
  const languages = differingLanguages(document, fallback);
  if (languages.length === 0) return '';
  const any = `:is(${languages.map(({ language }) => inLanguage(language)).join(', ')})`;
  const names = new Set(languages.flatMap(({ tokens }) => tokens.map(([name]) => name)));
  const usual = tokensOf(document, fallback).filter(([name]) => names.has(name));
  const narrow = narrowDocument(document);
  const onNarrow = languages.flatMap(({ language, at }) => {
    const tokens = differing(styleProperties(narrowDocument(at)), styleProperties(at));
    return tokens.length > 0 ? [cssRule(inLanguage(language), tokens)] : [];
  });
  return [
    '/* Text styles in other languages; and text of all others that stands within one */\n',
    cssRule(`${any} :not(${any})`, usual),
    ...languages.map(({ language, tokens }) => cssRule(inLanguage(language), tokens)),
    ...languages.map(({ language, at }) =>
      language.setting.size === 1
        ? ''
        : changedSizes(at, inLanguage(language)) + otherSizes(at, inLanguage(language)),
    ),
    narrow !== document && onNarrow.length > 0
      ? `@media not all and (min-width: ${narrowBelowOf(document)}px) {\n${indent(onNarrow.join('\n'))}}\n`
      : '',
  ]
    .filter(Boolean)
    .join('\n');
}

const known = onceFor((document: ProjectDocument) =>
  onceFor((fallback: FallbackPlan) => tokensByLanguage(document, fallback)),
);

/**
 * Tokens that are others in a language, under `:lang()`, and as they were for text in another language within. Selectors
 * 4 §7.2. Empty where all languages are set alike.
 */
export const languageTokens = (document: ProjectDocument, fallback: FallbackPlan): string =>
  known(document)(fallback);
