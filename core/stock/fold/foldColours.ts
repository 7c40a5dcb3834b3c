import { differenceCiede2000 } from '../../css/culori';
import { freeKey } from '../../document/faces';
import { MOST_PARTS } from '../../document/projectDocument';
import { GROUND, INK } from '../../document/vocabulary';
import { colourOf, composited, hexOf } from '../../css';
import { slug } from '../../deliver/fileName';
import { lookOf, type Stock, type StockText } from '../stock';

/** A colour of the site's text, as the project is to have it. */
export interface FoldedColour {
  key: string;
  name: string;
  /** Hexadecimal. */
  value: string;
}

export interface FoldedColours {
  colours: FoldedColour[];
  /** The colour that a text has, by its key. */
  colourKeyOf: (text: StockText) => string;
}

/** Colours nearer than this are not told apart. CIEDE2000. */
const SAME = 2;
const apart = differenceCiede2000();
const PAPER = '#ffffff';

/** A colour as it is seen on its ground. */
export const seenColour = (colour: string, ground: string | null): string =>
  hexOf(composited(ground ?? PAPER, [colour]));

/**
 * The colours of a site's text, near ones as one, the weightiest standing for them: that of the body's text is
 * the ink, what it stands on the ground, and each other is called by the text that has most of it.
 *
 * @param isBody whether a text is of the body's
 * @param nameOf what a text is called
 */
export function foldColours(
  stock: Stock,
  isBody: (text: StockText) => boolean,
  nameOf: (text: StockText) => string,
): FoldedColours {
  const seen = (text: StockText): string => {
    const { colour, ground } = lookOf(stock, text, 'wide');
    return seenColour(colour, ground);
  };
  const weights = new Map<string, { characters: number; text: StockText }>();
  const grounds = new Map<string, number>();
  for (const text of stock.texts) {
    const value = seen(text);
    const known = weights.get(value);
    if (known) known.characters += text.characters;
    else weights.set(value, { characters: text.characters, text });
    const { ground } = lookOf(stock, text, 'wide');
    if (ground !== null && isBody(text)) {
      const hex = hexOf(ground);
      grounds.set(hex, (grounds.get(hex) ?? 0) + text.characters);
    }
  }
  const body = stock.texts.find(isBody);
  const ink = body ? seen(body) : '#000000';
  const colours: FoldedColour[] = [
    { key: INK, name: 'Ink', value: ink },
    {
      key: GROUND,
      name: 'Background',
      value: [...grounds].sort(([, a], [, b]) => b - a)[0]?.[0] ?? PAPER,
    },
  ];
  const keys = new Map<string, string>([[ink, INK]]);
  for (const [value, { text }] of [...weights].sort(
    ([, a], [, b]) => b.characters - a.characters,
  )) {
    if (keys.has(value)) continue;
    const texts = colours.filter(({ key }) => key !== GROUND);
    const [nearest] = texts
      .map((one) => ({ one, off: apart(colourOf(one.value), colourOf(value)) }))
      .sort((a, b) => a.off - b.off);
    if (nearest && (nearest.off < SAME || colours.length >= MOST_PARTS.colours)) {
      keys.set(value, nearest.one.key);
      continue;
    }
    const name = nameOf(text).slice(0, 60);
    const key = freeKey(
      colours.map((one) => one.key),
      slug(name) || 'colour',
      'colour',
    );
    colours.push({ key, name, value });
    keys.set(value, key);
  }
  return { colours, colourKeyOf: (text) => keys.get(seen(text)) ?? INK };
}
