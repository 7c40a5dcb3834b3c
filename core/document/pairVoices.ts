import type { ProjectDocument } from './projectDocument';

/** The voices that are paired, by key; null for a part that no voice plays. */
export interface PairSeats {
  heading: string;
  subheading: string | null;
  text: string;
}

/**
 * The voices that Pair works with: those that the document names, else the ones that have the keys
 * `heading`, `subheading` and `text`, else the first two there are. Null for a project of one voice.
 */
export function pairSeatsOf({
  pair,
  voices,
}: Pick<ProjectDocument, 'pair' | 'voices'>): PairSeats | null {
  if (pair) return { ...pair, subheading: pair.subheading ?? null };
  const keys = Object.keys(voices);
  const own = (key: string) => keys.find((one) => one === key);
  const text = own('text') ?? keys.find((key) => key !== 'heading' && key !== 'subheading');
  const heading = own('heading') ?? keys.find((key) => key !== text);
  return heading && text ? { heading, subheading: own('subheading') ?? null, text } : null;
}
