/** @jest-environment jsdom */
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { compareSpecificity, type Specificity } from '../css';
import type { ProjectDocument } from '../document/projectDocument';
import { seatedDocument } from '../testing/documents';
import { elementAt, lasting } from './elementAt';
import { ruleSpecificity, selectorsOf } from './ruleWeight';

/** What is found where every selector is tried on the node, one after the other. */
function tryingAll(project: ProjectDocument, node: Element): string | null {
  let found: { key: string; weight: Specificity } | null = null;
  for (const [key, element] of Object.entries(project.elements)) {
    for (const selector of selectorsOf(project, lasting(element))) {
      if (!node.matches(selector)) continue;
      const weight = ruleSpecificity(project, element, selector);
      if (!found || compareSpecificity(weight, found.weight) >= 0) found = { key, weight };
    }
  }
  return found?.key ?? null;
}

const SELECTORS = [
  '*',
  'p',
  'P',
  'em',
  '.a',
  '.A',
  '.b.a',
  '#x',
  '#X.a',
  'div > p',
  'p, em.a',
  ':is(p, .b)',
  ':not(.a)',
  'p:first-child',
  '[class]',
  '*.b',
  '.a em',
  '.c\\:d',
  'p:is(.a, em)',
  ':where(#x) p',
];
const NODES = [
  '<p class=a>1</p>',
  '<p class="b a" id=x>1<em class=a>2</em></p>',
  '<div class=A><p>1</p><p class="c:d">2</p></div>',
  '<em id=X class=b>1</em>',
  '<p class=".a">1</p>',
];

describe('which text element a node is', () => {
  test.each(['BackCompat', 'CSS1Compat'])('is what trying every selector finds, in %s', (mode) => {
    const page = document.implementation.createHTMLDocument();
    expect(page.compatMode).toBe('CSS1Compat');
    if (mode === 'BackCompat') page.doctype?.remove();
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom(...NODES), { minLength: 1, maxLength: 6 }),
        fc.array(fc.subarray(SELECTORS, { minLength: 1, maxLength: 3 }), {
          minLength: 1,
          maxLength: 8,
        }),
        fc.constantFrom('none', 'own', 'over'),
        fc.subarray(['.b p', 'em', '#x']),
        (nodes, lists, weight, leave) => {
          page.body.innerHTML = nodes.join('');
          const empty = seatedDocument();
          const project: ProjectDocument = {
            ...empty,
            delivery: { ...empty.delivery, weight, leave },
            elements: Object.fromEntries(
              lists.map((selectors, i) => [
                `e${i}`,
                { name: `E ${i}`, selectors, style: 'body', parent: null },
              ]),
            ),
          };
          for (const node of page.body.querySelectorAll('*')) {
            expect(elementAt(project, node)).toBe(tryingAll(project, node));
          }
        },
      ),
      { numRuns: 200 },
    );
  });

  test('tries on a node what may meet it alone, however many there are', () => {
    const empty = seatedDocument();
    const project: ProjectDocument = {
      ...empty,
      elements: Object.fromEntries(
        Array.from({ length: 500 }, (_, i) => [
          `e${i}`,
          { name: `E ${i}`, selectors: [`.part-${i}`], style: 'body', parent: null },
        ]),
      ),
    };
    const tried: string[] = [];
    const found = elementAt(project, {
      localName: 'p',
      id: '',
      classList: ['part-7'],
      matches: (selector) => tried.push(selector) > 0,
    });
    expect(found).toBe('e7');
    expect(tried).toEqual(['.part-7']);
  });
});
