import { inUnicodeRange } from '../css/unicodeRange';
import type { ProjectDocument } from '../document/projectDocument';
import { missingLetters } from '../measure';
import { languageOf, scriptOfLanguage, type Language } from '../script';
import { resolveInUse } from '../style/resolve';
import { servedBy } from '../style/served';
import { stylesInUse, voiceUses } from '../style/usage';
import { inWords, lettersInWords, styleName, type Mark, type Rule, subjectOf } from './mark';

/** Whether the files of a voice's families have a character, together; null where one of them is not known. */
function mapsOf(
  document: ProjectDocument,
  voice: string,
  characters: Readonly<Record<string, string>>,
): ((codePoint: number) => boolean) | null {
  const ranges = servedBy(document, voice).map(({ key }) => characters[key]);
  if (ranges.length === 0 || ranges.some((range) => !range)) return null;
  return (codePoint) => ranges.some((range) => inUnicodeRange(range ?? '', codePoint));
}

/** What a voice's families are called together. */
const servedNames = (document: ProjectDocument, voice: string): string =>
  inWords([...new Set(servedBy(document, voice).map(({ family }) => family.name))]);

/** A language whose letters a voice lacks, some or all. */
interface Lack {
  language: Language;
  letters: string[];
  /** Whether nothing of its script is there. */
  whole: boolean;
}

const LACKED = new Set(['latin', 'greek', 'cyrillic']);

/** Letters of the site's languages that the families of a voice in use lack. */
export const languageLetters: Rule = (document, { characters = {} }) => {
  const marks = new Map<string, Mark>();
  for (const voice of voiceUses(document).keys()) {
    const family = document.voices[voice]?.family;
    const maps = mapsOf(document, voice, characters);
    if (!family || !maps) continue;
    const lacks = document.languages.flatMap((tag): Lack[] => {
      const language = languageOf(tag);
      const letters = language ? missingLetters(language, maps) : [];
      const whole = letters.length === [...(language?.characters ?? '')].length;
      return language && letters.length > 0 ? [{ language, letters, whole }] : [];
    });
    const some = new Map<string, Lack[]>();
    for (const lack of lacks.filter((one) => !needsFamily(one))) {
      const serving = servingFamily(document, voice, lack.language);
      some.set(serving, [...(some.get(serving) ?? []), lack]);
    }
    for (const mark of [
      ...[...some].map(([serving, of]) => lackedLetters(document, serving, of)),
      ...lacks.filter(needsFamily).map((one) => lackedScript(document, voice, one)),
    ]) {
      marks.set(mark.message, mark);
    }
  }
  return [...marks.values()];
};

/** Whether a language wants a family for its script, rather than more files of the one that is there. */
const needsFamily = ({ language, whole }: Lack): boolean =>
  whole && !LACKED.has(scriptOfLanguage(language)?.key ?? 'latin');

/** The family of a voice that a language is set in: that of its script, else the voice's own. */
function servingFamily(document: ProjectDocument, voice: string, language: Language): string {
  const { scripts = {}, family } = document.voices[voice] ?? {};
  return scripts[scriptOfLanguage(language)?.key ?? '']?.family ?? family ?? '';
}

function lackedLetters(document: ProjectDocument, family: string, lacks: readonly Lack[]): Mark {
  const names = lacks.map(({ language }) => language.name);
  const letters = [...new Set(lacks.flatMap((one) => one.letters))];
  const name = document.case[family]?.name ?? family;
  return {
    rule: 'language-letters',
    stage: 'faces',
    family,
    subject: subjectOf(...names),
    message: `${name}: in ${inWords(names)} some letters come from another font, since the files in the case have no ${lettersInWords(letters)}.`,
    remedy: `Add the script of ${name} that has them, or choose a family that does.`,
  };
}

function lackedScript(document: ProjectDocument, voice: string, { language }: Lack): Mark {
  const { name = voice } = document.voices[voice] ?? {};
  const script = scriptOfLanguage(language)?.name ?? language.script;
  return {
    rule: 'language-script',
    stage: 'pair',
    voice,
    subject: subjectOf(language.tag),
    message: `${name}: text in ${language.name} shows in whatever font the visitor’s system has for ${script}, since no family of this voice has its letters.`,
    remedy: `Give the voice a family for ${script}, in Pair.`,
  };
}

/** Characters of the page that the families of their style lack. */
export const pageLetters: Rule = (document, { characters = {}, page }) =>
  stylesInUse(document).flatMap((style): Mark[] => {
    const voice = resolveInUse(document, style).voice.value ?? '';
    const text = page?.letters?.[style];
    const maps = mapsOf(document, voice, characters);
    if (!page || !text || !maps) return [];
    const missing = [...text].filter(
      (letter) => letter.trim() && !isUnseen(letter) && !maps(letter.codePointAt(0) ?? 0),
    );
    if (missing.length === 0) return [];
    const name = servedNames(document, voice);
    return [
      {
        rule: 'page-letters',
        stage: 'styles',
        style,
        subject: subjectOf(page.title),
        message: `${styleName(document, style)}: on “${page.title}” ${lettersInWords(missing)} ${missing.length === 1 ? 'comes' : 'come'} from another font, since ${name} ${name.includes(' and ') ? 'have' : 'has'} no such ${missing.length === 1 ? 'character' : 'characters'}.`,
        remedy: `Add the script of ${name} that has them, or set this text in a family that does.`,
      },
    ];
  });

/** Joiners and marks of direction, which draw nothing. Unicode 16 §23.2, §23.3. */
const isUnseen = (character: string): boolean =>
  /\p{Default_Ignorable_Code_Point}/u.test(character);

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
    const voice = resolveInUse(document, style).voice.value ?? '';
    const served = servedBy(document, voice);
    const marked = page?.marked?.[style];
    if (!page || !marked || served.length === 0) return [];
    const ranges = served
      .flatMap(({ family }) => family.faces)
      .flatMap(({ files }) => files.map(({ sha256 }) => readings[sha256]?.characters));
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
        message: `${styleName(document, style)}: on “${page.title}” ${lettersInWords(apart)} ${apart.length === 1 ? 'comes' : 'come'} from another font, since no one file of ${servedNames(document, voice)} has the ${apart.length === 1 ? 'letter' : 'letters'} and the marks.`,
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
