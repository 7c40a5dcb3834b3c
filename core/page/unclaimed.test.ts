/** @jest-environment jsdom */
import { expect, test } from '@jest/globals';
import { atOnce } from './pieces';
import { unclaimedKinds } from './unclaimed';

const unclaimedOf = (...given: Parameters<typeof unclaimedKinds<Element>>) =>
  atOnce(unclaimedKinds(...given));

const seen = (node: Element) => ({
  node,
  tag: node.tagName.toLowerCase(),
  classes: [...node.classList],
  role: node.getAttribute('role'),
  place: node.parentElement?.closest('header, nav, main, footer')?.tagName.toLowerCase() ?? null,
  text: node.textContent ?? '',
});

function kindsOf(html: string, texts: string) {
  document.body.innerHTML = html;
  return unclaimedOf([...document.querySelectorAll(texts)].map(seen), (selector) =>
    document.querySelectorAll(selector),
  );
}
const selectors = (html: string, texts: string) =>
  kindsOf(html, texts).map(({ nodes, selector }) => [nodes.length, selector]);

test('classes that say a distance, a colour or a place tell no kinds apart, unless nothing else does', () => {
  expect(
    selectors(
      '<p class="price mt-2">1</p><p class="price ml-2 text-muted">2</p><p class="d-flex">3</p><p class="mb-4">4</p>',
      'p',
    ).sort(),
  ).toEqual([
    [2, null],
    [2, '.price'],
  ]);
  // Alone with its class on a page of others, it is told apart by it.
  const [only] = kindsOf('<div class="mt-2">1</div><div><b>3</b></div>', 'div.mt-2');
  expect(only?.selector).toBe('div.mt-2');
});

test('texts are gathered by what they are, with the shortest selector that meets just those', () => {
  expect(
    selectors(
      '<main><p class="price">1</p><p class="price">2</p><p>a</p><b class="price x">3</b></main><footer><p>b</p></footer>',
      'p',
    ),
  ).toEqual([
    [2, 'p.price'],
    [1, 'main p:not([class])'],
    [1, 'footer p'],
  ]);
  expect(
    selectors('<i class="note"></i><p class="note big">1</p><p class="big">2</p>', '.note.big'),
  ).toEqual([[1, 'p.note']]);
  expect(
    selectors('<td role="cell">1</td><div role="row">a</div><div>b</div>', 'div[role]'),
  ).toEqual([[1, '[role="row"]']]);
});

test('a selector meets no other kind of text on other pages', () => {
  document.body.innerHTML = '<main><p class="price">1</p></main>';
  const texts = [...document.querySelectorAll('.price')].map(seen);
  const other = new DOMParser().parseFromString(
    '<main><p class="price">2</p></main><h3 class="price">Prices</h3>',
    'text/html',
  );
  const elsewhere = (selector: string) => [...other.querySelectorAll(selector)].map(seen);
  const meets = (selector: string) => document.querySelectorAll(selector);
  expect(unclaimedOf(texts, meets)[0]?.selector).toBe('.price');
  expect(unclaimedOf(texts, meets, elsewhere)[0]?.selector).toBe('p');
});

test('what no few words meet alone is told without one', () => {
  const [first] = kindsOf('<p>a</p><p>b</p>', 'p:first-child');
  expect(first?.selector).toBeNull();
  expect(first?.specimen).toBe('a');
});

test('states, hashes and numbers are no kind of text', () => {
  const [kind, ...others] = kindsOf(
    '<p class="card is-open css-a81b23f0">a</p><p class="card js-x">b</p>',
    'p',
  );
  expect(others).toEqual([]);
  expect([kind?.nodes.length, kind?.selector, kind?.name]).toEqual([2, '.card', 'Card']);
});

test('a specimen is the longest, and ends at a word', () => {
  const long =
    'The boat leaves on Tuesdays, when there is one, and comes back on Thursdays, if it does at all';
  const [kind] = kindsOf(`<p>Boat</p><p>${long}</p>`, 'p');
  expect(kind?.specimen).toBe(
    'The boat leaves on Tuesdays, when there is one, and comes back on Thursdays, if',
  );
});
