import { describe, expect, test } from '@jest/globals';
import { applyChange } from '../../change';
import { fallbacksOf, seatedDocument } from '../../testing/documents';
import { customProperties } from '../../deliver';
import { elementRule } from '../../deliver/elementRules';
import type { TextElement } from '../projectDocument';
import { resolveElement, resolveStyle } from '../../style';
import {
  descriptorOf,
  PROPERTIES,
  PROPERTY_NAMES,
  lengthCss,
  typedLength,
  writtenLength,
  type PropertyName,
} from '.';

const set = (name: PropertyName, value: unknown) => () =>
  applyChange(seatedDocument(), [{ op: 'add', path: `/styles/lead/set/${name}`, value }]).document;

describe('a property of a text style', () => {
  // CSS Fonts 4, CSS Text 4, CSS Color 4 and CSS Inline 3, "Inherited" and "Initial" of each definition table.
  test.each<[PropertyName, string, boolean, unknown]>([
    ['voice', 'font-family', true, null],
    ['weight', 'font-weight', true, 400],
    ['slant', 'font-style', true, 'normal'],
    ['step', 'font-size', true, 0],
    ['lineHeight', 'line-height', true, 1.2],
    ['letterSpacing', 'letter-spacing', true, 0],
    ['case', 'text-transform', true, 'none'],
    ['colour', 'color', true, null],
    // CSS Fonts 4 §6 and §8; CSS Text 4 §6 and §7; CSS Text Decoration 4 §2.1; CSS Sizing 3; CSS Box 4; CSS Backgrounds 3.
    ['figures', 'font-variant-numeric', true, 'normal'],
    ['smallCaps', 'font-variant-caps', true, 'normal'],
    ['ligatures', 'font-variant-ligatures', true, 'normal'],
    ['opticalSize', 'font-optical-sizing', true, 'auto'],
    ['features', 'font-feature-settings', true, ''],
    ['axes', 'font-variation-settings', true, ''],
    ['palette', 'font-palette', true, 'normal'],
    ['decoration', 'text-decoration-line', false, 'none'],
    // CSS Text Decoration 4 §2; CSS Text 4 §9; CSS Inline 3 §5.
    ['underlineThickness', 'text-decoration-thickness', false, 'auto'],
    ['underlineOffset', 'text-underline-offset', true, 'auto'],
    ['underlineColour', 'text-decoration-color', false, null],
    ['underlineSkip', 'text-decoration-skip-ink', true, 'auto'],
    ['hanging', 'hanging-punctuation', true, 'none'],
    ['trimming', 'text-box', false, 'normal'],
    ['alignment', 'text-align', true, 'start'],
    ['hyphenation', 'hyphens', true, 'manual'],
    ['wrapping', 'text-wrap', true, 'wrap'],
    ['measure', 'max-inline-size', false, 'none'],
    ['spaceBefore', 'margin-top', false, '0em'],
    ['spaceAfter', 'margin-bottom', false, '0em'],
    ['inset', 'padding', false, '0em'],
    ['ground', 'background-color', false, null],
    ['lineThickness', 'border-width', false, '0px'],
    ['lineKind', 'border-style', false, 'none'],
    ['lineColour', 'border-color', false, null],
    // CSS Fragmentation 3 §3; CSS Inline 3 §7.
    ['breakBefore', 'break-before', false, 'auto'],
    ['breakInside', 'break-inside', false, 'auto'],
    ['breakAfter', 'break-after', false, 'auto'],
    ['orphans', 'orphans', true, 2],
    ['widows', 'widows', true, 2],
    ['dropLines', 'initial-letter', false, null],
  ])('%s is %s, inherited: %s, and %j when nothing sets it', (name, css, inherited, initial) => {
    expect(descriptorOf(name)).toMatchObject({ css, inherited, initial });
  });

  test.each<[PropertyName, unknown[], unknown[]]>([
    ['weight', [1, 1000, 650], [0, 1001, 400.5, '400', null]],
    ['lineHeight', [0.5, 4, 1.25], [0.49, 4.01, '1', null]],
    ['letterSpacing', [-0.5, 2, 0.013], [-0.51, 2.01, '0', null]],
    ['slant', ['normal', 'italic'], ['oblique', 'Italic', 1, null]],
    ['case', ['none', 'uppercase', 'lowercase', 'capitalize'], ['small-caps', '', null]],
    ['voice', ['text', 'heading', 'code'], ['none', 'Text', 'constructor', 4, null]],
    ['colour', ['ink', 'accent'], ['none', '#fff', 'constructor', null]],
    ['step', [0, -2, 6], [7, -3, 0.5, 13, '0', null]],
    ['measure', ['66ch', '33.5em', '640px'], ['66', '66 ch', '0ch', '40%', 'calc(1px)', 66, null]],
    ['inset', ['1em', '0.5em 1em'], ['0.5em 1em 2em', '1em below', '-1px', '1em  2em', 7, null]],
    [
      'lineThickness',
      ['1px', '1px below', '0.1em both', '3px before', '1px around'],
      ['1px 2px', 'below', '1px left', '1px below above', '200px', null],
    ],
    ['spaceBefore', ['1.5lh', '-0.5em', '0em'], ['1.5', '500px', '1rem', '1e1em', null]],
    [
      'features',
      ['', 'ss01', 'ss01, cv05 2'],
      ['ss1', 'ss01, ss01', 'ss01 -1', 'a"b;', 'ss01 1.5', 4],
    ],
    ['axes', ['GRAD 20', 'GRAD -20.5, opsz 14'], ['GRAD', 'GRAD x', 'GRAD 1, GRAD 2', null]],
    ['figures', ['tabular-nums'], ['tnum', null]],
    ['underlineThickness', ['2px', '0.06em'], ['-1px', '2', 'auto', 'from-font']],
    ['underlineOffset', ['0.2em', '-3px'], ['50px', '1lh', 'auto']],
    ['trimming', ['trim-both cap alphabetic'], ['trim-both', 'cap alphabetic']],
    ['ground', ['accent', 'ground'], ['#fff', 'none']],
    ['orphans', [1, 3, 10], [0, 11, 2.5, '3']],
    ['breakAfter', ['avoid', 'page'], ['always', 'left', 1]],
  ])('%s takes %j, and not %j', (name, taken, refused) => {
    for (const value of taken) expect(set(name, value)).not.toThrow();
    for (const value of refused) expect(set(name, value)).toThrow();
  });

  test('the font shorthand resets just those that CSS says it does', () => {
    const reset = PROPERTY_NAMES.filter((name) => PROPERTIES[name].inFontShorthand);
    expect(reset).toEqual([
      ...['voice', 'weight', 'slant', 'step', 'lineHeight'],
      ...['figures', 'smallCaps', 'ligatures', 'opticalSize', 'features', 'axes'],
    ]);
  });

  test('all but what tells nothing at a glance tells two levels apart', () => {
    const telling = PROPERTY_NAMES.filter((name) => PROPERTIES[name].tells !== null);
    expect(telling).toEqual(['voice', 'weight', 'slant', 'case', 'colour', 'smallCaps']);
    expect(PROPERTIES.weight.tells).toEqual({ by: 200 });
  });

  test('arrow keys go by steps that show', () => {
    const by = (name: PropertyName) => {
      const { values } = descriptorOf(name);
      return values.kind === 'number' ? values.by : null;
    };
    expect([by('weight'), by('lineHeight'), by('letterSpacing')]).toEqual([10, 0.05, 0.005]);
  });

  test('what is set is delivered as CSS writes it', () => {
    const written = (name: PropertyName, value: unknown) => {
      const document = set(name, value)();
      const css = `--style-lead-${descriptorOf(name).css}`;
      return new Map(customProperties(document, fallbacksOf(document))).get(css);
    };
    expect(written('voice', 'heading')).toBe('var(--font-heading)');
    expect(written('colour', 'accent')).toBe('var(--colour-accent)');
    expect(written('step', 2)).toBe('var(--size-up-2)');
    expect(written('letterSpacing', -0.0125)).toBe('-0.0125em');
    expect(written('weight', 650)).toBe('650');
    expect(written('lineHeight', 1.25)).toBe('1.25');
    expect(written('case', 'uppercase')).toBe('uppercase');
    expect(written('slant', 'italic')).toBe('italic');
    expect(written('features', 'ss01, cv05 2')).toBe('"ss01" 1, "cv05" 2');
    expect(written('features', '')).toBe('normal');
    expect(written('axes', 'GRAD -20.5')).toBe('"GRAD" -20.5');
    expect(written('spaceBefore', '1.5lh')).toBe('1.5lh');
    expect(written('ground', 'accent')).toBe('var(--colour-accent)');
  });

  test('what a style leaves open is left to the page, whatever it is', () => {
    const lead = (name: PropertyName, value: unknown) => {
      const document = set(name, value)();
      const { elements } = document;
      return elementRule(document, elements['lead'] as TextElement);
    };
    const plain = elementRule(seatedDocument(), seatedDocument().elements['lead'] as TextElement);
    const own: object = seatedDocument().styles['lead']?.set ?? {};
    expect(Object.keys(own)).toEqual(['step', 'lineHeight']);
    for (const name of PROPERTY_NAMES) {
      expect([name, plain.includes(`  ${PROPERTIES[name].css}:`)]).toEqual([name, name in own]);
    }
    expect(plain).not.toMatch(/\bfont:|inherit/);
    expect(lead('alignment', 'center')).toContain('text-align: var(--style-lead-text-align)');
    expect(lead('lineThickness', '2px')).toMatch(/border: 0 solid;\s[^]*border-width/);
  });

  test('lengths are read as people type them', () => {
    const { values } = PROPERTIES.spaceBefore;
    expect(
      ['1.5', '1.5 lines', '1,5 lh', '.5em', '-2 EM', '3px', '1 line'].map((text) =>
        typedLength(text, values),
      ),
    ).toEqual(['1.5lh', '1.5lh', '1.5lh', '0.5em', '-2em', '3px', '1lh']);
    for (const none of ['', 'much', '1.5 rem', '4000em', '1 2']) {
      expect(typedLength(none, values)).toBeNull();
    }
    expect(typedLength('66 characters', PROPERTIES.measure.values)).toBe('66ch');
    const inset = PROPERTIES.inset.values;
    expect(['0.5 1', '8px 1.5 em', '2px'].map((text) => typedLength(text, inset))).toEqual([
      '0.5em 1em',
      '8px 1.5em',
      '2px',
    ]);
    expect(typedLength('1 2 3', inset)).toBeNull();
    expect(typedLength('1px below', inset)).toBeNull();
  });
});

describe('a line', () => {
  const { values } = PROPERTIES.lineThickness;

  // CSS Backgrounds 3 §3.3: above, at the sides, below; one that is left out is that opposite.
  test.each([
    ['1px', '1px', '1px 0 0', '1 px above'],
    ['1 px above', '1px', '1px 0 0', '1 px above'],
    ['2px below', '2px below', '0 0 2px', '2 px below'],
    ['1px above and below', '1px both', '1px 0', '1 px above and below'],
    ['0.2em before', '0.2em before', '0 0 0 0.2em', '0.2 em before'],
    ['1 around', '1px around', '1px', '1 px around'],
  ])('typed as “%s” is stored as “%s” and delivered as “%s”', (typed, stored, css, written) => {
    expect(typedLength(typed, values)).toBe(stored);
    expect(lengthCss(stored, values)).toBe(css);
    expect(writtenLength(stored, values)).toBe(written);
  });
});

test('what CSS does not inherit comes from no text around it', () => {
  const slant = PROPERTIES.slant as { inherited: boolean };
  const before = resolveElement(seatedDocument(), 'strong');
  expect(before.slant).toMatchObject({ origin: 'body', value: 'normal' });
  slant.inherited = false;
  try {
    const document = set('slant', 'italic')();
    // Set there and followed all the same; not from the element around, nor from the body.
    expect(resolveStyle(document, 'lead').slant).toMatchObject({ origin: 'set', value: 'italic' });
    expect(resolveElement(document, 'strong').slant).toMatchObject({
      origin: 'browser',
      value: 'normal',
      trace: [{ origin: 'set', style: 'strong' }, { origin: 'browser' }],
    });
    expect(resolveElement(document, 'table-heading').slant.origin).toBe('browser');
  } finally {
    slant.inherited = true;
  }
});
