import { settingsIn, PROPERTIES } from '../document/property';
import type { ProjectDocument } from '../document/projectDocument';
import { elementsInAllWays } from '../style/documentAt';
import { FEATURE_PROPERTIES, featuresBy } from '../style/featureTags';
import { resolveElement } from '../style/resolve';

/** What browsers apply unasked (CSS Fonts 4 §7.1), and what fractions and marks are made of. */
const ALWAYS = 'abvm blwm calt ccmp clig curs dist kern liga locl mark mkmk rclt rlig rvrn'.split(
  ' ',
);

/** The layout features that a browser turns on for the site's text, by their tags. */
export function featuresUsed(document: ProjectDocument): string[] {
  const used = new Set(ALWAYS);
  const all = [...elementsInAllWays(document)].map(([at, key]) => resolveElement(at, key));
  for (const resolved of new Set(all)) {
    for (const property of FEATURE_PROPERTIES) {
      // What is turned off by its tag has to be there to be turned off.
      const settings =
        property === 'features'
          ? (settingsIn(resolved.features.value, PROPERTIES.features.values) ?? [])
          : [];
      for (const [tag] of settings) used.add(tag);
      for (const { tags } of featuresBy(property, resolved[property].value)) {
        for (const tag of tags) used.add(tag);
      }
    }
  }
  return [...used].sort();
}
