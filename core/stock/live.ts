import { familiesIn, isCssColour } from '../css';
import type { LiveFace, LiveText, LiveView } from '../page/readerFile';
import type { StockFace, TextLook } from './stock';

/** Texts as a live page showed them, each taken once, in the order of the page. */
export class LiveTexts {
  readonly #waiting = new Map<string, LiveText[]>();

  constructor(view: LiveView | undefined) {
    for (const text of view?.texts ?? []) {
      this.#waiting.set(text.words, [...(this.#waiting.get(text.words) ?? []), text]);
    }
  }

  /** The next text of such words; undefined where the page showed no such text. */
  of = (words: string): LiveText | undefined => this.#waiting.get(words)?.shift();
}

/** A look with what the live page had in place of it. */
export function overLook(look: TextLook, live: LiveText): TextLook {
  const { family, size, weight, style, lineHeight, letterSpacing, letterCase, colour } = live;
  return {
    ...look,
    stack: familiesIn(family),
    face: live.face === undefined ? look.face : live.face,
    size,
    weight,
    slant: style === 'normal' || style === 'italic' ? style : 'oblique',
    lineHeight,
    letterSpacing,
    letterCase,
    colour: isCssColour(colour) ? colour : look.colour,
  };
}

/** A face as the live page had it; its file is not here. */
export const liveFace = ({ family, weight, style, status, unicodeRange }: LiveFace): StockFace => ({
  family,
  weight,
  style,
  state: FACE_STATES[status],
  ...(unicodeRange ? { unicodeRange } : {}),
});
/** What became of a face, by what the browser says of it. */
export const FACE_STATES: Readonly<Record<LiveFace['status'], StockFace['state']>> = {
  loaded: 'loaded',
  error: 'failed',
  loading: 'unloaded',
  unloaded: 'unloaded',
};
