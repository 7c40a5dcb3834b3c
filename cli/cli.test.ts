import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { judgeProject, openServices, readConfig, type Services } from '@lettera/server';
import { documentErrors } from '@lettera/core/change';
import { marksOf } from '@lettera/core/check';
import { temporaryFolder } from '../server/testing/server';
import { loadSample } from './loadSample';
import { fails } from './findings';
import { markFindings } from './markFindings';
import { report } from './report';
import { projectNamed } from './projectNamed';
import { writeBundle } from './writeBundle';

let services: Services;
beforeAll(async () => {
  services = await openServices(readConfig({ data: temporaryFolder() }, {}));
});
afterAll(() => services.close());

test('the sample project is loaded once, valid, without a mark, and asks for its own permission', async () => {
  const first = await loadSample(services);
  const second = await loadSample(services);
  expect(second.id).toBe(first.id);
  expect(await services.projects.list()).toHaveLength(1);
  expect(first.slug).toBe('tarnholm-light');
  expect(first.foundry).toBeNull();
  expect(documentErrors(first.document)).toEqual([]);
  expect(marksOf(first.document)).toEqual([]);
  expect((await services.pages.list(first.id)).map(({ slug }) => slug)).toEqual([
    'home',
    'log-entry',
    'tides',
    'stay',
    'sheet',
  ]);
});

test('the command writes the same files as the bundle holds', async () => {
  const project = await loadSample(services);
  const folder = temporaryFolder();
  const written = await writeBundle(await services.deliveries.contents(project), folder);
  const expected = await services.deliveries.contents(project);
  expect(written).toEqual(Object.keys(expected));
  for (const [path, content] of Object.entries(expected)) {
    expect(readFileSync(join(folder, path)).equals(Buffer.from(content as Uint8Array))).toBe(true);
  }
  expect(readdirSync(folder).sort()).toEqual([
    'README.md',
    '_tokens.scss',
    'fonts',
    'head.html',
    'lettera.css',
    'licences',
    'specimen.html',
    'tokens.json',
  ]);
});

test('a check tells the marks for people, for programs and for tools that gather them', async () => {
  const sample = await loadSample(services);
  const clean = await judgeProject(services, sample);
  expect(clean.marks).toEqual([]);
  expect(report('text', markFindings(sample, clean))).toBe('Tarnholm Light Trust: 0 marks');

  const project = await services.projects.change(sample.id, sample.revision, [
    { op: 'replace', path: '/colours/quiet/light', value: '#b0b8bd' },
    { op: 'add', path: '/styles/lead/set/letterSpacing', value: 0.2 },
    { op: 'add', path: '/aside', value: { 'spaced-text:lead': 'A campaign of a week' } },
  ]);
  const judged = await judgeProject(services, project);
  expect(judged.marks.map(({ rule, style }) => `${rule} ${style}`)).toContain(
    'low-contrast caption',
  );
  expect(judged.aside.map(({ rule }) => rule)).toEqual(['spaced-text']);

  const text = report('text', markFindings(project, judged));
  expect(text).toMatch(/^- error: Caption: hard to read[^]*\n {2}Choose a colour/m);
  expect(text).toMatch(/: \d+ marks, 1 set aside$/);
  const json = JSON.parse(report('json', markFindings(project, judged))) as {
    findings: { rule: string; severity: string; aside?: string }[];
  };
  expect(json.findings).toHaveLength(judged.marks.length + 1);
  expect(json.findings.at(-1)?.aside).toBe('A campaign of a week');
  const contrast = json.findings.find(({ rule }) => rule === 'low-contrast');
  expect(contrast?.severity).toBe('error');
  expect(fails(markFindings(project, judged), 'error')).toBe(true);
  expect(fails(markFindings(project, judged), 'never')).toBe(false);
  expect(fails(markFindings(sample, { ...judged, marks: [] }), 'note')).toBe(false);
  // SARIF 2.1.0 §3.13, §3.27, §3.35: what a reader of it goes by.
  const sarif = JSON.parse(report('sarif', markFindings(project, judged))) as {
    version: string;
    runs: {
      tool: { driver: { rules: { id: string }[] } };
      results: {
        ruleId: string;
        message: { text: string };
        locations: { logicalLocations: { fullyQualifiedName: string }[] }[];
        suppressions?: { justification: string }[];
      }[];
    }[];
  };
  expect(sarif.version).toBe('2.1.0');
  const [run] = sarif.runs;
  const rules = run?.tool.driver.rules.map(({ id }) => id) ?? [];
  for (const { ruleId } of run?.results ?? []) expect(rules).toContain(ruleId);
  const caption = run?.results.find(({ ruleId }) => ruleId === 'low-contrast');
  expect(caption?.locations[0]?.logicalLocations[0]?.fullyQualifiedName).toMatch(
    /^Tarnholm Light Trust\/styles\//,
  );
  expect(run?.results.at(-1)?.suppressions?.[0]?.justification).toBe('A campaign of a week');
});

test('a project that is not there is named, with those that are', async () => {
  await expect(projectNamed(services, 'skerry')).rejects.toThrow(
    'There is no project “skerry”. There are: tarnholm-light.',
  );
});
