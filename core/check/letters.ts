import { inUnicodeRange, parseUnicodeRange } from '../css/unicodeRange';
import { languageOf, missingLetters } from '../measure';
import { resolveInUse } from '../style/resolve';
import { familiesInUse, stylesInUse } from '../style/usage';
import { inWords, lettersInWords, styleName, type Mark, type Rule, subjectOf } from './mark';

/** Letters of the site's languages that the faces of a family in use lack. */
export const languageLetters: Rule = (document, { characters = {} }) =>
  familiesInUse(document).flatMap((family): Mark[] => {
    const range = characters[family];
    const name = document.case[family]?.name;
    if (!range || !name) return [];
    const ranges = parseUnicodeRange(range);
    const maps = (codePoint: number) =>
      ranges.some(([from, to]) => codePoint >= from && codePoint <= to);
    const lacks = document.languages.flatMap((tag) => {
      const language = languageOf(tag);
      const letters = language ? missingLetters(language, maps) : [];
      return language && letters.length > 0 ? [{ language: language.name, letters }] : [];
    });
    if (lacks.length === 0) return [];
    const letters = [...new Set(lacks.flatMap((one) => one.letters))];
    return [
      {
        rule: 'language-letters',
        stage: 'faces',
        family,
        subject: subjectOf(...lacks.map(({ language }) => language)),
        message: `${name}: in ${inWords(lacks.map(({ language }) => language))} some letters come from another font, since the files in the case have no ${lettersInWords(letters)}.`,
        remedy: `Add the script of ${name} that has them, or choose a family that does.`,
      },
    ];
  });

/** Characters of the page that the family of their style lacks. */
export const pageLetters: Rule = (document, { characters = {}, page }) =>
  stylesInUse(document).flatMap((style): Mark[] => {
    const { voice } = resolveInUse(document, style);
    const family = document.voices[voice.value ?? '']?.family ?? '';
    const range = characters[family];
    const name = document.case[family]?.name;
    const text = page?.letters?.[style];
    if (!page || !text || !range || !name) return [];
    const missing = [...text].filter(
      (letter) => letter.trim() && !inUnicodeRange(range, letter.codePointAt(0) ?? 0),
    );
    if (missing.length === 0) return [];
    return [
      {
        rule: 'page-letters',
        stage: 'styles',
        style,
        subject: subjectOf(page.title),
        message: `${styleName(document, style)}: on “${page.title}” ${lettersInWords(missing)} ${missing.length === 1 ? 'comes' : 'come'} from another font, since ${name} has no such ${missing.length === 1 ? 'character' : 'characters'}.`,
        remedy: `Add the script of ${name} that has them, or set this text in a family that does.`,
      },
    ];
  });

/** The ways to write a letter with its marks that a browser tries: as far joined as can be, and apart. Unicode 16 §3.11. */
const waysToWrite = (cluster: string): string[] => [
  cluster.normalize('NFC'),
  cluster.normalize('NFD'),
];

/**
 * Letters of the page with marks that no one file of the family of their style has together: a browser sets both in
 * another font then, though the family has each.
 */
export const markedLetters: Rule = (document, { readings = {}, page }) =>
  stylesInUse(document).flatMap((style): Mark[] => {
    const { voice } = resolveInUse(document, style);
    const family = document.case[document.voices[voice.value ?? '']?.family ?? ''];
    const marked = page?.marked?.[style];
    if (!page || !marked || !family) return [];
    const ranges = family.faces.flatMap(({ files }) =>
      files.map(({ sha256 }) => readings[sha256]?.characters),
    );
    // Of a file that has not been read it is not known.
    if (ranges.some((range) => range === undefined)) return [];
    const has = (range: string | undefined, text: string): boolean =>
      [...text].every((one) => inUnicodeRange(range ?? '', one.codePointAt(0) ?? 0));
    const apart = marked.filter(
      (cluster) =>
        !ranges.some((range) => waysToWrite(cluster).some((text) => has(range, text))) &&
        [...cluster].every((one) => ranges.some((range) => has(range, one))),
    );
    if (apart.length === 0) return [];
    return [
      {
        rule: 'marked-letters',
        stage: 'styles',
        style,
        subject: subjectOf(page.title),
        message: `${styleName(document, style)}: on “${page.title}” ${lettersInWords(apart)} ${apart.length === 1 ? 'comes' : 'come'} from another font, since no one file of ${family.name} has the ${apart.length === 1 ? 'letter' : 'letters'} and the marks.`,
        remedy: 'Set this text in a family that has them in one file.',
      },
    ];
  });

/** A case that does nothing, or that is needed, where a face has no lower case of its own. */
export const faceWithoutCase: Rule = (document, { measures = {} }) =>
  stylesInUse(document).flatMap((style): Mark[] => {
    const resolved = resolveInUse(document, style);
    const family = document.voices[resolved.voice.value ?? '']?.family ?? '';
    const lowerCase = measures[family]?.regular.lowerCase;
    const name = document.case[family]?.name;
    const { value, source } = resolved.case;
    if (!name || !lowerCase || lowerCase === 'own') return [];
    const about = { rule: 'face-without-case', stage: 'styles', style } as const;
    const who = styleName(document, style);
    if (lowerCase === 'none' && value !== 'uppercase') {
      return [
        {
          ...about,
          message: `${who}: small letters come from another font, since ${name} has capitals only.`,
          remedy: 'Set it in capitals, or in a family that has small letters.',
          fix: {
            does: 'Set it in capitals',
            patch: [{ op: 'add', path: `/styles/${style}/set/case`, value: 'uppercase' }],
          },
        },
      ];
    }
    if (lowerCase === 'capitals' && value !== 'none') {
      return [
        {
          ...about,
          message: `${who}: its case shows nothing, since the small letters of ${name} are drawn as capitals.`,
          remedy: 'Set it as typed, so that text that is copied stays as it was written.',
          fix: {
            does: 'Set it as typed',
            patch: [{ op: 'add', path: `/styles/${source ?? style}/set/case`, value: 'none' }],
          },
        },
      ];
    }
    return [];
  });
