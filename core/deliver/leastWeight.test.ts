/** @jest-environment jsdom */
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { applyChange } from '../change';
import type { Patch, ProjectDocument } from '../document';
import { atOnce } from '../page/pieces';
import { Cascade, type PageView } from '../page/cascade';
import { rulesOfPage } from '../page/siteRules';
import { typeProperty } from '../page/typeProperty';
import { elementAt } from '../style/elementAt';
import { seatedDocument } from '../testing/documents';
import { projectRules } from './elementRules';
import { demandsOn, leastWeight } from './leastWeight';

const PROPERTIES = (['step', 'weight', 'colour', 'lineHeight', 'voice'] as const).map(typeProperty);
const PAGE =
  '<main id="m"><h2 class="t">Log</h2><p class="lead">Fog</p><p class="lead t"><a class="t" href="#">Tides</a></p><blockquote class="lead" style="font-size: 9px">A light</blockquote></main>';

const view: PageView<Element> = {
  find: (selector) => document.querySelectorAll(selector),
  knows: () => true,
  holds: () => true,
  holdsAround: () => true,
  matches: (node, selector) => node.matches(selector),
  takes: () => true,
  parent: (node) => node.parentElement,
  inline: (node, property) => {
    const { style } = node as HTMLElement;
    const value = style.getPropertyValue(property);
    return value ? { value, important: style.getPropertyPriority(property) !== '' } : null;
  },
};

const rulesOf = (css: string) =>
  rulesOfPage([{ path: 'a.css', media: '' }], new Map([['a.css', css]]));

/** The cascade of the page with the site's own rules and a project's. */
function cascadeWith(project: ProjectDocument, css: string): Cascade<Element> {
  document.body.innerHTML = PAGE;
  const rules = rulesOf(css);
  return Cascade.of<Element>(rules, projectRules(project), view, PROPERTIES, { keepsAll: true });
}
const least = (project: ProjectDocument, css: string) => {
  const cascade = cascadeWith(project, css);
  return leastWeight(project, atOnce(demandsOn(project, cascade, rulesOf(css), view)));
};
const project = (...patch: Patch) => applyChange(seatedDocument(), patch).document;
const PLAIN = project();

/** What is said on the page and decided by something else, as `element property`. */
function lost(of: ProjectDocument, css: string): string[] {
  const cascade = cascadeWith(of, css);
  const rules = projectRules(of).rules.filter(({ isOpen }) => !isOpen);
  return [...document.querySelectorAll('main, main *')].flatMap((node) =>
    PROPERTIES.flatMap(({ css: name }) => {
      const saying = rules.filter(
        ({ selectors, declarations }) =>
          declarations.has(name) && selectors.some(({ text }) => node.matches(text)),
      );
      const declared = cascade.declared(node, name);
      return saying.length === 0 || declared?.by === 'project' ? [] : [`${node.tagName} ${name}`];
    }),
  );
}

describe('the least weight that wins', () => {
  test.each<[what: string, css: string, found: object]>([
    [
      'none where nothing stands against it',
      '',
      { weights: {}, linked: 'before', layer: 'lettera' },
    ],
    [
      'its place after the site’s, where that does',
      '@layer a { h2 { font-size: 9px } }',
      { weights: {}, linked: 'after', layer: 'lettera' },
    ],
    [
      'no layer, where what stands against it has no weight',
      ':where(h2) { font-size: 9px }',
      { weights: {}, linked: 'after', layer: null },
    ],
    [
      'its selectors’ own, where they weigh as much',
      'h2 { font-size: 9px }',
      { weights: { h2: [0, 0] }, linked: 'after', layer: null },
    ],
    ['as many classes as it takes', '.t.t { font-size: 9px }', { weights: { h2: [0, 2] } }],
    ['ids against ids', '#m h2 { font-size: 9px }', { weights: { h2: [1, 0] } }],
    ['ids and what else there is', '#m .t { font-size: 9px }', { weights: { h2: [1, 1] } }],
  ])('is %s', (_what, css, found) => {
    // The quotation has a style attribute, which is another matter.
    const of = project({ op: 'add', path: '/delivery/leave', value: ['blockquote'] });
    expect(least(of, css)).toMatchObject(found);
  });

  test('is !important where nothing else wins, and is said where that does not either', () => {
    expect(least(PLAIN, '')).toMatchObject({ important: ['quote'], unmet: 0, weights: {} });
    const of = project({ op: 'add', path: '/delivery/leave', value: ['blockquote'] });
    expect(least(of, 'h2 { font-size: 9px !important }').important).toEqual(['h2']);
    document.body.innerHTML = PAGE;
    expect(least(of, 'h2 { margin: 0 !important }').important).toEqual([]);
  });

  test('takes away what is more than it takes', () => {
    const heavy = project(
      { op: 'add', path: '/delivery/leave', value: ['blockquote'] },
      { op: 'add', path: '/delivery/weight', value: 'over' },
      { op: 'add', path: '/elements/h2/weight', value: [1, 4] },
      { op: 'add', path: '/elements/h1/important', value: true },
    );
    const { document: after } = applyChange(heavy, least(heavy, 'h2 { font-size: 9px }').patch);
    expect(after.delivery.weight).toBe('none');
    expect(after.elements['h2']?.weight).toEqual([0, 0]);
    expect(after.elements['h1']?.important).toBeUndefined();
  });

  test('has what is left open inherited after a site without layers, and not after one that has some', () => {
    const setFor = (css: string) =>
      applyChange(PLAIN, least(PLAIN, css).patch).document.delivery.inheritOpen ?? false;
    expect(setFor('h2 { font-size: 9px }')).toBe(true);
    expect(setFor('@layer a { a { color: red } } h2 { font-size: 9px }')).toBe(false);
    expect(setFor('')).toBe(false);
  });

  test('makes what is raised win over no other text element', () => {
    // A quotation is one although it has the class of a lead, which has to win over the site's.
    const css = '.lead.lead { font-size: 9px }';
    const { document: after } = applyChange(PLAIN, least(PLAIN, css).patch);
    document.body.innerHTML = PAGE;
    const node = document.querySelector('blockquote') as Element;
    expect([elementAt(PLAIN, node), elementAt(after, node)]).toEqual(['quote', 'quote']);
  });

  test('wins all that can be won, on sites of any rules', () => {
    const rule = fc.tuple(
      fc.constantFrom(
        'h2',
        '.t',
        '#m h2',
        '.lead',
        'p.lead.t',
        ':where(a)',
        'a',
        '#m .t',
        'main > *',
        'a[href]',
      ),
      fc.constantFrom(
        'font-size: 9px',
        'color: red',
        'font-weight: 900',
        'line-height: 3',
        'font: 9px Arial',
      ),
      fc.boolean(),
      fc.constantFrom('', 'one', 'two'),
    );
    const written = (rules: [string, string, boolean, string][]) =>
      rules
        .map(([selector, says, important, layer]) => {
          const css = `${selector} { ${says}${important ? ' !important' : ''} }`;
          return layer ? `@layer ${layer} { ${css} }` : css;
        })
        .join('\n');
    fc.assert(
      fc.property(fc.array(rule, { maxLength: 6 }), (rules) => {
        const css = written(rules);
        const found = least(PLAIN, css);
        const after = applyChange(PLAIN, found.patch).document;
        if (found.unmet === 0) expect(lost(after, css)).toEqual([]);
        // The next time there is nothing to do.
        expect(least(after, css).patch).toEqual([]);
      }),
      { numRuns: 150 },
    );
  });
});
