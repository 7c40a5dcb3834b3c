/** @jest-environment jsdom */
import { readdirSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { describe, expect, test } from '@jest/globals';
import { selectorsFault } from '../../css';
import { tokenNames } from '../../deliver';
import { newDocument } from '../../document/newDocument';
import { FRAMEWORKS, frameworkOf } from '.';

const require = createRequire(import.meta.url);
const sheetOf = ({ package: name, sheet }: (typeof FRAMEWORKS)[number]): string => {
  try {
    return readFileSync(require.resolve(`${name}/${sheet}`), 'utf8');
  } catch {
    return readFileSync(`node_modules/${name}/${sheet}`, 'utf8');
  }
};
const PAGES = 'e2e/sites/components';
/** The page of components of each, by the name of its file. */
const PAGE_OF: Readonly<Record<string, string>> = {
  '@picocss/pico': 'picocss',
  '@primer/css': 'primer',
};
const pageOf = (name: string) => `${PAGE_OF[name] ?? name}.html`;

describe.each(FRAMEWORKS.map((one) => [one.name, one] as const))('%s', (_name, framework) => {
  const css = sheetOf(framework);

  test('has the parts that are named, in selectors that a text element can have', () => {
    for (const { name, selectors } of framework.parts) {
      for (const selector of selectors) {
        expect([name, selectorsFault(selector)]).toEqual([name, null]);
        for (const [, one] of selector.matchAll(/\.([\w-]+)/g)) {
          expect([name, one, new RegExp(`\\.${one}(?![\\w-])`).test(css)]).toEqual([
            name,
            one,
            true,
          ]);
        }
      }
    }
    const all = framework.parts.flatMap(({ selectors }) => selectors);
    expect(new Set(all).size).toBe(all.length);
  });

  test('reads the custom properties that are named, and the tokens are of every project', () => {
    const tokens = tokenNames(newDocument('Tarnholm'));
    for (const [property, token] of Object.entries(framework.properties)) {
      expect([
        property,
        css.includes(`var(${property})`) || css.includes(`var(${property},`),
      ]).toEqual([property, true]);
      expect([token, tokens.includes(token)]).toEqual([token, true]);
    }
  });
});

describe('a page', () => {
  const shown = (html: string) => {
    document.documentElement.innerHTML = html;
    return frameworkOf((selector) => document.querySelector(selector) !== null);
  };

  test('is known to be built on the framework that its components are of', () => {
    const known = FRAMEWORKS.filter((one) => readdirSync(PAGES).includes(pageOf(one.package)));
    expect(known.length).toBeGreaterThanOrEqual(9);
    for (const one of known) {
      const html = readFileSync(`${PAGES}/${pageOf(one.package)}`, 'utf8');
      expect([one.name, shown(html)?.name]).toEqual([one.name, one.name]);
      const parts = one.parts.filter(({ selectors }) =>
        document.querySelector(selectors.join(', ')),
      );
      expect([one.name, parts.length >= 8]).toEqual([one.name, true]);
    }
  });

  test('of none is known to be of none, and one name alone tells nothing', () => {
    for (const path of ['sample/own/index.html', 'sample/pages/home.html']) {
      expect([path, shown(readFileSync(path, 'utf8'))]).toEqual([path, null]);
    }
    expect(shown('<body><p class="callout">Fog</p></body>')).toBeNull();
    expect(
      shown('<body><p class="callout">Fog</p><p class="card-divider">Log</p></body>')?.name,
    ).toBe('Foundation');
  });
});
