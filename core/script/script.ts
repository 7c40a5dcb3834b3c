/** How two letters of a script hang together, where space between them would take words apart. */
export type Joining = 'cursive' | 'head-line' | null;

/**
 * What a face of a script is measured on: a letter whose height carries the eye along a line, as `x` does in Latin.
 * `top` is that of its ink; `below-head` is where its head line begins, seen from below; `ink` is its whole height.
 */
export interface BodyHeight {
  of: 'top' | 'below-head' | 'ink';
  /** The first that a face has is measured. */
  letters: readonly string[];
  /** What the trade calls it. */
  called: string;
  /**
   * How many times the x-height of a Latin text face it is where both look equally large: the median of families
   * whose Latin and whose other letters are by one hand (`script.test.ts` says which).
   */
  againstX: number;
}

/** How text of a language is set otherwise than Latin text of the same style. */
export interface Setting {
  /** Line height, as a multiple of what Latin text has: marks above and below, or denser forms, want more. */
  lineHeight: number;
  /** Characters a line that read well. */
  measure: readonly [least: number, most: number];
  /** What stands for italics, where a script has none. */
  emphasis: 'italic' | 'weight' | 'dots';
}

/** Everything there is to say about a script. */
export interface Script {
  /** Its key, which is what libraries call the files of it. */
  key: string;
  name: string;
  /** ISO 15924 codes that languages name it by. */
  iso: readonly string[];
  /** Whether a character is of it: letters, marks and figures of its own, and punctuation that it shares with few. */
  has: RegExp;
  /** What its texts also have, that is in no table of letters or is not of the script alone. */
  signs: string;
  direction: 'ltr' | 'rtl';
  joining: Joining;
  capitals: boolean;
  body: BodyHeight | null;
  /** Letters with what reaches highest and lowest in running text, set as one line. */
  reaches: string;
  /** A letter with strokes in all directions, on which their thickness is taken. */
  stroke: string;
  /**
   * How dark and how wide the faces are that texts in it are set in: the thicker stroke, and the mean advance, against
   * the body height. Null where none were measured (`scriptFitness.test.ts` says which).
   */
  text: { colour: readonly [number, number]; width: readonly [number, number] } | null;
  /** The stroke contrast that goes with a Latin one, as a power of it: forms that are written swell more or less. */
  swells: number;
  /** Running text: the beginning of the first article of the Universal Declaration of Human Rights. */
  sentence: string;
  setting: Setting;
  /** So many letters that no page has them all: its files are cut by what goes together. */
  large: boolean;
}

/** Line height, measure and emphasis of an alphabet set as Latin is. Measure: R. Bringhurst, Elements, 2.1.2. */
export const AS_LATIN: Setting = { lineHeight: 1, measure: [45, 75], emphasis: 'italic' };

/** A script, as far as it differs from an alphabet that is written from left to right. */
export const script = (
  of: Pick<Script, 'key' | 'name' | 'iso' | 'has'> & Partial<Script>,
): Script => ({
  signs: '',
  direction: 'ltr',
  joining: null,
  capitals: false,
  body: null,
  reaches: '',
  stroke: '',
  text: null,
  swells: 1,
  sentence: '',
  setting: { ...AS_LATIN, emphasis: 'weight' },
  large: false,
  ...of,
});
