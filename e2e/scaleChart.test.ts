import { describe, expect, test } from '@jest/globals';
import { sizeAt, stepByNumber, type End } from '@lettera/core/scale';
import { atScale } from './atScale';
import { boxAtRest, eventually, fill, press, proofFrame, setProofWidth } from './browser';

const at = atScale();

const handle = (number: number, end: End) => `[data-end="${number} ${end}"]`;
const focusEnd = (number: number, end: End) =>
  at.page.$eval(handle(number, end), (node) => (node as SVGElement).focus());
const told = () => at.page.$eval('.told text', (node) => node.textContent?.trim() ?? '');

/** The middle of an end on the screen. */
async function placeOf(number: number, end: End): Promise<{ x: number; y: number }> {
  const box = await boxAtRest(at.page, `${handle(number, end)} .dot`);
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
}

describe('the chart', () => {
  test('an end dragged moves its series, the proof following, in one change that undo takes back', async () => {
    const { revision } = await at.project();
    const before = await at.proofed('h1');
    const { x, y } = await placeOf(5, 'large');
    await at.page.mouse.move(x, y);
    await at.page.mouse.down();
    await at.page.mouse.move(x, y - 12);
    await at.page.mouse.move(x, y - 24);
    const dragged = await eventually(
      () => at.proofed('h1'),
      (size) => size > before + 4,
    );
    expect(await told()).toContain(`up-5 at 1280 px: ${Math.round(dragged * 100) / 100} px`);
    // Nothing is stored before the hand lets go.
    expect((await at.project()).revision).toBe(revision);
    await at.page.mouse.up();
    const { document } = await eventually(at.project, (now) => now.revision === revision + 1);
    expect(document.scale.large.ratio).toBeGreaterThan(at.start.scale.large.ratio);
    expect(document.scale.overrides).toEqual({});
    expect(stepByNumber(document.scale, 5).large).toBeCloseTo(dragged, 1);
    await at.page.keyboard.down('Control');
    await at.page.keyboard.press('z');
    await at.page.keyboard.up('Control');
    await eventually(at.scaleNow, (scale) => scale.large.ratio === at.start.scale.large.ratio);
    expect(at.errors).toEqual([]);
  });

  test('a step dragged alone is set by hand, up to its neighbour, and a double-click gives it back', async () => {
    await press(at.page, 'that step alone');
    const { x, y } = await placeOf(3, 'large');
    await at.page.mouse.move(x, y);
    await at.page.mouse.down();
    await at.page.mouse.move(x, y - 150, { steps: 4 });
    await at.page.mouse.up();
    const scale = await eventually(at.scaleNow, ({ overrides }) => overrides['3'] !== undefined);
    expect(scale.overrides['3']?.large).toBeCloseTo(stepByNumber(scale, 4).large, 6);
    expect(scale.large).toEqual(at.start.scale.large);
    const place = await placeOf(3, 'large');
    await at.page.mouse.click(place.x, place.y, { count: 2 });
    await eventually(at.scaleNow, ({ overrides }) => Object.keys(overrides).length === 0);
  });

  test('Escape breaks a drag off without a trace', async () => {
    const { revision } = await at.project();
    const before = await at.proofed('body');
    const { x, y } = await placeOf(0, 'large');
    await at.page.mouse.move(x, y);
    await at.page.mouse.down();
    await at.page.mouse.move(x, y - 40, { steps: 3 });
    await eventually(
      () => at.proofed('body'),
      (size) => size > before + 1,
    );
    await at.page.keyboard.press('Escape');
    await at.page.mouse.up();
    await eventually(
      () => at.proofed('body'),
      (size) => size === before,
    );
    expect((await at.project()).revision).toBe(revision);
  });

  test('by keyboard: a pixel, ten with Shift, the other end, the next step, given back', async () => {
    await focusEnd(0, 'large');
    await at.page.keyboard.press('ArrowUp');
    await eventually(at.scaleNow, ({ large }) => large.base === 20);
    await at.page.keyboard.down('Shift');
    await at.page.keyboard.press('ArrowUp');
    await at.page.keyboard.up('Shift');
    await eventually(at.scaleNow, ({ large }) => large.base === 30);
    await at.page.keyboard.press('ArrowLeft');
    await at.page.keyboard.press('ArrowDown');
    await eventually(at.scaleNow, ({ small }) => small.base === 16);
    await press(at.page, 'that step alone');
    await focusEnd(0, 'small');
    await at.page.keyboard.press(']');
    await at.page.keyboard.press('ArrowUp');
    await eventually(at.scaleNow, ({ overrides }) => overrides['1']?.small !== undefined);
    expect(await at.page.$eval(handle(1, 'small'), (node) => node.ariaValueText)).toMatch(
      /^up-1 at 360 px: 20\.2 px, set by hand$/,
    );
    await at.page.keyboard.press('Delete');
    await eventually(at.scaleNow, ({ overrides }) => overrides['1'] === undefined);
  });

  test('the proof’s width and the ends’ widths are lines to drag', async () => {
    await setProofWidth(at.page, 'tablet');
    const line = await boxAtRest(at.page, '.here path');
    await at.page.mouse.move(line.x + 1, line.y + 20);
    await at.page.mouse.down();
    await at.page.mouse.move(line.x - 60, line.y + 20, { steps: 3 });
    await at.page.mouse.up();
    const width = await (await proofFrame(at.page, { asItIs: true })).evaluate(() => innerWidth);
    expect(width).toBeLessThan(720);
    const here = await at.page.$$eval(
      'tr[data-step="0"] .figure',
      (nodes) => nodes[2]?.textContent,
    );
    const { scale } = at.start;
    expect(here).toBe(`${Number(sizeAt(scale, stepByNumber(scale, 0), width).toFixed(2))} px`);

    const end = await boxAtRest(at.page, '.width[aria-label*="large"] .grip');
    await at.page.mouse.move(end.x + 20, end.y + 10);
    await at.page.mouse.down();
    await at.page.mouse.move(end.x + 60, end.y + 10, { steps: 3 });
    await at.page.mouse.up();
    const moved = await eventually(at.scaleNow, ({ large }) => large.width > 1280);
    expect(moved.large.width % 10).toBe(0);
  });

  test('a ratio is picked on the axis by its name', async () => {
    const tick = '.ends fieldset:nth-child(2) .tick:nth-of-type(5)';
    await at.page.$eval(tick, (node) => node.scrollIntoView());
    const { x, y } = await boxAtRest(at.page, tick);
    await at.page.mouse.move(x + 4, y + 12);
    await eventually(
      () => at.proofed('h2'),
      (size) => Math.abs(size - 19 * (4 / 3) ** 3) < 0.1,
    );
    expect((await at.scaleNow()).large.ratio).toBe(1.28);
    await at.page.mouse.click(x + 4, y + 12);
    await eventually(at.scaleNow, ({ large }) => large.ratio === 4 / 3);
  });
});

describe('trying', () => {
  test('shows on the proof, and is left without a trace or taken as one change', async () => {
    const { revision } = await at.project();
    const before = await at.proofed('h1');
    await press(at.page, 'Try without keeping');
    await fill(at.page, 'Base', '24', '.ends fieldset:nth-child(2)');
    await fill(at.page, 'Ratio', '4/3', '.ends fieldset:nth-child(2)');
    await eventually(
      () => at.proofed('h1'),
      (size) => Math.abs(size - 24 * (4 / 3) ** 5) < 0.1,
    );
    await press(at.page, 'Leave it as it was');
    await eventually(
      () => at.proofed('h1'),
      (size) => size === before,
    );
    expect((await at.project()).revision).toBe(revision);

    await press(at.page, 'Try without keeping');
    await fill(at.page, 'Base', '24', '.ends fieldset:nth-child(2)');
    await fill(at.page, 'Base', '18', '.ends fieldset:nth-child(1)');
    await press(at.page, 'Use it');
    const now = await eventually(at.project, (one) => one.revision > revision);
    expect(now.revision).toBe(revision + 1);
    expect([now.document.scale.small.base, now.document.scale.large.base]).toEqual([18, 24]);
  });

  test('a kind of site is shown while pointed at, and taken on a click', async () => {
    await at.show('Kinds of site');
    const body = await at.proofed('body');
    await (await at.page.waitForSelector('.view li:nth-child(1)'))?.hover();
    await eventually(
      () => at.proofed('body'),
      (size) => Math.abs(size - 21) < 0.02,
    );
    await at.page.hover('h1');
    await eventually(
      () => at.proofed('body'),
      (size) => size === body,
    );
    await press(at.page, 'Use the scale for long reading');
    await eventually(at.scaleNow, ({ small, large }) => small.base === 18 && large.base === 21);
  });
});
