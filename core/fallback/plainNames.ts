import { LOCAL_SETS, type LocalClass, type LocalFont } from './localFonts';

/** Generic families (CSS Fonts 4 §2.1.3), and the class that each is of, where it is of one. */
const GENERIC_WORDS: Readonly<Record<string, LocalClass | null>> = {
  serif: 'serif',
  'sans-serif': 'sans-serif',
  monospace: 'monospace',
  cursive: 'cursive',
  fantasy: 'fantasy',
  'system-ui': null,
  'ui-serif': 'serif',
  'ui-sans-serif': 'sans-serif',
  'ui-monospace': 'monospace',
  'ui-rounded': null,
  math: null,
  emoji: null,
  fangsong: null,
};

export const isGenericWord = (name: string): boolean =>
  Object.hasOwn(GENERIC_WORDS, name.toLowerCase());

/** A font of the table by its name, and the class of its set. */
export function knownFont(name: string): { font: LocalFont; class: LocalClass } | null {
  const wanted = name.toLowerCase();
  for (const { fonts, class: drawn } of Object.values(LOCAL_SETS)) {
    const font = fonts.find((one) => one.name.toLowerCase() === wanted);
    if (font) return { font, class: drawn };
  }
  return null;
}

/** How many letters have to be put in, taken out or changed to get from one name to another (V. I. Levenshtein, 1966). */
export function lettersApart(a: string, b: string): number {
  let row = Array.from({ length: b.length + 1 }, (_, i) => i);
  for (let i = 1; i <= a.length; i++) {
    const next = [i];
    for (let j = 1; j <= b.length; j++) {
      next[j] = Math.min(
        (next[j - 1] ?? 0) + 1,
        (row[j] ?? 0) + 1,
        (row[j - 1] ?? 0) + (a[i - 1] === b[j - 1] ? 0 : 1),
      );
    }
    row = next;
  }
  return row[b.length] ?? 0;
}

/** A name this much unlike another, in shares of its letters, is no slip of the pen. */
const SLIP = 0.34;

/** The known local font whose name is nearest to one that is not known; null where none is near. */
export function nearestName(name: string): string | null {
  const wanted = name.toLowerCase().replace(/[\s-]/g, '');
  const names = Object.values(LOCAL_SETS).flatMap(({ fonts }) => fonts.map((font) => font.name));
  const [best] = names
    .map((known) => ({
      known,
      apart: lettersApart(wanted, known.toLowerCase().replace(/[\s-]/g, '')),
    }))
    .sort((a, b) => a.apart - b.apart);
  return best && best.apart <= Math.max(1, wanted.length * SLIP) ? best.known : null;
}

/** An unquoted family name is a row of identifiers (CSS Fonts 4 §2.1.2): no word may begin with a figure. */
const IDENTIFIERS =
  /^-?[a-z_\u00a0-\u{10ffff}][\w\u00a0-\u{10ffff}-]*( -?[a-z_\u00a0-\u{10ffff}][\w\u00a0-\u{10ffff}-]*)*$/iu;

/** What was read of a list of family names as it is typed. */
export interface ReadNames {
  names: string[];
  /** What was put right, in words. */
  notes: string[];
}

/**
 * Reads family names as CSS has a list of them: parted by commas, in quotes or not. A generic at the end is
 * left out, since it has a place of its own.
 * @throws RangeError where quotes are left open, or a name cannot be one
 */
export function readNames(text: string): ReadNames {
  const names: string[] = [];
  const notes: string[] = [];
  let rest = text.trim();
  while (rest !== '') {
    const match = /^(?:"([^"]*)"|'([^']*)'|([^,"']*))\s*(,|$)\s*/.exec(rest);
    if (!match) throw new RangeError(`A quotation mark in “${rest.slice(0, 60)}” has no other.`);
    const [whole, double, single, bare] = match;
    const quoted = double ?? single;
    const name = (quoted ?? bare ?? '').trim().replace(/\s+/g, ' ');
    rest = rest.slice(whole.length);
    if (name === '') continue;
    if (quoted === undefined && !IDENTIFIERS.test(name)) {
      notes.push(`${name} has to stand in quotes in CSS; it is written so.`);
    }
    if (names.some((one) => one.toLowerCase() === name.toLowerCase())) {
      notes.push(`${name} stood there twice, and is kept once.`);
    } else names.push(name);
  }
  const last = names.at(-1);
  if (last && isGenericWord(last)) {
    names.pop();
    notes.push(`${last} ends the stack already, at the choice of the generic.`);
  }
  return { names, notes };
}

/** The class of a generic word, or null where it is of none. */
export const genericClass = (name: string): LocalClass | null =>
  GENERIC_WORDS[name.toLowerCase()] ?? null;
