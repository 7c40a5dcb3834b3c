import type { Patch } from '../document/patch';
import type { ProjectDocument } from '../document/projectDocument';
import type { Slant } from '../document/vocabulary';
import type { LineReadings } from '../fallback/pinLine';
import type { FallbackPlan } from '../fallback/plan';
import type { FaceReading } from '../font/reading';
import type { FamilyMeasures } from '../measure/family';
import type { FoundGrounds } from '../style/inkUses';
import type { SetText } from '../style/lineMeasure';

/** A change that puts right what a mark is about. */
export interface Remedy {
  /** What it does, as a button says it. */
  does: string;
  patch: Patch;
}

/** A remark on something wrong or doubtful, with its evidence and a way to put it right. */
export interface Mark {
  /** The rule that made it. */
  rule: string;
  /** The stage in which it is put right. */
  stage: 'faces' | 'pair' | 'scale' | 'fallbacks' | 'styles' | 'deliver';
  /** What will be seen on the site, then why. */
  message: string;
  /** What to do about it. */
  remedy: string;
  /** A change that does it, where one can be made without a decision of the designer's. */
  fix?: Remedy;
  /** A face of the family that would put it right, where it could be taken in. */
  lacks?: { weight: number; style: Slant };
  /** Key of the style it is about, when it is about one. */
  style?: string;
  /** Key of the family it is about, when it is about one. */
  family?: string;
  /** Key of the voice it is about, when it is about one. */
  voice?: string;
  /** What else tells it from others of its rule, as `subjectOf` has it: a ground, a step, a local font. */
  subject?: string;
  /** Viewport width at which it is seen, CSS px, when at one. */
  width?: number;
}

/** Characters of a subject at most. */
export const LONGEST_SUBJECT = 80;

/** What a mark is about, as part of a key: small letters, digits and hyphens. */
export function subjectOf(...parts: readonly (string | number)[]): string {
  const whole = parts
    .join('-')
    .toLowerCase()
    .replace(/[^a-z0-9]/gu, (other) =>
      /[\p{L}\p{N}]/u.test(other) ? `u${(other.codePointAt(0) ?? 0).toString(16)}` : '-',
    )
    .replace(/-{2,}/g, '-');
  if (whole.length <= LONGEST_SUBJECT) return whole;
  // What is cut off still counts: FNV-1a, 32 bits.
  let hash = 0x811c9dc5;
  for (let i = 0; i < whole.length; i++) {
    hash = Math.imul(hash ^ whole.charCodeAt(i), 0x01000193) >>> 0;
  }
  const end = `-${hash.toString(16)}`;
  return whole.slice(0, LONGEST_SUBJECT - end.length) + end;
}

/** What rules need of the readings of the case's files, by hash. */
export type Readings = Readonly<
  Record<
    string,
    Pick<FaceReading, 'fullName' | 'fsType'> & Partial<Pick<FaceReading, 'characters'>>
  >
>;

/** A text as it is painted on a page, in a state of it. */
export interface PaintedText {
  /** Colours as CSS has them; the ground is one colour without alpha. */
  colour: string;
  ground: string;
  /** CSS px. */
  size: number;
  weight: number;
  /** How it begins. */
  words: string;
  side: 'light' | 'dark';
  /** The state in words, behind “when”: `pointed at`; left out at rest. */
  state?: string;
}

/** How the text of a page stands in a viewport. */
export interface SetPage {
  /** The page's title. */
  title: string;
  /** Width of the viewport, CSS px. */
  width: number;
  /** By style; styles that the page has no text in are left out. */
  texts: Readonly<Record<string, SetText>>;
  /** The characters of its texts, each once, by style. */
  letters?: Readonly<Record<string, string>>;
  /** Letters of them with marks that are joined to them by no character, each once, by style. */
  marked?: Readonly<Record<string, readonly string[]>>;
  /** How a text begins that runs from right to left in a block that does not, by style. */
  turned?: Readonly<Record<string, string>>;
  /** Grounds that its texts stand on, by style. */
  grounds?: FoundGrounds;
  /** Colours of its texts and what is painted behind them, by style. */
  painted?: Readonly<Record<string, readonly PaintedText[]>>;
}

/** What is known beyond the document: rules that need what is not there make no marks. */
export interface Evidence {
  readings?: Readings;
  /** x-heights by family of the case, em. */
  xHeights?: Readonly<Record<string, number>>;
  /** What was measured of the families of the case, by their keys. */
  measures?: Readonly<Record<string, FamilyMeasures | null>>;
  /** The characters that the files of a family of the case have, as a `unicode-range`, by its key. */
  characters?: Readonly<Record<string, string>>;
  /** The characters that the delivered files of a family have, as the project stands, in the same way. */
  delivered?: Readonly<Record<string, string>>;
  /** The same of the files that were delivered last; null where nothing was delivered, or it is not known. */
  lastDelivered?: Readonly<Record<string, string>> | null;
  /** Line metrics of the case's files, by hash. */
  lines?: LineReadings;
  /** What the voices fall back to. */
  fallback?: FallbackPlan;
  /** The page on the proof. */
  page?: SetPage | null;
  /** Bytes that a site loads of the case's files by hash; of others, as they were taken in. */
  bytes?: ReadonlyMap<string, number | null>;
}

export type Rule = (document: ProjectDocument, evidence: Evidence) => Mark[];

/** A size as marks say it. */
export const px = (size: number): string => `${Number(size.toFixed(1))} px`;

/** What a style is called. */
export const styleName = (document: ProjectDocument, key: string): string =>
  document.styles[key]?.name ?? key;

/** Several names as a sentence has them. */
export const inWords = (names: readonly string[]): string =>
  names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;

/** Letters that a mark names; the rest is counted. */
const LETTERS_NAMED = 8;

/** Several letters as a mark says them. */
export const lettersInWords = (letters: readonly string[]): string =>
  letters.length <= LETTERS_NAMED
    ? letters.join(' ')
    : `${letters.slice(0, LETTERS_NAMED).join(' ')} and ${letters.length - LETTERS_NAMED} more`;
