import type { FaceClass } from '../document/vocabulary';
import { languageOf, scriptOf, scriptOfTag } from '../script';
import { measuresInScript } from './inScript';
import { scriptLimits } from './scriptLimits';
import { measuresAt } from './weights';
import { onOffer, type FamilyMeasures, type ListedFace } from './family';
import { FITNESS_LIMITS, type FitnessLimit, type TextPart } from './fitnessLimits';
import type { FaceMeasures } from './measureFace';

export type { TextPart } from './fitnessLimits';

export const TEXT_PARTS: readonly TextPart[] = ['running', 'short', 'headings', 'code'];

export type Verdict = 'fit' | 'caveat' | 'unfit';

/** One thing that speaks against a family in a part. */
export interface FitnessReason {
  text: string;
  /** From 0, hardly, to 1, as far as can be borne; Infinity where it cannot. */
  cost: number;
}

/** Whether a family is drawn for a part, and what speaks against it, the weightiest first. */
export interface PartFitness {
  verdict: Verdict;
  reasons: FitnessReason[];
}

/** What a family is fit for: how it is drawn, for each part it may play, and what is on offer. */
export interface Fitness {
  drawn: Record<TextPart, PartFitness>;
  /** What text would be without, and what a browser does then. It never makes a text face a heading face. */
  offer: string[];
}

/** A family to be judged. */
export interface FamilyToJudge {
  measures: FamilyMeasures;
  faces: readonly ListedFace[];
  /** The class that its library or its file claims. */
  claimed: FaceClass;
}

/** The smallest size and the weight at which each part is set, CSS px, and the site's languages. */
export interface FitnessUse {
  sizes: Record<Exclude<TextPart, 'code'>, { size: number; weight: number }>;
  languages: readonly string[];
}

/** How far a value lies outside what is fit: 0 at its edge, 1 at the edge of what can be borne. */
function costOf(value: number, { fit, bearable }: FitnessLimit): number {
  const low = value < fit[0];
  const [edge, last] = low ? [fit[0], bearable[0]] : [fit[1], bearable[1]];
  const beyond = low ? value < last : value > last;
  return beyond ? Infinity : (value - edge) / (last - edge);
}

/** What speaks against a face by the limits of a part. */
function outsideLimits(
  limits: readonly FitnessLimit[],
  measures: FaceMeasures,
  size: number,
): FitnessReason[] {
  return limits.flatMap((limit) => {
    const value = limit.value(measures, size);
    if (value === null || (value >= limit.fit[0] && value <= limit.fit[1])) return [];
    const text = value < limit.fit[0] ? limit.low(value, size) : limit.high(value, size);
    return [{ text, cost: costOf(value, limit) }];
  });
}

const CAPITALS: Record<TextPart, number> = {
  running: Infinity,
  short: 0.6,
  headings: 0.4,
  code: Infinity,
};
/** A class that is claimed says for what a face was drawn, not how: it is a caveat, never a verdict. */
const CLAIMED_FOR_SIZE = 0.8;

/** What speaks against a face in every part that is read: its letters, and what it claims to be. */
function lettersAgainst(
  part: TextPart,
  { lowerCase, monospaced }: FaceMeasures,
  claimed: FaceClass,
): FitnessReason[] {
  const reasons: FitnessReason[] = [];
  if (lowerCase === 'none') reasons.push({ text: 'it has no lower case', cost: Infinity });
  if (lowerCase === 'capitals') {
    reasons.push({ text: 'its lower case is drawn as capitals', cost: CAPITALS[part] });
  }
  if (part === 'running') {
    if (monospaced) reasons.push({ text: 'every letter takes the same room', cost: Infinity });
    reasons.push(...claimedForSize(claimed));
  }
  return reasons;
}

const claimedForSize = (claimed: FaceClass): FitnessReason[] =>
  claimed === 'display' || claimed === 'handwriting'
    ? [{ text: `it is listed as ${claimed}`, cost: CLAIMED_FOR_SIZE }]
    : [];

const LATIN = 'latin';
const HEADING_WEIGHT = 600;
/** As dark against the darkest text face of a script: drawn for size without a bold. */
const DARK = 1.3;
/** Strokes this contrasted or dark, letters this narrow or wide, are drawn for size without a bold. */
const FOR_SIZE = { contrast: 4, colour: 0.22, narrow: 0.7, wide: 1.16 };
const NO_HEADING_WEIGHT = 0.5;

function headingWeight({ faces }: FamilyToJudge, measures: FaceMeasures): FitnessReason[] {
  const { contrast, colour, width } = measures;
  const drawnForSize =
    (contrast ?? 0) >= FOR_SIZE.contrast ||
    (colour ?? 0) >= FOR_SIZE.colour ||
    (width ?? 1) <= FOR_SIZE.narrow ||
    (width ?? 1) >= FOR_SIZE.wide;
  const heaviest = Math.max(...faces.map(({ weightMax }) => weightMax));
  return heaviest >= HEADING_WEIGHT || drawnForSize
    ? []
    : [{ text: `no weight above ${heaviest} to stand out in`, cost: NO_HEADING_WEIGHT }];
}

/** Code asks for letters of one width, tables for figures of one. */
function forCode({ monospaced, figures }: FaceMeasures): FitnessReason[] {
  if (monospaced) return [];
  return figures?.offers.includes('tabular')
    ? [{ text: 'figures line up in tables, letters in code do not', cost: 1 }]
    : [{ text: 'neither its letters nor its figures line up', cost: Infinity }];
}

function judged(reasons: FitnessReason[]): PartFitness {
  const sorted = [...reasons].sort((a, b) => b.cost - a.cost);
  const worst = sorted[0]?.cost ?? 0;
  return {
    verdict: worst === 0 ? 'fit' : worst === Infinity ? 'unfit' : 'caveat',
    reasons: sorted,
  };
}

function drawnFor(part: TextPart, family: FamilyToJudge, use: FitnessUse): PartFitness {
  const { measures, claimed } = family;
  if (part === 'code') {
    return judged([
      ...lettersAgainst(part, measures.regular, claimed),
      ...forCode(measures.regular),
    ]);
  }
  const { size, weight } = use.sizes[part];
  const face = measuresAt(measures, weight);
  return judged([
    ...lettersAgainst(part, face, claimed),
    ...outsideLimits(FITNESS_LIMITS[part], face, size),
    ...(part === 'headings' ? headingWeight(family, measures.regular) : []),
  ]);
}

/** What a family is drawn for by the letters of a script; code is Latin, and judged by that. */
function drawnInScript(
  part: TextPart,
  { measures, faces, claimed }: FamilyToJudge,
  use: FitnessUse,
  script: string,
): PartFitness {
  if (part === 'code') return judged(forCode(measures.regular));
  const { regular } = measuresInScript(measures, script);
  const heaviest = Math.max(...faces.map(({ weightMax }) => weightMax));
  const dark = (regular.colour ?? 0) > (scriptOf(script)?.text?.colour[1] ?? Infinity) * DARK;
  return judged([
    ...(part === 'running' ? claimedForSize(claimed) : []),
    ...outsideLimits(scriptLimits(script)[part], regular, use.sizes[part].size),
    ...(part === 'headings' && heaviest < HEADING_WEIGHT && !dark
      ? [{ text: `no weight above ${heaviest} to stand out in`, cost: NO_HEADING_WEIGHT }]
      : []),
  ]);
}

function missingFrom({ measures, faces }: FamilyToJudge, languages: readonly string[]): string[] {
  const offer = onOffer(faces);
  const lacking = languages.flatMap((tag) => {
    const language = languageOf(tag);
    return language && !measures.languages.includes(language.tag) ? [language.name] : [];
  });
  return [
    !offer.regular && 'no regular: text takes the nearest weight',
    !offer.bold && 'no bold: a browser thickens the regular',
    !offer.italic && 'no italic: a browser slants the upright',
    offer.italic && measures.italic === 'sloped' && 'its italic is the upright sloped',
    lacking.length > 0 && `letters missing for ${lacking.join(', ')}`,
  ].filter((text) => text !== false);
}

/**
 * Judges what a family is fit for, part by part, at the sizes and weights that a site sets.
 * Pure: the same family and use give the same judgement wherever it is shown.
 * @param script key of the script by whose letters it is judged
 */
export function fitnessOf(family: FamilyToJudge, use: FitnessUse, script = LATIN): Fitness {
  const part = (one: TextPart) =>
    script === LATIN ? drawnFor(one, family, use) : drawnInScript(one, family, use, script);
  // What no other script asks of a family is not missing from it.
  const languages = use.languages.filter(
    (tag) => script === LATIN || scriptOfTag(tag)?.key === script,
  );
  const offer = missingFrom(family, languages);
  const hasItalics = scriptOf(script)?.setting.emphasis === 'italic';
  return {
    drawn: Object.fromEntries(TEXT_PARTS.map((one) => [one, part(one)])) as Fitness['drawn'],
    offer: hasItalics ? offer : offer.filter((text) => !text.includes('italic')),
  };
}

/** What a caveat costs in all, from 0; Infinity for a part that a family is unfit for. */
export const fitnessCost = ({ reasons }: PartFitness): number =>
  reasons.reduce((sum, { cost }) => sum + cost, 0);
