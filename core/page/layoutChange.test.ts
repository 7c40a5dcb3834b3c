import { expect, test } from '@jest/globals';
import { layoutChange, type LaidOutBlock } from './layoutChange';

const block = (tag: string, height: number, lines: number[]): LaidOutBlock => ({
  tag,
  words: tag,
  height,
  lines,
});
const page = (height: number, blocks: LaidOutBlock[]) => ({ width: 360, height, blocks });

test('what a change has done to a page is told, what is seen most first', () => {
  const before = page(900, [
    block('p', 50, [0, 5]),
    block('h2', 40, [0]),
    block('p', 75, [0, 5, 9]),
    block('p', 25, [0]),
    block('h1', 60, [0, 3]),
  ]);
  const after = page(960.4, [
    block('p', 50.6, [0, 6]),
    block('h2', 44, [0]),
    block('p', 100, [0, 4, 8, 12]),
    block('p', 25.9, [0]),
    block('h1', 90, [0, 2, 4]),
  ]);
  const change = layoutChange(before, after);
  expect(change.height).toEqual([900, 960.4]);
  expect(change.blocks.map(({ block: at }) => at)).toEqual([4, 2, 1, 0]);
  expect(change.blocks[0]).toEqual({
    block: 4,
    isHeading: true,
    words: 'h1',
    lines: [2, 3],
    height: [60, 90],
    breaksElsewhere: true,
  });
  expect(change.blocks[2]).toMatchObject({ breaksElsewhere: false, lines: [1, 1] });
  expect(change.blocks[3]).toMatchObject({ breaksElsewhere: true, lines: [2, 2] });
});

test('nothing is told where nothing is seen', () => {
  const same = page(900, [block('p', 50, [0, 5]), block('h2', 40, [0])]);
  const nearly = page(900, [block('p', 50.9, [0, 5]), block('h2', 40, [0])]);
  expect(layoutChange(same, nearly).blocks).toEqual([]);
  expect(layoutChange(same, page(900, [block('p', 51, [0, 5])])).blocks).toHaveLength(1);
});
