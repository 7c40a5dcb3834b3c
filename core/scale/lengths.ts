/** What browsers take 1rem to be unless the visitor has chosen otherwise, CSS px. */
export const ROOT_SIZE = 16;

/** CSS px in one of each unit that does not depend on the text around it (CSS Values 4 §6). */
export const PX_IN = {
  px: 1,
  rem: ROOT_SIZE,
  pt: 96 / 72,
  pc: 16,
  in: 96,
  cm: 96 / 2.54,
  mm: 96 / 25.4,
} as const;

/** CSS px in one of a unit, whatever its case; undefined for any other unit. */
export const pxIn = (unit: string): number | undefined =>
  Object.entries(PX_IN).find(([name]) => name === unit.toLowerCase())?.[1];
