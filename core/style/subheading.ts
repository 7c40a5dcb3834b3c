import { freeKey } from '../document/faces';
import type { Patch } from '../document/patch';
import { pairSeatsOf } from '../document/pairVoices';
import type { ProjectDocument } from '../document/projectDocument';
import { headingLevels } from './lineMeasure';

/** From this heading level on, headings are subheadings where a site has a voice for them. */
const FIRST_SUBHEADING = 3;

/**
 * The change that gives a project a voice for subheadings: the voice, among those that are paired, and the
 * styles of the heading levels from the third on set in it. Empty where there is one, or no pair.
 */
export function subheadingPatch(document: ProjectDocument): Patch {
  const seats = pairSeatsOf(document);
  if (!seats || seats.subheading) return [];
  const { heading, text } = seats;
  const key = freeKey(Object.keys(document.voices), 'subheading');
  const { generic = 'sans-serif' } = document.voices[heading] ?? {};
  const styles = new Set(
    headingLevels(document).flatMap(({ level, style }) =>
      level >= FIRST_SUBHEADING ? [style] : [],
    ),
  );
  for (const { level, style } of headingLevels(document)) {
    if (level < FIRST_SUBHEADING) styles.delete(style);
  }
  return [
    {
      op: 'add',
      path: `/voices/${key}`,
      value: { name: 'Subheading', family: null, generic, fallback: null },
    },
    { op: 'add', path: '/pair', value: { heading, subheading: key, text } },
    ...[...styles].map((style) => ({
      op: 'add' as const,
      path: `/styles/${style}/set/voice`,
      value: key,
    })),
  ];
}
