import { wait as say } from './words';
import type { FontDisplay } from '@lettera/core/document';

/** When text can first show, and when the web face is there, milliseconds from the request of the page. */
export interface LoadTimes {
  firstText: number;
  swap: number;
}

/**
 * For how long a face is waited for without showing anything, and for how long it still takes over, from when
 * text could first show, milliseconds (CSS Fonts 4 §4.9: “extremely small” is taken as 100, “short” as 3000).
 */
const PERIODS: Record<FontDisplay, { block: number; swap: number }> = {
  swap: { block: 0, swap: Infinity },
  fallback: { block: 100, swap: 3000 },
  optional: { block: 100, swap: 0 },
};

/** What is seen for a while. */
export interface WaitPart {
  what: 'nothing' | 'fallback' | 'web';
  from: number;
  to: number;
}

const seconds = (milliseconds: number): string => `${(milliseconds / 1000).toFixed(2)} s`;

/** What a visitor sees of a face on its way, in parts of time up to a second after, and in words. */
export function waitOf(
  display: FontDisplay,
  { firstText, swap }: LoadTimes,
): { parts: WaitPart[]; says: string } {
  const { block, swap: swapFor } = PERIODS[display];
  const late = swap - firstText;
  const end = swap + 1000;
  const shows = firstText + Math.min(block, late);
  const taken = late <= block || late <= block + swapFor;
  const parts: WaitPart[] = [
    { what: 'nothing', from: 0, to: shows },
    ...(late > block ? [{ what: 'fallback' as const, from: shows, to: taken ? swap : end }] : []),
    ...(taken ? [{ what: 'web' as const, from: swap, to: end }] : []),
  ];
  const first =
    late <= block
      ? say.textShowsAfterWeb(seconds(shows))
      : say.textShowsAfterFallback(seconds(shows));
  const then =
    late <= block
      ? '.'
      : taken
        ? say.webFaceShowsAfter(seconds(swap))
        : say.webFaceComesAfter(seconds(swap));
  return { parts, says: `${first}${then}` };
}
