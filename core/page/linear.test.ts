import { describe, expect, test } from '@jest/globals';
import { structureOf } from '../css';
import { charactersOf } from './charactersOf';
import { cleanCss } from './cleanCss';
import { cleanHtml } from './cleanHtml';
import { filesOfReading } from './readerFile';
import { requestsOf } from './requestsOf';
import { SiteError } from './siteFile';
import { readTypeRules } from './typeRules';

/**
 * What a stranger sends is read in time that is linear in its length: twice as much takes at most two and a half
 * times as long.
 */

/** What is fast enough not to be compared, milliseconds: below it other things decide. */
const NO_TIME = 250;
/** How often each length is read: as often as it takes to see how little it takes, within these. */
const RUNS = { least: 3, most: 15 };

const html = (text: string) =>
  cleanHtml(text, {
    use: (address) => address,
    linked: () => undefined,
    standing: () => ({ address: 'a.css', removed: [] }),
  });
const css = (text: string) => cleanCss(text, () => null);
const rules = (text: string) =>
  readTypeRules([{ name: 'a.css', text, media: '' }], {
    properties: new Set(['font-size', 'color']),
    imported: () => null,
  });
const asked = (text: string) => requestsOf(new TextEncoder().encode(text), 'page');
const reading = (text: string) =>
  filesOfReading({
    path: 'a.json',
    bytes: new TextEncoder().encode(
      JSON.stringify({
        format: 'lettera-reading',
        version: 1,
        title: '',
        html: text,
        sheets: [],
        faces: [],
        views: [],
      }),
    ),
  });

/**
 * How long it takes, milliseconds of this process's own work, so that other work on the machine does not count; a
 * refusal is an answer too.
 */
function time(work: () => unknown): number {
  const start = process.cpuUsage();
  try {
    work();
  } catch (error) {
    if (!(error instanceof SiteError)) throw error;
  }
  const { user, system } = process.cpuUsage(start);
  return (user + system) / 1000;
}

const many = (n: number, one: (i: number) => string): string =>
  Array.from({ length: n }, (_, i) => one(i)).join('');

const HOSTILE: [what: string, read: (text: string) => unknown, n: number, (n: number) => string][] =
  [
    ['a page of backslashes', html, 80_000, (n) => `<p style="${'\\'.repeat(n)}">`],
    ['a style sheet of backslashes', css, 80_000, (n) => '\\'.repeat(n)],
    ['escaped addresses', css, 12_000, (n) => 'a{b:u\\72l(x)}'.repeat(n)],
    ['escaped addresses that do not end', css, 12_000, (n) => 'u\\72l('.repeat(n)],
    ['rules that might be declarations', structureOf, 6_000, (n) => `x{${'a:b{}'.repeat(n)}}`],
    ['declarations that might be rules', structureOf, 12_000, (n) => `x{${'a:{}'.repeat(n)}}`],
    ['brackets that do not close', structureOf, 40_000, (n) => 'x{a:('.repeat(n)],
    [
      'rules nested in lists',
      rules,
      400,
      (n) => many(n, () => 'a,b{c,d{e,f{g,h{font-size:1px}}}}'),
    ],
    ['lists nested in lists', rules, 40, (n) => `${'a,b{'.repeat(n)}font-size:1px`],
    [
      'a list nested in itself',
      rules,
      4_000,
      (n) => `${'a,'.repeat(n)}b{${'c,'.repeat(n)}d{color:red}}`,
    ],
    ['what stands for what is around it', rules, 30, (n) => `a{${'& & &{'.repeat(n)}color:red`],
    [
      'a condition around many rules',
      rules,
      4000,
      (n) =>
        `@media (min-width:1px)${' and (min-width:1px)'.repeat(n)}{${'a{color:red}'.repeat(n)}}`,
    ],
    [
      'layers within layers',
      rules,
      4_000,
      (n) => `@layer ${'a.'.repeat(n)}a{${'@layer b;'.repeat(n)}}`,
    ],
    ['scopes that end often', rules, 4_000, (n) => `@scope (${') to ('.repeat(n)}{a{color:red}}`],
    ['an import of brackets', rules, 4_000, (n) => `@import "a" supports(${'()('.repeat(n)};`],
    ['attributes of one element', html, 40_000, (n) => `<a ${many(n, (i) => `x${i} `)}>`],
    ['attributes of the body', html, 12_000, (n) => many(n, (i) => `<body x${i}>`)],
    ['elements in one another', html, 40_000, (n) => '<div>'.repeat(n)],
    ['formatting that goes on', html, 4_000, (n) => many(n, (i) => `<p><font x${i}>a`)],
    ['ends without a beginning', html, 20_000, (n) => `${'<span>'.repeat(400)}${'</x>'.repeat(n)}`],
    ['what a table puts out', html, 4_000, (n) => `${'<br>'.repeat(9)}<table>${'<br>x'.repeat(n)}`],
    ['style sheets that stand in a page', asked, 4_000, (n) => '<style></style>'.repeat(n)],
    ['heads that do not end', reading, 80_000, (n) => '<head '.repeat(n)],
    ['heads that do not close', reading, 80_000, (n) => '<head>'.repeat(n)],
    [
      'a page of many characters',
      (text) => charactersOf([{ html: text, css: text }]),
      40_000,
      (n) => '\\&'.repeat(n),
    ],
  ];

describe('hostile text of twice the length takes at most two and a half times as long', () => {
  test.each(HOSTILE)('%s', (_what, read, n, text) => {
    const texts = [text(n), text(2 * n)] as const;
    // In turn, and the least of each: what else the machine does adds to a time, and never takes away.
    let [first, second] = [Infinity, Infinity];
    const bound = () => Math.max(NO_TIME, 2.5 * first);
    for (let run = 0; run < RUNS.most && (run < RUNS.least || second >= bound()); run += 1) {
      first = Math.min(
        first,
        time(() => read(texts[0])),
      );
      second = Math.min(
        second,
        time(() => read(texts[1])),
      );
    }
    expect(second).toBeLessThan(bound());
  });
});
