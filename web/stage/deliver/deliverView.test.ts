import { expect, test } from '@jest/globals';
import { seatedDocument } from '../../../core/testing/documents';
import { bytesOf, DISPLAYS, forbiddenFiles, underWay } from './deliverView';

test('every way that fonts may load is offered, in words', () => {
  expect(DISPLAYS.map(({ value }) => value)).toEqual(['swap', 'fallback', 'optional']);
  for (const { value, label } of DISPLAYS) expect(label.startsWith(`${value}: `)).toBe(true);
});

test('files that forbid the web are told before they are delivered', () => {
  const readings = { ['c'.repeat(64)]: { fullName: 'Archivo SemiBold', fsType: 2 } };
  expect(forbiddenFiles(seatedDocument(), readings)).toHaveLength(1);
  expect(forbiddenFiles(seatedDocument(), {})).toEqual([]);
});

test('bytes of all files are added up, text and fonts alike', () => {
  expect(
    bytesOf([
      { path: 'a.css', kind: 'text', purpose: '', bytes: 3, content: 'a{}' },
      { path: 'b.woff2', kind: 'font', purpose: '', bytes: 40, source: 'x', cut: null },
    ]),
  ).toBe(43);
});

test('packing is told while it is under way, and not after', () => {
  const report = (done: number) => ({ task: 'packing' as const, done, of: 2 });
  expect(underWay(undefined)).toBeNull();
  expect(underWay(report(0))?.of).toBe(2);
  expect(underWay(report(2))).toBeNull();
});
