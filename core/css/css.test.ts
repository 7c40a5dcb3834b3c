import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { parse } from 'css-tree';
import {
  isClosed,
  isCssColour,
  isLayerName,
  isPlainName,
  selectorsFault,
  selectorTexts,
  subjectsOf,
  tokensOf,
} from '.';
import { runs } from '../testing/runs';

describe('a colour', () => {
  test.each([
    '#fff',
    '#FFFA',
    '#0e6656',
    '#0e665680',
    'rebeccapurple',
    'transparent',
    'rgb(14 102 86)',
    'rgb(14, 102, 86)',
    'rgba(14, 102, 86, 0.5)',
    'RGB(14 102 86 / 50%)',
    'hsl(170deg 76% 23%)',
    'hwb(170 5% 60%)',
    'lab(40% -30 5)',
    'lch(40% 30 170)',
    'oklab(0.5 -0.1 0.02)',
    'oklch(0.5 0.1 170 / 0.8)',
    'color(display-p3 0.1 0.4 0.3)',
    'color(srgb 0 0.5 none)',
  ])('is %s', (value) => expect(isCssColour(value)).toBe(true));

  test.each([
    'rgb(0 0 0',
    'hsl(0 0% 0%',
    'oklch(0.5 0.1 170',
    'lab(40% 1 1',
    'hwb(170 5% 60%',
    'color(srgb 0 0 0',
    '0e6656',
    'abc',
    'BADA55',
    'lch(0.5 120deg 54)',
    'oklch(.25 2rad 349 / 0.5)',
    'rgb(10deg 2 3)',
    'hsl(120px 50% 50%)',
    '#',
    '#0e66567',
    'currentcolor',
    'red;',
    'red} body{display:none',
    'rgb(0 0 0)/*',
    'rgb(0 0 0) rgb(0 0 0)',
    'rgb(0 0 0\\',
    'color(--lab-d65 0.5 0 0)',
    'var(--x)',
    'url(x)',
    'rgb(var(--x))',
    '',
    ' ',
  ])('is not %s', (value) => expect(isCssColour(value)).toBe(false));
});

describe('selectors', () => {
  test.each([
    'body',
    '.lead',
    'h4, h5, h6',
    'nav a',
    'a:not(.button):not(nav a)',
    'pre > code',
    '[data-x="a}b{"]',
    '.md\\:text-lg',
    ':not(script)',
    'li:nth-child(2n + 1 of .tide)',
    'a:hover',
    'hr',
    '*',
  ])('may be %s', (value) => expect(selectorsFault(value)).toBeNull());

  test.each<[string, RegExp]>([
    ['a([)]', /CSS selectors/],
    ['a[b="x\ny"]', /CSS selectors/],
    ['a[b="x', /CSS selectors/],
    ['p { } x', /CSS selectors/],
    ['p; x', /CSS selectors/],
    ['a /* x', /CSS selectors/],
    ['a\\', /CSS selectors/],
    [':is(a', /CSS selectors/],
    ['@media', /CSS selectors/],
    ['</style>', /CSS selectors/],
    ['[x="</style>"]', /CSS selectors/],
    ['', /CSS selectors/],
    [',', /CSS selectors/],
    ['a >', /names nothing beside/],
    ['> a', /./],
    ['a > > b', /./],
    ...[
      'a:foo',
      '**',
      '[x]p',
      '#1a',
      'a /deep/ b',
      'ns|a',
      '&',
      '50%',
      ':hover()',
      'a:nth-of-type(2 of b)',
      '[x="a" q]',
      '[x i]',
      'a:has(b:has(c))',
      ':is(a:foo)',
      'a:-webkit-any(b)',
      'a/**/b',
      ':lang()',
    ].map((value): [string, RegExp] => [value, /CSS selectors/]),
    ['script', /“script”, which holds no text/],
    ['SCRIPT', /holds no text/],
    ['style', /holds no text/],
    ['body > style', /holds no text/],
    ['p, template', /holds no text/],
    [':is(script, style)', /holds no text/],
    ['*:where(head)', /holds no text/],
    ['p::first-line', /pseudo-element/],
    ['p:before', /pseudo-element/],
    ['a:not(b::after)', /pseudo-element/],
  ])('may not be %j', (value, fault) => expect(selectorsFault(value)).toMatch(fault));

  test.each<[string, boolean]>([
    ['"x"', true],
    ['"x\\"', false],
    ['"x\\\\"', true],
    ['"', false],
    ['\'x"', false],
    ['/* x */', true],
    ['/*/', false],
    ['url(x)', true],
    ['url(x', false],
    ['a\\', false],
    ['f(x', false],
    ['f[x)', false],
    ['{ a; }', true],
  ])('%s is closed: %s', (css, closed) => expect(isClosed(tokensOf(css))).toBe(closed));

  test('an escaped blank at the end of a name is part of it', () => {
    expect(selectorsFault('.a\\ ')).toBeNull();
    expect(selectorTexts(' .a\\ , /* x */ .b ')).toEqual(['.a\\ ', '.b']);
  });

  test('an escaped bracket opens nothing, so that what follows it still parts the list', () => {
    expect(selectorsFault('\\(,')).not.toBeNull();
    expect(selectorTexts('.a\\(, .b')).toEqual(['.a\\(', '.b']);
  });

  test('a script stands aside where only part of a list of alternatives is one', () => {
    expect(selectorsFault(':is(p, script)')).toBeNull();
    expect(selectorsFault('script + p')).toBeNull();
    expect(selectorsFault('p + script')).not.toBeNull();
  });

  test('that are accepted leave the rule around them whole, whatever they are made of', () => {
    const pieces = fc.constantFrom(
      ...'a .b #c [ ] ( ) " \' \\ , > + ~ * : :: not is x= = { } ; / /* */ <!-- --> @ & | \n'.split(
        ' ',
      ),
      ' ',
    );
    fc.assert(
      fc.property(fc.array(pieces, { maxLength: 9 }), (parts) => {
        const selector = parts.join('');
        if (selectorsFault(selector) !== null) return;
        const faults: unknown[] = [];
        const sheet = parse(`:where(${selector}) { color: red; }\nem { color: blue; }\n`, {
          onParseError: (error) => faults.push(error),
        });
        expect(faults).toEqual([]);
        expect('children' in sheet && [...(sheet.children ?? [])].length).toBe(2);
      }),
      { numRuns: runs(3000) },
    );
  });

  test('say what they are about, and in what it stands', () => {
    expect(subjectsOf('nav.site > a.md\\:big, b')).toEqual([
      { element: 'nav', classes: ['site'] },
      { element: 'a', classes: ['md:big'] },
    ]);
    expect(subjectsOf('h2 + p')).toEqual([{ element: 'p', classes: [] }]);
    expect(subjectsOf('ul p ~ .x:not(.y)')).toEqual([
      { element: 'ul', classes: [] },
      { element: null, classes: ['x'] },
    ]);
  });
});

test.each<[string, boolean]>([
  ['lettera', true],
  ['site-type2', true],
  ['initial', false],
  ['Revert-Layer', false],
  ['a.b', false],
  ['2a', false],
  ['x'.repeat(41), false],
])('a layer may be called %s: %s', (name, may) => expect(isLayerName(name)).toBe(may));

test.each<[string, boolean]>([
  ['Þokuljós', true],
  ['<b>"x"</b>', true],
  ['😀', true],
  [' ', false],
  ['\u00a0', false],
  ['a\u0000b', false],
  ['a\nb', false],
  ['a\u009bb', false],
  ['\ud83d', false],
])('a name may be %j: %s', (name, may) => expect(isPlainName(name)).toBe(may));
