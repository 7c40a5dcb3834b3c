import { featuresBy, type FeatureProperty } from './featureTags';

/** Figures that a face may show unasked, by the word that asks for them. */
const UNASKED: Readonly<Record<string, string>> = {
  'lining-nums': 'lining',
  'oldstyle-nums': 'old-style',
  'tabular-nums': 'tabular',
  'proportional-nums': 'proportional',
};

/** What a face has of such. */
export interface FaceFeatures {
  /** Layout features that it offers, by their tags. */
  features: readonly { tag: string }[];
  /** Every spacing and form of figures on offer, its own included. */
  figures: readonly string[];
}

/** Whether browsers draw something in place of what is not there. CSS Fonts 4 §6.6: capitals made smaller. */
export type Lacking = 'drawn' | 'nothing';

/**
 * What a family's regular lacks of what a property asks for, by the words that ask for it; empty where it has all, or
 * nothing is asked for.
 */
export function lackingFeatures(
  property: FeatureProperty,
  value: string,
  { features, figures }: FaceFeatures,
): { words: string[]; instead: Lacking } {
  const has = new Set(features.map(({ tag }) => tag));
  const offers = new Set<string>(figures);
  const words = featuresBy(property, value)
    .filter(
      ({ word, tags }) => !offers.has(UNASKED[word] ?? '') && !tags.every((tag) => has.has(tag)),
    )
    .map(({ word }) => word);
  return { words, instead: property === 'smallCaps' ? 'drawn' : 'nothing' };
}
