/**
 * Distances from the baseline in font units. `descent` is negative below it, except in `win`, which is
 * kept as the file has it: a distance, positive downward (OpenType 1.9, usWinDescent).
 */
export interface LineMetrics {
  ascent: number;
  descent: number;
  lineGap: number;
}

export interface LineMetricTables {
  hhea: LineMetrics;
  typo: LineMetrics;
  win: LineMetrics;
  /** fsSelection bit 7 of OS/2 (OpenType 1.9, "USE_TYPO_METRICS"). */
  useTypoMetrics: boolean;
}

export type Platform = 'mac' | 'windows' | 'linux';

/** What a browser is expected to lay lines out by: `typo` with bit 7, otherwise `hhea`. */
export function browserLineMetrics({ hhea, typo, useTypoMetrics }: LineMetricTables): LineMetrics {
  return useTypoMetrics ? typo : hhea;
}

/**
 * The line metrics each platform takes. macOS and iOS: hhea. Windows: typo with bit 7, otherwise win.
 * Linux and Android: typo with bit 7, otherwise hhea, and when that is zero typo, then win.
 */
export function platformLineMetrics(tables: LineMetricTables): Record<Platform, LineMetrics> {
  const { hhea, typo, useTypoMetrics } = tables;
  const win = { ...tables.win, descent: -tables.win.descent };
  const empty = ({ ascent, descent }: LineMetrics) => ascent === 0 && descent === 0;
  return {
    mac: hhea,
    windows: useTypoMetrics ? typo : win,
    linux: useTypoMetrics ? typo : ([hhea, typo].find((m) => !empty(m)) ?? win),
  };
}

/**
 * Whether text sits differently from one platform to another: any of the three metrics apart by more
 * than 1 % of the em.
 */
export function platformsDisagree(tables: LineMetricTables, unitsPerEm: number): boolean {
  const all = Object.values(platformLineMetrics(tables));
  return (['ascent', 'descent', 'lineGap'] as const).some((key) => {
    const values = all.map((metrics) => metrics[key]);
    return Math.max(...values) - Math.min(...values) > unitsPerEm / 100;
  });
}
