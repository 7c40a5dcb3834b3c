import { previewOf } from '../../change/change';
import type { Patch } from '../../document/patch';
import type { ProjectDocument } from '../../document/projectDocument';
import type { PropertyValues } from '../../document/property';
import { languagePlace } from '../../document/styleValues';
import { documentInLanguage, siteLanguages, type SetLanguage } from '../../style/inLanguage';
import { resolveInUse } from '../../style/resolve';
import type { FoldedScripts } from './foldScripts';
import type { FoldedStyles, Setting, StyleTolerance } from './foldStyles';

/** What a style may have otherwise in one language; its voice, its case and its colour are those of its kind. */
const COMPARED = ['step', 'weight', 'slant', 'lineHeight', 'letterSpacing'] as const;
type Compared = (typeof COMPARED)[number];

/** The value that most of the text has. */
function usual<T>(values: readonly (readonly [value: T, characters: number])[]): T | undefined {
  const counts = new Map<T, number>();
  for (const [value, characters] of values)
    counts.set(value, (counts.get(value) ?? 0) + characters);
  return [...counts].sort(([, a], [, b]) => b - a)[0]?.[0];
}

/** What of a fold tells how its texts are set in their languages. */
interface Folded {
  styles: FoldedStyles;
  scripts: FoldedScripts;
  choice: { tolerance: StyleTolerance };
  /** How a text is set on the site, in the terms of the project, and its length. */
  ownSetting: (number: number) => { setting: Setting; characters: number };
}

/** How a style's texts in a language are set on the site, and how much text that is. */
const settingsIn = (
  { scripts, ownSetting }: Folded,
  texts: readonly number[],
  language: SetLanguage,
): { setting: Setting; characters: number }[] =>
  texts.flatMap((number) => {
    const { written, as = null } = scripts.counterparts.get(number) ?? {};
    const isIt = written?.language === language.tag && written.script === written.around;
    return isIt && as !== null ? [ownSetting(number)] : [];
  });

/**
 * What styles have otherwise in a language than the language has all text: headings in Thai, say, whose lines are not
 * as much higher as those of its text are.
 * @param patch the change that takes the fold without it
 * @returns the change that adds it
 */
export function languageStylesPatch(fold: Folded, document: ProjectDocument, patch: Patch): Patch {
  const folded = fold.scripts.counterparts.size > 0 ? previewOf(document, patch) : null;
  if (!folded) return [];
  const { tolerance } = fold.choice;
  const differs = (name: Compared, a: unknown, b: unknown): boolean =>
    name === 'step' || name === 'slant'
      ? a !== b
      : Math.abs(Number(a) - Number(b)) > tolerance[name] / 4 + 1e-9;
  const ways = siteLanguages(folded).map((language) => ({
    language,
    at: documentInLanguage(folded, language),
  }));
  return fold.styles.styles.flatMap(({ key, texts }): Patch => {
    const style = folded.styles[key];
    if (!style) return [];
    const places = ways.flatMap(({ language, at }): [string, PropertyValues][] => {
      const own = settingsIn(fold, texts, language);
      if (own.length === 0) return [];
      const there = resolveInUse(at, key);
      const values = COMPARED.flatMap((name) => {
        // What stands in the midst of text has what it does not set from there.
        if (style.follows === null && style.set[name] === undefined) return [];
        // Joined letters have no space; sizes of a language that has its own are as many times those of all.
        if (name === 'letterSpacing' && language.setting.spacing === 'none') return [];
        if (name === 'step' && language.setting.size !== 1) return [];
        const value = usual(own.map(({ setting, characters }) => [setting[name], characters]));
        return value !== undefined && differs(name, value, there[name].value)
          ? [[name, value] as const]
          : [];
      });
      return values.length > 0 ? [[languagePlace(language.tag), Object.fromEntries(values)]] : [];
    });
    return places.length > 0
      ? [{ op: 'add', path: `/styles/${key}/at`, value: Object.fromEntries(places) }]
      : [];
  });
}
