import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { applyChange } from '../../change';
import { descriptorOf, PROPERTY_NAMES, type ProjectDocument } from '../../document';
import { fallbacksOf, seatedDocument } from '../../testing/documents';
import { designTokens } from '../designTokens';
import { readTokens } from './readTokens';
import { TokensError } from './tokenTree';
import { runs } from '../../testing/runs';

const written = (document: ProjectDocument) => designTokens(document, fallbacksOf(document));
const readInto = (document: ProjectDocument, text: string): ProjectDocument =>
  applyChange(document, readTokens(document, text).patch).document;
const file = (tokens: object): string => JSON.stringify(tokens);

describe('what Lettera wrote', () => {
  const rich = () =>
    applyChange(seatedDocument(), [
      { op: 'add', path: '/styles/lead/narrow', value: { weight: 500 } },
      { op: 'add', path: '/narrowBelow', value: 480 },
      { op: 'add', path: '/styles/lead/set/letterSpacing', value: 0.0125 },
      { op: 'add', path: '/styles/quote/set/lineThickness', value: '2px below' },
      { op: 'add', path: '/scale/overrides/2', value: { large: 31 } },
      { op: 'replace', path: '/colours/accent/dark', value: 'oklch(70% 0.1 30 / 0.9)' },
    ]).document;

  test('is read back whole, and written again is the same file', () => {
    const document = rich();
    const text = written(document);
    const { used, unused } = readTokens(seatedDocument(), text);
    expect(unused).toEqual([]);
    expect(used).toContain('the scale');
    const after = readInto(seatedDocument(), text);
    expect(written(after)).toBe(text);
    for (const part of ['voices', 'scale', 'styles', 'elements', 'colours'] as const) {
      expect(after[part]).toEqual(document[part]);
    }
    expect(Object.keys(after.elements)).toEqual(Object.keys(document.elements));
  });

  test('is so whatever a style sets', () => {
    const document = seatedDocument();
    const simple = PROPERTY_NAMES.filter((name) =>
      ['number', 'choice', 'key'].includes(descriptorOf(name).values.kind),
    );
    const valueOf = (name: (typeof simple)[number]): fc.Arbitrary<string | number> => {
      const { values } = descriptorOf(name);
      if (values.kind === 'choice') return fc.constantFrom(...values.of);
      if (values.kind === 'key') return fc.constantFrom(...Object.keys(document[values.of]));
      if (values.kind !== 'number') return fc.constant(0);
      return fc
        .integer({ min: values.min * 1000, max: values.max * 1000 })
        .map((n) => (values.whole ? Math.round(n / 1000) : n / 1000));
    };
    const any = fc
      .constantFrom(...simple)
      .chain((name) => valueOf(name).map((value) => ({ name, value })));
    fc.assert(
      fc.property(fc.array(any, { maxLength: 6 }), (values) => {
        const changed = applyChange(
          document,
          values.map(({ name, value }) => ({ op: 'add', path: `/styles/lead/set/${name}`, value })),
        ).document;
        expect(readInto(document, written(changed)).styles['lead']).toEqual(changed.styles['lead']);
      }),
      { numRuns: 40 },
    );
  });

  test('names families that the case does not have, and leaves their seats empty', () => {
    const bare = { ...seatedDocument(), case: {} };
    for (const voice of Object.values(bare.voices)) voice.family = null;
    const { patch, unused } = readTokens(bare, written(seatedDocument()));
    expect(unused.map(({ path }) => path)).toEqual(['font.heading', 'font.text']);
    expect(unused[0]?.why).toContain('Archivo is not in the case');
    expect(applyChange(bare, patch).document.voices['heading']?.family).toBeNull();
  });

  test('by a newer Lettera is refused', () => {
    const text = written(seatedDocument()).replace('"format": 1', '"format": 2');
    expect(() => readTokens(seatedDocument(), text)).toThrow(/newer Lettera/);
  });
});

describe('what others wrote', () => {
  // After the examples of Design Tokens 2025.10 §8 and §9, and of the Color module §3.
  const theirs = {
    brand: {
      $type: 'color',
      sea: { $value: { colorSpace: 'srgb', components: [0, 0.3, 0.6], alpha: 0.5 } },
      night: { $value: { colorSpace: 'oklch', components: [0.3, 0.1, 250] } },
      deep: { $value: '{brand.sea}' },
      text: { $value: '#123456' },
    },
    family: {
      $type: 'fontFamily',
      reading: { $value: ['Literata', 'serif'] },
      other: { $value: 'Skerry' },
    },
    size: { $type: 'dimension', large: { $value: { value: 1.40625, unit: 'rem' } } },
    lead: {
      $type: 'typography',
      $value: {
        fontFamily: '{family.reading}',
        fontSize: '{size.large}',
        fontWeight: 'semi-bold',
        letterSpacing: { value: 0.45, unit: 'px' },
        lineHeight: 1.4,
      },
    },
    pace: { $type: 'duration', $value: { value: 100, unit: 'ms' } },
  };

  test('is added beside what there is, as far as it goes', () => {
    const document = seatedDocument();
    const { patch, used, unused } = readTokens(document, file(theirs));
    const after = applyChange(document, patch).document;
    expect(used).toEqual(['4 colours', '1 voice', '1 text style']);
    const { name: _name, ...style } = after.styles['lead-2'] ?? {};
    expect(style).toMatchObject({
      follows: null,
      set: { voice: 'text', weight: 600, step: 1, lineHeight: 1.4, letterSpacing: 0.02 },
    });
    expect(after.colours['brand-sea']?.light).toBe('color(srgb 0 0.3 0.6 / 0.5)');
    expect(after.colours['brand-deep']?.light).toBe('color(srgb 0 0.3 0.6 / 0.5)');
    expect(after.colours['brand-night']?.light).toBe('oklch(0.3 0.1 250)');
    expect(after.colours['brand-text']?.light).toBe('#123456');
    for (const part of ['colours', 'styles', 'voices'] as const) {
      expect(Object.keys(after[part])).toEqual(expect.arrayContaining(Object.keys(document[part])));
    }
    expect(unused.map(({ path }) => path)).toEqual(['family.other', 'pace']);
  });

  test('in sizes that the scale does not have goes to the nearest step, which is told', () => {
    const { patch, unused } = readTokens(
      seatedDocument(),
      file({ t: { $type: 'typography', $value: { fontSize: { value: 20, unit: 'px' } } } }),
    );
    expect(unused[0]).toMatchObject({ path: 't.fontSize' });
    expect(unused[0]?.why).toMatch(/no step of the scale has 20 px: it is set to base, 18 px/);
    expect(JSON.stringify(patch)).toContain('"step":0');
  });

  test.each<[string, object, RegExp]>([
    [
      'circles',
      { a: { $type: 'color', $value: '{b}' }, b: { $type: 'color', $value: '{a}' } },
      /leads back to itself/,
    ],
    ['aliases to nothing', { a: { $type: 'color', $value: '{none}' } }, /not in the file/],
    ['unknown types', { a: { $type: 'wind', $value: 1 } }, /“wind” have no place/],
    ['no type', { a: { $value: 1 } }, /no type/],
    ['values of the wrong kind', { a: { $type: 'color', $value: 7 } }, /no colour/],
    [
      'a wrong weight',
      { a: { $type: 'typography', $value: { fontWeight: 'stout' } } },
      /no weight/,
    ],
    [
      'a wrong line height',
      { a: { $type: 'typography', $value: { lineHeight: 90 } } },
      /no line height/,
    ],
    [
      'a wrong size',
      { a: { $type: 'typography', $value: { fontSize: '3vw' } } },
      /no length in px or rem/,
    ],
    ['a composite that is none', { a: { $type: 'typography', $value: 'large' } }, /no bundle/],
  ])('%s are told, and change nothing', (_what, tokens, why) => {
    const { patch, unused } = readTokens(seatedDocument(), file(tokens));
    expect(patch).toEqual([]);
    expect(unused.map((one) => one.why).join()).toMatch(why);
  });

  test.each<[string, string, RegExp]>([
    ['no JSON', '{', /not JSON/],
    ['a list', '[]', /no object/],
    ['nothing', '{}', /no design token/],
    ['too deep', `${'{"a":'.repeat(40)}{"$value":1}${'}'.repeat(40)}`, /deep in one another/],
    ['50 MB', ' '.repeat(50_000_000), /at most 4,000,000/],
  ])('that is %s is refused', (_what, text, why) => {
    expect(() => readTokens(seatedDocument(), text)).toThrow(TokensError);
    expect(() => readTokens(seatedDocument(), text)).toThrow(why);
  });

  test('whatever it is, it is read or refused, and what is read is a change that can be made or is refused whole', () => {
    fc.assert(
      fc.property(fc.json({ maxDepth: 4 }), (text) => {
        try {
          readTokens(seatedDocument(), text);
        } catch (error) {
          expect(error).toBeInstanceOf(TokensError);
        }
      }),
      { numRuns: runs(2000) },
    );
  });
});
