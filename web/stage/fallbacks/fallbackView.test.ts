import { describe, expect, test } from '@jest/globals';
import { applyChange } from '@lettera/core/change';
import type { Patch, ProjectDocument } from '@lettera/core/document';
import { fallbackPlan, localsOf, platformNames } from '@lettera/core/fallback';
import { fallbacksOf, seatedDocument, trials } from '../../../core/testing/documents';
import {
  candidateRows,
  entryRows,
  fittingPatch,
  linesApart,
  moved,
  stackPatch,
} from './fallbackView';
import { plainPatch } from './plainNames';
import { waitOf } from './wait';

const after = (...patches: Patch[]): ProjectDocument =>
  patches.reduce((document, patch) => applyChange(document, patch).document, seatedDocument());

describe('the stack as a column', () => {
  test('shows each entry with its platforms, who lands on it, and how near its words come', () => {
    const rows = entryRows(seatedDocument(), fallbacksOf(seatedDocument()), 'text');
    expect(rows.map(({ entry }) => entry.kind)).toEqual([
      'web',
      'fallback',
      'fallback',
      'local',
      'local',
      'generic',
    ]);
    expect(rows[1]).toMatchObject({ platforms: 'Windows, macOS, iOS', remark: '' });
    expect(rows[1]?.tuned?.local).toBe('georgia');
    expect(rows.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 10);
  });

  test('says what keeps visitors from an entry', () => {
    const document = after(stackPatch('text', ['georgia', 'cambria']));
    const rows = entryRows(document, fallbackPlan(document, trials()), 'text');
    expect(rows[2]?.remark).toBe('Windows takes Georgia for Literata, before it.');
  });
});

describe('the candidates', () => {
  test('are those of the class: tuned ones first, then others by reach, without figures', () => {
    const rows = candidateRows(seatedDocument(), trials(), 'text');
    expect(rows.slice(0, 3).map(({ local }) => local)).toEqual([
      'georgia',
      'noto-serif',
      'cambria',
    ]);
    expect(rows.map(({ local }) => local)).not.toContain('arial');
    const unknown = rows.filter(({ candidate }) => candidate === null);
    expect(unknown.map(({ local }) => local)).toContain('palatino');
    expect(rows.filter(({ taken }) => taken).map(({ local }) => local)).toEqual([
      'georgia',
      'noto-serif',
    ]);
  });

  test('tell letters that the font lacks from those that only its twin lacks', () => {
    const tried = trials();
    for (const { faces } of tried['text/literata'] ?? []) {
      for (const face of faces) face.missing = ['λ'];
    }
    const rows = candidateRows(seatedDocument(), tried, 'text');
    expect(rows.find(({ local }) => local === 'georgia')?.lacks).toBe('Widths not known of λ');
    expect(rows.find(({ local }) => local === 'noto-serif')?.lacks).toBe('Lacks λ');
  });

  test('tell by how many lines a text differs', () => {
    const [georgia] = trials()['text/literata'] ?? [];
    const [face] = georgia?.faces ?? [];
    if (!georgia || !face) throw new Error('nothing tried');
    const lines = { ...face.fit.lines, counts: [41, 27, 19, 17] };
    expect(linesApart({ ...georgia, faces: [{ ...face, fit: { ...face.fit, lines } }] })).toEqual([
      1, 0, -1, 0,
    ]);
  });
});

describe('changes', () => {
  test('put local fonts into a stack, and leave it to Lettera again', () => {
    const document = after(stackPatch('text', ['cambria']));
    expect(localsOf(document, 'text', trials())).toEqual(['cambria']);
    expect(after(stackPatch('text', ['cambria']), stackPatch('text', null))).toEqual(
      seatedDocument(),
    );
    expect(moved(['a', 'b', 'c'], 0, 1)).toEqual(['b', 'a', 'c']);
    expect(moved(['a', 'b', 'c'], 2, 0)).toEqual(['c', 'a', 'b']);
    expect(moved(['a'], 4, 0)).toEqual(['a']);
  });

  test('set a limit, and take it back to what the voice is for', () => {
    const set = after(fittingPatch(seatedDocument(), 'text', { evenness: 0.04, groups: 2 }));
    expect(set.voices['text']?.fitting).toEqual({ evenness: 0.04, groups: 2 });
    const less = applyChange(set, fittingPatch(set, 'text', { groups: undefined })).document;
    expect(less.voices['text']?.fitting).toEqual({ evenness: 0.04 });
    const none = applyChange(less, fittingPatch(less, 'text', { evenness: undefined })).document;
    expect(none).toEqual(seatedDocument());
    expect(fittingPatch(none, 'text', { groups: undefined })).toEqual([]);
  });

  test('take plain names as they are typed, and refuse what is no list', () => {
    const { patch, notes } = plainPatch(seatedDocument(), 'text', 'Source Serif 4, Georgia');
    expect(after(patch ?? []).voices['text']?.plain).toEqual(['Source Serif 4', 'Georgia']);
    expect(notes).toHaveLength(1);
    expect(plainPatch(seatedDocument(), 'text', '"Georgia').patch).toBeNull();
    expect(plainPatch(seatedDocument(), 'text', ' ')).toEqual({ patch: null, notes: [] });
    expect(platformNames(['windows', 'chromeos'])).toBe('Windows, ChromeOS');
  });
});

describe('the wait for a web face', () => {
  const quick = { firstText: 500, swap: 560 };
  const late = { firstText: 500, swap: 900 };
  const never = { firstText: 500, swap: 5000 };
  const whats = (...given: Parameters<typeof waitOf>) =>
    waitOf(...given).parts.map(({ what }) => what);

  test('shows the fallback at once and swaps whenever the face comes', () => {
    expect(whats('swap', late)).toEqual(['nothing', 'fallback', 'web']);
    expect(whats('swap', never)).toEqual(['nothing', 'fallback', 'web']);
    expect(waitOf('swap', late).says).toContain('0.90 s');
  });

  test('waits a tenth of a second, and takes a late face for three seconds, or not at all', () => {
    expect(whats('fallback', quick)).toEqual(['nothing', 'web']);
    expect(whats('fallback', late)).toEqual(['nothing', 'fallback', 'web']);
    expect(whats('fallback', never)).toEqual(['nothing', 'fallback']);
    expect(whats('optional', late)).toEqual(['nothing', 'fallback']);
    expect(whats('optional', quick)).toEqual(['nothing', 'web']);
    expect(waitOf('optional', late).says).toContain('too late');
  });

  test('is told without gaps', () => {
    for (const display of ['swap', 'fallback', 'optional'] as const) {
      for (const times of [quick, late, never]) {
        const { parts } = waitOf(display, times);
        parts.slice(1).forEach((part, i) => expect(part.from).toBe(parts[i]?.to));
      }
    }
  });
});
