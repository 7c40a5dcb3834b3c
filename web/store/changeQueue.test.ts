import { describe, expect, test } from '@jest/globals';
import { newDocument, type Patch } from '@lettera/core/document';
import { rebase, replay } from './changeQueue';

const set = (path: string, value: unknown): Patch => [{ op: 'replace', path, value }];
const base = newDocument('Tarnholm');

describe('changes on their way', () => {
  test('show at once, one after another', () => {
    const shown = replay(base, [set('/words', 'Ægir'), set('/scale/small/ratio', 1.3)]);
    expect(shown.words).toBe('Ægir');
    expect(shown.scale.small.ratio).toBe(1.3);
    expect(base.words).toBe('Tarnholm');
  });

  test('move onto a newer revision where they touch nothing that changed there', () => {
    const newer = { revision: 5, document: replay(base, [set('/scale/small/base', 18)]) };
    const result = rebase(
      { revision: 4, document: base, pending: [set('/scale/small/ratio', 1.3)] },
      newer,
    );
    expect(result).toMatchObject({ kind: 'rebased', state: { revision: 5 } });
    if (result.kind !== 'rebased') throw new Error('not rebased');
    const { document, pending } = result.state;
    expect(replay(document, pending).scale.small).toMatchObject({ base: 18, ratio: 1.3 });
  });

  test('that meet another at the same place are put to the person', () => {
    const newer = { revision: 5, document: replay(base, [set('/scale/small/ratio', 1.5)]) };
    const mine = set('/scale/small/ratio', 1.3);
    const result = rebase(
      { revision: 4, document: base, pending: [set('/words', 'Ægir'), mine] },
      newer,
    );
    expect(result).toMatchObject({ kind: 'conflict', mine });
  });
});
