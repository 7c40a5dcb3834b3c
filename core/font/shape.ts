import { Blob, Buffer as ShapingBuffer, Face, Font, shape, Variation } from 'harfbuzzjs';
import { unpack } from './container';

/** A point in a variable face's design space; axes left out stay at their default. */
export type Instance = Record<string, number>;

/**
 * A face that can be asked how wide it sets text, as HarfBuzz shapes it: kerning and ligatures on, as
 * browsers do by default. Widths come in em, so that faces with different units compare.
 */
export class Shaper {
  readonly #font: Font;
  readonly #characters: Set<number>;
  readonly #unitsPerEm: number;
  readonly #buffer = new ShapingBuffer();

  private constructor(sfnt: Uint8Array, instance: Instance) {
    const face = new Face(new Blob(sfnt));
    this.#font = new Font(face);
    this.#unitsPerEm = face.upem;
    this.#characters = new Set(face.collectUnicodes());
    const axes = face.getAxisInfos();
    const settings = Object.entries(instance).filter(([tag]) => axes[tag]);
    if (settings.length > 0) {
      this.#font.setVariations(settings.map(([tag, value]) => new Variation(tag, value)));
    }
  }

  /** @throws FontError when the file is not a font */
  static async open(file: Uint8Array, instance: Instance = {}): Promise<Shaper> {
    return new Shaper((await unpack(file)).sfnt, instance);
  }

  has(codePoint: number): boolean {
    return this.#characters.has(codePoint);
  }

  /** The advance width of a run of text, in em. */
  advance(text: string): number {
    const buffer = this.#buffer;
    buffer.reset();
    buffer.addText(text);
    buffer.guessSegmentProperties();
    shape(this.#font, buffer);
    let units = 0;
    for (const { xAdvance } of buffer.getGlyphPositions()) units += xAdvance;
    return units / this.#unitsPerEm;
  }
}
