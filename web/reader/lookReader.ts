import { familiesIn, isCssColour } from '@lettera/core/css';
import type { TextLook } from '@lettera/core/stock';
import { LetterFinder } from './faceUsed';
import { Grounds } from './grounds';

const px = (value: string): number => parseFloat(value) || 0;
const BLACK = 'rgb(0, 0, 0)';

/** How texts are set, but for the face that draws them and the ground. */
interface TypeRead {
  look: Omit<TextLook, 'face' | 'ground'>;
  /** `font-style` and `font-weight`, as the `font` shorthand has them. */
  style: string;
  /** By face and ground. */
  looks: Map<string, TextLook>;
}

/** Reads how texts of a page are set, as the browser that shows it computes them at the width that it has. */
export class LookReader {
  readonly #window: Window | null;
  readonly #letters: LetterFinder;
  readonly #grounds = new Grounds();
  /** By what the browser computes: a page has few. */
  readonly #types = new Map<string, TypeRead>();

  constructor(page: Document) {
    this.#window = page.defaultView;
    this.#letters = new LetterFinder(page);
  }

  /** @param text what the element itself holds @returns the same object for texts that are set alike */
  look(node: Element, text: string): { look: TextLook; display: string } | null {
    const style = this.#window?.getComputedStyle(node);
    if (!style) return null;
    const type = this.#typeOf(style);
    const face = this.#letters.mainFamily(text, type.look.stack, type.style);
    const found = this.#grounds.of(node);
    const ground = 'unknown' in found ? null : found.colour;
    const key = `${face}|${ground}`;
    const look = type.looks.get(key) ?? { ...type.look, face, ground };
    type.looks.set(key, look);
    return { look, display: style.display };
  }

  /** What is computed for a text itself, read in parts once for all that are set so. */
  #typeOf(style: CSSStyleDeclaration): TypeRead {
    const { fontFamily, fontSize, fontWeight, fontStyle } = style;
    const { lineHeight, letterSpacing, textTransform, color } = style;
    const key = `${fontSize}|${fontWeight}|${fontStyle}|${lineHeight}|${letterSpacing}|${textTransform}|${color}|${fontFamily}`;
    const known = this.#types.get(key);
    if (known) return known;
    const look = {
      stack: familiesIn(fontFamily),
      size: px(fontSize),
      weight: Number(fontWeight),
      slant: fontStyle === 'normal' || fontStyle === 'italic' ? fontStyle : 'oblique',
      lineHeight: lineHeight === 'normal' ? null : px(lineHeight),
      letterSpacing: px(letterSpacing),
      letterCase: textTransform,
      // A colour in a space that is not measured here is taken for ink.
      colour: isCssColour(color) ? color : BLACK,
    } as const;
    const type = { look, style: `${fontStyle} ${fontWeight}`, looks: new Map() };
    this.#types.set(key, type);
    return type;
  }
}
