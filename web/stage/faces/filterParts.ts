import { filterParts as say } from './words';
import type { FilterPart } from '../../store/rows/filter';

/** A part of the filter, or that a measure is to be chosen first. */
export type FilterPartAsked = FilterPart | 'measure';

/** What families can be filtered by, as the menu lists it. */
export const FILTER_PARTS: readonly { part: FilterPartAsked; label: string }[] = [
  { part: 'classes', label: say.class },
  { part: 'weights', label: say.weights },
  { part: 'italic', label: say.italic },
  { part: 'languages', label: say.languages },
  { part: 'scripts', label: say.scripts },
  { part: 'figures', label: say.figures },
  { part: 'fit', label: say.fit },
  { part: 'mostBytes', label: say.bytes },
  { part: 'measure', label: say.measure },
  { part: 'from', label: say.whereFrom },
];
