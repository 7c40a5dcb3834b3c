/** @jest-environment jsdom */
import { describe, expect, test } from '@jest/globals';
import { applyChange } from '@lettera/core/change';
import type { ProjectDocument } from '@lettera/core/document';
import { atOnce, type Account } from '@lettera/core/page';
import { rulesOfPage } from '../../../core/page/siteRules';
import { elementAt } from '@lettera/core/style';
import { seatedDocument } from '../../../core/testing/documents';
import { waysRound, waysToWin, type TriedOn, type Trying } from './leastToWin';
import { pageAccount } from './pageCascade';

const account = (following: number): Account<string> => ({
  texts: 10,
  following,
  left: 0,
  overruling: [],
});
const found = <Node>(trying: Trying<Node>) => [...trying].flatMap((way) => way ?? []);
/** A page on which so many texts follow, by what the delivery has: `before outside none`. */
const page = (
  document: ProjectDocument,
  now: number,
  by: Record<string, number>,
  layers: string[] = [],
): TriedOn<string> => ({
  document,
  now: account(now),
  layers,
  *accountWith({ delivery: { linked = 'before', layer, weight = 'none', siteLayer } }) {
    yield;
    return account(
      by[[linked, layer ?? 'outside', weight, ...(siteLayer ? ['theirs'] : [])].join(' ')] ?? 0,
    );
  },
});

describe('the least that would win', () => {
  const document = seatedDocument();

  test('are the ways that win more, the least force first', () => {
    const ways = found(
      waysToWin(
        page(
          document,
          3,
          {
            'after lettera none': 3,
            'after parts none': 4,
            'before outside none': 5,
            'before outside own': 5,
            'after outside own': 6,
            'before outside over': 9,
            'before outside none theirs': 10,
          },
          ['base', 'parts'],
        ),
      ),
    );
    expect(ways.map(({ says, won }) => [says, won])).toEqual([
      ['linked after your own, in your layer “parts”', 4],
      ['outside any cascade layer', 5],
      ['outside any layer, with the weight of their selectors, linked after your own', 6],
      ['outside any layer, over classes', 9],
      ['outside any layer, and your own style sheets in a layer “site”', 10],
    ]);
    const after = applyChange(document, ways[3]?.patch ?? []).document;
    expect(after.delivery).toMatchObject({ layer: null, weight: 'over' });
  });

  test('are none where nothing wins more', () => {
    expect(found(waysToWin(page(document, 9, { 'before outside over': 9 })))).toEqual([]);
  });
});

describe('the ways round one rule', () => {
  const project = seatedDocument();
  const render = (css: string, html: string, document = project): TriedOn<Element> => {
    window.document.body.innerHTML = html;
    const rules = rulesOfPage([{ path: 'site.css', media: '' }], new Map([['site.css', css]]));
    // jsdom knows no `CSS.supports`.
    const view = window as unknown as { CSS: { supports: () => boolean }; matchMedia: unknown };
    view.CSS = { supports: () => true };
    const accountWith = (of: ProjectDocument) => pageAccount(of, window.document, rules);
    return { document, now: atOnce(accountWith(document)), accountWith, layers: [] };
  };
  const round = (on: TriedOn<Element>, selector: string) => {
    const one = on.now.overruling.find(
      ({ by }) => by !== 'browser' && by.by === 'page' && by.selector === selector,
    );
    if (!one) throw new Error(`Nothing overrules by ${selector}.`);
    const ways = waysRound(one, on, (node) =>
      elementAt(on.document, {
        localName: node.localName,
        id: node.id,
        classList: node.classList,
        matches: (text) => text !== 'body' && node.matches(text),
      }),
    );
    return found(ways).map(({ says, won, account: { following, left } }) => ({
      says,
      won,
      following,
      left,
    }));
  };
  const PAGE = '<h2>One</h2><section class=card><h2>Two</h2><p>Three</p></section>';

  test('name the elements that it overrules, and can leave its texts alone', () => {
    const on = render('#x h2, .card h2 { font-size: 40px } .card p { color: red }', PAGE);
    expect(on.now).toMatchObject({ texts: 3, following: 1 });
    expect(round(on, '.card h2')).toEqual([
      { says: 'outside any layer, over classes', won: 1, following: 2, left: 0 },
      { says: 'with !important on Heading 2', won: 1, following: 2, left: 0 },
      { says: 'that leave these texts alone', won: 0, following: 1, left: 1 },
    ]);
  });

  test('name what wins against an id, and offer nothing that does not win', () => {
    const id = render('#head { font-size: 40px }', '<h1 id=head>One</h1>');
    expect(round(id, '#head').map(({ says }) => says)).toEqual([
      'outside any layer, and your own style sheets in a layer “site”',
      'with !important on Heading 1',
      'that leave these texts alone',
    ]);
    const css = '#head { font-size: 40px !important }';
    const layered = render(css, '<h1 id=head>One</h1>');
    // What is important in a layer wins against what is so outside.
    expect(round(layered, '#head').map(({ says }) => says)).toEqual([
      'with !important on Heading 1',
      'that leave these texts alone',
    ]);
    const free = applyChange(project, [{ op: 'replace', path: '/delivery/layer', value: null }]);
    const outside = render(css, '<h1 id=head>One</h1>', free.document);
    expect(round(outside, '#head').map(({ says }) => says)).toEqual([
      'that leave these texts alone',
    ]);
  });

  test('what is left alone is the whole of it, whoever says the rest', () => {
    const { accountWith } = render('.card h2 { font-size: 40px } h2 { font-weight: 300 }', PAGE);
    const left = applyChange(project, [
      { op: 'add', path: '/delivery/leave', value: ['.card h2'] },
    ]).document;
    const { texts, following, left: alone, overruling } = atOnce(accountWith(left));
    expect([texts, following, alone]).toEqual([3, 1, 1]);
    expect(overruling.map(({ texts: nodes }) => nodes.map((node) => node.textContent))).toEqual([
      ['One'],
    ]);
  });
});
