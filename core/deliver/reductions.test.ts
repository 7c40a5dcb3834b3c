import { describe, expect, test } from '@jest/globals';
import { applyChange } from '../change';
import { plansOf, seatedDocument } from '../testing/documents';
import { deliveryPlan } from './plan';
import { reductionsOf } from './reductions';

const of = (document = seatedDocument()) => reductionsOf(document, plansOf(document).delivery);
const keys = (document?: ReturnType<typeof seatedDocument>) => of(document).map(({ key }) => key);

describe('ways to load less', () => {
  test('are a weight fewer, the features in use, and figures only, each a change that is taken', () => {
    expect(keys()).toEqual(
      expect.arrayContaining(['features', 'weight text 700', 'figures archivo']),
    );
    // The running text keeps its weight.
    expect(keys()).not.toContain('weight text 400');
    for (const { patch } of of()) {
      expect(patch.length).toBeGreaterThan(0);
      expect(() => applyChange(seatedDocument(), patch)).not.toThrow();
    }
  });

  test('give a weight’s styles the nearest of the other weights', () => {
    const fewer = of().find(({ key }) => key === 'weight text 700');
    expect(fewer?.says).toMatch(/^Text without 700: its .* 400$/);
    const document = applyChange(seatedDocument(), fewer?.patch ?? []).document;
    const files = deliveryPlan(document, {
      readings: {
        ['a'.repeat(64)]: {
          format: 'woff2',
          fsType: 0,
          axes: [{ tag: 'wght', min: 200, default: 400, max: 900 }],
        },
      },
      made: {},
      copy: '',
    }).files;
    expect(files.find(({ source }) => source.startsWith('a'))?.cut?.axes).toEqual({
      wght: [400, 400],
    });
  });

  test('of three weights take the nearer, and say how many styles that are', () => {
    const document = applyChange(seatedDocument(), [
      { op: 'add', path: '/styles/lead/set/weight', value: 600 },
      { op: 'add', path: '/styles/list/set/weight', value: 300 },
    ]).document;
    const says = (key: string) => of(document).find((one) => one.key === key)?.says ?? '';
    expect(says('weight text 600')).toMatch(/ 700$/);
    expect(says('weight text 300')).toMatch(/ 400$/);
    expect(says('weight text 600')).toContain('its style takes');
    // What the running text is set in stays in its own voice, and is a weight like others in another.
    expect(keys(document)).not.toContain('weight text 400');
  });

  test('never leave Latin out, nor a file for all scripts', () => {
    const document = seatedDocument();
    const [upright] = document.case['literata']?.faces ?? [];
    const [latin] = upright?.files ?? [];
    if (latin)
      upright?.files.push({
        ...latin,
        sha256: 'e'.repeat(64),
        script: 'greek',
        unicodeRange: 'U+370-3FF',
      });
    const scripts = reductionsOf(
      document,
      deliveryPlan(document, { readings: {}, made: {}, copy: 'λ' }),
    )
      .map(({ key }) => key)
      .filter((key) => key.startsWith('script'));
    expect(scripts).toEqual(['script greek']);
  });

  test('are a script fewer where there are several, never the last file of a face', () => {
    const document = seatedDocument();
    const [upright] = document.case['literata']?.faces ?? [];
    const [latin] = upright?.files ?? [];
    if (latin) {
      upright?.files.push({
        ...latin,
        sha256: 'e'.repeat(64),
        script: 'greek',
        unicodeRange: null,
      });
    }
    const fewer = of(document).find(({ key }) => key === 'script greek');
    const after = applyChange(document, fewer?.patch ?? []).document;
    expect(after.case['literata']?.faces.map(({ files }) => files.length)).toEqual([1, 1]);
    expect(keys()).not.toContain('script greek');
  });

  test('are not those that are taken already', () => {
    const document = applyChange(seatedDocument(), [
      { op: 'add', path: '/delivery/features', value: 'used' },
      { op: 'add', path: '/case/archivo/onlyFor', value: '0' },
    ]).document;
    expect(keys(document)).not.toContain('features');
    expect(keys(document)).not.toContain('figures archivo');
    const whole = applyChange(document, [
      { op: 'add', path: '/delivery/letters', value: 'whole' },
      { op: 'add', path: '/delivery/boldItalics', value: true },
    ]).document;
    expect(keys(whole)).toEqual(expect.arrayContaining(['letters', 'bold-italics']));
  });
});
