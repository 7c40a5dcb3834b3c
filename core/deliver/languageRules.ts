import type { ProjectDocument } from '../document/projectDocument';
import { PROPERTIES, PROPERTY_NAMES } from '../document/property';
import { BODY_STYLE } from '../document/vocabulary';
import { documentInLanguage, siteLanguages, type SetLanguage } from '../style/inLanguage';
import { carries, resolveElement, resolveStyle } from '../style/resolve';
import { selectorsOf } from '../style/ruleWeight';
import { cssRule, cssString, where, type Declaration } from './css';
import { styleProperty } from './customProperties';
import { inLanguage } from './inLanguage';

/** Elements that hold text of their own lines: what a language changes is said on them again. HTML §4.3, §4.4. */
const BLOCKS =
  'main, article, section, div, aside, header, footer, nav, form, p, ul, ol, li, dl, dt, dd, blockquote, figure, figcaption, table, td, th, details, summary';

/** Counter styles of figures by script, and where a language of it has others. CSS Counter Styles 3 §6.1. */
const COUNTERS: Readonly<Record<string, string>> = {
  arabic: 'arabic-indic',
  bengali: 'bengali',
  devanagari: 'devanagari',
  tamil: 'tamil',
  thai: 'thai',
  gujarati: 'gujarati',
  gurmukhi: 'gurmukhi',
  kannada: 'kannada',
  khmer: 'khmer',
  lao: 'lao',
  malayalam: 'malayalam',
  myanmar: 'myanmar',
  oriya: 'oriya',
  telugu: 'telugu',
  tibetan: 'tibetan',
  armenian: 'armenian',
  georgian: 'georgian',
  hebrew: 'hebrew',
  japanese: 'cjk-decimal',
  korean: 'hangul',
  'chinese-simplified': 'simp-chinese-informal',
  'chinese-traditional': 'trad-chinese-informal',
};
const PERSIAN = new Set(['fa', 'ur', 'ps', 'ckb']);

const counterOf = ({ key, script }: SetLanguage): string | undefined =>
  PERSIAN.has(key.split('-')[0] ?? '') ? 'persian' : COUNTERS[script.key];

/** Without weight, so that any rule of the site's wins. */
const ofLanguage = (language: SetLanguage, selectors?: readonly string[]): string =>
  where(
    selectors
      ? selectors.map((one) => `:is(${one})${inLanguage(language)}`)
      : [inLanguage(language)],
  );

/**
 * What of the body's style is another in some language: a text without a style of its own inherits what was worked out
 * in the language around it, so it is said where the language changes.
 */
function restated(document: ProjectDocument, languages: readonly SetLanguage[]): string {
  const usual = resolveStyle(document, BODY_STYLE);
  const ways = languages.map((language) =>
    resolveStyle(documentInLanguage(document, language), BODY_STYLE),
  );
  const sharing = Object.values(document.voices).some(
    ({ scripts = {} }) => Object.keys(scripts).length > 1,
  );
  const declarations = PROPERTY_NAMES.flatMap((name): Declaration[] => {
    const { css, inherited } = PROPERTIES[name];
    if (!inherited || !carries(usual[name])) return [];
    const differs =
      ways.some((way) => way[name].value !== usual[name].value) ||
      (name === 'voice' && sharing) ||
      (name === 'step' && languages.some(({ setting }) => setting.size !== 1));
    return differs ? [[css, `var(${styleProperty(BODY_STYLE, name)})`]] : [];
  });
  return declarations.length > 0 ? cssRule(where([`:is(${BLOCKS})[lang]`]), declarations) : '';
}

/** Selectors of the text elements whose own style is slanted. */
const slanted = (document: ProjectDocument): string[] =>
  Object.entries(document.elements).flatMap(([key, element]) =>
    resolveElement(document, key).slant.value === 'italic' ? selectorsOf(document, element) : [],
  );

/** What elements are given in a language alone: a weight in place of italics. */
function newlySet(document: ProjectDocument, language: SetLanguage): string[] {
  const at = documentInLanguage(document, language);
  if (at === document) return [];
  return Object.values(document.elements).flatMap((element) => {
    const [usual, there] = [document, at].map((one) =>
      resolveStyle(one, element.style, element.parent),
    );
    const declarations = PROPERTY_NAMES.flatMap((name): Declaration[] =>
      usual && there && carries(there[name]) && !carries(usual[name])
        ? [[PROPERTIES[name].css, `var(${styleProperty(element.style, name)})`]]
        : [],
    );
    return declarations.length > 0
      ? [cssRule(ofLanguage(language, selectorsOf(document, element)), declarations)]
      : [];
  });
}

function rulesOf(document: ProjectDocument, language: SetLanguage): string[] {
  const { setting, script } = language;
  const emphatic = setting.emphasis === 'dots' ? slanted(document) : [];
  const counter = setting.numerals === 'own' ? counterOf(language) : undefined;
  const own: Declaration[] = [
    ...(setting.quotes ? [['quotes', setting.quotes.map(cssString).join(' ')] as const] : []),
    ...(setting.hyphenation ? [['hyphens', setting.hyphenation] as const] : []),
  ];
  return [
    ...newlySet(document, language),
    own.length > 0 ? cssRule(ofLanguage(language), own) : '',
    counter ? cssRule(ofLanguage(language, ['ol']), [['list-style-type', counter]]) : '',
    emphatic.length > 0
      ? cssRule(ofLanguage(language, emphatic), [
          ['text-emphasis', script.key === 'japanese' ? 'filled sesame' : 'filled dot'],
          [
            'text-emphasis-position',
            script.key.startsWith('chinese') ? 'under right' : 'over right',
          ],
        ])
      : '',
  ].filter(Boolean);
}

/** Rules of languages beside their tokens: what is inherited, quotation marks, figures of lists, dots for emphasis. */
export function languageRules(document: ProjectDocument): string {
  const languages = siteLanguages(document);
  const differing = languages.some(({ setting }, i) => i > 0 || setting.quotes !== undefined)
    ? languages
    : [];
  if (differing.length === 0) return '';
  return [
    restated(document, differing),
    ...differing.flatMap((language) => rulesOf(document, language)),
  ]
    .filter(Boolean)
    .join('\n');
}
