import { layoutShift, planIn, type FallbackWay } from '@lettera/core/fallback';
import { boxesOf, movableNear } from './pageText';
import type { ProofSheet, ProofState } from './proofSheet';

/** Height of the viewport that a shift is reported for, CSS px, by its width: a phone's, else a desktop's. */
export const viewportHeight = (width: number): number => (width < 600 ? 800 : 720);

/**
 * The layout shift of the swap on a page, with the web faces stood in for in one of the ways: the page is laid
 * out in the fallback and in the web faces, from its top, once the faces of both are there.
 * @returns the score of the Layout Instability specification
 */
export async function shiftIn(
  page: Document,
  sheet: ProofSheet,
  state: ProofState,
  way: FallbackWay,
): Promise<number> {
  const plan = planIn(state.fallback, way);
  sheet.update({ ...state, fallback: plan, fonts: 'fallback' });
  await Promise.allSettled([...page.fonts].map((face) => face.load()));
  const movable = movableNear(page);
  const before = boxesOf(movable);
  sheet.update({ ...state, fallback: plan, fonts: 'web' });
  const after = boxesOf(movable);
  const width = page.documentElement.clientWidth;
  return layoutShift(before, after, { width, height: viewportHeight(width) });
}
