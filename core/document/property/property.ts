/** What values a property takes, from which its bounds, its editor and its words follow. */
export type Values =
  /** The key of a voice or a colour of the project. */
  | { kind: 'key'; of: 'voices' | 'colours' }
  /** The number of a step of the scale. */
  | { kind: 'step' }
  /** One of several words of CSS; `words` says them as a designer does, where that differs. */
  | { kind: 'choice'; of: readonly string[]; words?: Readonly<Record<string, string>> }
  /** A number within bounds; `by` is how far an arrow key goes, `unit` what CSS and people write behind it. */
  | { kind: 'number'; min: number; max: number; by: number; whole?: boolean; unit?: 'em' };

/** What tells two neighbouring levels apart at a glance: a difference this large, or any at all. */
export type Telling = { by: number } | 'any' | null;

/** Everything there is to say about one property of a text style. */
export interface Property {
  /** What the interface calls it. */
  label: string;
  /** The CSS property that it becomes. */
  css: string;
  /** Whether CSS inherits it, so that what a style leaves open comes from the text around it. */
  inherited: boolean;
  /** Whether the `font` shorthand resets it. CSS Fonts 4 §2.7. */
  inFontShorthand: boolean;
  /** What browsers take when nothing sets it; null where that is the visitor's own. */
  initial: string | number | null;
  values: Values;
  /** Its place in the composite type `typography` of W3C Design Tokens 2025.10; others are extensions. */
  token?: 'fontFamily' | 'fontSize' | 'fontWeight' | 'lineHeight' | 'letterSpacing';
  /** Whether a difference in it tells two levels apart that are of one size. */
  tells: Telling;
}

/** A property, typed by what it takes. */
export const property = <const P extends Property>(of: P): P => of;
