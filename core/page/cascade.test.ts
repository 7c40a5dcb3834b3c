/** @jest-environment jsdom */
import { describe, expect, test } from '@jest/globals';
import { specificityOf } from '../css';
import { Cascade, layerPlaces, type ProjectRules } from './cascade';
import { rulesOfPage } from './siteRules';

/** A project that has paragraphs in its own colour. @param layer what its rules stand in */
const projectRules = ({
  layer = null,
  ...project
}: Partial<ProjectRules> & { layer?: string | null } = {}): ProjectRules => ({
  linked: 'before',
  siteLayer: null,
  rules: [
    {
      element: 'text',
      layer,
      important: false,
      selectors: [{ text: 'p', specificity: [0, 0, 0] }],
      declarations: new Map([['color', 'ours']]),
    },
  ],
  ...project,
});

/** The cascade of a page in a document of this test's; media hold that name `screen`, supports that name `yes`. */
function cascadeOf(
  html: string,
  sheets: Record<string, string>,
  project: ProjectRules = projectRules({ rules: [] }),
  linked: string[] = Object.keys(sheets),
  keepsAll = false,
) {
  document.body.innerHTML = html;
  const rules = rulesOfPage(
    linked.map((path) => ({ path, media: '' })),
    new Map(Object.entries(sheets)),
  );
  const cascade = Cascade.of<Element>(
    rules,
    project,
    {
      find: (selector) => {
        try {
          return document.querySelectorAll(selector);
        } catch {
          return [];
        }
      },
      knows: (selector) => !selector.includes('::unknown'),
      holds: ({ text }) => /screen|yes/.test(text),
      holdsAround: (node, container) => node.closest(`[data-wide="${container}"]`) !== null,
      matches: (node, selector) => node.matches(selector),
      takes: (_property, value) => value !== 'bad',
      parent: (node) => node.parentElement,
      inline: (node, property) => {
        const { style } = node as HTMLElement;
        const value = style.getPropertyValue(property);
        return value ? { value, important: style.getPropertyPriority(property) !== '' } : null;
      },
    },
    ['color', 'font-size', 'font-family', 'letter-spacing'].map((css) => ({
      css,
      inherited: true,
      inFontShorthand: css.startsWith('font'),
    })),
    { keepsAll },
  );
  return { cascade, rules };
}

const winner = (
  html: string,
  css: string | Record<string, string>,
  project?: ProjectRules,
  linked?: string[],
): string | undefined => {
  const sheets = typeof css === 'string' ? { 'site.css': css } : css;
  const { cascade } = cascadeOf(html, sheets, project, linked);
  const node = document.querySelector('.x');
  const declared = node && cascade.decided(node, 'color', { inherited: true })?.declared;
  return declared && declared !== 'browser' ? declared.value : undefined;
};
const X = '<p id=a class=x>a</p>';

describe('what wins on an element', () => {
  test.each<[string, string, string]>([
    ['the later of two', '.x { color: red } .x { color: blue }', 'blue'],
    ['the more specific', '#a { color: red } p.x { color: blue }', 'red'],
    ['the important', '.x { color: red !important } #a { color: blue }', 'red'],
    ['what stands outside all layers', '.x { color: red } @layer l { #a { color: blue } }', 'red'],
    ['the later layer', '@layer a { #a { color: red } } @layer b { .x { color: blue } }', 'blue'],
    [
      'the layer named later',
      '@layer b, a; @layer a { .x { color: red } } @layer b { #a { color: blue } }',
      'red',
    ],
    [
      'the earlier layer where both are important',
      '@layer a { .x { color: red !important } } @layer b { #a { color: blue !important } }',
      'red',
    ],
    [
      'a layer over none where both are important',
      '.x { color: red !important } @layer b { .x { color: blue !important } }',
      'blue',
    ],
    [
      'a layer over the layers in it',
      '@layer a { .x { color: red } @layer b { #a { color: blue } } }',
      'red',
    ],
    [
      'an unnamed layer in its place',
      '@layer { #a { color: red } } @layer z { .x { color: blue } }',
      'blue',
    ],
    ['what holds', '.x { color: red } @media print { .x { color: blue } }', 'red'],
    [
      'what holds within what holds',
      '@media screen { @supports (yes) { .x { color: blue } } } @supports (no) { .x { color: red } }',
      'blue',
    ],
    [
      'a layer that is named where nothing holds is none',
      '@media print { @layer b { .x { color: green } } } @layer a { .x { color: red } } @layer b { .x { color: blue } }',
      'blue',
    ],
    ['what the browser takes', '.x { color: red } .x { color: bad }', 'red'],
    [
      'a rule all of whose selectors are known',
      '.x { color: red } .x, a::unknown { color: blue }',
      'red',
    ],
    ['all', '.x { color: red } .x { all: initial }', 'initial'],
    ['the nested', 'p { color: red; &.x { color: blue } }', 'blue'],
    ['the nested without a sign', 'body { .x { color: blue } }', 'blue'],
    ['the nested in a condition', 'p { @media screen { color: blue } }', 'blue'],
    ['the nested in a list', '#none, p { &.x { color: blue } } p.x.x { color: red }', 'blue'],
    [
      'the most specific selector that meets it',
      '.x, #a { color: red } p.x { color: blue }',
      'red',
    ],
    ['what is behind broken CSS', '.x { color: red } } .x { color: } .x { color: blue }', 'blue'],
  ])('is %s', (_name, css, value) => {
    expect(winner(X, css)).toBe(value);
  });

  test('is the style attribute, but for what is important', () => {
    const styled = (style: string) => `<p class=x style="${style}">a</p>`;
    expect(winner(styled('color: green'), '.x { color: red }')).toBe('green');
    expect(winner(styled('color: green'), '.x { color: red !important }')).toBe('red');
    expect(
      winner(styled('color: green !important'), '@layer a { .x { color: red !important } }'),
    ).toBe('green');
  });

  test('comes from sheets that are imported, in their place, once around', () => {
    const sheets = {
      'site.css':
        '@layer base; @import "b.css" layer(base); @import "c.css" print; @import "d.css"; .x { color: red }',
      'b.css': '@import "site.css"; #a { color: blue }',
      'c.css': '#a { color: green }',
      'd.css': '.x.x { color: grey }',
    };
    expect(winner(X, sheets, undefined, ['site.css'])).toBe('grey');
    expect(winner(X, { ...sheets, 'd.css': '' }, undefined, ['site.css'])).toBe('red');
    expect(
      winner(
        X,
        { 'site.css': '.x { color: red } @import "b.css";', 'b.css': '#a { color: blue }' },
        undefined,
        ['site.css'],
      ),
    ).toBe('red');
  });
});

describe('what a rule is for', () => {
  const INNER = '<div class=a><div class=b><p class=x>a</p></div></div>';

  test.each<[string, string, string | undefined]>([
    ['is the scope', '@scope (.b) { p { color: red } }', 'red'],
    ['is nothing outside of it', '@scope (.c) { p { color: red } }', undefined],
    ['ends at the limit', '@scope (.a) to (.b) { p { color: red } }', undefined],
    ['goes past a limit outside', '@scope (.b) to (.a) { p { color: red } }', 'red'],
    ['is the root itself', '@scope (p) { .x { color: red } }', 'red'],
    ['names the root by its sign', '@scope (.b) { :scope > p { color: red } }', 'red'],
    [
      'is nearer, which counts before the order',
      '@scope (.b) { p { color: red } } @scope (.a) { p { color: blue } }',
      'red',
    ],
    [
      'is no nearer than specificity',
      '@scope (.b) { p { color: red } } @scope (.a) { .x { color: blue } }',
      'blue',
    ],
    [
      'is scoped, which counts before the order',
      '@scope (.a) { p { color: red } } p { color: blue }',
      'red',
    ],
  ])('%s', (_name, css, value) => {
    expect(winner(INNER, css)).toBe(value);
  });

  test('is what stands in a container for which the condition holds', () => {
    const css = '.x { color: red } @container (wide) { .x { color: blue } }';
    expect(winner(X, css)).toBe('red');
    expect(winner('<div data-wide="(wide)"><p class=x>a</p></div>', css)).toBe('blue');
  });
});

describe('what goes back', () => {
  const project = projectRules({ layer: 'lettera' });

  test.each<[string, string, string]>([
    ['to the layer before', '@layer site { .x { color: revert-layer } }', 'ours'],
    [
      'over all of its own layer',
      '@layer site { p { color: red } .x { color: revert-layer } }',
      'ours',
    ],
    ['from outside all layers', '@layer a { p { color: red } } .x { color: revert-layer }', 'red'],
    ['to the browser takes away what was set', '.x { color: revert }', 'revert'],
  ])('%s', (_name, css, value) => {
    expect(winner(X, css, project)).toBe(value);
  });

  test('goes from a style attribute to the rules, and to what is around where there are none', () => {
    expect(winner('<p class=x style="color: revert-layer">a</p>', 'p { color: red }')).toBe('red');
    const around = '<div style="color: green"><p class=x>a</p></div>';
    expect(winner(around, '.x { color: revert }')).toBe('green');
  });
});

describe('what decides where nothing is declared', () => {
  test('is what is declared around it, where CSS inherits', () => {
    expect(winner('<div><p class=x>a</p></div>', 'div { color: red }')).toBe('red');
    expect(winner('<div><p class=x>a</p></div>', 'div { color: red } .x { color: inherit }')).toBe(
      'red',
    );
    const { cascade } = cascadeOf('<div><p class=x>a</p></div>', { 'a.css': 'div { color: red }' });
    const node = document.querySelector('.x') as Element;
    expect(cascade.decided(node, 'color', { inherited: false })).toBeNull();
    const stops = (at: Element) => at.matches('p');
    expect(cascade.decided(node, 'color', { inherited: true, stops })).toEqual({
      declared: 'browser',
      node,
    });
  });
});

describe('what does not win', () => {
  const css =
    'p { color: red } .x { color: green } #a { color: blue } @layer l { .x { color: grey } }';
  const overridden = (keepsAll: boolean): string[] => {
    const { cascade } = cascadeOf(X, { 'a.css': css }, undefined, undefined, keepsAll);
    const node = document.querySelector('.x') as Element;
    return cascade.overridden(node, 'color').map(({ value }) => value);
  };

  test('is told, the strongest first, where it was to be kept', () => {
    expect(overridden(true)).toEqual(['green', 'red', 'grey']);
  });

  test('is not kept otherwise', () => {
    expect(overridden(false)).toEqual([]);
  });
});

describe('the rules of the project', () => {
  const project = (layer: string | null): ProjectRules => projectRules({ layer });

  test('win where nothing else is said, and against what is of no weight before them alone', () => {
    expect(winner(X, '', project(null))).toBe('ours');
    expect(winner(X, ':where(.x) { color: red }', project(null))).toBe('red');
    expect(winner(X, '@layer a { #a { color: red } }', project(null))).toBe('ours');
    expect(winner(X, '@layer a { #a { color: red } }', project('lettera'))).toBe('red');
    expect(winner(X, 'p { color: red }', project('lettera'))).toBe('red');
  });

  test('win against what weighs as much when they are linked after it, and in a layer against layers before', () => {
    const after = (layer: string | null) => projectRules({ layer, linked: 'after' });
    expect(winner(X, ':where(.x) { color: red }', after(null))).toBe('ours');
    expect(winner(X, 'p { color: red }', after(null))).toBe('red');
    expect(winner(X, '@layer a { #a { color: red } }', after('lettera'))).toBe('ours');
    const layers = '@layer base, parts; @layer base { .x { color: red } }';
    expect(winner(X, layers, after('parts'))).toBe('ours');
    expect(winner(X, layers, after('base'))).toBe('red');
    expect(winner(X, layers, projectRules({ layer: 'parts' }))).toBe('red');
  });

  test('win against all that is in a layer of the page’s own sheets, but for what is important there', () => {
    const within = (layer: string | null) => projectRules({ layer, siteLayer: 'site' });
    expect(winner(X, '#a { color: red }', within(null))).toBe('ours');
    expect(winner(X, '@layer b { #a { color: red } }', within(null))).toBe('ours');
    expect(winner(X, '#a { color: red !important }', within(null))).toBe('red');
    // The layer that is named first is the weaker: here the project's own.
    expect(winner(X, '#a { color: red }', within('lettera'))).toBe('red');
    const after = projectRules({ layer: 'lettera', siteLayer: 'site', linked: 'after' });
    expect(winner(X, '#a { color: red }', after)).toBe('ours');
    // Layers within it keep their order, under what stands in it directly.
    const both = '@layer b, c; @layer c { p { color: blue } } @layer b { #a { color: red } }';
    expect(winner(X, both, projectRules({ rules: [], siteLayer: 'site' }))).toBe('blue');
    expect(
      winner(X, `${both} p { color: green }`, projectRules({ rules: [], siteLayer: 'site' })),
    ).toBe('green');
  });

  test('have a say in what they set and in what is inherited from that, and not in what they leave open', () => {
    const ours = (css: string, property: string) => {
      const { cascade } = cascadeOf(
        '<div><p class=x><em>a</em></p></div>',
        { 'a.css': css },
        projectRules(),
      );
      const of = { css: property, inherited: true, inFontShorthand: false };
      return ['p', 'em'].map((name) => cascade.isOurs(document.querySelector(name) as Element, of));
    };
    expect(ours('', 'color')).toEqual([true, true]);
    expect(ours('', 'font-size')).toEqual([false, false]);
    // What no text element is may inherit what the project says around it, whatever the page says of it.
    expect(ours('em { color: red }', 'color')).toEqual([true, true]);
    expect(ours('.x { font-size: 9px }', 'font-size')).toEqual([false, false]);
    const both = (css: string) => {
      const around = projectRules().rules[0];
      const { cascade } = cascadeOf(
        '<div><p class=x>a</p></div>',
        { 'a.css': css },
        {
          ...projectRules(),
          rules: [
            ...projectRules().rules,
            ...(around
              ? [
                  {
                    ...around,
                    element: 'around',
                    selectors: [{ text: 'div', specificity: [0, 0, 0] as const }],
                    declarations: new Map([['letter-spacing', '1px']]),
                  },
                ]
              : []),
          ],
        },
      );
      const of = { css: 'letter-spacing', inherited: true, inFontShorthand: false };
      return cascade.isOurs(document.querySelector('p') as Element, of);
    };
    expect(both('')).toBe(true);
    // The paragraph is a text element that leaves spacing open, and the page says it there.
    expect(both('.x { letter-spacing: 2px }')).toBe(false);
  });

  test('in a layer within their own lose to what stands in it directly, and to all of the site', () => {
    const rule = projectRules({ layer: 'lettera.open' }).rules[0];
    const both = (color: string): ProjectRules => ({
      ...projectRules({ layer: 'lettera' }),
      rules: [
        ...projectRules({ layer: 'lettera' }).rules,
        ...(rule ? [{ ...rule, declarations: new Map([['color', color]]) }] : []),
      ],
    });
    expect(winner(X, '', both('open'))).toBe('ours');
    const open = { ...both('open'), rules: both('open').rules.slice(1) };
    expect(winner(X, '', open)).toBe('open');
    expect(winner(X, '@layer a { :where(p) { color: red } }', open)).toBe('red');
  });

  test('win where they are important, but against what is so and weighs more, or stands in a layer', () => {
    const important = (layer: string | null) => {
      const project = projectRules({ layer });
      return { ...project, rules: project.rules.map((rule) => ({ ...rule, important: true })) };
    };
    expect(winner(X, '#a { color: red }', important(null))).toBe('ours');
    expect(winner(X, 'p { color: red !important }', important(null))).toBe('red');
    expect(winner(X, 'p { color: red !important }', important('lettera'))).toBe('ours');
    expect(winner(X, '@layer b { p { color: red !important } }', important(null))).toBe('red');
  });
});

test('a rule is told with its sheet, line, specificity and layer', () => {
  const { cascade } = cascadeOf(X, {
    'css/a.css': '\n\n@layer a.b {\n  p.x {\n    color: red !important;\n  }\n}',
  });
  const found = cascade.declared(document.querySelector('.x') as Element, 'color');
  expect(found).toMatchObject({
    by: 'page',
    selector: 'p.x',
    specificity: [0, 1, 1],
    rule: { sheet: 'css/a.css', line: 4, layer: ['a', 'b'] },
    declaration: { property: 'color', important: true },
  });
});

test('layers stand in the order in which they are named, inner ones before what they are in', () => {
  const order = [...layerPlaces([['a'], ['b', 'x'], ['a', 'y'], ['b']]).entries()];
  expect(order.sort(([, a], [, b]) => a - b).map(([name]) => name)).toEqual([
    'a.y',
    'a',
    'b.x',
    'b',
  ]);
});

test.each<[string, [number, number, number]]>([
  ['*', [0, 0, 0]],
  ['li', [0, 0, 1]],
  ['ul li::marker', [0, 0, 3]],
  ['h1 + *[rel=up]', [0, 1, 1]],
  ['ul ol li.red', [0, 1, 3]],
  ['#x34y', [1, 0, 0]],
  ['#s12:not(foo)', [1, 0, 1]],
  ['.foo :is(.bar, #baz)', [1, 1, 0]],
  [':where(#a) b', [0, 0, 1]],
  [':nth-child(2n+1 of .a, #b)', [1, 1, 0]],
  ['a:hover::before', [0, 1, 2]],
  ['p:first-line', [0, 0, 2]],
  ['[[', [0, 0, 0]],
])('the specificity of %s is %j', (selector, specificity) => {
  expect(specificityOf(selector)).toEqual(specificity);
});
