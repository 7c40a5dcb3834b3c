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

/** A face of one file of a script. */
const scriptFace = (script: string, unicodeRange: string, weight: number, digit: string): Face => ({
  style: 'normal',
  weightMin: weight,
  weightMax: weight,
  files: [{ sha256: hash(digit), script, unicodeRange, bytes: 40_000 }],
});

/** The same with an Arabic and a Japanese family beside the text's own, for a site in three languages. */
export function scriptedDocument(): ProjectDocument {
  const document = seatedDocument();
  Object.assign(document.case, {
    naskh: family(
      'Noto Naskh Arabic',
      [
        scriptFace('arabic', 'U+0600-06FF, U+200C-200E', 400, 'e'),
        scriptFace('arabic', 'U+0600-06FF, U+200C-200E', 700, 'f'),
      ],
      { place: 3 },
    ),
    mincho: family(
      'Sawarabi Mincho',
      [scriptFace('japanese', 'U+2E80-9FFF, U+FF00-FFEF', 400, '1')],
      { place: 4 },
    ),
  });
  document.languages = ['en', 'ar', 'ja'];
  Object.assign(document.voices['text'] ?? {}, {
    scripts: {
      arabic: { family: 'naskh', size: 1.15 },
      japanese: { family: 'mincho', size: 0.94 },
    },
  });
  return document;
}

const fit = (mean: number) => ({
  mean,
  p95: mean * 3,
  lines: { width: mean / 4, bias: 0, counts: [40, 27, 20, 17] },
});

/** A local font tuned in one group, and with a space of its own. */
export const tuned = (
  weight: number,
  slant: TunedFace['slant'],
  ratio: number,
  mean = 0.02,
): TunedFace => ({
  weight,
  slant,
  variant: slant === 'italic' ? 'italic' : weight > 500 ? 'bold' : 'regular',
  parts: [
    { ratio, unicodeRange: null },
    { ratio: 1.1, unicodeRange: 'U+20, U+A0' },
  ],
  ratio,
  box: { ascent: 0.95, descent: -0.25, lineGap: 0 },
  untuned: fit(0.08),
  one: fit(0.03),
  fit: fit(mean),
  kinds: [
    { kind: 'copy', language: null, mean: mean * 1.5, p95: mean * 4, words: 600 },
    { kind: 'declaration', language: 'en', mean: mean * 0.75, p95: mean * 2, words: 200 },
    { kind: 'names', language: 'en', mean: mean * 0.75, p95: mean * 2, words: 100 },
  ],
  webLines: [40, 27, 20, 17],
  steps: [0.03, mean],
  each: mean / 2,
  unevenness: 0,
  words: 900,
  missing: [],
  baselineAside: 0.01,
});

/** Trials as the server would work them out for `seatedDocument`. */
export const trials = (): FallbackTrials => ({
  'text/literata': [
    {
      local: 'georgia',
      source: 'twin',
      faces: [tuned(400, 'normal', 1.043), tuned(400, 'italic', 1.05)],
    },
    { local: 'noto-serif', source: 'twin', faces: [tuned(400, 'normal', 0.95, 0.03)] },
    { local: 'cambria', source: 'twin', faces: [tuned(400, 'normal', 1.1, 0.025)] },
  ],
  'heading/archivo': [
    { local: 'arial', source: 'twin', faces: [tuned(700, 'normal', 0.97)] },
    { local: 'roboto', source: 'twin', faces: [tuned(700, 'normal', 0.99, 0.03)] },
  ],
});

/** The fallback plan that those trials lead to. */
export const fallbacksOf = (document: ProjectDocument): FallbackPlan =>
  fallbackPlan(document, trials());

/** Both plans, of files that are delivered as they were taken in. */
export const plansOf = (document: ProjectDocument): Plans => ({
  fallback: fallbacksOf(document),
  delivery: deliveryPlan(document, { readings: {}, made: {}, copy: '' }),
});
