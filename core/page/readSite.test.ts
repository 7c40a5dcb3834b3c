import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { strToU8, zipSync } from 'fflate';
import { cleanCss } from './cleanCss';
import { decodeText } from './decode';
import { readSite } from './readSite';
import { addressOf, innerPath, SITE_LIMITS, targetOf } from './siteFile';
import { siteFilesIn } from './siteFilesIn';
import { runs } from '../testing/runs';

const file = (path: string, text: string | Uint8Array) => ({
  path,
  bytes: typeof text === 'string' ? strToU8(text) : text,
});
const PNG = new Uint8Array([0x89, 0x50, 0x4e, 0x47]);

const site = (html: string, ...files: ReturnType<typeof file>[]) =>
  readSite([file('index.html', html), ...files], '../sites/s/');
const read = (html: string, ...files: ReturnType<typeof file>[]) => {
  const { pages, ...rest } = site(html, ...files);
  const [page] = pages;
  if (!page) throw new Error('no page');
  return { ...rest, page };
};

describe('addresses', () => {
  test.each<[string, string, ReturnType<typeof targetOf>]>([
    ['a.css', 'index.html', { path: 'a.css' }],
    ['../img/a%20b.png?v=1#x', 'css/site.css', { path: 'img/a b.png' }],
    ['/img/a.png', 'log/entry.html', { path: 'img/a.png' }],
    ['./x/./y.css', 'log/entry.html', { path: 'log/x/y.css' }],
    ['#place', 'index.html', null],
    ['', 'index.html', null],
    ['https://tarnholm.example/a.css', 'index.html', { outside: 'https://tarnholm.example/a.css' }],
    ['//tarnholm.example/a.css', 'index.html', { outside: '//tarnholm.example/a.css' }],
    ['\\\\tarnholm.example\\a', 'index.html', { outside: '\\\\tarnholm.example\\a' }],
    ['ht\ntps:/a', 'index.html', { outside: 'https:/a' }],
    ['../../a.css', 'css/a.css', { outside: '../../a.css' }],
  ])('%j in %s leads to %j', (address, from, target) => {
    expect(targetOf(address, from)).toEqual(target);
  });

  test('of one file in another lead there', () => {
    const step = fc.constantFrom('a', 'b', 'c d', 'é');
    const path = fc.array(step, { minLength: 1, maxLength: 4 }).map((steps) => steps.join('/'));
    fc.assert(
      fc.property(path, path, (to, from) => {
        expect(targetOf(addressOf(to, from), from)).toEqual({ path: to });
      }),
    );
  });

  test.each([
    ['/etc/passwd', 'etc/passwd'],
    ['..\\..\\x', null],
    ['a/../../x', null],
    ['C:\\x.html', null],
    ['__MACOSX/index.html', null],
    ['a\0b', null],
    ['site/./log//entry.html', 'site/log/entry.html'],
  ])('the path %j is %j', (path, inner) => expect(innerPath(path)).toBe(inner));
});

describe('a style sheet', () => {
  const asked = (css: string) => {
    const found: [string, string][] = [];
    const text = cleanCss(css, (address, request) => {
      found.push([address, request]);
      return `[${address}]`;
    });
    return { found, text };
  };

  test.each<[string, [string, string][]]>([
    ['@import "a.css" layer(x);', [['a.css', 'import']]],
    ['@import url(a.css);', [['a.css', 'import']]],
    ["@import /* x */ url( 'a.css' ) screen;", [['a.css', 'import']]],
    ['@IMPORT "a.css"', [['a.css', 'import']]],
    ['@\\69mport "a.css";', [['a.css', 'import']]],
    [
      'a { background: url(b.png), url("c.png") }',
      [
        ['b.png', 'file'],
        ['c.png', 'file'],
      ],
    ],
    ['a { background: u\\72l(b.png) }', [['b.png', 'file']]],
    [
      'a { background: image-set("b.png" 1x, url(c.png) 2x) }',
      [
        ['b.png', 'file'],
        ['c.png', 'file'],
      ],
    ],
    ['a { background: src("b.png") }', [['b.png', 'file']]],
    ['a { content: "url(b.png)"; } /* url(c.png) */ @namespace "http://x";', []],
    ['a { background: url(b.png', [['b.png', 'file']]],
    ['a[href="b.png"]::after { content: attr(x) }', []],
  ])('%j asks for %j', (css, requests) => {
    expect(asked(css).found).toEqual(requests);
  });

  test('stays as it is but for addresses, whatever it is made of', () => {
    const { text } = asked('a{color:re /*!*/ d;;}} @media x{b{c:url( d )}}');
    expect(text).toBe('a{color:re /*!*/ d;;}} @media x{b{c:url([d])}}');
    fc.assert(
      fc.property(fc.string({ maxLength: 60 }), (css) => {
        const used: string[] = [];
        const same = cleanCss(css, (address) => {
          used.push(address);
          return address;
        });
        if (used.length === 0) expect(same).toBe(css);
      }),
    );
  });
});

describe('an encoding', () => {
  test.each<[string, Uint8Array, string, RegExp | null]>([
    ['is told by a mark', new Uint8Array([0xff, 0xfe, 0xd6, 0x00]), 'Ö', null],
    ['is UTF-8 where it is that', strToU8('<meta charset=utf-8>Ö'), '<meta charset=utf-8>Ö', null],
    [
      'is what it says',
      strToU8('<meta charset="iso-8859-7">\xe1', true),
      '<meta charset="iso-8859-7">α',
      null,
    ],
    [
      'may lie about UTF-8',
      strToU8('<meta charset=utf-8>\xd6', true),
      '<meta charset=utf-8>Ö',
      /is not/,
    ],
    [
      'may lie the other way',
      strToU8('<meta charset=latin1>Ö'),
      '<meta charset=latin1>Ö',
      /read as that/,
    ],
    [
      'may be none that is known',
      strToU8('<meta charset=tarnish>\xd6', true),
      '<meta charset=tarnish>Ö',
      null,
    ],
    [
      'of a style sheet is told at its head',
      strToU8('@charset "windows-1251"; \xe0', true),
      '@charset "windows-1251"; а',
      null,
    ],
  ])('%s', (_name, bytes, text, note) => {
    const read = decodeText(bytes);
    expect(read.text).toBe(text);
    if (note) expect(read.note).toMatch(note);
    else expect(read.note).toBeNull();
  });
});

describe('a page', () => {
  test('keeps its text, its style sheets and its pictures, each at its address', () => {
    const { page, files } = read(
      '<!doctype html><html lang=is><head><title> The  log </title><link rel=stylesheet href=css/site.css media=screen><style>p { background: url(img/a.png) }</style></head><body class=wide style="color: red"><h1>Þokuljós</h1><img src=img/a.png srcset="img/a.png 1x, img/none.png 2x" alt=""></body></html>',
      file('css/site.css', '@import "type.css"; body { background: url(../img/a.png) }'),
      file('css/type.css', '@import "site.css"; h1 { font-size: 2em }'),
      file('img/a.png', PNG),
      file('img/unused.png', PNG),
    );
    expect(page.title).toBe('The log');
    expect(page.sheets).toEqual([
      { path: 'css/site.css', media: 'screen' },
      { path: 'index.html.style-1.css', media: '' },
    ]);
    expect(page.html).toContain(
      '<link rel="stylesheet" href="../sites/s/css/site.css" media="screen">',
    );
    expect(page.html).toContain('<link rel="stylesheet" href="../sites/s/index.html.style-1.css">');
    expect(page.html).toContain('<body class="wide" style="color: red"><h1>Þokuljós</h1>');
    expect(page.html).toContain('src="../sites/s/img/a.png" srcset="../sites/s/img/a.png 1x"');
    expect(files.map(({ path }) => path).sort()).toEqual([
      'css/site.css',
      'css/type.css',
      'img/a.png',
      'index.html.style-1.css',
    ]);
    const text = (path: string) =>
      new TextDecoder().decode(files.find((one) => one.path === path)?.bytes);
    expect(text('css/site.css')).toContain('url(../img/a.png)');
    expect(text('index.html.style-1.css')).toContain('url(img/a.png)');
    expect(page.removed).toEqual([{ kind: 'missing', what: 'img/none.png', times: 1 }]);
  });

  test('keeps the mode that browsers lay it out in', () => {
    expect(read('<!doctype html><p>a').page.html).toMatch(/^<!doctype html>/);
    expect(read('<p>a').page.html).toMatch(/^<html>/);
  });

  test.each<[string, string, number]>([
    ['scripts', '<script>x()</script><script src=a.js></script>', 2],
    ['handlers', '<p onclick=x() onmouseover="x()">a</p><svg onload=x()></svg>', 3],
    ['frames', '<iframe src=a.html></iframe><object data=a></object><embed src=a>', 3],
    ['what a form sends to', '<form action=/in><button formaction=/out>a</button></form>', 2],
    ['refreshes', '<meta http-equiv=refresh content="0;url=/x">', 1],
    [
      'requests to elsewhere',
      '<img src="https://tarnholm.example/a.png"><link rel=preload href="//tarnholm.example/b">',
      2,
    ],
    ['addresses in styles', '<p style="background: url(https://tarnholm.example/a.png)">a</p>', 1],
  ])('is rid of %s, and tells it', (_name, html, times) => {
    const { page } = read(html);
    expect(page.removed.reduce((sum, one) => sum + one.times, 0)).toBe(times);
    expect(page.html).not.toMatch(
      /script|onclick|onload|iframe|object|embed|action=|refresh|tarnholm\.example/,
    );
  });

  test('with styles in a picture has them as a sheet of its own', () => {
    const { page } = read('<svg><style>text { font-size: 9px }</style><text>a</text></svg>');
    expect(page.html).toContain(
      '<link rel="stylesheet" href="../sites/s/index.html.style-1.css"></head>',
    );
  });

  test('that is too large, too long or too deep refuses itself alone, with why', () => {
    const good = file('good.html', '<p>a');
    const refusal = (html: string) =>
      readSite([good, file('bad.html', html)], '/')
        .refused.map(({ why }) => why)
        .join();
    expect(refusal('<p>a'.repeat(SITE_LIMITS.html / 4 + 1))).toMatch(/larger than 5 MB/);
    expect(refusal('<br>'.repeat(SITE_LIMITS.elements + 1))).toMatch(/more than 250,000 elements/);
    expect(refusal('<b>'.repeat(600) + 'a')).toMatch(/more than 512 deep/);
    expect(refusal('<div>'.repeat(50_000))).toMatch(/512 deep/);
    expect(readSite([good, file('ok.html', '<i>'.repeat(400))], '/').pages).toHaveLength(2);
  });

  test('without a page there is none', () => {
    expect(() => readSite([file('a.css', 'a{}')], '/')).toThrow(/no page among them/);
    expect(() => readSite([file('../index.html', 'a')], '/')).toThrow(/no page among them/);
    expect(() => site('<b>'.repeat(600))).toThrow(/index\.html: Its elements/);
  });

  test('whose font is none leaves it out', () => {
    const { page, leftOut, files } = read(
      '<style>@font-face { font-family: X; src: url(x.woff2) }</style>',
      file('x.woff2', 'no font'),
    );
    expect(leftOut).toEqual([{ path: 'x.woff2', why: 'It is no font.' }]);
    expect(files).toHaveLength(1);
    expect(page.sheets).toHaveLength(1);
  });

  test('may be broken in any way', () => {
    const piece = fc.constantFrom(
      ...'<p> </p> <table> <td <style> </style> <svg> <math> <!-- --> <![CDATA[ <a href=" " > & &lt <template> <select> <b> \0 <script> " \''.split(
        ' ',
      ),
    );
    fc.assert(
      fc.property(fc.array(piece, { maxLength: 30 }), (pieces) => {
        const once = read(pieces.join('')).page.html;
        const kinds = read(once).page.removed.map(({ kind }) => kind);
        expect(kinds.filter((kind) => kind !== 'missing' && kind !== 'request')).toEqual([]);
      }),
      { numRuns: runs(2000) },
    );
  });
});

describe('an archive', () => {
  test('is read file by file, beside plain ones', () => {
    const zip = zipSync({ 'site/index.html': strToU8('<p>a'), 'site/a.css': strToU8('a{}') });
    expect(
      siteFilesIn([file('site.zip', zip), file('b.html', 'b')]).map(({ path }) => path),
    ).toEqual(['site/index.html', 'site/a.css', 'b.html']);
  });

  test('that unpacks to more than may be is refused as it unpacks', () => {
    const bomb = zipSync({ 'a.html': new Uint8Array(SITE_LIMITS.bytes + 1) }, { level: 9 });
    expect(bomb.byteLength).toBeLessThan(100_000);
    expect(() => siteFilesIn([file('a.zip', bomb)])).toThrow(/64 MB in 2000 files/);
    const many = zipSync(
      Object.fromEntries(Array.from({ length: 2001 }, (_, i) => [`${i}.html`, new Uint8Array()])),
    );
    expect(() => siteFilesIn([file('a.zip', many)])).toThrow(/2000 files/);
  });

  test('that is damaged is refused, or gives what it holds', () => {
    const zip = zipSync({ 'index.html': strToU8('<p>'.repeat(200)) });
    fc.assert(
      fc.property(fc.nat(zip.length - 1), fc.nat(255), fc.nat(zip.length), (at, byte, end) => {
        const broken = zip.slice(0, Math.max(4, end));
        broken[Math.max(4, at)] = byte;
        try {
          siteFilesIn([file('a.zip', broken)]);
        } catch (error) {
          expect((error as Error).name).toBe('SiteError');
        }
      }),
      { numRuns: runs(2000) },
    );
  });
});
