import { PROPERTIES, settingsIn, type PropertyName } from '../document/property';

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

/** Properties whose values turn layout features on. */
export const FEATURE_PROPERTIES = [
  'figures',
  'smallCaps',
  'ligatures',
  'features',
] as const satisfies readonly PropertyName[];
export type FeatureProperty = (typeof FEATURE_PROPERTIES)[number];

/** The features that a value turns on: by each word of it, or by its tag. */
export function featuresBy(
  property: FeatureProperty,
  value: string,
): { word: string; tags: readonly string[] }[] {
  if (property === 'features') {
    return (settingsIn(value, PROPERTIES.features.values) ?? []).flatMap(([tag, number]) =>
      number > 0 ? [{ word: tag, tags: [tag] }] : [],
    );
  }
  return value.split(' ').flatMap((word) => {
    const tags = TURNED_ON[word];
    return tags ? [{ word, tags }] : [];
  });
}
