import type { SiteWidth } from '../siteWidth';
import type { PropertyName } from '../property';
import * as media from './media';
import type { Occasion } from './occasion';
import * as states from './states';
import * as parts from './textParts';

export type { Occasion } from './occasion';

/**
 * Every occasion on which a style may differ, by its key in the document, in the order in which rules for them are
 * delivered: of states the later wins where two are met, of which a link that is pressed is pointed at as well.
 */
export const OCCASIONS = {
  visited: states.visited,
  current: states.current,
  open: states.open,
  hover: states.hover,
  focus: states.focus,
  active: states.active,
  invalid: states.invalid,
  disabled: states.disabled,
  'first-line': parts.firstLine,
  'first-letter': parts.firstLetter,
  marker: parts.marker,
  placeholder: parts.placeholder,
  before: parts.before,
  after: parts.after,
  'file-button': parts.fileButton,
  selection: parts.selection,
  'more-contrast': media.moreContrast,
  'less-transparency': media.lessTransparency,
  'forced-colours': media.forcedColours,
  print: media.print,
} as const satisfies Record<string, Occasion>;

export type OccasionKey = keyof typeof OCCASIONS;
export const OCCASION_KEYS = Object.keys(OCCASIONS) as OccasionKey[];

/** An occasion by its key; null for a width of the site's, and for what is none. */
export const occasionOf = (key: string): Occasion | null =>
  Object.hasOwn(OCCASIONS, key) ? OCCASIONS[key as OccasionKey] : null;

/** Whether browsers take a property on an occasion; at a width of the site's all that text has. */
export const takenOn = (key: string, property: PropertyName): boolean =>
  (occasionOf(key) ?? OCCASIONS.print).takes(property);

/** A width in words: “from 768 px”, “below 480 px of the container card”. */
export function widthInWords({ from, below, container }: SiteWidth): string {
  const range = [
    ...(from === undefined ? [] : [`from ${from}`]),
    ...(below === undefined ? [] : [`below ${below}`]),
  ].join(' and ');
  return `${range} px${container === undefined ? '' : ` of the container ${container}`}`;
}
