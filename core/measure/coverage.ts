import { LANGUAGES, SCRIPTS, type Language } from '../script';

/** Whether a face maps a character, by code point. */
export type Maps = (codePoint: number) => boolean;

/** The letters of a language that a face lacks, in the order of the alphabet. */
export const missingLetters = (
  { characters }: Pick<Language, 'characters'>,
  maps: Maps,
): string[] => [...characters].filter((character) => !maps(character.codePointAt(0) ?? 0));

const codePointsOf = new Map<Language, readonly number[]>();

/** Whether a face has every letter of a language. */
function covers(language: Language, maps: Maps): boolean {
  const points =
    codePointsOf.get(language) ??
    Array.from(language.characters, (character) => character.codePointAt(0) ?? 0);
  codePointsOf.set(language, points);
  return points.every(maps);
}

/** Tags of the languages that a face has every letter of. */
export const languagesCovered = (maps: Maps): string[] =>
  LANGUAGES.filter((language) => covers(language, maps)).map(({ tag }) => tag);

/** What is told apart in a character grid: a name, and the property that tells. */
const GROUPS: readonly { name: string; property: RegExp }[] = [
  { name: 'Han', property: /\p{Script=Han}/u },
  { name: 'Hiragana', property: /\p{Script=Hiragana}/u },
  { name: 'Katakana', property: /\p{Script=Katakana}/u },
  { name: 'Hangul', property: /\p{Script=Hangul}/u },
  ...SCRIPTS.filter(({ large }) => !large).map(({ name, has }) => ({ name, property: has })),
  { name: 'Other letters', property: /\p{L}/u },
  { name: 'Figures', property: /\p{N}/u },
  { name: 'Punctuation', property: /\p{P}/u },
  { name: 'Signs', property: /\p{S}/u },
  { name: 'Marks', property: /\p{M}/u },
];

/** The characters of a face by script, each once, in code point order; spaces and controls left out. */
export function charactersByScript(
  codePoints: Iterable<number>,
): { name: string; characters: string[] }[] {
  const groups = new Map<string, string[]>(GROUPS.map(({ name }) => [name, []]));
  for (const codePoint of codePoints) {
    const character = String.fromCodePoint(codePoint);
    const script = GROUPS.find(({ property }) => property.test(character));
    if (script) groups.get(script.name)?.push(character);
  }
  return [...groups].flatMap(([name, characters]) =>
    characters.length ? [{ name, characters }] : [],
  );
}
