import { describe, expect, test } from '@jest/globals';
import { parse } from 'css-tree';
import { applyChange, ChangeError } from '../change';
import type { Patch, ProjectDocument } from '../document';
import { elementAt } from '../style';
import { plansOf, seatedDocument } from '../testing/documents';
import { bundleFiles } from './bundle';
import { nameFault, tokenNames } from './customProperties';
import { projectRules } from './elementRules';
import { stylesheet } from './stylesheet';

/** What the style sheet is to a site that has CSS of its own. */

const delivering = (delivery: Partial<ProjectDocument['delivery']>): ProjectDocument =>
  applyChange(
    seatedDocument(),
    Object.entries(delivery).map(([key, value]) => ({
      op: 'add',
      path: `/delivery/${key}`,
      value,
    })),
  ).document;
const cssOf = (document: ProjectDocument) => stylesheet(document, plansOf(document));

describe('the style sheet', () => {
  test('holds everything, faces and tokens alone, or rules alone', () => {
    const [whole, tokens, rules] = [
      cssOf(delivering({})),
      cssOf(delivering({ form: 'tokens' })),
      cssOf(delivering({ form: 'rules' })),
    ];
    expect(cssOf(delivering({ form: 'whole' }))).toBe(whole);
    for (const css of [whole, tokens]) {
      expect(css).toContain('@font-face');
      expect(css).toContain('--font-text:');
    }
    for (const css of [whole, rules]) expect(css).toContain(':where(body)');
    expect(tokens).not.toContain(':where(');
    expect(rules).not.toContain('@font-face');
    expect(rules).not.toMatch(/--font-text:/);
    // Nothing is lost between the two.
    const after = (css: string) => css.slice(css.indexOf('/* Elements */'));
    expect(after(rules)).toBe(after(whole));
  });

  test('has rules of no weight, of their selectors’ own, or of four classes more', () => {
    const rule = (weight: 'none' | 'own' | 'over') => cssOf(delivering({ weight, layer: null }));
    expect(rule('none')).toContain(':where(input, select, textarea) {');
    expect(rule('own')).toContain('\ninput, select, textarea {');
    expect(rule('over')).toContain(
      ':is(h1):not(.lettera-weight):not(.lettera-weight):not(.lettera-weight):not(.lettera-weight) {',
    );
    for (const weight of ['none', 'own', 'over'] as const) {
      parse(rule(weight), {
        onParseError: (error) => {
          throw error;
        },
      });
    }
  });

  test('is told of in the account of a page with the weight that it has', () => {
    const specificity = (weight: 'none' | 'own' | 'over') =>
      projectRules(delivering({ weight })).rules.find(({ element }) => element === 'code-block')
        ?.selectors;
    expect(specificity('none')).toEqual([{ text: 'pre code', specificity: [0, 0, 0] }]);
    expect(specificity('own')).toEqual([{ text: 'pre code', specificity: [0, 0, 2] }]);
    expect(specificity('over')).toEqual([{ text: 'pre code', specificity: [0, 4, 2] }]);
  });

  test('decides by weight which text element a node is', () => {
    const at = (weight: 'none' | 'own') =>
      elementAt(delivering({ weight }), {
        localName: 'blockquote',
        id: '',
        classList: ['lead'],
        matches: (selector) => ['.lead', 'blockquote'].includes(selector),
      });
    // Quotation comes later; a class weighs more than a name.
    expect(at('none')).toBe('quote');
    expect(at('own')).toBe('lead');
  });
});

describe('where the site’s own colours stay', () => {
  const kept = (delivery: Partial<ProjectDocument['delivery']>) => cssOf(delivering(delivery));
  const rulesOf = (css: string, selector: string) =>
    [
      ...(css.split('@layer lettera {')[1] ?? '').matchAll(/^ *(:where\(.*?\)) \{([^}]*)\}/gms),
    ].filter(([, one]) => one?.startsWith(selector));

  test('texts on such grounds get all but a colour', () => {
    const css = kept({ keepColoursOn: ['.hero', 'body'] });
    const [plain, coloured] = rulesOf(css, ':where(.hint');
    expect(plain?.[2]).toMatch(/font-size/);
    expect(plain?.[2]).not.toMatch(/color/);
    expect(coloured?.[1]).toBe(':where(.hint:not(:where(.hero, .hero *, body)))');
    expect(coloured?.[2]?.trim()).toBe('color: var(--style-caption-color);');
    // What has no colour is as it was.
    expect(String(rulesOf(css, ':where(h1'))).toBe(String(rulesOf(kept({}), ':where(h1')));
    // Of the page as a whole it is what is inherited from it.
    const body = rulesOf(css, ':where(body');
    expect(body.map(([, selector]) => selector)).toEqual([
      ':where(body)',
      ':where(body:not(:where(.hero, .hero *, body)))',
    ]);
  });

  test('on a dark ground the project’s are said for the others alone', () => {
    const css = kept({ keepDarkColours: true });
    const [, inLight = ''] =
      /@media not all and \(prefers-color-scheme: dark\) \{([^]*?)\n {2}\}/.exec(css) ?? [];
    expect(inLight).toContain('color: var(--style-body-color)');
    expect(
      css
        .split('@media not all and (prefers-color-scheme: dark)')
        .map((part) => part.slice(part.indexOf('}')))[0],
    ).not.toMatch(/ color: var\(--style-body/);
    expect(kept({ keepDarkColours: false })).toBe(kept({}));
    expect(kept({ keepColoursOn: [] })).toBe(kept({}));
  });

  test('and so they do in the account of a page', () => {
    const rules = projectRules(
      delivering({ keepColoursOn: ['.hero'], keepDarkColours: true }),
    ).rules.filter(({ element }) => element === 'hint');
    const colours = rules.filter(({ declarations }) =>
      declarations.get('color')?.startsWith('var'),
    );
    expect(
      colours.map(({ selectors, conditions }) => [selectors[0]?.text, conditions?.[0]?.text]),
    ).toEqual([['.hint:not(:where(.hero, .hero *))', 'not all and (prefers-color-scheme: dark)']]);
    expect(
      rules.some(({ declarations, conditions }) => declarations.has('font-size') && !conditions),
    ).toBe(true);
  });
});

describe('other names', () => {
  test('are set to the tokens that they are to have', () => {
    const document = delivering({
      names: {
        '--site-font': '--font-text',
        '--site-ink': '--colour-ink',
        '--gone': '--font-none',
      },
    });
    const css = cssOf(document);
    expect(css).toContain('--site-font: var(--font-text);');
    expect(css).toContain('--site-ink: var(--colour-ink);');
    expect(css).not.toContain('--gone');
    expect(nameFault(document, '--gone', '--font-none')).toContain('no token');
    expect(nameFault(document, '--font-text', '--colour-ink')).toContain('a token itself');
    expect(nameFault(document, '--site-font', '--font-text')).toBeNull();
  });

  test('can be given to every token that is delivered, and to no other', () => {
    const document = seatedDocument();
    const declared = [...cssOf(document).matchAll(/^\s*(--[\w-]+):/gm)].map(([, name]) => name);
    expect([...new Set(declared)].sort()).toEqual(tokenNames(document).sort());
  });

  test('that would break out of their place are refused', () => {
    const none: Record<string, string>[] = [
      { '--a: red; }': '--font-text' },
      { '--a': 'red' },
      { a: '--font-text' },
    ];
    for (const names of none) {
      expect(() => delivering({ names })).toThrow(ChangeError);
    }
  });
});

test('the README of the bundle says what the style sheet does to a site', () => {
  const readme = (delivery: Partial<ProjectDocument['delivery']>) => {
    const document = delivering(delivery);
    const file = bundleFiles(document, plansOf(document), {}).find(
      ({ path }) => path === 'README.md',
    );
    return file?.kind === 'text' ? file.content : '';
  };
  expect(readme({})).toContain('carry no specificity');
  expect(readme({})).toContain('cascade layer `lettera`');
  expect(readme({ layer: null, weight: 'over' })).toContain('with an id still win');
  expect(readme({ form: 'tokens' })).toContain('sets no text itself');
  expect(readme({ form: 'rules' })).toContain('tokens that must be there already');
});

/** The texts of what is delivered, by their paths. */
const filesOf = (document: ProjectDocument) =>
  Object.fromEntries(
    bundleFiles(document, plansOf(document), {}).flatMap((file) =>
      file.kind === 'text' ? [[file.path, file.content]] : [],
    ),
  );

describe('what only narrow screens have', () => {
  const narrow = (...more: Patch) =>
    applyChange(seatedDocument(), [
      { op: 'add', path: '/styles/lead/set/lineColour', value: 'accent' },
      { op: 'add', path: '/styles/lead/set/lineKind', value: 'dashed' },
      { op: 'add', path: '/styles/lead/narrow', value: { lineThickness: '2px', weight: 300 } },
      ...more,
    ]).document;

  test('a line there keeps the kind and the colour that its style has at every width', () => {
    const css = filesOf(narrow())['lettera.css'] ?? '';
    const rule =
      [...css.matchAll(/:where\(\.lead\) \{[^}]*border: 0 solid;[^}]*\}/g)].at(-1)?.[0] ?? '';
    for (const name of ['border-width', 'border-style', 'border-color']) {
      expect(rule).toMatch(new RegExp(`border: 0 solid;[^}]*${name}: var\\(`));
    }
  });

  test('its tokens have the prefix too', () => {
    const css =
      filesOf(narrow({ op: 'add', path: '/delivery/prefix', value: 'tl' }))['lettera.css'] ?? '';
    expect(css).toContain('--tl-style-lead-border-width: 2px');
    expect([...css.matchAll(/(?<![\w-])--(?!tl-)[\w-]+/g)].map(([name]) => name)).toEqual([]);
  });
});

describe('a prefix of the tokens', () => {
  const prefixed = (...more: Patch) =>
    applyChange(seatedDocument(), [{ op: 'add', path: '/delivery/prefix', value: 'tl' }, ...more])
      .document;

  test('stands before each of them, where it is set and where it is read', () => {
    const files = filesOf(prefixed());
    for (const path of ['lettera.css', '_tokens.scss', 'specimen.html']) {
      expect(files[path]).not.toMatch(/(?<![\w-])--(?:font|size|colour|style)-/);
      expect(files[path]).toMatch(/--tl-(?:font|size)-/);
    }
    expect(files['lettera.css']).toContain('--tl-font-text: ');
    expect(files['lettera.css']).toContain('var(--tl-');
    // But for it, the files are the same.
    const plain = filesOf(seatedDocument());
    expect(files['lettera.css']?.replaceAll('--tl-', '--')).toBe(plain['lettera.css']);
  });

  test('leaves names of the site’s own as they are, and refuses those that it makes', () => {
    const names = { '--body-font': '--font-text', '--tl-font-text': '--font-heading' };
    const css = filesOf(prefixed({ op: 'add', path: '/delivery/names', value: names }))[
      'lettera.css'
    ];
    expect(css).toContain('--body-font: var(--tl-font-text);');
    expect(css).not.toContain('--tl-font-text: var(--tl-font-heading)');
  });

  test.each(['TL', '-tl', 'tl-', '1', 'a b', 'a'.repeat(30), ''])('is not “%s”', (value) => {
    expect(() =>
      applyChange(seatedDocument(), [{ op: 'add', path: '/delivery/prefix', value }]),
    ).toThrow(/must be small letters/);
  });
});
