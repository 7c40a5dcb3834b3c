import { describe, expect, test } from '@jest/globals';
import { applyChange } from '../change';
import type { ProjectDocument } from '../document';
import { seatedDocument } from '../testing/documents';
import { marksOf, type Evidence, type Mark } from '.';

const ASCII = 'U+20-7E';
const LATIN_1 = 'U+20-7E, U+A0-FF';
const page = (body: string) => ({ title: 'Log', width: 800, texts: {}, letters: { body } });
const own = { characters: { literata: LATIN_1 } };

const marks = (evidence: Evidence, document = seatedDocument()): Mark[] =>
  marksOf(document, { ...own, ...evidence }).filter(({ rule }) => rule.startsWith('outgrown'));

describe('text that outgrows the files', () => {
  test('is marked where its family has what the delivered files have not', () => {
    const [mark, ...others] = marks({ delivered: { literata: ASCII }, page: page('Café, œuvre') });
    expect(others).toEqual([]);
    // œ is not in the family: that is another mark.
    expect(mark).toMatchObject({ rule: 'outgrown-files', stage: 'deliver', style: 'body' });
    expect(mark?.message).toBe(
      'Body: on “Log” é comes from another font, since the files of Literata are cut to other characters.',
    );
    expect(mark?.fix).toBeUndefined();
  });

  test('is put right where a family is cut to given copy', () => {
    const cut: ProjectDocument = applyChange(seatedDocument(), [
      { op: 'add', path: '/case/literata/onlyFor', value: '0123' },
    ]).document;
    const [mark] = marks({ delivered: { literata: 'U+30-33' }, page: page('12 é7') }, cut);
    expect(mark?.message).toContain('7 é come from another font'.replace('7 é', 'é 7'));
    expect(mark?.fix?.patch).toEqual([
      { op: 'add', path: '/case/literata/onlyFor', value: '0123é7' },
    ]);
  });

  test('is marked where it came after the last delivery', () => {
    const [mark] = marks({
      delivered: { literata: LATIN_1 },
      lastDelivered: { literata: ASCII },
      page: page('Café'),
    });
    expect(mark?.rule).toBe('outgrown-delivery');
    expect(mark?.message).toBe(
      'Body: on “Log” é comes from another font on the site, since the files of Literata that were delivered last have no such character.',
    );
  });

  test.each<[string, Evidence]>([
    ['the files have all', { delivered: { literata: LATIN_1 }, page: page('Café') }],
    ['nothing was delivered', { lastDelivered: null, page: page('Café') }],
    ['no file of it is delivered', { delivered: {}, lastDelivered: {}, page: page('Café') }],
    ['there is no page', { delivered: { literata: ASCII } }],
    ['only blanks are lacking', { delivered: { literata: ASCII }, page: page('a\u00a0b') }],
  ])('is none where %s', (_, evidence) => {
    expect(marks(evidence)).toEqual([]);
  });
});
