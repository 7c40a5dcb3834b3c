import type { ProjectDocument } from '../document/projectDocument';
import { languageOf } from '../measure/coverage';
import { narrowDocument } from '../style/narrow';
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
  [document, narrowDocument(document)].some((at) =>
    Object.keys(at.elements).some((key) => {
      const resolved = resolveElement(at, key);
      const family = at.voices[resolved.voice.value ?? '']?.family;
      return family === familyKey && resolved.case.value !== 'none';
    }),
  );

/** Texts typed into pages, over the pages' own. */
const typedTexts = ({ typed = {} }: ProjectDocument): string[] =>
  Object.values(typed).flatMap(({ texts }) => Object.values(texts));

/**
 * The characters that a site needs of its fonts: every letter of its languages, in both cases; every
 * character of its pages and of what was typed into them; those that the delivery names; and those of
 * running text anywhere.
 * @param copy the characters of the pages
 * @returns code points; null where nothing may be left out: all is to be kept, or the letters of one of the
 *   languages are not known
 */
export function neededCharacters(
  document: ProjectDocument,
  copy: string,
): ReadonlySet<number> | null {
  const { letters = 'needed', alsoLetters = '' } = document.delivery;
  const languages = document.languages.map(languageOf);
  if (letters === 'whole' || languages.includes(undefined)) return null;
  const alphabets = languages.map((language) => language?.characters ?? '').join('');
  const written = joined([copy, alsoLetters, ...typedTexts(document)].join(''));
  return codePoints([...ASCII, ...TYPOGRAPHIC, ...inEveryCase([...written, ...alphabets])]);
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
