import { LOCAL_SETS, type LocalClass, type LocalFont, type LocalPlatform } from './localFonts';

/** Generic families (CSS Fonts 4 §2.1.3), and the class that each is of, where it is of one. */
const GENERIC_WORDS: Readonly<Record<string, LocalClass | null>> = {
  serif: 'serif',
  'sans-serif': 'sans-serif',
  monospace: 'monospace',
  cursive: 'cursive',
  fantasy: 'fantasy',
  'system-ui': null,
  math: null,
  emoji: null,
  fangsong: null,
};

export const isGenericWord = (name: string): boolean =>
  Object.hasOwn(GENERIC_WORDS, name.toLowerCase());

/** A keyword by which some platforms answer with fonts of their interface; elsewhere it is passed over. */
export interface SystemWord {
  class: LocalClass | null;
  platforms: readonly LocalPlatform[];
}

const APPLE = ['macos', 'ios'] as const;
/** `ui-…` of CSS Fonts 4 §2.1.4, which only macOS and iOS answer to, and the two words that came before them. */
const SYSTEM_WORDS: Readonly<Record<string, SystemWord>> = {
  'ui-serif': { class: 'serif', platforms: APPLE },
  'ui-sans-serif': { class: 'sans-serif', platforms: APPLE },
  'ui-monospace': { class: 'monospace', platforms: APPLE },
  'ui-rounded': { class: 'sans-serif', platforms: APPLE },
  '-apple-system': { class: 'sans-serif', platforms: APPLE },
  blinkmacsystemfont: { class: 'sans-serif', platforms: ['macos'] },
};

/** What a keyword stands for on some platforms; null for a name that is none. It is written without quotes. */
export function systemWord(name: string): SystemWord | null {
  const word = name.toLowerCase();
  return Object.hasOwn(SYSTEM_WORDS, word) ? (SYSTEM_WORDS[word] ?? null) : null;
}

/** Fonts that are no platform's as shipped and that people install: no slips of the pen for others. */
const INSTALLED = new Set(
  [
    'SF Mono',
    'SF Pro',
    'SF Pro Text',
    'SF Pro Display',
    'SF Pro Rounded',
    'New York',
    'Fira Code',
    'Fira Mono',
    'IBM Plex Mono',
    'JetBrains Mono',
    'Source Code Pro',
    'Roboto Mono',
    'Noto Mono',
  ].map((name) => name.toLowerCase()),
);

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
  if (INSTALLED.has(name.toLowerCase()) || systemWord(name)) return null;
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

/** The class of a generic word, or null where it is of none. */
export const genericClass = (name: string): LocalClass | null =>
  GENERIC_WORDS[name.toLowerCase()] ?? systemWord(name)?.class ?? null;
