import { describe, expect, test } from '@jest/globals';
import { browserLineMetrics, platformLineMetrics, platformsDisagree } from './lineMetrics';

const metrics = (ascent: number, descent: number, lineGap = 0) => ({ ascent, descent, lineGap });
const tables = (useTypoMetrics: boolean, hhea = metrics(900, -300)) => ({
  hhea,
  typo: metrics(800, -200, 90),
  win: metrics(1000, 350),
  useTypoMetrics,
});

describe('line metrics by platform', () => {
  test('with USE_TYPO_METRICS all but macOS and iOS take typo', () => {
    const { mac, windows, linux } = platformLineMetrics(tables(true));
    expect(mac).toEqual(metrics(900, -300));
    expect([windows, linux]).toEqual([metrics(800, -200, 90), metrics(800, -200, 90)]);
    expect(browserLineMetrics(tables(true))).toEqual(metrics(800, -200, 90));
  });

  test('without it Windows takes win, below the baseline as a negative', () => {
    const { windows, linux } = platformLineMetrics(tables(false));
    expect(windows).toEqual(metrics(1000, -350));
    expect(linux).toEqual(metrics(900, -300));
    expect(browserLineMetrics(tables(false))).toEqual(metrics(900, -300));
  });

  test('Linux goes on to typo, then win, where hhea is zero', () => {
    expect(platformLineMetrics(tables(false, metrics(0, 0))).linux).toEqual(metrics(800, -200, 90));
    const empty = { ...tables(false, metrics(0, 0)), typo: metrics(0, 0) };
    expect(platformLineMetrics(empty).linux).toEqual(metrics(1000, -350));
  });

  test('disagreement is named from more than 1 % of the em', () => {
    const near = {
      hhea: metrics(900, -300),
      typo: metrics(900, -300),
      win: metrics(910, 300),
      useTypoMetrics: false,
    };
    expect(platformsDisagree(near, 1000)).toBe(false);
    expect(platformsDisagree({ ...near, win: metrics(911, 300) }, 1000)).toBe(true);
  });
});
