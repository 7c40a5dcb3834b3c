/** A ratio that the trade knows by a name, most of them after an interval in music. */
export interface Interval {
  name: string;
  ratio: number;
  /** How it is written. */
  says: string;
}

/** Just intonation's intervals up to the twelfth, and the golden section. */
export const INTERVALS: readonly Interval[] = [
  { name: 'minor second', ratio: 16 / 15, says: '16/15' },
  { name: 'major second', ratio: 9 / 8, says: '9/8' },
  { name: 'minor third', ratio: 6 / 5, says: '6/5' },
  { name: 'major third', ratio: 5 / 4, says: '5/4' },
  { name: 'perfect fourth', ratio: 4 / 3, says: '4/3' },
  { name: 'augmented fourth', ratio: Math.SQRT2, says: '√2' },
  { name: 'perfect fifth', ratio: 3 / 2, says: '3/2' },
  { name: 'minor sixth', ratio: 8 / 5, says: '8/5' },
  { name: 'golden section', ratio: (1 + Math.sqrt(5)) / 2, says: '1.618' },
  { name: 'major sixth', ratio: 5 / 3, says: '5/3' },
  { name: 'minor seventh', ratio: 16 / 9, says: '16/9' },
  { name: 'major seventh', ratio: 15 / 8, says: '15/8' },
  { name: 'octave', ratio: 2, says: '2/1' },
  { name: 'major tenth', ratio: 5 / 2, says: '5/2' },
  { name: 'major eleventh', ratio: 8 / 3, says: '8/3' },
  { name: 'major twelfth', ratio: 3, says: '3/1' },
];

/** Ratios that differ by less are written alike. */
const SAME = 5e-4;

/** The interval of a ratio, or null when the trade has no name for it. */
export const intervalOf = (ratio: number): Interval | null =>
  INTERVALS.find((interval) => Math.abs(interval.ratio - ratio) < SAME) ?? null;
