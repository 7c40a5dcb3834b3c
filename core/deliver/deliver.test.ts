import { describe, expect, test } from '@jest/globals';
import { parse, walk, type CssNode } from 'css-tree';
import fc from 'fast-check';
import { stylesheetFaults } from './verify';
import { face, fallbacksOf, family, plansOf, seatedDocument } from '../testing/documents';
import { bundleFiles } from './bundle';
import { cssPercent, cssString } from './css';
import { customProperties, referencedProperties } from './testing/properties';
import type { Family } from '../document/projectDocument';
import { deliveredFonts, shownFonts } from './delivered';
import { slug } from './fileName';
import { headMarkup } from './head';
import { loadTimes } from './loadTime';
import { stylesheet } from './stylesheet';

const HOSTILE = `Tarn"holm' <b>;} </style><script>x</script> \\ \u0007`;

/** Parses CSS and fails at the first error. */
function parsed(css: string): CssNode {
  return parse(css, {
    onParseError: (error) => {
      throw error;
    },
  });
}

function names(css: string, type: 'Atrule' | 'Rule'): string[] {
  const found: string[] = [];
  walk(parsed(css), (node) => {
    if (node.type === 'Atrule' && type === 'Atrule') found.push(node.name);
  });
  return found;
}

describe('CSS strings', () => {
  test('never end early, whatever is in them', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary' }), (text) => {
        const css = `a { font-family: ${cssString(text)}; color: red }`;
        const declarations: string[] = [];
        walk(parsed(css), (node) => {
          if (node.type === 'Declaration') declarations.push(node.property);
        });
        expect(declarations).toEqual(['font-family', 'color']);
        expect(cssString(text)).not.toContain('<');
      }),
    );
  });

  test('percentages have at most two decimals', () => {
    expect(cssPercent(1.04321)).toBe('104.32%');
    expect(cssPercent(0)).toBe('0%');
  });
});

describe('lettera.css', () => {
  test('holds faces, fallback faces, tokens and element rules, in that order', () => {
    const css = stylesheet(seatedDocument(), plansOf(seatedDocument()));
    parsed(css);
    const at = ['/* Web faces */', '/* Fallback faces', '/* Tokens */', '/* Elements */'].map(
      (comment) => css.indexOf(comment),
    );
    expect(at).toEqual([...at].sort((a, b) => a - b));
    expect(at[0]).toBeGreaterThan(0);
    expect(names(css, 'Atrule').filter((name) => name === 'font-face')).toHaveLength(
      4 + fallbacksOf(seatedDocument()).faces.length,
    );
    expect(css).toContain(
      'Literata over Georgia (words ±1.5 to 3.0 %) and Noto Serif (±2.3 to 4.5 %)',
    );
    expect(css).toContain('tuned on text of en and the site’s own');
  });

  test('names the voice’s stack, the steps and what styles set or follow', () => {
    const css = stylesheet(seatedDocument(), plansOf(seatedDocument()));
    expect(css).toContain(
      '--font-text: "Literata", "Georgia for Literata", "Noto Serif for Literata", "Georgia", "Noto Serif", serif;',
    );
    expect(css).toContain('--size-base: clamp(1rem, 0.9511rem + 0.2174vw, 1.125rem);');
    expect(css).toContain('--style-heading-2-font-size: var(--size-up-3);');
    expect(css).toContain('--style-heading-2-font-weight: var(--style-heading-font-weight);');
    expect(css).not.toContain('--style-lead-font-family');
    expect(css).toContain('src: local("Georgia");');
    expect(css).toContain('size-adjust: 104.3%;');
  });

  test('puts element rules without specificity in a layer, or in none', () => {
    const document = seatedDocument();
    expect(stylesheet(document, plansOf(document))).toMatch(/@layer lettera \{\n\s+:where\(body\)/);
    const bare = { ...document, delivery: { ...document.delivery, layer: null } };
    expect(stylesheet(bare, plansOf(bare))).toMatch(/\n:where\(body\) \{/);
  });

  test('says nothing of what a style leaves open, but that browsers are not to stand between', () => {
    const css = (delivery: object) => {
      const document = seatedDocument();
      const other = { ...document, delivery: { ...document.delivery, ...delivery } };
      return stylesheet(other, plansOf(other));
    };
    const usual = css({});
    const strong = /:where\(strong, b\) \{([^}]*)\}/.exec(usual)?.[1] ?? '';
    expect(strong.trim()).toBe('font-weight: var(--style-strong-font-weight);');
    // Where another rule stands, the weakest layer of all loses to it.
    const open = /@layer lettera\.open \{([^]*?)\n\}/.exec(usual)?.[1] ?? '';
    expect(open).toMatch(/:where\(button, .button\) \{\s*font-style: inherit/);
    expect(open).not.toContain('!important');
    // A link has the colour that the project means; no rule hands the colour of what is around it on.
    expect([...open.matchAll(/^.*: var.*$/gm)].map(([line]) => line.trim())).toEqual([
      'color: var(--style-body-color);',
    ]);
    expect(open).toMatch(/:where\([^{]*\.text-large:where\(a\)[^{]*\) \{\s*color: var/);
    for (const weight of ['none', 'own', 'over'] as const) {
      expect(css({ weight })).not.toMatch(/[^-]color: inherit|\bfont: inherit/);
    }
    expect(usual.indexOf('@layer lettera.open')).toBeLessThan(usual.indexOf('@layer lettera {'));
    expect(css({ layer: null })).toContain('@layer lettera.open {');
    expect(css({ layer: 'type.base' })).toContain('@layer type.base.open {');
    // After the site's own sheets no layer of Lettera's is weaker than theirs.
    expect(css({ linked: 'after' })).not.toContain('.open {');
    expect(usual.split('@layer lettera {')[1]).toBe(
      css({ linked: 'after' }).split('@layer lettera {')[1],
    );
  });

  test('delivers dark colours only when asked', () => {
    const light = seatedDocument();
    expect(stylesheet(light, plansOf(light))).not.toContain('prefers-color-scheme');
    const document = { ...light, delivery: { ...light.delivery, dark: true } };
    const css = stylesheet(document, plansOf(document));
    expect(css).toContain('@media (prefers-color-scheme: dark)');
    expect(css).toContain('background-color: var(--colour-ground);');
  });

  test('survives a family with a hostile name, and so do the other files', () => {
    const document = seatedDocument();
    document.name = HOSTILE;
    document.words = HOSTILE;
    document.case['literata'] = family(HOSTILE, [face('normal', 400)]);
    const files = bundleFiles(document, plansOf(document), { literata: 'Terms' });
    const contentOf = (path: string) => {
      const file = files.find((candidate) => candidate.path === path);
      return file?.kind === 'text' ? file.content : '';
    };
    parsed(contentOf('lettera.css'));
    expect(names(contentOf('lettera.css'), 'Atrule')).toContain('font-face');
    expect(contentOf('specimen.html')).not.toContain('<script');
    expect(JSON.parse(contentOf('tokens.json'))).toMatchObject({
      font: { text: { $value: expect.arrayContaining([HOSTILE]) as unknown } },
    });
    for (const { path } of files) expect(path).toMatch(/^[A-Za-z0-9._/-]+$/);
    expect(files.some(({ path }) => path.includes('..'))).toBe(false);
    // A name stays a name in Markdown too: no tag, no link, no code, no heading.
    const shown = contentOf('README.md').replaceAll(/\\[^a-z0-9\s]/gi, '');
    expect(shown).not.toMatch(/<script|\]\(|^# .*[`*_<>[\]]/m);
  });

  test('refers only to custom properties that it defines', () => {
    const css = stylesheet(seatedDocument(), plansOf(seatedDocument()));
    const defined = new Set(customProperties(css));
    for (const name of referencedProperties(css)) expect(defined).toContain(name);
  });
});

describe('the bundle', () => {
  const files = bundleFiles(seatedDocument(), plansOf(seatedDocument()), {
    literata: 'Terms',
    archivo: 'Terms',
  });

  test('holds the files that others rely on, each path once', () => {
    const paths = files.map(({ path }) => path);
    expect(new Set(paths).size).toBe(paths.length);
    expect(paths).toEqual([
      'lettera.css',
      'tokens.json',
      '_tokens.scss',
      'head.html',
      'specimen.html',
      'README.md',
      'fonts/archivo-600-normal-latin.woff2',
      'fonts/archivo-700-normal-latin.woff2',
      'fonts/literata-200-900-normal-latin.woff2',
      'fonts/literata-200-900-italic-latin.woff2',
      'licences/archivo.txt',
      'licences/literata.txt',
    ]);
  });

  test('leaves out a family that no voice in use holds', () => {
    const document = seatedDocument();
    document.case['gloock'] = family('Gloock', [face('normal', 400)]);
    expect(deliveredFonts(document).map(({ familyKey }) => familyKey)).not.toContain('gloock');
  });

  test('keeps aliases as aliases in the tokens', () => {
    const tokens = files.find(({ path }) => path === 'tokens.json');
    const json = JSON.parse(tokens?.kind === 'text' ? tokens.content : '{}') as {
      style: Record<string, { $value: Record<string, unknown>; $extensions: unknown }>;
      size: Record<string, unknown>;
      colour: Record<string, unknown>;
    };
    expect(json.style['lead']?.$value).toMatchObject({
      fontFamily: '{font.text}',
      fontSize: '{size.up-1}',
    });
    expect(json.style['heading-2']?.$extensions).toMatchObject({
      lettera: { follows: 'heading', set: { step: 3 }, selectors: ['h2'] },
    });
    expect(json.size).toMatchObject({
      $type: 'dimension',
      base: { $value: { value: 1.125, unit: 'rem' } },
    });
    expect(json.colour).toMatchObject({
      $type: 'color',
      ground: { $value: { components: [1, 1, 1] } },
    });
  });

  test('preloads the faces of the body and of the first heading, then links the style sheet', () => {
    expect(
      headMarkup(seatedDocument(), plansOf(seatedDocument()).delivery).trim().split('\n'),
    ).toEqual([
      '<link rel="preload" href="fonts/literata-200-900-normal-latin.woff2" as="font" type="font/woff2" crossorigin>',
      '<link rel="preload" href="fonts/archivo-700-normal-latin.woff2" as="font" type="font/woff2" crossorigin>',
      '<link rel="stylesheet" href="lettera.css">',
    ]);
  });

  test('makes file names of any script', () => {
    expect(slug('Þokuljós Ægir 2')).toBe('thokuljos-aegir-2');
    expect(slug('../../etc/passwd')).toBe('etc-passwd');
    expect(slug('مرحبا 🌊')).toBe('family');
  });
});

test('times are round trips and bytes on the connection stated', () => {
  const connection = { name: 'test', roundTrip: 100, bandwidth: 8000 };
  const { firstText, swap } = loadTimes(connection, {
    stylesheetBytes: 10_000,
    fontBytes: 100_000,
    preloadedBytes: 0,
  });
  expect(firstText).toBeCloseTo(500 + 10, 10);
  expect(swap).toBeCloseTo(510 + 100 + 100, 10);
  const none = { stylesheetBytes: 0, fontBytes: 0, preloadedBytes: 0 };
  expect(loadTimes(connection, none).swap).toBe(500);
  // What is preloaded saves its round trip; the rest waits for that and for the style sheet.
  const all = { stylesheetBytes: 10_000, fontBytes: 100_000, preloadedBytes: 100_000 };
  expect(loadTimes(connection, all).swap).toBeCloseTo(510 + 100, 10);
  const some = { ...all, preloadedBytes: 40_000 };
  expect(loadTimes(connection, some).swap).toBeCloseTo(510 + 100 + 60, 10);
  const most = { ...all, fontBytes: 300_000, preloadedBytes: 250_000 };
  expect(loadTimes(connection, most).swap).toBeCloseTo(510 + 250 + 50, 10);
});

describe('what is delivered of a family', () => {
  const css = (change: (literata: Family) => void): string => {
    const document = seatedDocument();
    const literata = document.case['literata'];
    if (literata) change(literata);
    return stylesheet(document, plansOf(document));
  };

  test('goes by its alias, in its faces and in every stack', () => {
    const sheet = css((literata) => (literata.alias = 'Tarnholm Text'));
    expect(sheet).toContain('font-family: "Tarnholm Text"');
    expect(sheet).toContain('--font-text: "Tarnholm Text", "Georgia for Tarnholm Text"');
    expect(sheet).not.toContain('"Literata"');
  });

  test('carries widths and pinned lines where they are not what goes without saying', () => {
    expect(css(() => undefined)).not.toMatch(/font-stretch|"Literata";[^}]*ascent-override/);
    const sheet = css(({ faces: [upright] }) => {
      Object.assign(upright ?? {}, {
        widthMin: 75,
        widthMax: 125,
        pinned: { ascent: 0.95, descent: -0.25, lineGap: 0.1 },
      });
    });
    expect(sheet).toContain('font-stretch: 75% 125%;');
    expect(sheet).toContain(
      'ascent-override: 95%;\n  descent-override: 25%;\n  line-gap-override: 10%;',
    );
  });

  test('by reference is its name and its address, and none of the stand-in’s files', () => {
    const document = seatedDocument();
    const address = 'https://type.tarnholm.example/s.css';
    Object.assign(document.case['literata'] ?? {}, {
      source: 'reference',
      name: 'Keeper',
      reference: { stylesheet: address, standIn: 'Literata' },
    });
    const sheet = stylesheet(document, plansOf(document));
    const rules = sheet.replace(/\/\*.*?\*\//gs, '').trim();
    expect(rules.startsWith(`@import url("${address}");`)).toBe(true);
    expect(sheet).toContain('--font-text: "Keeper"');
    expect(sheet).not.toMatch(/url\("fonts\/(literata|keeper)/);
    expect(deliveredFonts(document).every(({ family: { name } }) => name === 'Archivo')).toBe(true);
    expect(shownFonts(document).some(({ family: { name } }) => name === 'Keeper')).toBe(true);
    expect(headMarkup(document, plansOf(document).delivery)).toContain(
      `<link rel="preload" href="${address}" as="style">`,
    );
    const readme = bundleFiles(document, plansOf(document), {}).find(
      ({ path }) => path === 'README.md',
    );
    expect(readme?.kind === 'text' && readme.content).toContain(`Keeper is served by <${address}>`);
  });
});

test('two families whose names come to one file name have their terms in two files', () => {
  const document = seatedDocument();
  document.case['literata'] = family('A B', [face('normal', 400, 400, 'a')], { place: 1 });
  document.case['archivo'] = family('A-B', [face('normal', 700, 700, 'c')], { place: 2 });
  const paths = bundleFiles(document, plansOf(document), { literata: 'One', archivo: 'Two' }).map(
    ({ path }) => path,
  );
  expect(paths.filter((path) => path.startsWith('licences/'))).toEqual([
    'licences/a-b.txt',
    'licences/a-b-2.txt',
  ]);
  expect(new Set(paths).size).toBe(paths.length);
});

describe('what is written is read back as CSS', () => {
  test('and is whole, whatever is delivered', () => {
    const document = seatedDocument();
    document.name = HOSTILE;
    document.case['literata'] = family(HOSTILE, [face('normal', 400)]);
    expect(stylesheetFaults(stylesheet(document, plansOf(document)))).toEqual([]);
  });

  test.each([
    'a { color: rgb(0 0 0 } b {}',
    ':root { --x: rgb(0 0 0; }',
    'a { color red }',
    '@media {',
  ])('and its faults are told by line: %s', (css) =>
    expect(stylesheetFaults(`p { color: red }\n${css}`).join()).toMatch(/line \d/),
  );
});
