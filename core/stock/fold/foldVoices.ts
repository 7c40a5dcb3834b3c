import { pairSeatsOf } from '../../document/pairVoices';
import type { ProjectDocument, Voice } from '../../document/projectDocument';
import { MOST_FALLBACKS, MOST_PARTS } from '../../document/projectDocument';
import { freeKey } from '../../document/faces';
import { GENERICS, type Generic } from '../../document/vocabulary';
import { slug } from '../../deliver/fileName';
import { genericClass, isGenericWord, knownFont } from '../../fallback/plainNames';
import { roleOfText } from '../fights';
import { lookOf, type Stock, type StockText } from '../stock';

/** A family of the site's, and the voice that it is given. */
export interface FoldedVoice {
  key: string;
  name: string;
  /** The family that its texts ask for first. */
  asks: string;
  /** Key of the family of the case that goes by that name; null where there is none. */
  family: string | null;
  generic: Generic;
  /** The names that stand behind it in the stack, and itself, without the generic. */
  plain: string[];
  characters: number;
  texts: number[];
}

/** The voices that a site's families become. */
export interface FoldedVoices {
  voices: FoldedVoice[];
  /** The voice that a text has. */
  voiceOf: (text: StockText) => string;
}

const plain = (name: string): string => name.trim().toLowerCase();

/** The generic family that a stack ends in, or that its names are of. */
function genericOf(stack: readonly string[]): Generic {
  const classes = [...stack]
    .reverse()
    .map((name) => genericClass(name) ?? knownFont(name)?.class ?? null);
  return GENERICS.find((generic) => classes.find(Boolean) === generic) ?? 'sans-serif';
}

/** Key of the family of the case that goes by a name. */
export const familyNamed = (document: ProjectDocument, name: string): string | null =>
  Object.entries(document.case).find(([, family]) =>
    [family.name, family.alias].some((known) => known && plain(known) === plain(name)),
  )?.[0] ?? null;

interface Asked {
  name: string;
  stack: readonly string[];
  characters: number;
  texts: number[];
  /** Characters by what they are for. */
  of: Record<'heading' | 'text' | 'other', number>;
}

const askedOf = (stock: Stock, text: StockText): string => {
  const [first = 'serif'] = lookOf(stock, text, 'wide').stack;
  return plain(first);
};

/**
 * Gives the families of a site voices: the one that most running text asks for is the text's; the one that most
 * headings ask for the headings', where it is another; one of equal widths the code's; each other has a voice of
 * its own name.
 */
export function foldVoices(stock: Stock, document: ProjectDocument): FoldedVoices {
  const found = new Map<string, Asked>();
  stock.texts.forEach((text, number) => {
    const { stack } = lookOf(stock, text, 'wide');
    const key = askedOf(stock, text);
    const known = found.get(key) ?? {
      name: stack[0] ?? 'serif',
      stack,
      characters: 0,
      texts: [],
      of: { heading: 0, text: 0, other: 0 },
    };
    found.set(key, known);
    known.characters += text.characters;
    known.texts.push(number);
    known.of[roleOfText(text)] += text.characters;
  });
  const all = [...found.values()].sort((a, b) => b.characters - a.characters);
  const most = (role: keyof Asked['of']): Asked | undefined =>
    [...all].sort((a, b) => b.of[role] - a.of[role]).find((one) => one.of[role] > 0);
  const text = most('text') ?? all[0];
  const heading = most('heading') ?? text;
  const code = all.find(
    (one) => one !== text && one !== heading && genericOf(one.stack) === 'monospace',
  );

  const voices: FoldedVoice[] = [];
  const give = (one: Asked, key: string, name: string): void => {
    voices.push({
      key,
      name,
      asks: one.name,
      family: familyNamed(document, one.name),
      generic: genericOf(one.stack),
      plain: one.stack.filter((family) => !isGenericWord(family)).slice(0, MOST_FALLBACKS),
      characters: one.characters,
      texts: one.texts,
    });
  };
  if (heading && heading !== text) give(heading, 'heading', 'Heading');
  if (text) give(text, 'text', 'Text');
  if (code) give(code, 'code', 'Code');
  const rest = all.filter((one) => one !== text && one !== heading && one !== code);
  for (const one of rest.slice(0, MOST_PARTS.voices - voices.length)) {
    const keys = voices.map(({ key }) => key);
    give(one, freeKey(keys, slug(one.name) || 'voice', 'voice'), one.name.slice(0, 60));
  }
  const byFamily = new Map(voices.map(({ asks, key }) => [plain(asks), key]));
  return { voices, voiceOf: (one) => byFamily.get(askedOf(stock, one)) ?? 'text' };
}

/** The voices that a project has, for a site whose families are left as they are: the one with that family, else the nearest by what the text is for. */
export function voicesOfProject(stock: Stock, document: ProjectDocument): FoldedVoices {
  const seats = pairSeatsOf(document);
  const [first = ''] = Object.keys(document.voices);
  return {
    voices: [],
    voiceOf: (text) => {
      const { stack } = lookOf(stock, text, 'wide');
      const family = familyNamed(document, stack[0] ?? '');
      const own = Object.entries(document.voices).find(
        ([, voice]) => family !== null && voice.family === family,
      );
      if (own) return own[0];
      return (roleOfText(text) === 'heading' ? seats?.heading : seats?.text) ?? first;
    },
  };
}

/**
 * A voice as the document has it: without a family of the case it asks for the fonts that the site asks for.
 * @param family key of a family of the case, or null
 */
export function voicePart(
  { name, generic, plain: names, asks }: FoldedVoice,
  family: string | null,
  place: number,
): Voice {
  const behind = family === null ? names : names.filter((one) => plain(one) !== plain(asks));
  return {
    name,
    family,
    generic,
    fallback: null,
    ...(behind.length > 0 ? { plain: behind } : {}),
    place,
  };
}
