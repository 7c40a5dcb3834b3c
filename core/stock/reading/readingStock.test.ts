import { describe, expect, test } from '@jest/globals';
import { pagesAsRead, readSite, siteFilesIn } from '../../page/file';
import { lookOf, provenanceAt, type StockEnd, type StockProperty } from '../stock';
import { stockOfReadings } from './readingStock';

const text = (words: string, more: object = {}) => ({
  words,
  family: 'Onest, sans-serif',
  size: 18,
  weight: 400,
  style: 'normal',
  lineHeight: 27,
  letterSpacing: 0,
  letterCase: 'none',
  colour: 'rgb(20, 30, 40)',
  face: 'sans-serif',
  measure: null,
  ...more,
});

const HTML = `<html lang="en"><head></head><body>
  <nav><a class="on" href="#">Tides</a></nav>
  <main><h1 id="log">The log</h1><p style="font: italic 20px/1.5 Onest">Fog <em>Sæfari</em></p>
  <div class="card"><p class="narrow">Phones only</p></div><p>Never seen</p></main></body></html>`;

const CSS = [
  'body { font-family: Onest, sans-serif; color: rgb(20, 30, 40) }',
  'h1 { font-size: 30px }',
  '@media (min-width: 700px) { h1 { font-size: 40px } }',
  '@media print { h1 { font-size: 20pt } }',
  'nav a:not(.off):first-child { letter-spacing: 1px }',
  'main > p:hover { color: red }',
  '@container (min-width: 1px) { .narrow { font-weight: 800 } }',
  '@supports not (display: grid) { h1 { color: red } }',
].join('\n');

const READING = {
  format: 'lettera-reading',
  version: 1,
  made: '2026-11-27T00:00:00.000Z',
  address: 'https://tarnholm.example/log',
  title: 'The log',
  quirks: false,
  html: HTML,
  sheets: [{ name: 'site.css', media: '', css: CSS }],
  unread: ['https://fonts.tarnholm.example/a.css'],
  faces: [
    { family: 'Onest', weight: '400', style: 'normal', status: 'loaded' },
    { family: 'Lora', weight: '400', style: 'normal', status: 'error' },
  ],
  views: [
    {
      width: 360,
      height: 800,
      texts: [text('Tides'), text('The log', { size: 30 }), text('Fog'), text('Phones only')],
    },
    {
      width: 1280,
      height: 800,
      texts: [
        text('Tides'),
        text('The log', { size: 40, face: 'Onest', measure: 20 }),
        text('Fog'),
        text('Sæfari', { style: 'italic', face: undefined }),
      ],
    },
  ],
};

const stockOf = (reading: object = READING) => {
  const file = {
    path: 'log.reading.json',
    bytes: new TextEncoder().encode(JSON.stringify(reading)),
  };
  return stockOfReadings(pagesAsRead(readSite(siteFilesIn([file]), '/')), READING.made);
};

describe('a page that the reader gave, without a browser', () => {
  const { stock, lineages } = stockOf();
  const numberOf = (words: string) => stock.texts.findIndex((one) => one.words === words);
  const look = (words: string, end: StockEnd) => {
    const found = stock.texts[numberOf(words)];
    if (!found) throw new Error(`${words} is not there`);
    return lookOf(stock, found, end);
  };
  const origin = (words: string, property: StockProperty, end: StockEnd = 'wide') => {
    const found = stock.texts[numberOf(words)];
    if (!found) throw new Error(`${words} is not there`);
    const { source, from } = provenanceAt(stock, found, end, property);
    return source.by === 'rule'
      ? [source.selector, source.value, source.line, from]
      : [source.by, from];
  };

  test('has the texts that were seen, in the order of the page', () => {
    expect(stock.texts.map(({ words, tag, place }) => [words, tag, place])).toEqual([
      ['Tides', 'a', 'nav'],
      ['The log', 'h1', 'main'],
      ['Fog', 'p', 'main'],
      ['Sæfari', 'em', 'main'],
      ['Phones only', 'p', 'main'],
    ]);
    expect(stock.texts[numberOf('Sæfari')]?.within).toBe(numberOf('Fog'));
  });

  test('tells what a text stands in, that which begins later too', () => {
    const html = HTML.replace('Fog <em>Sæfari</em>', '<em>Sæfari</em> Fog');
    const { texts } = stockOf({ ...READING, html }).stock;
    const at = (words: string) => texts.findIndex((one) => one.words === words);
    expect(at('Sæfari')).toBeLessThan(at('Fog'));
    expect(texts[at('Sæfari')]?.within).toBe(at('Fog'));
  });

  test('tells them as the live page computed them, at each width', () => {
    const { pages } = stock;
    expect([pages[0]?.narrow, pages[0]?.wide]).toEqual([360, 1280]);
    expect([look('The log', 'narrow').size, look('The log', 'wide').size]).toEqual([30, 40]);
    expect([look('The log', 'narrow').face, look('The log', 'wide').face]).toEqual([
      'sans-serif',
      'Onest',
    ]);
    expect(stock.texts[numberOf('The log')]?.wide.measure).toBe(20);
    expect(look('The log', 'wide').ground).toBeNull();
    // Seen at one width, it is described as it is there.
    expect(look('Sæfari', 'narrow').slant).toBe('italic');
    expect(look('Phones only', 'wide').size).toBe(18);
  });

  test('has a face of the stack that came, where an older reader does not tell which draws', () => {
    expect(look('Sæfari', 'wide').face).toBe('Onest');
  });

  test('tells the faces of the live page, and who was not asked', () => {
    expect(stock.pages[0]?.faces).toEqual([
      { family: 'Onest', weight: '400', style: 'normal', state: 'loaded' },
      { family: 'Lora', weight: '400', style: 'normal', state: 'failed' },
    ]);
    expect(stock.pages[0]?.elsewhere).toEqual(['fonts.tarnholm.example']);
  });

  test('reckons what decides', () => {
    expect(origin('The log', 'font-size', 'narrow')).toEqual(['h1', '30px', 2, null]);
    expect(origin('The log', 'font-size')).toEqual(['h1', '40px', 3, null]);
    expect(origin('The log', 'font-family')).toEqual(['body', 'Onest, sans-serif', 1, 'body']);
    expect(origin('The log', 'color')).toEqual(['body', 'rgb(20, 30, 40)', 1, 'body']);
    expect(origin('The log', 'font-weight')).toEqual(['browser', null]);
    expect(origin('Tides', 'letter-spacing')).toEqual([
      'nav a:not(.off):first-child',
      '1px',
      5,
      null,
    ]);
    expect(origin('Fog', 'font-size')).toEqual(['inline', null]);
    expect(origin('Sæfari', 'font-size')).toEqual(['inline', 'p']);
    expect(origin('Sæfari', 'font-style')).toEqual(['browser', null]);
    expect(origin('Fog', 'color')).toEqual(['body', 'rgb(20, 30, 40)', 1, 'body']);
  });

  test('takes conditions on containers not to hold', () => {
    expect(origin('Phones only', 'font-weight')).toEqual(['nothing', null]);
  });

  test('says what claims its texts and what stands around them', () => {
    const claim = (element: string, selector: string) => ({
      element,
      selector,
      weight: [0, 0, 0] as const,
    });
    const all = lineages([
      claim('main', 'main'),
      claim('text', 'main p'),
      claim('none', 'p:nonsense('),
      claim('line', 'p::first-line'),
    ]);
    for (const words of ['Fog', 'Phones only']) {
      const { elements, around } = all[numberOf(words)] ?? { elements: [], around: [] };
      expect([elements, around.some((one) => one.elements.includes('main'))]).toEqual([
        ['text'],
        true,
      ]);
    }
    expect(all.filter(({ elements }) => elements.length > 0)).toHaveLength(2);
  });

  test('is refused where nothing was computed', () => {
    expect(() => stockOf({ ...READING, views: [] })).toThrow(
      'The log was not read where it is live.',
    );
  });

  test('may have been read at one width alone', () => {
    const { stock: one } = stockOf({ ...READING, views: [READING.views[1]] });
    expect([one.pages[0]?.narrow, one.pages[0]?.wide, one.texts.length]).toEqual([1280, 1280, 4]);
  });
});
