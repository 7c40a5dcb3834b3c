/** @jest-environment jsdom */
import { describe, expect, test } from '@jest/globals';
import { specificityOf } from '../css';
import { seatedDocument } from '../testing/documents';
import { elementAt } from './elementAt';
import { ruleSpecificity, selectorsOf, weighedSelector } from './ruleWeight';

const leaving = (leave: string[], weight: 'none' | 'own' | 'over' = 'none') => {
  const document = seatedDocument();
  return { ...document, delivery: { ...document.delivery, leave, weight } };
};

describe('what an element’s rule meets', () => {
  test('is what its selectors meet while nothing is left alone', () => {
    expect(selectorsOf(leaving([]), { selectors: ['h2', '.title'] })).toEqual(['h2', '.title']);
  });

  test('leaves out what is left alone, where that may be met at all', () => {
    expect(selectorsOf(leaving(['.card h2', 'nav a']), { selectors: ['h2', 'h3, .x'] })).toEqual([
      'h2:not(:where(.card h2))',
      'h3',
      '.x:not(:where(.card h2, nav a))',
    ]);
  });

  test.each(['none', 'own', 'over'] as const)('weighs as before with weight %s', (weight) => {
    const before = ruleSpecificity(leaving([], weight), {}, 'main h2');
    const [left = ''] = selectorsOf(leaving(['#a h2.b'], weight), { selectors: ['main h2'] });
    expect(left).not.toBe('main h2');
    expect(ruleSpecificity(leaving([], weight), {}, left)).toEqual(before);
    const written = weighedSelector(leaving(['#a h2.b'], weight), { selectors: ['main h2'] });
    expect(specificityOf(written)).toEqual(before);
  });

  test('is the same for the browser and for what a text is', () => {
    document.body.innerHTML = '<div class=card><h2 id=left>a</h2></div><h2 id=set>b</h2>';
    const project = leaving(['.card h2']);
    const element = project.elements['h2'];
    if (!element) throw new Error('The sample has an h2.');
    const met = [...document.querySelectorAll(weighedSelector(project, element))];
    expect(met.map(({ id }) => id)).toEqual(['set']);
    const node = (id: string) => document.getElementById(id) ?? document.body;
    expect(elementAt(project, node('left'))).toBeNull();
    expect(elementAt(project, node('set'))).toBe('h2');
    // What is left while it is pointed at is no less a heading at other times.
    const pointed = leaving(['.card:hover h2']);
    expect(elementAt(pointed, node('set'))).toBe('h2');
  });
});
