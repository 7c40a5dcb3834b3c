import type { FallbackPlan } from './plan';

/** Ways to stand in for the web faces, from none to the plan as it is. */
export const FALLBACK_WAYS = ['none', 'one', 'tuned', 'bare'] as const;
export type FallbackWay = (typeof FALLBACK_WAYS)[number];

/**
 * A plan as it would be in another way: without fallback faces; with one ratio for all letters of a face; or
 * as in an engine that leaves metric overrides out.
 */
export function planIn(plan: FallbackPlan, way: FallbackWay): FallbackPlan {
  switch (way) {
    case 'tuned':
      return plan;
    case 'none':
      return {
        faces: [],
        voices: Object.fromEntries(
          Object.entries(plan.voices).map(([key, voice]) => [
            key,
            { ...voice, stack: voice.stack.filter(({ kind }) => kind !== 'fallback') },
          ]),
        ),
      };
    case 'bare':
      return { ...plan, faces: plan.faces.map((face) => ({ ...face, overrides: null })) };
    case 'one':
      return { ...plan, faces: plan.faces.flatMap((face) => inOneRatio(plan, face)) };
  }
}

function inOneRatio(
  { voices }: FallbackPlan,
  face: FallbackPlan['faces'][number],
): FallbackPlan['faces'] {
  if (face.unicodeRange !== null) return [];
  const tuned = Object.values(voices)
    .filter(({ stack }) => stack.some(({ name }) => name === face.name))
    .flatMap((voice) => voice.tuned)
    .find(({ local }) => local === face.local)
    ?.faces.find(({ weight, slant }) => weight === face.weight && slant === face.slant);
  const ratio = tuned?.ratio ?? face.sizeAdjust;
  const scaled = (value: number) => (value * face.sizeAdjust) / ratio;
  return [
    {
      ...face,
      sizeAdjust: ratio,
      overrides: face.overrides && {
        ascent: scaled(face.overrides.ascent),
        descent: scaled(face.overrides.descent),
        lineGap: scaled(face.overrides.lineGap),
      },
    },
  ];
}
