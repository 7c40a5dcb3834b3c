/**
 * Where a text of a page stands: the text elements that the nodes around it are, by their keys, the innermost node
 * first. Nodes that are none are left out, and an element that one is further in too. Two marks stand beside the
 * keys, for what browsers' own style sheets have bold or slanted.
 */
export type TextPlace = readonly (readonly string[])[];

export const NOWHERE: TextPlace = [];
/** No keys of elements: those are words and hyphens. */
export const BOLD_BY_BROWSER = '*bold';
export const SLANTED_BY_BROWSER = '*slanted';

/** The place within a node that is text elements, or marked. @param around the place that the node stands in */
export function placeWithin(around: TextPlace, own: readonly string[]): TextPlace {
  if (own.length === 0) return around;
  const outer = around.map((level) => level.filter((key) => !own.includes(key)));
  return [own, ...outer.filter((level) => level.length > 0)];
}

/** A place as a key: `emphasis,*slanted>lead>body`; empty for text in no text element. */
export const writtenPlace = (place: TextPlace): string =>
  place.map((level) => level.join()).join('>');

/** A place from its key. */
export const readPlace = (written: string): TextPlace =>
  written === '' ? NOWHERE : written.split('>').map((level) => level.split(','));
