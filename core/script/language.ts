import { SOURCE, TABLE } from './languages/table';
import { pointsOf } from './packed';
import type { Script } from './script';
import { scriptOf } from './scripts';

/** A language and the letters that it cannot do without. */
export interface Language {
  /** BCP 47. */
  tag: string;
  name: string;
  /** Key of its script, as libraries call the files of it: Vietnamese is in files of its own. */
  script: string;
  direction: Script['direction'];
  characters: string;
}

/** Where the letters of each language are from. */
export const LANGUAGE_SOURCE = SOURCE;

/** The script of a language. */
export const scriptOfLanguage = ({ script }: Pick<Language, 'script'>): Script | undefined =>
  scriptOf(script === 'vietnamese' ? 'latin' : script);

/** The script of a language by its tag; undefined for one that is not in the table. */
export const scriptOfTag = (tag: string): Script | undefined => {
  const language = languageOf(tag);
  return language && scriptOfLanguage(language);
};

/** Letters with their capitals. Greek loses its accents under its own rule, which is for words in capitals. */
function withCapitals(letters: string, tag: string): string {
  const capitals = [...letters].flatMap((letter) => {
    const capital = tag === 'tr' ? letter.toLocaleUpperCase(tag) : letter.toUpperCase();
    return [...capital].length === 1 ? [capital] : [];
  });
  return [...new Set([...letters, ...capitals])].join('');
}

function charactersOf({ tag, script, letters }: { tag: string; script: string; letters: string }) {
  const { large = false, capitals = true } = scriptOfLanguage({ script }) ?? {};
  if (large) return String.fromCodePoint(...pointsOf(letters));
  return capitals ? withCapitals(letters, tag) : letters;
}

/** Languages of Unicode CLDR that are written in a script of the list, by name. */
export const LANGUAGES: readonly Language[] = TABLE.map(([tag, name, script, letters]) => {
  let known: string | undefined;
  return {
    tag,
    name,
    script,
    direction: scriptOfLanguage({ script })?.direction ?? 'ltr',
    get characters() {
      return (known ??= charactersOf({ tag, script, letters }));
    },
  };
});

const byTag = new Map(LANGUAGES.map((language) => [language.tag.toLowerCase(), language]));

/** What Chinese is looked up as: by its script, or by a country's. CLDR, likely subtags. */
const chinese = (tag: string): string =>
  /^(yue(?!-hans)|zh-(tw|hk|mo|hant))\b/.test(tag) ? 'zh-hant' : 'zh-hans';

/** Tags that a language is looked up by, the one that says most first; Norwegian is Bokmål where it says no more. */
function lookedUp(tag: string): string[] {
  const whole = tag.toLowerCase();
  const parts = whole.split('-');
  if (parts[0] === 'zh' || parts[0] === 'yue') return [chinese(whole)];
  const shorter = parts.map((_, i) => parts.slice(0, parts.length - i).join('-'));
  return parts[0] === 'no' ? [...shorter, 'nb'] : shorter;
}

/** The entry for a language tag: `nb-NO` is found as `nb`; undefined for one that is not in the table. */
export const languageOf = (tag: string): Language | undefined => {
  for (const one of lookedUp(tag)) {
    const language = byTag.get(one);
    if (language) return language;
  }
  return undefined;
};
