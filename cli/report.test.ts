import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, test } from '@jest/globals';
import { BaselineError, heldToBaseline, writeBaseline } from './baseline';
import { fails, type Finding, type Findings } from './findings';
import { report } from './report';

const finding = (more: Partial<Finding> = {}): Finding => ({
  rule: 'drift/font-size',
  severity: 'error',
  message: 'Heading 1: font-size is 30 px on the site and 42 px in the project',
  remedy: '',
  at: [
    {
      page: 'The log',
      words: 'Fog & <rain>',
      selector: 'main > h1',
      sheet: 'css/own site.css',
      line: 12,
      says: 'font-size: 30px',
    },
  ],
  key: 'h1|font-size|1280|42 px|30 px|The log',
  ...more,
});
const found = (...findings: Finding[]): Findings => ({
  name: 'Tarnholm "Light"',
  findings,
  sum: 'Tarnholm Light: 3 of 4 texts follow',
  more: { texts: 4 },
});
const NOTE = finding({ severity: 'note', key: 'note', message: 'Left open' });

describe('a report', () => {
  test('says to people what was found, where, and by what', () => {
    expect(report('text', found(finding()))).toBe(
      [
        '- error: Heading 1: font-size is 30 px on the site and 42 px in the project',
        '  The log: “Fog & <rain>”, by main > h1 in css/own site.css, line 12, font-size: 30px',
        'Tarnholm Light: 3 of 4 texts follow',
      ].join('\n'),
    );
    const many = finding({ at: Array.from({ length: 8 }, (_, i) => ({ page: `Page ${i}` })) });
    expect(report('text', found(many))).toMatch(/Page 4\n {2}and 3 more\n/);
  });

  test('as SARIF has the file and the line, the severity, and what is known', () => {
    const sarif = JSON.parse(report('sarif', found(finding(), { ...NOTE, known: true }))) as {
      runs: { results: Record<string, unknown>[] }[];
    };
    const [first, second] = sarif.runs[0]?.results ?? [];
    expect(first).toMatchObject({
      level: 'error',
      locations: [
        {
          physicalLocation: {
            artifactLocation: { uri: 'css/own%20site.css' },
            region: { startLine: 12 },
          },
        },
      ],
    });
    expect(first).not.toHaveProperty('baselineState');
    expect(second).toMatchObject({ level: 'note', baselineState: 'unchanged' });
  });

  test('as XML for test runners is well formed whatever the texts hold', () => {
    const odd = finding({ message: 'a "b" <c> & \u0001 d', aside: 'why', key: 'odd' });
    const xml = report('junit', found(finding(), odd));
    expect(xml).toContain('tests="3" failures="1" skipped="1"');
    expect(xml).toContain('name="Tarnholm &#34;Light&#34;"');
    expect(xml).toContain('&#60;rain&#62;');
    expect(xml).toContain('a &#34;b&#34; &#60;c&#62; &#38;  d');
    expect(xml.match(/<testcase/g)).toHaveLength(3);
    expect(xml.replace(/<[^<>]*>/g, '')).not.toMatch(/[<>]/);
  });
});

describe('what makes a command end with 1', () => {
  test.each<[Parameters<typeof fails>[1], boolean, boolean]>([
    ['error', true, false],
    ['warning', true, false],
    ['note', true, true],
    ['never', false, false],
  ])('from %s on', (failOn, error, note) => {
    expect(fails(found(finding()), failOn)).toBe(error);
    expect(fails(found(NOTE), failOn)).toBe(note);
    expect(fails(found(finding({ aside: 'why' })), failOn)).toBe(false);
    expect(fails(found(finding({ known: true })), failOn)).toBe(false);
  });
});

describe('a baseline', () => {
  const path = join(mkdtempSync(join(tmpdir(), 'lettera-baseline-')), 'known.json');

  test('makes what was there known, and tells what is new and what is gone', async () => {
    await writeBaseline(found(finding(), NOTE), path);
    const held = await heldToBaseline(found(finding(), finding({ key: 'new' })), path);
    expect(held.findings.map(({ known }) => known)).toEqual([true, undefined]);
    expect(held.gone).toBe(1);
    expect(fails(held, 'error')).toBe(true);
    expect(report('text', held)).toMatch(
      /follow, 1 known by the baseline, 1 of the baseline is there no more$/,
    );
    expect(fails(await heldToBaseline(found(finding()), path), 'note')).toBe(false);
    expect(JSON.parse(readFileSync(path, 'utf8'))).toMatchObject({ format: 'lettera-baseline' });
  });

  test.each([
    ['no JSON', '{', 'it is not JSON'],
    ['something else', '{"a": 1}', 'no baseline of Lettera’s'],
    ['null', 'null', 'no baseline of Lettera’s'],
    [
      'one of another version',
      '{"format": "lettera-baseline", "version": 2, "known": []}',
      'a baseline of version 2',
    ],
  ])('that is %s is refused', async (_what, text, why) => {
    writeFileSync(path, text);
    const held = heldToBaseline(found(), path);
    await expect(held).rejects.toThrow(BaselineError);
    await expect(held).rejects.toThrow(why);
  });
});
