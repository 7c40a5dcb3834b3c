import { describe, expect, test } from '@jest/globals';
import { zipSync } from 'fflate';
import { livePathOf } from './readerFile';
import { readSite } from './readSite';
import { SiteError } from './siteFile';
import { siteFilesIn } from './siteFilesIn';

const SOUND = {
  format: 'lettera-reading',
  version: 1,
  made: '2026-11-27T00:00:00.000Z',
  address: 'https://tarnholm.example/log',
  title: 'The log <of> "all"',
  quirks: false,
  html: '<html lang="en"><head></head><body class="page"><p class="a">Fog & rain</p></body></html>',
  sheets: [
    { name: 'site.css', media: '', css: '@import "base.css" layer(base);\n.a { color: red }' },
    { name: 'base.css', media: 'imported', css: 'p { font-size: 18px }' },
    { name: 'print.css', media: 'print', css: 'p { font-size: 9pt }' },
  ],
  unread: [],
  faces: [],
  views: [],
};
const file = (reading: unknown, path = 'tarnholm.reading.json') => ({
  path,
  bytes: new TextEncoder().encode(typeof reading === 'string' ? reading : JSON.stringify(reading)),
});
const read = (reading: unknown) => readSite(siteFilesIn([file(reading)]), '../sites/x/');

describe('a file of the reader’s', () => {
  test('is the page that it was made of', () => {
    const { pages, files } = read(SOUND);
    expect(pages).toHaveLength(1);
    expect(pages[0]?.title).toBe('The log <of> "all"');
    expect(pages[0]?.html).toContain('<p class="a">Fog &amp; rain</p>');
    expect(pages[0]?.sheets.map(({ path, media }) => [path.split('/').at(-1), media])).toEqual([
      ['site.css', ''],
      ['print.css', 'print'],
    ]);
    expect(files.map(({ path }) => path.split('/').at(-1)).sort()).toEqual([
      'base.css',
      'lettera-live.json',
      'print.css',
      'site.css',
    ]);
  });

  test('is kept with what the live page showed, as far as that is sound', () => {
    const text = {
      words: 'Fog & rain',
      family: 'Onest',
      size: 18,
      weight: 400,
      style: 'normal',
      lineHeight: null,
      letterSpacing: 0,
      letterCase: 'none',
      colour: 'rgb(0, 0, 0)',
    };
    const face = { family: 'Onest', weight: '400', style: 'normal', status: 'loaded' };
    const latin = { ...face, unicodeRange: 'U+0-FF' };
    const { pages, files } = read({
      ...SOUND,
      views: [
        {
          width: 360,
          height: 800,
          texts: [
            { ...text, face: 'Onest', measure: null, note: 'more' },
            { ...text, size: 'large' },
            { ...text, face: 7 },
            { ...text, measure: 'long' },
            null,
            text,
          ],
        },
        { width: -1, texts: [text] },
        { width: 1280, texts: 'none' },
      ],
      faces: [face, latin, { ...face, status: 'lost' }, { ...face, unicodeRange: 7 }],
    });
    const kept = files.find(({ path }) => path === livePathOf(pages[0]?.path ?? ''));
    expect(JSON.parse(new TextDecoder().decode(kept?.bytes))).toEqual({
      views: [
        { width: 360, texts: [{ ...text, face: 'Onest', measure: null }, text] },
        { width: 1280, texts: [] },
      ],
      faces: [face, latin],
    });
  });

  test('is read in an archive as it is alone', () => {
    const { path, bytes } = file(SOUND);
    const archive = { path: 'all.zip', bytes: zipSync({ [path]: bytes }) };
    const { pages } = readSite(siteFilesIn([archive]), '../sites/x/');
    expect(pages.map((page) => page.html)).toEqual(read(SOUND).pages.map((page) => page.html));
  });

  test('tells style sheets that could not be read there', () => {
    const { pages } = read({ ...SOUND, unread: ['https://fonts.tarnholm.example/a.css', 7] });
    expect(pages[0]?.removed).toEqual([
      { kind: 'request', what: 'https://fonts.tarnholm.example/a.css', times: 1 },
    ]);
  });

  test.each<[string, unknown]>([
    ['cut short', JSON.stringify(SOUND).slice(0, 400)],
    ['no object', '{"format":"lettera-reading"'],
    ['without a version', { ...SOUND, version: undefined }],
    ['of a version that is none', { ...SOUND, version: 'two' }],
    ['with markup that is none', { ...SOUND, html: ['<p>'] }],
    ['with sheets that are none', { ...SOUND, sheets: {} }],
    ['with a sheet that is none', { ...SOUND, sheets: [null] }],
    ['with a sheet without a name', { ...SOUND, sheets: [{ media: '', css: '' }] }],
    ['with a thousand sheets', { ...SOUND, sheets: Array(1000).fill(SOUND.sheets[0]) }],
    ['with views without end', { ...SOUND, views: Array(21).fill({}) }],
    ['of another format', { ...SOUND, format: 'lettera-else' }],
  ])('%s is refused', (_what, reading) => {
    expect(() => read(reading)).toThrow(SiteError);
  });

  test('of a newer version is refused with which one it is', () => {
    expect(() => read({ ...SOUND, version: 2 })).toThrow(/version 2; this Lettera reads up to 1/);
  });

  test('made by hand to deceive holds no more than a page could', () => {
    const { pages, files, leftOut } = read({
      ...SOUND,
      html: '<html><head><base href="https://evil.example"></head><body onload="x()"><script>x()</script><p>Fog</p><img src="https://evil.example/a.png"><iframe src="//evil.example"></iframe></body></html>',
      sheets: [
        {
          name: '../../../etc/passwd',
          media: '"><script>x()</script>',
          css: 'p { background: url(https://evil.example/b.png) } @import "//evil.example/c.css";',
        },
      ],
    });
    const html = pages[0]?.html ?? '';
    expect(html).not.toMatch(/<script|onload|evil\.example|<iframe|<base/i);
    const css = files.map(({ bytes }) => new TextDecoder().decode(bytes)).join('');
    expect(css).not.toContain('evil.example');
    expect(files.every(({ path }) => !path.includes('..'))).toBe(true);
    expect(leftOut).toEqual([]);
  });

  test('what is no reading is a file like any other', () => {
    expect(siteFilesIn([file('{"name": "site"}', 'package.json')])).toHaveLength(1);
    expect(siteFilesIn([file(SOUND, 'page.html')])).toHaveLength(1);
  });
});
