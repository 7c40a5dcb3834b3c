import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { applyChange } from '@lettera/core/change';
import { bundleFiles } from '@lettera/core/deliver';
import {
  PROPERTIES,
  PROPERTY_NAMES,
  type Patch,
  type ProjectDocument,
  type PropertyName,
} from '@lettera/core/document';
import type { Browser } from 'puppeteer-core';
import { plansOf, seatedDocument } from '../core/testing/documents';
import { launchBrowser, newPage } from './browser';

/** What a text is said to follow it follows, on elements too that browsers' own style sheets set. */

let browser: Browser;
beforeAll(async () => {
  browser = await launchBrowser();
});
afterAll(async () => {
  await browser?.close();
});

/** What browsers set on each of these stands before what is around it. */
const TAGS = ['button', 'input', 'select', 'textarea', 'caption', 'th', 'pre'];
const BODY =
  '<button>Send</button><input value="x"><select><option>One</option></select>\
<textarea>Log</textarea><table><caption>Tides</caption><tr><th>Hour</th></tr></table><pre>a</pre>\
<p>Running</p>';

/** A value that is not the browser's, for each property that is inherited and left open otherwise. */
const ON_BODY: Partial<Record<PropertyName, string>> = {
  alignment: 'end',
  wrapping: 'balance',
  figures: 'oldstyle-nums proportional-nums',
  ligatures: 'none',
  smallCaps: 'small-caps',
  features: 'ss01 1',
  axes: 'GRAD 50',
  opticalSize: 'none',
};

const add = (path: string, value: unknown): Patch[number] => ({ op: 'add', path, value });

/** A text element for each tag, in a style that sets all of the font, or in one that sets its size alone. */
function documentWith(whole: boolean): ProjectDocument {
  const before = seatedDocument();
  const font = { voice: 'text', weight: 500, slant: 'normal', lineHeight: 1.4 };
  return applyChange(before, [
    ...Object.keys(before.elements)
      .filter((key) => key !== 'body')
      .map((key): Patch[number] => ({ op: 'remove', path: `/elements/${key}` })),
    ...Object.entries(ON_BODY).map(([name, value]) => add(`/styles/body/set/${name}`, value)),
    add('/styles/control', {
      name: 'Control',
      follows: null,
      set: { step: 0, ...(whole ? font : {}) },
    }),
    ...TAGS.map((tag) =>
      add(`/elements/${tag}`, { name: tag, selectors: [tag], style: 'control', parent: null }),
    ),
  ]).document;
}

async function computedOn(project: ProjectDocument): Promise<Record<string, string[]>> {
  const css = bundleFiles(project, plansOf(project), {}).find(({ path }) => path === 'lettera.css');
  const { page } = await newPage(browser);
  await page.setContent(
    `<!doctype html><style>${css?.kind === 'text' ? css.content : ''}</style><body>${BODY}`,
  );
  const names = Object.keys(ON_BODY).map((name) => PROPERTIES[name as PropertyName].css);
  const found = await page.evaluate(
    (tags, properties) =>
      Object.fromEntries(
        tags.map((tag) => {
          const node = document.querySelector(tag);
          const style = node && getComputedStyle(node);
          return [tag, properties.map((name) => style?.getPropertyValue(name) ?? '')];
        }),
      ),
    [...TAGS, 'p'],
    names,
  );
  await page.close();
  return found;
}

test('every property that is inherited and left open is tried', () => {
  const open = PROPERTY_NAMES.filter(
    (name) => PROPERTIES[name].inherited && PROPERTIES[name].whenOpen === 'leave',
  );
  expect(open.filter((name) => name !== 'hyphenation').sort()).toEqual(Object.keys(ON_BODY).sort());
});

test.each([
  ['all of the font', true],
  ['its size alone', false],
])('in a style that sets %s', async (_what, whole) => {
  const { p, ...others } = await computedOn(documentWith(whole));
  // The body's values are there to be followed.
  expect(p).toContain('oldstyle-nums proportional-nums');
  expect(p).toContain('end');
  for (const [tag, values] of Object.entries(others)) expect([tag, values]).toEqual([tag, p]);
});
