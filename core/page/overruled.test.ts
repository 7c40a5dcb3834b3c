import { describe, expect, test } from '@jest/globals';
import type { Cascade, TypeProperty } from './cascade';
import { accountOf } from './overruled';
import { atOnce } from './pieces';

type Node = string;
/** What decides a property of a text, by the text and the property; the project where nothing is said. */
type Decided = Record<Node, Record<string, { at?: Node; by: string } | 'not ours'>>;

const property = (css: string): TypeProperty => ({
  css,
  inherited: true,
  inFontShorthand: false,
});
const PROPERTIES = [property('font-size'), property('color')];
const RULES = new Map<string, object>();
const ruleNamed = (name: string): object => {
  const rule = RULES.get(name) ?? { name };
  RULES.set(name, rule);
  return rule;
};

function account(decided: Decided, leave: readonly string[] = []) {
  const cascade = {
    isOurs: (node: Node, { css }: TypeProperty) => decided[node]?.[css] !== 'not ours',
    decided: (node: Node, css: string) => {
      const one = decided[node]?.[css];
      if (one === undefined || one === 'not ours') {
        return { node, declared: { by: 'project', element: 'p', value: '1px' } };
      }
      if (one.by === 'browser') return { node: one.at ?? node, declared: 'browser' };
      return { node: one.at ?? node, declared: { by: 'page', rule: ruleNamed(one.by) } };
    },
  } as unknown as Cascade<Node>;
  const found = atOnce(
    accountOf(
      cascade,
      Object.keys(decided),
      PROPERTIES,
      (node, selector) => node === selector,
      leave,
    ),
  );
  return {
    ...found,
    overruling: found.overruling.map(({ by, properties, texts }) => ({
      by:
        by === 'browser' || by.by === 'inline' ? by : (by.rule as unknown as { name: string }).name,
      properties,
      texts,
    })),
  };
}

describe('what overrules the project on a page', () => {
  test('is told by rule, what decides most texts first', () => {
    const found = account({
      a: {},
      b: { 'font-size': { by: 'one' } },
      c: { 'font-size': { by: 'two' }, color: { by: 'two' } },
      d: { color: { by: 'two' } },
      e: { color: { by: 'browser' } },
    });
    expect(found).toEqual({
      texts: 5,
      following: 1,
      left: 0,
      overruling: [
        { by: 'two', properties: ['font-size', 'color'], texts: ['c', 'd'] },
        { by: 'one', properties: ['font-size'], texts: ['b'] },
        { by: 'browser', properties: ['color'], texts: ['e'] },
      ],
    });
  });

  test('is nothing in what the project does not set', () => {
    expect(account({ a: { color: 'not ours', 'font-size': 'not ours' } })).toMatchObject({
      following: 1,
      overruling: [],
    });
  });

  test('is nothing where the page is left to it, which is counted apart', () => {
    const found = account(
      {
        a: { color: { by: 'one' } },
        // One of its properties is decided where it is left, the other is not.
        b: { color: { by: 'one', at: 'a' }, 'font-size': { by: 'two' } },
        c: {},
      },
      ['a'],
    );
    expect(found).toMatchObject({ texts: 3, following: 1, left: 1 });
    expect(found.overruling).toEqual([{ by: 'two', properties: ['font-size'], texts: ['b'] }]);
  });
});
