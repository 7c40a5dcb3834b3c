import { readAdvances, type LocalAdvances, type SetsText } from '@lettera/core/fallback';
import { expose } from 'comlink';

/** Size at which a font is measured, px: what is rounded to whole px there is a two-thousandth of the em. */
const SIZE = 2048;

/** A canvas set in one font, and in nothing else. */
function settingIn(family: string): { sets: SetsText; lines: () => LocalAdvances['lines'] } {
  const context = new OffscreenCanvas(1, 1).getContext('2d');
  if (!context) throw new Error('This browser gives no canvas to measure on.');
  context.font = `${SIZE}px ${family}`;
  context.fontKerning = 'normal';
  const width = (text: string): number => context.measureText(text).width / SIZE;
  /** Set in the font with each of two others behind it, a character that it has is of one width. */
  const behind = ['monospace', 'serif'].map((generic) => {
    const other = new OffscreenCanvas(1, 1).getContext('2d');
    if (other) other.font = `${SIZE}px ${family}, ${generic}`;
    return (text: string) => (other?.measureText(text).width ?? 0) / SIZE;
  });
  const has = (character: string): boolean => {
    const [a, b] = behind.map((widthOf) => widthOf(character));
    return a !== undefined && b !== undefined && Math.abs(a - b) < 1e-6;
  };
  const known = new Map<string, boolean>();
  return {
    sets: {
      advance(text) {
        for (const character of text) {
          if (!known.has(character)) known.set(character, has(character));
          if (!known.get(character)) return null;
        }
        return width(text);
      },
    },
    lines() {
      const { fontBoundingBoxAscent: up, fontBoundingBoxDescent: down } = context.measureText('x');
      return { ascent: up / SIZE, descent: -down / SIZE, lineGap: 0 };
    },
  };
}

const worker = {
  /**
   * Reads the widths of a font file: of all characters and pairs of the words given.
   * @throws Error when the browser cannot use the file
   */
  async measure(bytes: ArrayBuffer, words: readonly string[]): Promise<LocalAdvances> {
    const family = `measured ${performance.now()} ${Math.random()}`;
    const face = new FontFace(family, bytes);
    await face.load();
    const fonts = (self as unknown as { fonts: FontFaceSet }).fonts;
    fonts.add(face);
    try {
      const { sets, lines } = settingIn(`"${family}"`);
      return { ...readAdvances(sets, words), colour: null, lines: lines() };
    } finally {
      fonts.delete(face);
    }
  },
};

export type LocalFontWorker = typeof worker;
expose(worker);
