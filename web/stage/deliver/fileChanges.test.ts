import { describe, expect, test } from '@jest/globals';
import type { DeliveryFile } from '@lettera/core/wire';
import { fileChanges } from './fileChanges';

const text = (path: string, content: string): DeliveryFile => ({
  path,
  kind: 'text',
  purpose: '',
  content,
  bytes: content.length,
});
const font = (path: string, source: string, cut: string | null, bytes: number): DeliveryFile => ({
  path,
  kind: 'font',
  purpose: '',
  source,
  cut,
  bytes,
});
const numbered = (...change: [number, string][]) =>
  Array.from({ length: 12 }, (_, i) => change.find(([at]) => at === i)?.[1] ?? `line ${i}`).join(
    '\n',
  ) + '\n';

describe('what changed since a delivery', () => {
  test('is nothing where every file is the same', () => {
    const files = [text('a.css', 'a\n'), font('f.woff2', 'x', null, 10)];
    expect(fileChanges(files, structuredClone(files))).toEqual([]);
  });

  test('is told by line, with what stands around it and no more', () => {
    const [change] = fileChanges(
      [text('a.css', numbered())],
      [text('a.css', numbered([6, 'other']))],
    );
    expect(change).toMatchObject({
      path: 'a.css',
      kind: 'changed',
      says: '1 line added, 1 removed',
    });
    expect(change?.lines.map(({ kind, text: said }) => `${kind} ${said}`)).toEqual([
      'left out 4',
      'same line 4',
      'same line 5',
      'removed line 6',
      'added other',
      'same line 7',
      'same line 8',
      'left out 3',
    ]);
  });

  test('of fonts is told by what they are made from and cut to', () => {
    const before = [font('f.woff2', 'x', null, 2000), font('g.woff2', 'y', null, 10)];
    expect(
      fileChanges(before, [font('f.woff2', 'x', 'woff2 wght=400:700', 1000), ...before.slice(1)]),
    ).toEqual([{ path: 'f.woff2', kind: 'changed', says: '2,000 to 1,000 bytes', lines: [] }]);
  });

  test('names files that are new, and those that are gone', () => {
    const changes = fileChanges([text('old.css', 'a')], [text('new.css', 'b')]);
    expect(changes.map(({ path, kind }) => `${kind} ${path}`)).toEqual([
      'new new.css',
      'gone old.css',
    ]);
  });
});
