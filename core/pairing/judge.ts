import type { FaceClass } from '../document/vocabulary';
import { onOffer } from '../measure/family';
import { fitnessOf, type OnOffer } from '../measure/fitness';
import { measuredClass, type MeasuredClass } from '../measure/measuredClass';
import type { FaceMeasures } from '../measure/measureFace';
import { COMPARED, type Compared, type PairScale } from './library';
import { distanceBetween } from './lookAlikes';
import { sameSuperfamily, type Partner } from './partner';
import { PAIR_WEIGHTS, type PairTerm } from './weights';

/** One thing that speaks for or against a pair, in words with its figure. */
export interface PairReason {
  term: PairTerm;
  text: string;
  /** Positive speaks for it, negative against; how far it moves the order. */
  weight: number;
}

/** A pair as it was judged. */
export interface PairJudgement {
  /** What the order goes by; never shown. */
  score: number;
  /** Every reason, the weightiest first. */
  reasons: PairReason[];
}

type Kind = MeasuredClass | 'written' | 'display';

/** How a family is drawn: as measured, where the outlines tell, and as claimed where they cannot. */
function kindOf({ class: claimed, measures }: Partner): Kind {
  if (claimed === 'handwriting') return 'written';
  const measured = measures ? measuredClass(measures.regular) : null;
  return measured ?? (claimed === 'display' ? 'display' : KIND_OF_CLASS[claimed]);
}

const KIND_OF_CLASS: Record<FaceClass, Kind> = {
  serif: 'serif',
  'sans-serif': 'sans serif',
  monospace: 'monospaced',
  display: 'display',
  handwriting: 'written',
};

const aKind = (kind: Kind): string =>
  `a ${kind}${kind === 'written' || kind === 'display' ? ' face' : ''}`;

/** Difference in a measure, 0 the same, 1 as far as the library's 90th percentile; null unknown. */
function apart(
  one: FaceMeasures,
  other: FaceMeasures,
  key: Compared,
  scale: PairScale,
): number | null {
  const [a, b] = [COMPARED[key](one), COMPARED[key](other)];
  return a === null || b === null ? null : Math.min(1, Math.abs(a - b) / scale.far[key]);
}

const percent = (ratio: number): string => `${(Math.abs(ratio - 1) * 100).toFixed(0)} %`;
const ratioOf = (a: number | null, b: number | null): number => (a ?? 1) / (b || 1);
/** A ratio from one up, whichever way round. */
const upward = (ratio: number): number => (ratio < 1 ? 1 / ratio : ratio);

/** Half way between the same and far: from here a difference counts as one. */
const MIDDLE = 0.5;

type Phrase = (heading: FaceMeasures, text: FaceMeasures) => { near: string; far: string };

/** How each compared measure is put, near and far. */
const PHRASES: Record<Compared, Phrase> = {
  contrast: (h, t) => ({
    near: `strokes contrasted alike, ${h.contrast?.toFixed(1) ?? ''} and ${t.contrast?.toFixed(1) ?? ''}`,
    far: `strokes ${upward(ratioOf(h.contrast, t.contrast)).toFixed(1)} times as contrasted`,
  }),
  colour: (h, t) => ({
    near: `as dark as one another, within ${percent(ratioOf(h.colour, t.colour))}`,
    far: `headings ${ratioOf(h.colour, t.colour) > 1 ? 'darker' : 'lighter'} by ${percent(ratioOf(h.colour, t.colour))}`,
  }),
  width: (h, t) => ({
    near: `widths within ${percent(ratioOf(h.width, t.width))}`,
    far: `headings ${ratioOf(h.width, t.width) > 1 ? 'wider' : 'narrower'} by ${percent(ratioOf(h.width, t.width))}`,
  }),
  slope: (h, t) => ({
    near: 'upright alike',
    far: `one leans by ${Math.abs(h.slope - t.slope).toFixed(0)}°`,
  }),
  xHeight: (h, t) => ({
    near: `x-heights within ${percent(upward(ratioOf(h.xHeight, t.xHeight)))}`,
    far: `x-heights ${percent(upward(ratioOf(h.xHeight, t.xHeight)))} apart`,
  }),
  proportion: () => ({
    near: 'lower case and capitals in one proportion',
    far: 'lower case and capitals in other proportions',
  }),
  squareness: (h, t) => ({
    near: 'bowls of one shape',
    far: `${(h.squareness ?? 0) > (t.squareness ?? 0) ? 'square bowls over round ones' : 'round bowls over square ones'}`,
  }),
  aperture: (h, t) => ({
    near: 'letters open alike',
    far: `${(h.aperture ?? 0) > (t.aperture ?? 0) ? 'open letters over closed ones' : 'closed letters over open ones'}`,
  }),
};

/** Where difference is a reason for two, and where agreement is kinship. */
const CONTRASTS: readonly (Compared & PairTerm)[] = ['contrast', 'colour', 'width', 'slope'];
const KINSHIPS: readonly (Compared & PairTerm)[] = [
  'xHeight',
  'proportion',
  'squareness',
  'aperture',
];

/** A drawing that one thing speaks against as text has this share of fitness left, and less for each more. */
const DOUBTFUL = 0.35;
const EACH_MORE = 0.2;
const HEADING_WEIGHT = 600;
/** Strokes this contrasted, or this dark, are drawn for size. */
const DISPLAY_CONTRAST = 4;
const DISPLAY_COLOUR = 0.22;

/** Every cut that text needs, as if it were there: what is left is the drawing. */
const EVERY_CUT: OnOffer = { regular: true, bold: true, trueItalic: true };

/** How far the drawing of a face is fit for text, from 0 to 1, and what speaks against it. */
function drawnForText(measures: FaceMeasures): { share: number; against: string[] } {
  const { use, reasons } = fitnessOf(measures, EVERY_CUT);
  return use === 'text'
    ? { share: 1, against: [] }
    : { share: Math.max(0, DOUBTFUL - EACH_MORE * (reasons.length - 1)), against: reasons };
}

/** What text will be faked from, cut by cut. */
const MISSING: Record<keyof OnOffer, string> = {
  regular: 'no regular for text',
  bold: 'no bold: strong text would be thickened by the browser',
  trueItalic: 'no true italic: ship names would be slanted by the browser',
};

function headingShare({ measures, faces, class: claimed }: Partner): number {
  if (!measures) return 0;
  const { contrast, colour } = measures.regular;
  const bold = faces.some(({ weightMax }) => weightMax >= HEADING_WEIGHT);
  const drawnForSize =
    claimed === 'display' || (contrast ?? 0) >= DISPLAY_CONTRAST || (colour ?? 0) >= DISPLAY_COLOUR;
  return bold || drawnForSize ? 1 : 0;
}

/**
 * Judges a heading family over a text family on their measures: the reason for two, what they have in
 * common, and whether each is fit for its part.
 */
export function judgePair(heading: Partner, text: Partner, scale: PairScale): PairJudgement {
  const reasons: PairReason[] = [];
  const add = (term: PairTerm, share: number, words: string) =>
    reasons.push({ term, text: words, weight: PAIR_WEIGHTS[term] * share });
  const [h, t] = [heading.measures?.regular, text.measures?.regular];
  if (!h || !t) {
    const term = h ? 'textFitness' : 'headingFitness';
    const { name } = h ? text : heading;
    return {
      score: -Infinity,
      reasons: [{ term, text: `${name} could not be measured`, weight: -PAIR_WEIGHTS[term] }],
    };
  }

  const kinds = [kindOf(heading), kindOf(text)] as const;
  const superfamily = sameSuperfamily(heading, text);
  if (kinds[0] === kinds[1]) add('kind', -MIDDLE, `both drawn as ${aKind(kinds[0])}`);
  else add('kind', MIDDLE, `${aKind(kinds[0])} over ${aKind(kinds[1])}`);

  for (const key of CONTRASTS) {
    const by = apart(h, t, key, scale);
    // That both are upright goes without saying.
    if (by === null || (key === 'slope' && by < MIDDLE)) continue;
    add(key, by - MIDDLE, PHRASES[key](h, t)[by > MIDDLE ? 'far' : 'near']);
  }
  let kinship = 0;
  for (const key of KINSHIPS) {
    const by = apart(h, t, key, scale);
    if (by === null) continue;
    kinship += 1 - by;
    add(key, MIDDLE - by, PHRASES[key](h, t)[by > MIDDLE ? 'far' : 'near']);
  }
  if (superfamily) add('superfamily', 1, 'of one superfamily');

  const drawn = drawnForText(t);
  add(
    'textFitness',
    drawn.share - MIDDLE,
    drawn.against.length === 0
      ? `fit for text: x-height ${t.xHeight?.toFixed(2) ?? ''} em, contrast ${t.contrast?.toFixed(1) ?? ''}`
      : `for headings only: ${drawn.against.slice(0, 2).join('; ')}`,
  );
  const offer = onOffer(text.faces);
  for (const cut of Object.keys(MISSING) as (keyof OnOffer)[]) {
    if (!offer[cut]) add('missingCut', -1, MISSING[cut]);
  }
  const forHeadings = headingShare(heading);
  add(
    'headingFitness',
    forHeadings - MIDDLE,
    forHeadings > MIDDLE ? 'has a weight for headings' : 'no weight of 600 or more for headings',
  );

  const distance = distanceBetween(h, t, scale.spread);
  if (!superfamily && kinds[0] === kinds[1] && distance < scale.alike * ALIKE_REACH) {
    const closeness = Math.min(
      1,
      Math.max(0, (scale.alike * ALIKE_REACH - distance) / (scale.alike * (ALIKE_REACH - 1))),
    );
    add(
      'tooAlike',
      -closeness,
      `too alike: the same class, ${PHRASES.width(h, t).near}, ${PHRASES.contrast(h, t).near}`,
    );
  }
  if (!superfamily && kinship < LEAST_KINSHIP) {
    add('tooFar', -1, 'nothing in common: neither size, proportion, bowls nor openings');
  }
  reasons.sort((a, b) => Math.abs(b.weight) - Math.abs(a.weight));
  return { score: reasons.reduce((sum, { weight }) => sum + weight, 0), reasons };
}

/** Closer than the 10th percentile is too alike in full, and up to so many times that far in part. */
const ALIKE_REACH = 2.2;
/** Of four kinships, less than this in all is none. */
const LEAST_KINSHIP = 0.8;
