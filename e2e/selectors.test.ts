import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { Browser, Page } from 'puppeteer-core';
import { selectorsFault, selectorTexts } from '@lettera/core/css';
import { launchBrowser, newPage } from './browser';
import { runs } from '../core/testing/runs';

/** What is taken for a selector is one to Chromium, and what Chromium knows is taken. */

let browser: Browser;
let page: Page;
beforeAll(async () => {
  browser = await launchBrowser();
  ({ page } = await newPage(browser));
});
afterAll(() => browser.close());

/** Numbers from 0 up to 1 that are the same at every run: a linear congruence of Numerical Recipes. */
function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => (state = (Math.imul(state, 1664525) + 1013904223) >>> 0) / 2 ** 32;
}

const PIECES =
  'a p h1 * .lead .a\\: #top #1x [x] [x="y"] [x=y] [x~=y] [x="y"i] [x] [ns|x] [x==y] :hover :foo :is(a) :is(a,b) :not(.x) :where(p>a) :has(>a) :has(p:has(a)) :nth-child(2n+1) :nth-child(even) :nth-child(x) :nth-child(2of.a) :nth-of-type(3) :first-child :lang(is) :lang() :lang(en,"de") :lang("de") :dir(ltr) :visited :focus-visible :link() :-webkit-any(a) ::foo & 50% ns|a *|a |a .é .\\31 a \\ .a\\  -a --a .-1 .- - 1 é'.split(
    / (?=[^ ])/,
  );
const JOINTS = ['', '', '', ' ', ' > ', ' + ', '~', ', ', ',', '>>', '||', '/**/', ' /deep/ '];

function selector(random: () => number): string {
  const one = (from: readonly string[]): string => from[Math.floor(random() * from.length)] ?? '';
  const length = 1 + Math.floor(random() * 4);
  return Array.from({ length }, (_, i) => (i === 0 ? '' : one(JOINTS)) + one(PIECES)).join('');
}

/** Which of some selectors, or of lists of them, Chromium knows: all of a list, and each of it. */
const known = (lists: string[][]): Promise<boolean[]> =>
  page.evaluate(
    (all) => all.map((list) => list.every((one) => CSS.supports(`selector(${one})`))),
    lists,
  );

test('on many at random', async () => {
  const random = seeded(1871);
  const all = Array.from({ length: runs(20_000) }, () => selector(random));
  const taken = all.filter((one) => selectorsFault(one) === null);
  const refused = all.filter(
    (one) => selectorsFault(one) === 'must be CSS selectors, such as .lead or nav a',
  );
  const unknown = await known(taken.map(selectorTexts));
  expect(taken.filter((_, i) => !unknown[i])).toEqual([]);
  // So that there is something to be held.
  expect(taken.length).toBeGreaterThan(all.length / 20);
  // A rule of such a list, written as it is delivered, keeps its declarations.
  const kept = await page.evaluate((lists) => {
    const sheet = new CSSStyleSheet();
    return lists.map((list) => {
      sheet.replaceSync(`:where(${list}) { color: red } x { color: red }`);
      const [rule] = sheet.cssRules;
      const where = new CSSStyleSheet();
      where.replaceSync(`${list} { color: red } x { color: red }`);
      return sheet.cssRules.length === 2 && where.cssRules.length === 2 && rule?.cssText !== '';
    });
  }, taken);
  expect(taken.filter((_, i) => !kept[i])).toEqual([]);
  // What only Chromium knows is refused; what every engine knows is not.
  const others = await known(refused.map((one) => [one]));
  // A backslash at the end escapes what is written behind it.
  const own = /-webkit-|&|::|(^|[^.\w])--a|\\$/;
  expect(refused.filter((one, i) => others[i] && !own.test(one))).toEqual([]);
});
