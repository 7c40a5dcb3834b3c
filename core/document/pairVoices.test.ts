import { describe, expect, test } from '@jest/globals';
import { applyChange, ChangeError } from '../change';
import { seatedDocument } from '../testing/documents';
import type { Patch } from './patch';
import { pairSeatsOf } from './pairVoices';

const changed = (...patch: Patch) => applyChange(seatedDocument(), patch).document;
const voice = (name: string) => ({ name, family: null, generic: 'serif', fallback: null });

describe('the voices that are paired', () => {
  test('are heading and text unless others are chosen', () => {
    expect(pairSeatsOf(seatedDocument())).toEqual({
      heading: 'heading',
      subheading: null,
      text: 'text',
    });
    const chosen = changed({
      op: 'add',
      path: '/pair',
      value: { heading: 'text', subheading: 'heading', text: 'code' },
    });
    expect(pairSeatsOf(chosen)).toEqual({ heading: 'text', subheading: 'heading', text: 'code' });
  });

  test('are others when those of that key are gone', () => {
    const { code, text } = seatedDocument().voices;
    if (!code || !text) throw new Error('There are such voices');
    expect(pairSeatsOf({ voices: { code, text } })).toMatchObject({
      heading: 'code',
      text: 'text',
    });
    const display = voice('Display') as typeof code;
    expect(pairSeatsOf({ voices: { display, code } })).toMatchObject({
      heading: 'code',
      text: 'display',
    });
    expect(pairSeatsOf({ voices: { code } })).toBeNull();
  });

  test.each<[string, unknown, string]>([
    ['a voice that is not there', { heading: 'none', text: 'text' }, '/pair/heading'],
    ['one voice twice', { heading: 'text', text: 'text' }, '/pair'],
    ['no text', { heading: 'heading' }, '/pair/text'],
  ])('cannot be %s', (_what, value, path) => {
    try {
      changed({ op: 'add', path: '/pair', value });
      throw new Error('It was taken');
    } catch (error) {
      expect((error as ChangeError).errors.map((one) => one.path)).toContain(path);
    }
  });

  test('cannot be removed while they are chosen', () => {
    const pair = { op: 'add', path: '/pair', value: { heading: 'code', text: 'text' } } as const;
    const unused: Patch = [
      { op: 'add', path: '/voices/spare', value: voice('Spare') },
      { op: 'replace', path: '/voices/spare/name', value: 'Data' },
    ];
    expect(changed(...unused, { op: 'remove', path: '/voices/spare' }).voices['spare']).toBe(
      undefined,
    );
    expect(() =>
      changed(
        ...unused,
        { ...pair, value: { heading: 'spare', text: 'text' } },
        {
          op: 'remove',
          path: '/voices/spare',
        },
      ),
    ).toThrow(ChangeError);
  });
});
