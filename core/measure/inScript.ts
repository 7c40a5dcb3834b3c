import { onceFor } from '../document/once';
import type { FamilyMeasures } from './family';

/** What a family measures in a script, in the place of what it measures in Latin. */
function make(measures: FamilyMeasures, script: string): FamilyMeasures {
  const own = measures.scripts[script];
  const { regular } = measures;
  const ratio = (a: number | null | undefined, b: number | null | undefined) =>
    a && b ? Math.round((a / b) * 1e4) / 1e4 : null;
  return {
    ...measures,
    weights: [],
    regular: {
      ...regular,
      xHeight: own?.height ?? null,
      capHeight: null,
      ascender: own?.top ?? null,
      descender: own?.bottom ?? null,
      advance: own?.advance ?? null,
      width: ratio(own?.advance, own?.height),
      stem: own?.thick ?? null,
      thin: own?.thin ?? null,
      thick: own?.thick ?? null,
      contrast: ratio(own?.thick, own?.thin),
      colour: ratio(own?.thick, own?.height),
      foot: null,
      footThickness: null,
      footGrowth: null,
      aperture: null,
      squareness: null,
    },
  };
}

const known = onceFor((measures: FamilyMeasures) => {
  const byScript = new Map<string, FamilyMeasures>();
  return (script: string): FamilyMeasures => {
    const before = byScript.get(script) ?? make(measures, script);
    byScript.set(script, before);
    return before;
  };
});

/**
 * The measures of a family on the letters of a script: its x-height is the height that carries the eye there, its
 * stem the thicker stroke. What is told by Latin letters alone is null.
 */
export const measuresInScript = (measures: FamilyMeasures, script: string): FamilyMeasures =>
  known(measures)(script);
