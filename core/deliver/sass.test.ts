import { describe, expect, test } from '@jest/globals';
import { compileString } from 'sass';
import { compileString as compileNow } from 'sass-now';
import { applyChange } from '../change';
import { PROPERTIES } from '../document';
import { carries, resolveStyle } from '../style';
import { fallbacksOf, seatedDocument } from '../testing/documents';
import { elementRule } from './elementRules';
import { sassTokens } from './sass';

const tokens = (document = seatedDocument()) => sassTokens(document, fallbacksOf(document));
const compiled = (scss: string, document = seatedDocument()) =>
  compileString(`@use 'sass:map';\n${tokens(document)}\n${scss}`).css;

describe('the Sass file', () => {
  test('says the same to Sass as it is now', () => {
    const document = seatedDocument();
    const source = `${tokens(document)}\n${Object.keys(document.styles)
      .map((style) => `.${style} { @include style-${style}; color: red; }`)
      .join('\n')}`;
    const said = (css: string) =>
      [...css.matchAll(/([a-z-]+: [^;{}]+);/g)].map(([, declaration]) => declaration).sort();
    const now = compileNow(source).css;
    expect(said(now)).toEqual(said(compileString(source).css));
    expect(said(now).length).toBeGreaterThan(100);
    expect(now).toContain('.link:hover {');
  });

  test('compiles, and says nothing by itself', () => {
    expect(compiled('')).toBe('');
  });

  test('has a variable for each token, and all of them in a map', () => {
    expect(compiled('a { font-family: $font-text; color: map.get($tokens, "colour-ink"); }')).toBe(
      'a {\n  font-family: var(--font-text);\n  color: var(--colour-ink);\n}',
    );
    expect(compiled('a { --count: #{map.get($tokens, "none-such")}; }')).toContain('--count: ;');
  });

  test('has a mixin for each style, with what the style sheet gives an element that wears it', () => {
    const document = seatedDocument();
    for (const style of Object.keys(document.styles)) {
      const css = compiled(`.x { @include style-${style}; }`);
      const element = { name: 'X', selectors: ['.x'], style, parent: null };
      const declared = (text: string) =>
        [...text.matchAll(/^ *([a-z-]+: .+);$/gm)].map(([, declaration]) => declaration);
      expect(declared(css)).toEqual(declared(elementRule(document, element)));
      const { weight } = resolveStyle(document, style);
      expect(css.includes(`var(--style-${style}-${PROPERTIES.weight.css})`)).toBe(carries(weight));
    }
  });

  test('keeps what differs on narrow screens', () => {
    const { document } = applyChange(seatedDocument(), [
      { op: 'add', path: '/styles/lead/narrow', value: { case: 'uppercase' } },
    ]);
    const css = compiled('.teaser { @include style-lead; }', document);
    expect(css).toMatch(
      /@media not all and \(min-width: 600px\) \{\s*\.teaser \{\s*text-transform/,
    );
  });
});
