import { pairSeatsOf } from '../../document/pairVoices';
import type { ProjectDocument, Voice } from '../../document/projectDocument';
import { MOST_FALLBACKS, MOST_PARTS } from '../../document/projectDocument';
import { freeKey } from '../../document/faces';
import { GENERICS, type Generic } from '../../document/vocabulary';
import { slug } from '../../deliver/fileName';
import { genericClass, isGenericWord, knownFont } from '../../fallback/plainNames';
import { roleOfText } from '../fights';
import { lookOf, type Stock, type StockText } from '../stock';
import type { FoldedScripts } from './foldScripts';

/** A family that sets one script in a voice. */
export interface FoldedSeat {
  /** Key of the script. */
  script: string;
  /** The family that draws its texts on the site. */
  asks: string;
  /** Key of the family of the case that goes by that name; null where there is none. */
  family: string | null;
  characters: number;
  texts: number[];
}

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
  /** Families of other scripts, that of most text first. */
  seats: FoldedSeat[];
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
 * its own name. What is written in another script has the voice of its kind, and its family a seat there.
 */
export function foldVoices(
  stock: Stock,
  document: ProjectDocument,
  { counterparts }: Pick<FoldedScripts, 'counterparts'>,
): FoldedVoices {
  const found = new Map<string, Asked>();
  stock.texts.forEach((text, number) => {
    if (counterparts.has(number)) return;
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
      seats: [],
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
  const numbers = new Map(stock.texts.map((one, number) => [one, number]));
  const byRole = (one: StockText): string =>
    roleOfText(one) === 'heading' && voices.some(({ key }) => key === 'heading')
      ? 'heading'
      : 'text';
  const voiceOf = (one: StockText): string => {
    const other = counterparts.get(numbers.get(one) ?? -1);
    const like = other?.as === undefined || other.as === null ? undefined : stock.texts[other.as];
    if (other && !like) return byRole(one);
    return byFamily.get(askedOf(stock, like ?? one)) ?? 'text';
  };
  for (const [number, { written }] of counterparts) {
    const one = stock.texts[number];
    const voice = voices.find(({ key }) => one && key === voiceOf(one));
    if (one && voice && written.script === written.around)
      seat(voice, written.script, { stock, document, number });
  }
  for (const { seats } of voices) seats.sort((a, b) => b.characters - a.characters);
  return { voices, voiceOf };
}

/** Counts a text to the family that draws it, where that is another than the voice's own. */
function seat(
  { asks, seats }: FoldedVoice,
  script: string,
  { stock, document, number }: { stock: Stock; document: ProjectDocument; number: number },
): void {
  const text = stock.texts[number];
  const drawn = text && lookOf(stock, text, 'wide').face;
  if (!drawn || isGenericWord(drawn) || plain(drawn) === plain(asks)) return;
  const known = seats.find((one) => one.script === script && plain(one.asks) === plain(drawn));
  if (known) {
    known.characters += text.characters;
    known.texts.push(number);
    return;
  }
  const family = familyNamed(document, drawn);
  seats.push({ script, asks: drawn, family, characters: text.characters, texts: [number] });
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

/** The seats of a voice, one a script: the family that draws most of its text. */
export const seatsOf = ({ seats }: Pick<FoldedVoice, 'seats'>): FoldedSeat[] =>
  seats.filter(({ script }, i) => seats.findIndex((one) => one.script === script) === i);

/**
 * A voice as the document has it: without a family of the case it asks for the fonts that the site asks for.
 * @param family key of a family of the case, or null
 * @param familyFor the same for each seat
 */
export function voicePart(
  voice: FoldedVoice,
  family: string | null,
  place: number,
  familyFor: (seat: FoldedSeat) => string | null,
): Voice {
  const { name, generic, asks } = voice;
  const seats = seatsOf(voice).map((one) => ({ ...one, family: familyFor(one) }));
  const without = seats.filter((one) => one.family === null).map((one) => one.asks);
  const gone = new Set([
    ...(family === null ? [] : [plain(asks)]),
    ...seats.filter((one) => one.family !== null).map((one) => plain(one.asks)),
  ]);
  const names = [...voice.plain, ...without].filter(
    (one, i, all) =>
      !gone.has(plain(one)) && all.findIndex((other) => plain(other) === plain(one)) === i,
  );
  const scripts = seats.flatMap((one) =>
    one.family === null ? [] : [[one.script, { family: one.family, size: 1 }] as const],
  );
  return {
    name,
    family,
    generic,
    fallback: null,
    ...(scripts.length > 0 ? { scripts: Object.fromEntries(scripts) } : {}),
    ...(names.length > 0 ? { plain: names.slice(0, MOST_FALLBACKS) } : {}),
    place,
  };
}
