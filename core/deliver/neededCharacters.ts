import type { ProjectDocument } from '../document/projectDocument';
import { onceFor } from '../document/once';
import { languageOf, scriptOfLanguage, type Language } from '../script';
import { SCRIPTS, type Script } from '../script';
import { elementsInAllWays } from '../style/documentAt';
import { resolveElement } from '../style/resolve';

/** From the space to the tilde: code, addresses and prices need any of it. */
const ASCII = Array.from({ length: 0x7e - 0x20 + 1 }, (_, i) => String.fromCodePoint(0x20 + i));

/**
 * Characters of running text that are not letters: spaces, hyphens and dashes, quotation marks of the
 * languages on offer, and the signs that editors put in unasked.
 */
const TYPOGRAPHIC = [
  '\u00a0\u00ad\u2009\u202f', // No-break and narrow spaces; the soft hyphen.
  '\u2010\u2011\u2013\u2014', // What a browser hyphenates with, and dashes.
  '‘’‚“”„«»‹›', // Quotation marks, which a browser sets by language around a `q`.
  '…·•×−°§©®™€£', // What text ends in where it is cut off; signs.
].join('');

const capital = (character: string): string => character.toUpperCase();
const small = (character: string): string => character.toLowerCase();

/** Characters with their capitals and small letters, which `text-transform` asks for. */
const inEveryCase = (characters: Iterable<string>): string[] =>
  [...characters].flatMap((one) => [one, ...capital(one), ...small(one)]);

/** As they are written, and as a browser joins a letter with the marks after it. Unicode 16, §3.11. */
const joined = (text: string): string[] => [...text, ...text.normalize('NFC')];

const codePoints = (characters: Iterable<string>): ReadonlySet<number> =>
  new Set(
    [...characters]
      .map((character) => character.codePointAt(0) ?? 0)
      // Controls set nothing.
      .filter((codePoint) => codePoint >= 0x20 && codePoint !== 0x7f),
  );

/** Whether text in a family of the case is set in another case than it is written in. */
const changesCase = (document: ProjectDocument, familyKey: string): boolean =>
  [...elementsInAllWays(document)].some(([at, key]) => {
    const resolved = resolveElement(at, key);
    const family = at.voices[resolved.voice.value ?? '']?.family;
    return family === familyKey && resolved.case.value !== 'none';
  });

/** Texts typed into pages, over the pages' own. */
export const typedTexts = ({ typed = {} }: ProjectDocument): string[] =>
  Object.values(typed).flatMap(({ texts }) => Object.values(texts));

/** Letters of names and loan words on any Latin-script site: é of a café, ñ of a señor. Latin-1, U+00C0–00FF. */
export const LOAN_LETTERS = Array.from({ length: 0x40 }, (_, i) => String.fromCodePoint(0xc0 + i))
  .filter((character) => /\p{L}/u.test(character))
  .join('');

/** Scripts whose letters a site needs by its languages alone, and not beside them. */
const ALPHABETS = new Set(['latin', 'greek', 'cyrillic']);
/** What a script has beside its letters: marks, figures, punctuation, and what joins letters or keeps them apart. */
const BESIDE_LETTERS = /[\p{M}\p{N}\p{P}\p{Cf}]/u;

/** Whether a letter is another way to write known ones with a mark: some keyboards give one, some the other. */
function isAlsoWritten(letter: string, known: ReadonlySet<string>): boolean {
  const apart = [...letter.normalize('NFD')];
  return apart.length > 1 && apart.every((one) => known.has(one) || /\p{M}/u.test(one));
}
const LAST_OF_PLANE = 0xffff;

const charactersOf = onceFor((script: Script): readonly string[] =>
  Array.from({ length: LAST_OF_PLANE }, (_, i) => i + 1)
    .filter((codePoint) => codePoint < 0xd800 || codePoint > 0xdfff)
    .map((codePoint) => String.fromCodePoint(codePoint))
    .filter((one) => script.has.test(one)),
);

/**
 * What text needs of scripts other than alphabets that are set as Latin is: their marks, figures and punctuation; and
 * where it has letters that its languages' tables have not, all letters. Of a script of many, nothing but the text.
 */
function besideText(text: string, alphabets: string): string[] {
  const known = new Set(alphabets);
  const letters = [...new Set(text)].filter((one) => /\p{L}/u.test(one));
  return SCRIPTS.filter(({ key, large }) => !large && !ALPHABETS.has(key)).flatMap((script) => {
    const own = letters.filter((one) => script.has.test(one));
    const isWritten = own.length > 0 || [...known].some((one) => script.has.test(one));
    if (!isWritten) return [];
    const isKnown = own.every((one) => known.has(one));
    const beside = charactersOf(script).filter(
      (one) => !isKnown || BESIDE_LETTERS.test(one) || isAlsoWritten(one, known),
    );
    return [...beside, ...script.signs];
  });
}

/** Letters of a language that each site in it needs; of a script of many, no site has them all. */
const alphabetOf = (language: Language | undefined): string =>
  language && !scriptOfLanguage(language)?.large ? language.characters : '';

/**
 * The characters that a site needs of its fonts: every letter of its languages and of those that its pages say
 * they are in, in both cases; every character of its pages and of what was typed into them, with the marks, figures
 * and punctuation of its script, and all of that where no table has its letters; those that the delivery names; those of names and loan words; and those
 * of running text anywhere.
 * @param copy the characters of the pages
 * @param languages those that the pages say they are in
 * @returns code points; null where nothing may be left out: all is to be kept, or the letters of one of the
 *   project's languages are not known
 */
export function neededCharacters(
  document: ProjectDocument,
  { copy, languages: said = [] }: { copy: string; languages?: readonly string[] },
): ReadonlySet<number> | null {
  const { letters = 'needed', alsoLetters = '', loanLetters = true } = document.delivery;
  const own = document.languages.map(languageOf);
  if (letters === 'whole' || own.includes(undefined)) return null;
  const languages = [...own, ...said.map(languageOf)];
  const alphabets = languages.map(alphabetOf).join('');
  const isLatin = languages.some((one) => one?.script === 'latin' || one?.script === 'vietnamese');
  const loans = loanLetters && isLatin ? LOAN_LETTERS : '';
  const written = joined([copy, alsoLetters, ...typedTexts(document)].join(''));
  return codePoints([
    ...ASCII,
    ...TYPOGRAPHIC,
    ...inEveryCase([...written, ...alphabets]),
    // In both cases already, but for ß and ÿ, whose capitals would ask for another file.
    ...loans,
    ...besideText(written.join(''), alphabets),
  ]);
}

/** The characters that a family is to have where it sets given copy alone; null where it is not so. */
export function charactersOfCopy(
  document: ProjectDocument,
  familyKey: string,
): ReadonlySet<number> | null {
  const { onlyFor } = document.case[familyKey] ?? {};
  if (onlyFor === undefined) return null;
  const written = joined(`${onlyFor} `);
  return codePoints(changesCase(document, familyKey) ? inEveryCase(written) : written);
}
