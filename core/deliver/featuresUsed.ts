import { settingsIn, PROPERTIES } from '../document/property';
import type { ProjectDocument } from '../document/projectDocument';
import { narrowDocument } from '../style/narrow';
import { resolveElement } from '../style/resolve';

/** What browsers apply unasked (CSS Fonts 4 §7.1), and what fractions and marks are made of. */
const ALWAYS = 'abvm blwm calt ccmp clig curs dist kern liga locl mark mkmk rclt rlig rvrn'.split(
  ' ',
);

/** The features that each value of a property turns on. CSS Fonts 4 §6.4 to §6.7. */
const TURNED_ON: Readonly<Record<string, readonly string[]>> = {
  'lining-nums': ['lnum'],
  'oldstyle-nums': ['onum'],
  'tabular-nums': ['tnum'],
  'proportional-nums': ['pnum'],
  'diagonal-fractions': ['frac', 'numr', 'dnom'],
  'stacked-fractions': ['afrc'],
  ordinal: ['ordn'],
  'slashed-zero': ['zero'],
  'small-caps': ['smcp'],
  'all-small-caps': ['smcp', 'c2sc'],
  'discretionary-ligatures': ['dlig'],
  'historical-ligatures': ['hlig'],
};

/** The layout features that a browser turns on for the site's text, by their tags. */
export function featuresUsed(document: ProjectDocument): string[] {
  const used = new Set(ALWAYS);
  for (const at of new Set([document, narrowDocument(document)])) {
    for (const key of Object.keys(at.elements)) {
      const { figures, smallCaps, ligatures, features } = resolveElement(at, key);
      const words = [figures, smallCaps, ligatures].flatMap(({ value }) => value.split(' '));
      for (const word of words) for (const tag of TURNED_ON[word] ?? []) used.add(tag);
      for (const [tag] of settingsIn(features.value, PROPERTIES.features.values) ?? [])
        used.add(tag);
    }
  }
  return [...used].sort();
}
