import { describe, expect, test } from '@jest/globals';
import { parseFragment, type DefaultTreeAdapterTypes } from 'parse5';
import { selectorsFault } from '../css';
import { example } from './example';

type Node = DefaultTreeAdapterTypes.ChildNode;

/** Every element of a piece of HTML as a browser builds it: `ul>li.x`. */
function elements(nodes: readonly Node[], above = ''): string[] {
  return nodes.flatMap((node) => {
    if (!('tagName' in node)) return [];
    const classes = node.attrs.find(({ name }) => name === 'class')?.value.replaceAll(' ', '.');
    const own = `${above}${node.tagName}${classes ? `.${classes}` : ''}`;
    return [own, ...elements(node.childNodes, `${own}>`)];
  });
}
const built = (...selectors: string[]) =>
  elements(parseFragment(example(selectors, 'One', 'Two')).childNodes);

describe('an example', () => {
  test.each([
    ['h1', 'h1'],
    ['.lead', 'p.lead'],
    ['em', 'p>em'],
    ['a:not(.button)', 'p>a'],
    ['p.small.quiet', 'p.small.quiet'],
    ['pre code', 'pre>code'],
    ['nav a', 'nav>p>a'],
    ['.card h2', 'div.card>h2'],
    ['th', 'table>thead>tr>th'],
    ['table.tides td', 'table.tides>table>tbody>tr>td'],
    ['li', 'ul>li'],
    ['dd', 'dl>dd'],
    ['figcaption', 'figure>figcaption'],
    ['legend', 'fieldset>legend'],
    ['button.send', 'button.send'],
    ['textarea', 'textarea'],
    ['blockquote', 'blockquote'],
    ['tide-table', 'p'],
    ['*', 'p'],
  ])('of %s holds %s', (selector, element) => {
    // A table within a table is not what HTML builds; the class alone stands around it then.
    const expected = element.replace('table.tides>table', 'div.tides>table');
    expect(built(selector)).toContain(expected);
  });

  test.each([
    'script',
    'style',
    'SCRIPT',
    'iframe',
    'body > script',
    ':is(style)',
    'object',
    'link',
  ])('never makes what %s names', (selector) => {
    const made = built(selector).join(' ');
    expect(made).not.toMatch(/script|style|iframe|object|link/);
  });

  test('keeps classes classes, whatever is in them', () => {
    const selector = '.a\\"\\>\\<img\\ src\\=x\\ onerror\\=b\\>';
    expect(selectorsFault('.a\\"\\>b')).toBeNull();
    expect(built(selector)).toHaveLength(2);
    expect(example([selector], 'One', 'Two')).not.toContain('<img');
  });
});
