/** What values a property takes, from which its bounds, its editor and its words follow. */
export type Values =
  /** The key of a voice or a colour of the project. */
  | { kind: 'key'; of: 'voices' | 'colours' }
  /** The number of a step of the scale. */
  | { kind: 'step' }
  /** One of several words of CSS; `words` says them as a designer does, where that differs. */
  | { kind: 'choice'; of: readonly string[]; words?: Readonly<Record<string, string>> }
  /** A number within bounds; `by` is how far an arrow key goes, `unit` what CSS and people write behind it. */
  | { kind: 'number'; min: number; max: number; by: number; whole?: boolean; unit?: 'em' }
  /**
   * A length in one of several units of CSS, such as `1.5em`; bounds go for the number in any of them. With
   * `most` there may be a second for the sides, `0.5em 1em`; with `edges` it is said at which edges a line
   * stands, `1px below`, the one above where none is.
   */
  | {
      kind: 'length';
      units: readonly LengthUnit[];
      min: number;
      max: number;
      most?: 2;
      edges?: true;
    }
  /** OpenType tags with a number each, such as `ss01 1, cv05 2`. */
  | { kind: 'settings'; whole: boolean };

/** `lh` is the line height of the text itself, `ch` the width of its figure 0. CSS Values 4 §6.1.1. */
export type LengthUnit = 'em' | 'lh' | 'ch' | 'px';

/** What tells two neighbouring levels apart at a glance: a difference this large, or any at all. */
export type Telling = { by: number } | 'any' | null;

/**
 * Parts of the sheet of styles: what makes the type, its finer points, lines under it, how it is set, what stands
 * around it, and where a page may end.
 */
export const PROPERTY_PARTS = [
  'type',
  'detail',
  'underline',
  'setting',
  'around',
  'breaks',
] as const;
export type PropertyPart = (typeof PROPERTY_PARTS)[number];

/** Everything there is to say about one property of a text style. */
export interface Property {
  /** What the interface calls it. */
  label: string;
  /** The CSS property that it becomes. */
  css: string;
  /** Of a shorthand the longhand that stands for it where it is asked which declaration wins. */
  longhand?: string;
  /** Whether CSS inherits it, so that what a style leaves open comes from the text around it. */
  inherited: boolean;
  /** Whether the `font` shorthand resets it. CSS Fonts 4 §2.7. */
  inFontShorthand: boolean;
  /** Other shorthands, and other names, that set it. */
  shorthands?: readonly string[];
  /** What browsers take when nothing sets it; null where that is the visitor's own. */
  initial: string | number | null;
  values: Values;
  /** What browsers make of it, where not all do the same. */
  engines?: string;
  /** The occasion on which alone it means something, by its key. */
  only?: string;
  /** Which part of the sheet shows it. */
  part: PropertyPart;
  /** Its place in the composite type `typography` of W3C Design Tokens 2025.10; others are extensions. */
  token?: 'fontFamily' | 'fontSize' | 'fontWeight' | 'lineHeight' | 'letterSpacing';
  /** Whether a difference in it tells two levels apart that are of one size. */
  tells: Telling;
}

/** A property, typed by what it takes. */
export const property = <const P extends Property>(of: P): P => of;
