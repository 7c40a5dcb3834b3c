import { describe, expect, test } from '@jest/globals';
import { applyChange } from '@lettera/core/change';
import { fallbackPlan, LOCAL_FONTS } from '@lettera/core/fallback';
import { fallbacksOf, seatedDocument, trials } from '../../../core/testing/documents';
import {
  choosePatch,
  missingCharacters,
  platforms,
  twinName,
  unfittedError,
  voicesOf,
} from './fallbackView';

const voices = () => {
  const document = seatedDocument();
  return voicesOf(document, fallbacksOf(document), trials());
};

describe('Fallbacks', () => {
  test('shows each voice with its stack, what was chosen, and what was tried of its class', () => {
    const [heading, text, code] = voices();
    expect(heading?.stack.map(({ kind }) => kind)).toEqual(['web', 'fallback', 'local', 'generic']);
    expect(text?.chosen?.local).toBe('georgia');
    expect(text?.candidates.map(({ local }) => local)).toEqual(['georgia', 'cambria']);
    expect(code).toMatchObject({ family: undefined, chosen: null, candidates: [] });
    const document = applyChange(seatedDocument(), [
      { op: 'replace', path: '/voices/text/generic', value: 'monospace' },
    ]).document;
    const other = voicesOf(document, fallbackPlan(document, trials()), trials())[1];
    expect(other?.candidates).toEqual([]);
  });

  test('chooses a local font, and leaves the choice open with the first', () => {
    const choose = (local: string, first: boolean) =>
      applyChange(seatedDocument(), choosePatch('text', local, first)).document;
    expect(choose('cambria', false).voices['text']?.fallback).toBe('cambria');
    expect(choose('georgia', true).voices['text']?.fallback).toBeNull();
    const document = choose('cambria', false);
    expect(fallbacksOf(document).voices['text']?.chosen?.local).toBe('cambria');
  });

  test('weighs what words are off by as often as they occur, and names what is lacking once', () => {
    const [face] = trials()['literata']?.[0]?.faces ?? [];
    if (!face) throw new Error('no face');
    const candidate = {
      local: 'georgia',
      faces: [
        { ...face, untunedError: 0.1, words: 300, missing: ['þ', 'ð'] },
        { ...face, untunedError: 0.02, words: 100, missing: ['þ'] },
      ],
    };
    expect(unfittedError(candidate)).toBeCloseTo(0.08, 10);
    expect(missingCharacters(candidate)).toBe('þ ð');
  });

  test('names platforms and twins as people do', () => {
    expect(platforms('georgia')).toBe('Windows, macOS, iOS');
    expect(twinName('noto-sans')).toBe('Noto Sans');
    expect(platforms('none')).toBe('');
    for (const key of Object.keys(LOCAL_FONTS)) expect(platforms(key)).not.toContain('undefined');
  });
});
