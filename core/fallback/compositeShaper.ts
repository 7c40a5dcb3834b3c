import type { Shaper } from '../font/file';
import type { SetsText } from './advances';

/**
 * A web face's files as one face. As a browser does, a run of text is cut where the file changes, each
 * character being set by the first file that has it, and each piece is shaped by itself.
 */
export class CompositeShaper implements SetsText {
  constructor(private readonly files: readonly Pick<Shaper, 'has' | 'advance'>[]) {}

  has(character: string): boolean {
    return this.#fileOf(character) !== undefined;
  }

  /** The advance width of a run of text in em, or null when a character is in no file. */
  advance(text: string): number | null {
    let sum = 0;
    let piece = '';
    let current: Pick<Shaper, 'advance'> | undefined;
    for (const character of text) {
      const file = this.#fileOf(character);
      if (!file) return null;
      if (file !== current && current) {
        sum += current.advance(piece);
        piece = '';
      }
      current = file;
      piece += character;
    }
    return current ? sum + current.advance(piece) : 0;
  }

  #fileOf(character: string): Pick<Shaper, 'has' | 'advance'> | undefined {
    const code = character.codePointAt(0) ?? 0;
    return this.files.find((file) => file.has(code));
  }
}
