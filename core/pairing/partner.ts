import type { FaceClass } from '../document/vocabulary';
import type { FamilyMeasures, ListedFace } from '../measure/family';

/** What a voice is for, in the order in which they stand on a page. */
export type Role = 'heading' | 'subheading' | 'text';

export const ROLES: readonly Role[] = ['heading', 'subheading', 'text'];

/** A family that may be paired. */
export interface Partner {
  /** Tells it from all others: what the line-up calls its row. */
  key: string;
  name: string;
  /** The class claimed for it. */
  class: FaceClass;
  faces: readonly ListedFace[];
  measures: FamilyMeasures | null;
}

/** Words that tell one family of a superfamily from another. */
const CUT_WORDS = /\b(sans|serif|slab|mono|text|display|grotesk|grotesque|next|condensed|\d+)\b/giu;

const stem = (name: string): string =>
  name.replace(CUT_WORDS, '').replace(/\s+/g, ' ').trim().toLowerCase();

/** Whether two families are cuts of one: their names differ only in the word for the cut. */
export const sameSuperfamily = (one: Partner, other: Partner): boolean =>
  one.key !== other.key && stem(one.name) !== '' && stem(one.name) === stem(other.name);

/** What a family's name says it was cut for; null when it says nothing. */
export const cutNamed = ({ name }: Partner): 'display' | 'text' | null =>
  /\bdisplay\b/iu.test(name) ? 'display' : /\b(text|hyperlegible)\b/iu.test(name) ? 'text' : null;
