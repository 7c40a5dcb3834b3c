import type { PropertyName } from '../property';

/** Everything there is to say about an occasion on which a style differs. */
export interface Occasion {
  /** What the interface calls it. */
  label: string;
  /** A state of an element, a part of its text, or what the page is shown on. */
  kind: 'state' | 'part' | 'medium';
  /** What is put behind the selector of an element, or the media query that it goes by. */
  css: string;
  /** Whether browsers take a property there. */
  takes: (property: PropertyName) => boolean;
  /** What browsers make of it, where that is not plain, and what is to be minded. */
  says?: string;
}

/** An occasion, of one kind. */
export const occasion = (of: Occasion): Occasion => of;
