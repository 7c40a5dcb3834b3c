import { createHash } from 'node:crypto';
import { describe, expect, test } from '@jest/globals';
import { generate, parse } from 'css-tree';
import fc from 'fast-check';
import { stylesheet } from '../deliver/stylesheet';
import { plansOf, seatedDocument } from '../testing/documents';
import { liveSheet, ruleChanges, topRules, withChanges } from './index';

const hash = (text: string): string => createHash('sha256').update(text).digest('hex');

/** The rules of a style sheet by another parser, each as it writes it. */
function byParser(css: string): string[] {
  const sheet = parse(css);
  if (sheet.type !== 'StyleSheet') throw new Error('no style sheet');
  return sheet.children
    .toArray()
    .filter(({ type }) => type !== 'Comment')
    .map((rule) => generate(rule));
}
const plain = (rule: string): string => generate(parse(rule));

describe('the rules at the top of a style sheet', () => {
  test('are those that another parser finds', () => {
    const document = seatedDocument();
    const css = stylesheet(document, plansOf(document));
    const rules = topRules(css);
    expect(rules.length).toBeGreaterThan(3);
    expect(rules.map(plain)).toEqual(byParser(css));
  });

  test.each([
    ['a string with braces', 'a{content:"}{\\"}"}b{c:d}', ['a{content:"}{\\"}"}', 'b{c:d}']],
    ['a comment with braces', '/* { */a{/* } */b:c}', ['a{/* } */b:c}']],
    [
      'statements',
      '@import url("x;y");@layer a, b;c{d:e}',
      ['@import url("x;y");', '@layer a, b;', 'c{d:e}'],
    ],
    ['rules in rules', '@media x{a{b:c}}d{e:f}', ['@media x{a{b:c}}', 'd{e:f}']],
    ['one that does not end', 'a{b:c}d{"', ['a{b:c}', 'd{"']],
    ['nothing', ' /* no */ ', []],
  ])('with %s', (_, css, rules) => {
    expect(topRules(css)).toEqual(rules);
  });

  test('in time that is linear in the length', () => {
    const time = (many: number): number => {
      const css = 'a{b:"\\""}/*{*/'.repeat(many);
      const start = performance.now();
      expect(topRules(css)).toHaveLength(many);
      return performance.now() - start;
    };
    time(2000);
    const [once, four] = [time(20_000), time(80_000)];
    expect(four).toBeLessThan(once * 8 + 50);
  });
});

describe('what makes one list of rules of another', () => {
  const lists = fc.array(fc.constantFrom(...'abcdefgh'), { maxLength: 14 });

  test('makes it', () => {
    fc.assert(
      fc.property(lists, lists, (before, after) => {
        expect(withChanges(before, ruleChanges(before, after))).toEqual(after);
      }),
      { numRuns: 500 },
    );
  });

  test('touches nothing of what stays in its order', () => {
    const before = ['face', 'tokens', 'a', 'b', 'c'];
    const after = ['face', 'others', 'a', 'b', 'new', 'c'];
    expect(ruleChanges(before, after)).toEqual([
      [1, 1, ['others']],
      [4, 0, ['new']],
    ]);
    expect(ruleChanges(before, before)).toEqual([]);
    expect(ruleChanges(before, ['face', 'c'])).toEqual([[1, 3, []]]);
  });
});

describe('a live sheet', () => {
  test('is the delivered one, with files under names that are made of what they hold', () => {
    const document = seatedDocument();
    const plans = plansOf(document);
    const { rules, files } = liveSheet(document, plans, hash);
    expect(files.size).toBe(new Set(plans.delivery.files.map(({ source }) => source)).size);
    const css = rules.join('\n');
    for (const name of files.keys()) {
      expect(name).toMatch(/^[0-9a-f]{32}\.woff2$/);
      expect(css).toContain(`url("fonts/${name}")`);
    }
    // Nothing but the names of files is otherwise.
    const renamed = (text: string): string => text.replace(/url\("fonts\/[^"]+"\)/g, 'url()');
    expect(topRules(renamed(css))).toEqual(topRules(renamed(stylesheet(document, plans))));
  });

  test('names another file when what is cut from it is another', () => {
    const document = seatedDocument();
    const { delivery, fallback } = plansOf(document);
    const cut = (characters: string) => ({
      fallback,
      delivery: {
        ...delivery,
        files: delivery.files.map((file) => ({
          ...file,
          cut: { axes: {}, characters, features: null },
        })),
      },
    });
    const namesOf = (characters: string) => [
      ...liveSheet(document, cut(characters), hash).files.keys(),
    ];
    expect(namesOf('U+41')).toEqual(namesOf('U+41'));
    expect(namesOf('U+41')).not.toEqual(namesOf('U+42'));
  });
});
