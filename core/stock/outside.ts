import { parseUnicodeRange } from '../css/unicodeRange';
import { onceFor } from '../document/once';
import type { StockFace } from './stock';

const plain = (family: string): string => family.toLowerCase();

type Ranges = ReturnType<typeof parseUnicodeRange> | null;

function rangesOf(faces: readonly StockFace[]): Map<string, Ranges> {
  const known = new Map<string, Ranges>();
  for (const { family, unicodeRange } of faces) {
    const before = known.get(plain(family));
    if (before === null) continue;
    let own: Ranges = null;
    try {
      own = unicodeRange ? parseUnicodeRange(unicodeRange) : null;
    } catch {
      // What a browser gives in another form is taken for all characters.
    }
    known.set(plain(family), own && [...(before ?? []), ...own]);
  }
  return known;
}

/** What faces of a page are for, by family, in small letters; null for every character. */
const rangesOn = onceFor(rangesOf);

/**
 * Characters of a text that no face of its first family is for, as the page declares them (`unicode-range`, CSS
 * Fonts 4 §4.5): each once, in the order of the text. Empty where the page declares no face of that family.
 */
export function lettersOutside(
  text: string,
  family: string | undefined,
  faces: readonly StockFace[],
): string {
  const ranges = rangesOn(faces).get(plain(family ?? ''));
  if (!ranges) return '';
  return [...new Set(text)]
    .filter((letter) => {
      const codePoint = letter.codePointAt(0) ?? 0;
      return letter.trim() && !ranges.some(([from, to]) => codePoint >= from && codePoint <= to);
    })
    .join('');
}
