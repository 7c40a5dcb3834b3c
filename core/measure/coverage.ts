import { SOURCE, TABLE } from './languages/table';

export type Script = 'latin' | 'vietnamese' | 'greek' | 'cyrillic';

/** A language and the letters that it cannot do without. */
export interface Language {
  /** BCP 47. */
  tag: string;
  name: string;
  script: Script;
  characters: string;
}

/** Where the letters of each language are from. */
export const LANGUAGE_SOURCE = SOURCE;

/** European languages, Vietnamese, Greek and those in Cyrillic, by name. */
export const LANGUAGES: readonly Language[] = TABLE;

const byTag = new Map(LANGUAGES.map((language) => [language.tag, language]));

/** The entry for a language tag: `nb-NO` is found as `nb`; undefined for one that is not in the table. */
export const languageOf = (tag: string): Language | undefined =>
  byTag.get(tag) ?? byTag.get(tag.split('-')[0] ?? '');

/** Whether a face maps a character, by code point. */
export type Maps = (codePoint: number) => boolean;

/** The letters of a language that a face lacks, in the order of the alphabet. */
export const missingLetters = ({ characters }: Language, maps: Maps): string[] =>
  [...characters].filter((character) => !maps(character.codePointAt(0) ?? 0));

/** Tags of the languages that a face has every letter of. */
export const languagesCovered = (maps: Maps): string[] =>
  LANGUAGES.filter((language) => missingLetters(language, maps).length === 0).map(({ tag }) => tag);

/** Scripts told apart in a character grid: a name, and the Unicode property that tells. */
export const SCRIPTS = [
  { name: 'Latin', property: /\p{Script=Latin}/u },
  { name: 'Greek', property: /\p{Script=Greek}/u },
  { name: 'Cyrillic', property: /\p{Script=Cyrillic}/u },
  { name: 'Other letters', property: /\p{L}/u },
  { name: 'Figures', property: /\p{N}/u },
  { name: 'Punctuation', property: /\p{P}/u },
  { name: 'Signs', property: /\p{S}/u },
  { name: 'Marks', property: /\p{M}/u },
] as const;

/** The characters of a face by script, each once, in code point order; spaces and controls left out. */
export function charactersByScript(
  codePoints: Iterable<number>,
): { name: string; characters: string[] }[] {
  const groups = new Map<string, string[]>(SCRIPTS.map(({ name }) => [name, []]));
  for (const codePoint of codePoints) {
    const character = String.fromCodePoint(codePoint);
    const script = SCRIPTS.find(({ property }) => property.test(character));
    if (script) groups.get(script.name)?.push(character);
  }
  return [...groups].flatMap(([name, characters]) =>
    characters.length ? [{ name, characters }] : [],
  );
}
