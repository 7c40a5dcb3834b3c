import { Blob, Buffer as ShapingBuffer, Face, Feature, Font, shape, Variation } from 'harfbuzzjs';
import { unpack } from './container';
import { boxOf, glyphOutline, type Box, type Outline } from './outline';

/** A point in a variable face's design space; axes left out stay at their default. */
export type Instance = Record<string, number>;

/** A glyph of a shaped run. The advance is in em. */
export interface ShapedGlyph {
  id: number;
  advance: number;
}

/**
 * A face that can be asked how it sets and draws text, as HarfBuzz shapes it: kerning and ligatures on,
 * as browsers do by default. Lengths come in em, so that faces with different units compare.
 */
export class Shaper {
  readonly #font: Font;
  readonly #characters: Set<number>;
  readonly #unitsPerEm: number;
  readonly #buffer = new ShapingBuffer();
  readonly #outlines = new Map<string, Outline | null>();

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
    return Shaper.over((await unpack(file)).sfnt, instance);
  }

  /** Over a font that has been unpacked, at a point of its axes. */
  static over(sfnt: Uint8Array, instance: Instance = {}): Shaper {
    return new Shaper(sfnt, instance);
  }

  /** Every character that the face maps. */
  get characters(): ReadonlySet<number> {
    return this.#characters;
  }

  has(codePoint: number): boolean {
    return this.#characters.has(codePoint);
  }

  /** The glyphs of a run of text, with further OpenType features switched on. */
  glyphs(text: string, features: readonly string[] = []): ShapedGlyph[] {
    const buffer = this.#buffer;
    buffer.reset();
    buffer.addText(text);
    buffer.guessSegmentProperties();
    shape(
      this.#font,
      buffer,
      features.map((tag) => new Feature(tag, 1)),
    );
    const positions = buffer.getGlyphPositions();
    return buffer.getGlyphInfos().map(({ codepoint }, i) => ({
      id: codepoint,
      advance: (positions[i]?.xAdvance ?? 0) / this.#unitsPerEm,
    }));
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

  /** The box around the ink of a run of text, em; null for one that leaves no ink, or has a letter that the face lacks. */
  inkBox(text: string): Pick<Box, 'top' | 'bottom'> | null {
    if (![...text].every((one) => this.has(one.codePointAt(0) ?? 0))) return null;
    const buffer = this.#buffer;
    buffer.reset();
    buffer.addText(text);
    buffer.guessSegmentProperties();
    shape(this.#font, buffer);
    const positions = buffer.getGlyphPositions();
    const boxes = buffer.getGlyphInfos().flatMap(({ codepoint }, i) => {
      const outline = glyphOutline(this.#font, codepoint, this.#unitsPerEm);
      if (!outline) return [];
      const up = (positions[i]?.yOffset ?? 0) / this.#unitsPerEm;
      const { top, bottom } = boxOf(outline);
      return [{ top: top + up, bottom: bottom + up }];
    });
    if (boxes.length === 0) return null;
    return {
      top: Math.max(...boxes.map(({ top }) => top)),
      bottom: Math.min(...boxes.map(({ bottom }) => bottom)),
    };
  }

  /** How a character is drawn when it stands alone, or null when the face lacks it or leaves it blank. */
  outline(character: string): Outline | null {
    const known = this.#outlines.get(character);
    if (known !== undefined) return known;
    const drawn = this.#draw(character);
    this.#outlines.set(character, drawn);
    return drawn;
  }

  #draw(character: string): Outline | null {
    if (!this.has(character.codePointAt(0) ?? 0)) return null;
    const [glyph] = this.glyphs(character);
    return glyph ? glyphOutline(this.#font, glyph.id, this.#unitsPerEm) : null;
  }
}
