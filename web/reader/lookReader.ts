import { isCssColour } from '@lettera/core/css';
import type { TextLook } from '@lettera/core/stock';
import { familiesIn, LetterFinder } from './faceUsed';
import { Grounds } from './grounds';

/** Letters of a text that are looked at for the face that sets most of it. */
const LETTERS_LOOKED_AT = 120;

const px = (value: string): number => parseFloat(value) || 0;
const BLACK = 'rgb(0, 0, 0)';

/** Reads how texts of a page are set, as the browser that shows it computes them at the width that it has. */
export class LookReader {
  readonly #window: Window | null;
  readonly #letters: LetterFinder;
  readonly #grounds = new Grounds();
  /** Colours as they are told, by what the browser computes: a page has few. */
  readonly #colours = new Map<string, string>();

  constructor(page: Document) {
    this.#window = page.defaultView;
    this.#letters = new LetterFinder(page);
  }

  /** @param text what the element itself holds */
  look(node: Element, text: string): { look: TextLook; isInline: boolean } | null {
    const style = this.#window?.getComputedStyle(node);
    if (!style) return null;
    const { fontStyle, fontWeight, color } = style;
    const stack = familiesIn(style.fontFamily);
    const ground = this.#grounds.of(node);
    const look: TextLook = {
      stack,
      face: this.#letters.mainFamily(
        text.slice(0, LETTERS_LOOKED_AT),
        stack,
        `${fontStyle} ${fontWeight}`,
      ),
      size: px(style.fontSize),
      weight: Number(fontWeight),
      slant: fontStyle === 'normal' || fontStyle === 'italic' ? fontStyle : 'oblique',
      lineHeight: style.lineHeight === 'normal' ? null : px(style.lineHeight),
      letterSpacing: px(style.letterSpacing),
      letterCase: style.textTransform,
      colour: this.#colour(color),
      ground: 'unknown' in ground ? null : ground.colour,
    };
    return { look, isInline: style.display === 'inline' };
  }

  /** A colour in a space that is not measured here is taken for ink. */
  #colour(computed: string): string {
    const known = this.#colours.get(computed);
    if (known !== undefined) return known;
    const colour = isCssColour(computed) ? computed : BLACK;
    this.#colours.set(computed, colour);
    return colour;
  }
}
