import { describe, expect, test } from '@jest/globals';
import { applyChange } from '@lettera/core/change';
import type { ProjectDocument } from '@lettera/core/document';
import type { Account } from '@lettera/core/page';
import { seatedDocument } from '../../../core/testing/documents';
import { waysToWin } from './leastToWin';

const account = (following: number): Account<string> => ({ texts: 10, following, overruling: [] });
/** How many texts follow, by what the delivery has. */
const wins =
  (by: Record<string, number>) =>
  ({ delivery: { layer, weight = 'none' } }: ProjectDocument) =>
    account(by[`${layer ?? 'outside'} ${weight}`] ?? 0);

describe('the least that would win', () => {
  const document = seatedDocument();

  test('are the ways that win more, the least force first', () => {
    const ways = waysToWin(
      document,
      account(3),
      wins({ 'outside none': 5, 'outside own': 5, 'outside over': 9 }),
    );
    expect(ways.map(({ says, account: { following } }) => [says, following])).toEqual([
      ['outside any cascade layer', 5],
      ['outside any layer, over classes', 9],
    ]);
    const after = applyChange(document, ways[1]?.patch ?? []).document;
    expect(after.delivery).toMatchObject({ layer: null, weight: 'over' });
  });

  test('are none where nothing wins more, or all is done already', () => {
    expect(waysToWin(document, account(9), wins({ 'outside over': 9 }))).toEqual([]);
    const done = applyChange(document, [
      { op: 'replace', path: '/delivery/layer', value: null },
      { op: 'add', path: '/delivery/weight', value: 'over' },
    ]).document;
    expect(waysToWin(done, account(4), wins({ 'outside own': 3, 'outside over': 9 }))).toEqual([]);
  });
});
