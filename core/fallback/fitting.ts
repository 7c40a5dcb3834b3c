/** How a voice's fallback faces are tuned: by method and by limit. */
export interface Fitting {
  /** Most groups of letters, 1 to 6; one is one ratio for all. */
  groups: number;
  /** How far the ratio of a letter may depart from the rest, as a share of it. */
  evenness: number;
  /** The mean error of words that is near enough: no more groups are made than it takes. */
  target: number;
  /** Whether the space has a face of its own. */
  space: boolean;
}

/** Running text is read for long: uneven letters tire. Other text is seen for a moment. */
const RUNNING_EVENNESS = 0.06;
const SHORT_EVENNESS = 0.1;

/** Limits at which a choice between even letters and close lines is shown. */
export const EVENNESS_POINTS = [0.02, 0.04, 0.06, 0.08, 0.1, 0.15, 0.25] as const;

/** How a voice is tuned until the designer decides otherwise. */
export const defaultFitting = (running: boolean): Fitting => ({
  groups: 6,
  evenness: running ? RUNNING_EVENNESS : SHORT_EVENNESS,
  target: 0.01,
  space: true,
});
