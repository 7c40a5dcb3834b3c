/** A block of text as a browser has laid it out. */
export interface LaidOutBlock {
  /** In small letters. */
  tag: string;
  words: string;
  /** CSS px. */
  height: number;
  /** The number of the word that each line begins with. */
  lines: readonly number[];
}

/** A page as it is laid out at a width. */
export interface LaidOutPage {
  /** CSS px. */
  width: number;
  height: number;
  blocks: readonly LaidOutBlock[];
}

/** What a change has done to one block. */
export interface BlockChange {
  /** Which of the page's blocks it is, from 0. */
  block: number;
  isHeading: boolean;
  words: string;
  lines: readonly [before: number, after: number];
  /** CSS px. */
  height: readonly [before: number, after: number];
  /** Whether its lines break elsewhere, though there may be as many. */
  breaksElsewhere: boolean;
}

/** What a change has done to a page at a width. */
export interface PageChange {
  width: number;
  height: readonly [before: number, after: number];
  blocks: BlockChange[];
}

/** A difference in height that is seen, CSS px. */
const SEEN = 1;

/**
 * What differs between two layouts of one page: blocks with more or fewer lines first, headings before
 * others, then those that have grown or shrunk, then those whose lines break elsewhere.
 */
export function layoutChange(before: LaidOutPage, after: LaidOutPage): PageChange {
  const blocks = after.blocks.flatMap(({ tag, words, height, lines }, block): BlockChange[] => {
    const earlier = before.blocks[block];
    if (!earlier) return [];
    const breaksElsewhere = earlier.lines.join() !== lines.join();
    if (!breaksElsewhere && Math.abs(height - earlier.height) < SEEN) return [];
    return [
      {
        block,
        isHeading: /^h[1-6]$/.test(tag),
        words,
        lines: [earlier.lines.length, lines.length],
        height: [earlier.height, height],
        breaksElsewhere,
      },
    ];
  });
  const weight = ({ lines: [a, b], isHeading, height: [c, d] }: BlockChange): number =>
    (a === b ? 0 : 4) + (isHeading ? 2 : 0) + (Math.abs(c - d) < SEEN ? 0 : 1);
  return {
    width: after.width,
    height: [before.height, after.height],
    blocks: blocks.sort((a, b) => weight(b) - weight(a) || a.block - b.block),
  };
}
