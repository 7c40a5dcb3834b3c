import { newDocument, type Face, type Family, type ProjectDocument } from '../document';
import { deliveryPlan, type Plans } from '../deliver';
import { fallbackPlan, type FallbackPlan, type FallbackTrials, type TunedFace } from '../fallback';

const hash = (digit: string): string => digit.repeat(64);

/** A face of one file. */
export const face = (
  style: Face['style'],
  weightMin: number,
  weightMax = weightMin,
  digit = '0',
): Face => ({
  style,
  weightMin,
  weightMax,
  files: [{ sha256: hash(digit), script: 'latin', unicodeRange: 'U+0000-00FF', bytes: 20_000 }],
});

export const family = (name: string, faces: Face[], more: Partial<Family> = {}): Family => ({
  name,
  class: 'serif',
  source: 'foundry',
  licence: 'OFL-1.1',
  faces,
  ...more,
});

/** A project with a variable text family, a static heading family, and both seated. */
export function seatedDocument(): ProjectDocument {
  const document = newDocument('Tarnholm Light Trust');
  document.case = {
    literata: family('Literata', [face('normal', 200, 900, 'a'), face('italic', 200, 900, 'b')], {
      place: 1,
    }),
    archivo: family('Archivo', [face('normal', 600, 600, 'c'), face('normal', 700, 700, 'd')], {
      class: 'sans-serif',
      place: 2,
    }),
  };
  Object.assign(document.voices['heading'] ?? {}, { family: 'archivo' });
  Object.assign(document.voices['text'] ?? {}, { family: 'literata' });
  return document;
}

const tuned = (weight: number, slant: TunedFace['slant'], sizeAdjust: number): TunedFace => ({
  weight,
  slant,
  sizeAdjust,
  ascentOverride: 0.92,
  descentOverride: 0.25,
  lineGapOverride: 0,
  meanError: 0.02,
  p95Error: 0.06,
  untunedError: 0.08,
  words: 900,
  missing: [],
});

/** Trials as the server would work them out for `seatedDocument`. */
export const trials = (): FallbackTrials => ({
  literata: [
    { local: 'georgia', faces: [tuned(400, 'normal', 1.043), tuned(400, 'italic', 1.05)] },
    { local: 'cambria', faces: [tuned(400, 'normal', 1.1)] },
  ],
  archivo: [{ local: 'arial', faces: [tuned(700, 'normal', 0.97)] }],
});

/** The fallback plan that those trials lead to. */
export const fallbacksOf = (document: ProjectDocument): FallbackPlan =>
  fallbackPlan(document, trials());

/** Both plans, of files that are delivered as they were taken in. */
export const plansOf = (document: ProjectDocument): Plans => ({
  fallback: fallbacksOf(document),
  delivery: deliveryPlan(document, { readings: {}, made: {} }),
});
