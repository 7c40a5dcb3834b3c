/** @jest-environment jsdom */
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  documentOf,
  MARKUP,
  textElementsOf as textElementsOfMarkup,
} from '../../core/stock/reading/markup';
import { numberAround, ownTextIn, seenIn } from '@lettera/core/page';
import { runs } from '../../core/testing/runs';
import { ownText, seen, textElementsOf } from './domTree';

const parsed = (html: string): Document => new DOMParser().parseFromString(html, 'text/html');

/** What is said of each text, from what a browser holds and from what a parser does. */
const inBrowser = (html: string) =>
  textElementsOf(parsed(html)).map((node) => {
    const { tag, classes, role, place } = seen(node);
    return { tag, classes, role, place, words: ownText(node) };
  });
const inMarkup = (html: string) =>
  textElementsOfMarkup(documentOf(html)).map((node) => {
    const { tag, classes, role, place } = seenIn(MARKUP, node);
    return { tag, classes, role, place, words: ownTextIn(MARKUP, node) };
  });

const markup = fc.letrec<{ node: string }>((tie) => ({
  node: fc.oneof(
    { depthSize: 'small' },
    fc.constantFrom('Fog ', ' \n', 'Sæfari'),
    fc
      .record({
        tag: fc.constantFrom(...'p b a em div nav main ul li h2 svg g template title'.split(' ')),
        open: fc.constantFrom('', ' class="card on"', ' role="note"', ' class=""'),
        inner: fc.array(tie('node'), { maxLength: 3 }),
      })
      .map(({ tag, open, inner }) => `<${tag}${open}>${inner.join('')}</${tag}>`),
  ),
})).node;

describe('the texts of a page', () => {
  test('are the same in a browser and in a parser, in one order', () => {
    fc.assert(
      fc.property(fc.array(markup, { minLength: 1, maxLength: 6 }), (parts) => {
        const html = `<!doctype html><body>${parts.join('')}</body>`;
        expect(inMarkup(html)).toEqual(inBrowser(html));
      }),
      { numRuns: runs(200) },
    );
  });

  test('stand in the order in which their text begins, without what is none', () => {
    const html = '<p><b>Fog</b> from <i>six</i></p><script>1</script><nav> <a>Log</a></nav>';
    expect(inBrowser(html).map(({ tag, place }) => [tag, place])).toEqual([
      ['b', null],
      ['p', null],
      ['i', null],
      ['a', 'nav'],
    ]);
  });

  test('one stands in another that begins after it', () => {
    const page = documentOf('<main><p><b>Fog</b> from six</p></main>');
    const [b, p] = textElementsOfMarkup(page);
    if (!b || !p) throw new Error('There are two texts');
    const numbers = new Map([b, p].map((node, number) => [node, number] as const));
    expect(numberAround(MARKUP, b, numbers)).toBe(1);
    expect(numberAround(MARKUP, p, numbers)).toBeNull();
  });
});
