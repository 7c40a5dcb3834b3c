/** Families that are sure to draw a letter each in another width. */
const PROBES = ['monospace', 'serif', 'cursive'] as const;
/** A family that nobody has. */
const NOWHERE = 'No Such Family, Anywhere';
const MEASURED_AT = 200;
/** Letters of a text that are looked at for the face that sets most of it. */
const LETTERS_LOOKED_AT = 120;

/** The generic families of CSS Fonts 4 §2.1.3, which every stack may end in. */
const GENERIC =
  /^(serif|sans-serif|monospace|cursive|fantasy|system-ui|ui-serif|ui-sans-serif|ui-monospace|ui-rounded|math|emoji|fangsong)$/;

export const isGeneric = (family: string): boolean => GENERIC.test(family);

/** Which family of a stack draws each letter, as the browser sets it now. */
export class LetterFinder {
  readonly #context: CanvasRenderingContext2D | null;
  readonly #known = new Map<string, boolean>();

  constructor(page: Document) {
    this.#context = page.createElement('canvas').getContext('2d');
  }

  /**
   * Whether a family draws a letter: then it is as wide whatever stands behind it in the stack. Where faces
   * of the family have not arrived, it does not yet.
   *
   * @param style `font-style` and `font-weight`, as the `font` shorthand has them
   */
  #draws(family: string, letter: string, style: string): boolean {
    const key = `${style} ${family} ${letter}`;
    const known = this.#known.get(key);
    if (known !== undefined) return known;
    const [wide = 0, ...wides] = this.#widths(family, letter, style);
    const [other = 0, ...others] = this.#widths(NOWHERE, letter, style);
    const isOne = (width: number, widths: readonly number[]) =>
      widths.every((one) => Math.abs(one - width) < 0.01);
    // Where no family of a stack has a letter, the system draws it as wide whatever stands there, as Georgian behind
    // Latin families: that it is as wide tells of a family then only where the system's is otherwise.
    const draws = isOne(wide, wides) && !(isOne(other, others) && isOne(wide, [other]));
    this.#known.set(key, draws);
    return draws;
  }

  /** How wide a letter is behind each probe. */
  #widths(family: string, letter: string, style: string): number[] {
    return PROBES.map((probe) => this.#width(`"${family}", ${probe}`, letter, style));
  }

  #width(stack: string, letter: string, style: string): number {
    if (!this.#context) return 0;
    this.#context.font = `${style} ${MEASURED_AT}px ${stack}`;
    return this.#context.measureText(letter).width;
  }

  /** The letters of a text by the family of the stack that draws them; null for one that none is known to. */
  lettersBy(text: string, stack: readonly string[], style: string): Map<string | null, string> {
    const found = new Map<string | null, string>();
    for (const letter of new Set(text)) {
      if (!letter.trim()) continue;
      const family =
        stack.find((name) => isGeneric(name) || this.#draws(name, letter, style)) ?? null;
      found.set(family, (found.get(family) ?? '') + letter);
    }
    return found;
  }

  /** By stack and style, which family draws a letter; texts of a page have few of both. */
  readonly #drawnBy = new Map<string, Map<string, string | null>>();

  /** The family of the stack that draws most letters of a text; null where none of it draws most of them. */
  mainFamily(text: string, stack: readonly string[], style: string): string | null {
    const key = `${style} ${stack.join()}`;
    const known = this.#drawnBy.get(key) ?? new Map<string, string | null>();
    this.#drawnBy.set(key, known);
    const counts = new Map<string | null, number>();
    for (const letter of text.slice(0, LETTERS_LOOKED_AT)) {
      let family = known.get(letter);
      if (family === undefined) {
        if (!letter.trim()) continue;
        family = stack.find((name) => isGeneric(name) || this.#draws(name, letter, style)) ?? null;
        known.set(letter, family);
      }
      counts.set(family, (counts.get(family) ?? 0) + 1);
    }
    let [main, most] = [null as string | null, 0];
    for (const [family, count] of counts) if (count > most) [main, most] = [family, count];
    return main;
  }
}
