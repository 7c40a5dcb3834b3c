import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { structureOf, type Statement } from './structure';
import { runs } from '../testing/runs';

/** A structure in few words: `a{color:red}`, `@media x{…}`, nested ones within. */
const written = (statements: readonly Statement[]): string =>
  statements
    .map((one) => {
      if (one.kind === 'declaration') {
        return `${one.property}:${one.value}${one.important ? '!' : ''};`;
      }
      const head = one.kind === 'rule' ? one.prelude : `@${one.name}(${one.prelude})`;
      return one.body === null ? `${head};` : `${head}{${written(one.body)}}`;
    })
    .join('');

// CSS Syntax 3 §5.5 and §9, CSS Nesting 1 §2.
describe('the structure of CSS', () => {
  test.each<[string, string, string]>([
    ['a rule', 'a { color: red; }', 'a{color:red;}'],
    ['a declaration without its semicolon', 'a{color:red}', 'a{color:red;}'],
    ['what is important', 'a{color:red ! IMPORTANT}', 'a{color:red!;}'],
    ['names in any case', 'a{COLOR:Red;--X:Y}', 'a{color:Red;--X:Y;}'],
    ['escaped names', 'a{c\\6flor:red} @m\\65 dia x{}', 'a{color:red;}@media(x){}'],
    ['comments anywhere', '/*{*/a/*,b*/{/*;*/color/**/:/**/red/*}*/}', 'a{color:red;}'],
    ['a statement', '@import "a;b" x; a{}', '@import("a;b" x);a{}'],
    ['a rule in a rule', 'a{b{color:red} color:blue}', 'a{b{color:red;}color:blue;}'],
    [
      'a nested rule that begins like a declaration',
      'a{b:hover{color:red}}',
      'a{b:hover{color:red;}}',
    ],
    ['a nested rule behind a sign', 'a{&.b{} > c{} + d{} .e &{}}', 'a{&.b{}> c{}+ d{}.e &{}}'],
    ['a condition in a rule', 'a{@media x{color:red}}', 'a{@media(x){color:red;}}'],
    [
      'a custom property that holds a block',
      'a{--x:{b:c;d};color:red}',
      'a{--x:{b:c;d};color:red;}',
    ],
    ['what is in brackets', 'a{b:c(;});d:[;]} e:is(f{},g){}', 'a{b:c(;});d:[;];}e:is(f{},g){}'],
    ['what is quoted', 'a{b:"};{"}c{}', 'a{b:"};{";}c{}'],
    ['a declaration that is none', 'a{color red;b:c}', 'a{b:c;}'],
    ['one without a name', 'a{:red;b:c;;;}', 'a{b:c;}'],
    ['a bracket too many', 'a{b:c}}d{e:f}g{}', 'a{b:c;}}d{e:f;}g{}'],
    ['what is left open', 'a{b:c;@media x{d{e:f', 'a{b:c;@media(x){d{e:f;}}}'],
    ['a string that ends with the line', 'a{b:"c\n;d:e}f{}', 'a{b:"c;d:e;}f{}'],
    ['what hides from old browsers', '<!-- a{} -->', 'a{}'],
    ['a rule without a block', 'a{} b', 'a{}'],
    ['a custom property at the top', '--x:y{} a{}', 'a{}'],
    ['nothing', ' /* */ ', ''],
  ])('%s is read as browsers do', (_name, css, structure) => {
    expect(written(structureOf(css))).toBe(structure);
  });

  test('tells lines', () => {
    const [a, media] = structureOf('\na {}\n/*\n*/ @media x {\n b\n { c:\n d } }');
    expect(a?.line).toBe(2);
    expect(media?.line).toBe(4);
    const [b] = media?.kind === 'at' ? (media.body ?? []) : [];
    expect(b?.line).toBe(5);
  });

  test('ends, whatever it is given, and keeps its depth', () => {
    const piece = fc.constantFrom(
      ...'a b{ } ; : , ( ) [ ] " \' /* */ @media @layer & > ! important --x url( \\ <!-- --> \n # . 1px'.split(
        ' ',
      ),
    );
    fc.assert(
      fc.property(fc.array(piece, { maxLength: 60 }), (pieces) => {
        expect(Array.isArray(structureOf(pieces.join('')))).toBe(true);
      }),
      { numRuns: runs(2000) },
    );
    expect(structureOf('a{'.repeat(50_000))).toHaveLength(1);
    expect(structureOf('}'.repeat(50_000))).toHaveLength(0);
  });
});
