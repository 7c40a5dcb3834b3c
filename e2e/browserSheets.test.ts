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
const ON_BODY: Partial<Record<PropertyName, string | number>> = {
  alignment: 'end',
  wrapping: 'balance',
  figures: 'oldstyle-nums proportional-nums',
  ligatures: 'none',
  smallCaps: 'small-caps',
  features: 'ss01 1',
  axes: 'GRAD 50',
  opticalSize: 'none',
  palette: 'dark',
  underlineOffset: '2px',
  underlineSkip: 'none',
  orphans: 3,
  widows: 4,
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

/** Properties of each tag on a page that loads what is delivered. @param site what the page's own style sheet says */
async function computedOn(
  project: ProjectDocument,
  properties: readonly PropertyName[],
  site = '',
): Promise<Record<string, string[]>> {
  const css = bundleFiles(project, plansOf(project), {}).find(({ path }) => path === 'lettera.css');
  const { page } = await newPage(browser);
  await page.setContent(
    `<!doctype html><style>${css?.kind === 'text' ? css.content : ''}</style><style>${site}</style><body>${BODY}`,
  );
  const names = properties.map((name) => PROPERTIES[name].css);
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

/** What the body of a project sets from the first. */
const SET_BY_BODY: readonly PropertyName[] = PROPERTY_NAMES.filter(
  // A colour goes with the ground that browsers give these, and is left to them.
  (name) => name !== 'colour' && name in (seatedDocument().styles['body']?.set ?? {}),
);

test('every property that is inherited is tried', () => {
  const inherited = PROPERTY_NAMES.filter(
    (name) => PROPERTIES[name].inherited && !['hyphenation', 'hanging', 'colour'].includes(name),
  );
  expect(inherited.sort()).toEqual([...SET_BY_BODY, ...Object.keys(ON_BODY)].sort());
});

test.each([
  ['all of the font', true],
  ['its size alone', false],
])('in a style that sets %s', async (_what, whole) => {
  const { p, ...others } = await computedOn(documentWith(whole), [
    ...(Object.keys(ON_BODY) as PropertyName[]),
    ...(whole ? [] : SET_BY_BODY),
  ]);
  // The body's values are there to be followed.
  expect(p).toContain('oldstyle-nums proportional-nums');
  expect(p).toContain('end');
  for (const [tag, values] of Object.entries(others)) {
    // Chromium takes no line height for a list that opens.
    const known = (all: string[] = []) =>
      tag === 'select' ? all.filter((one) => !/^(27.9px|normal)$/.test(one)) : all;
    expect({ [tag]: known(values) }).toEqual({ [tag]: known(p) });
  }
});

test('but nothing stands before what the site says of it, at any weight', async () => {
  for (const weight of ['none', 'own', 'over'] as const) {
    const project = applyChange(documentWith(false), [
      add('/delivery/weight', weight),
      { op: 'replace', path: '/delivery/layer', value: null },
    ]).document;
    const site = `${TAGS.join(', ')} { font-weight: 650; color: rgb(1, 2, 3) } @layer site { ${TAGS.join(', ')} { letter-spacing: 3px } }`;
    const found = await computedOn(project, ['weight', 'colour', 'letterSpacing'], site);
    for (const tag of TAGS) {
      expect([weight, tag, found[tag]]).toEqual([weight, tag, ['650', 'rgb(1, 2, 3)', '3px']]);
    }
  }
});
