import type { MovedText } from '@lettera/core/stock';
import { Breather } from '../reader/breathe';
import { holdStill } from '../reader/stockReader';
import { ownText, textElementsOf } from '../reader/domTree';
import { ProofSheet, type ProofState } from './proofSheet';

/** What of a text is looked at before and after. */
interface Set {
  size: number;
  weight: number;
  isUpright: boolean;
}

/** What a page is measured with. */
export interface Measuring {
  /** Widths of the viewport, CSS px. */
  widths: readonly number[];
  setWidth: (width: number) => Promise<void>;
  stopped: () => boolean;
}

/**
 * Lays a page out as its own style sheets have it, and with the project's type where that would be delivered, and
 * reads every text both times, those that no text element claims too.
 *
 * @returns by the number of the text's element among those of the page, how far it moves at the width where it
 *   moves most
 * @throws Stopped when it is no longer wanted
 */
export async function measureMoves(
  page: Document,
  state: ProofState,
  { widths, setWidth, stopped }: Measuring,
): Promise<MovedText[]> {
  const sheet = new ProofSheet(page);
  holdStill(page);
  const breather = new Breather();
  const nodes = textElementsOf(page);
  const view = page.defaultView as Window;
  const read = async (bare: boolean): Promise<Set[]> => {
    sheet.update({ ...state, bare });
    sheet.settle();
    const sets: Set[] = [];
    for (const node of nodes) {
      await breather.pause(stopped);
      const { fontSize, fontWeight, fontStyle } = view.getComputedStyle(node);
      sets.push({
        size: parseFloat(fontSize),
        weight: Number(fontWeight),
        isUpright: fontStyle === 'normal',
      });
    }
    return sets;
  };
  const moved = nodes.map((node): MovedText => ({
    characters: [...ownText(node)].length,
    size: 0,
    weight: 0,
    turned: false,
  }));
  for (const width of widths) {
    await setWidth(width);
    const [before, after] = [await read(true), await read(false)];
    moved.forEach((one, i) => {
      const [from, to] = [before[i], after[i]];
      if (!from || !to) return;
      one.size = Math.max(one.size, Math.abs(to.size - from.size));
      one.weight = Math.max(one.weight, Math.abs(to.weight - from.weight));
      one.turned ||= from.isUpright !== to.isUpright;
    });
  }
  return moved;
}
