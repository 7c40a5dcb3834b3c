import { Buffer } from 'node:buffer';
import { runInNewContext } from 'node:vm';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { plansOf, seatedDocument } from '../../testing/documents';
import { bundleFiles } from '../bundle';
import { countedAs, stackCounted, visitFigures, visitIn, visitsScript, type Visit } from './index';

const VISIT: Visit = {
  voices: { 'text@01234567': { drawn: 0, local: 2 }, 'heading@89abcdef': { drawn: 1, local: 1 } },
  text: 4,
  faces: 11,
  shift: 3,
};

describe('a visit that is sent', () => {
  test('is taken as the script tells it', () => {
    expect(visitIn(JSON.parse(JSON.stringify(VISIT)))).toEqual(VISIT);
    expect(visitIn({ ...VISIT, text: null, shift: null })).toMatchObject({
      text: null,
      shift: null,
    });
    // What it tells besides is left out.
    expect(visitIn({ ...VISIT, who: 'me' })).toEqual(VISIT);
    // Figures beyond all measure are counted as the largest.
    expect(visitIn({ ...VISIT, text: 1e9 })?.text).toBe(300);
  });

  test.each<[string, unknown]>([
    ['nothing', null],
    ['a text', 'visit'],
    ['no voices', { ...VISIT, voices: 7 }],
    ['a voice of another kind', { ...VISIT, voices: { 'a/b': { drawn: 0, local: 1 } } }],
    ['a voice of the language', { ...VISIT, voices: { __proto__x: { drawn: 0, local: 1 } } }],
    [
      'an entry that no stack has',
      { ...VISIT, voices: { 'text@01234567': { drawn: 31, local: 1 } } },
    ],
    [
      'an entry below the first',
      { ...VISIT, voices: { 'text@01234567': { drawn: -1, local: 1 } } },
    ],
    ['half an entry', { ...VISIT, voices: { 'text@01234567': { drawn: 0.5, local: 1 } } }],
    ['a time before the visit', { ...VISIT, text: -1 }],
    ['a time in words', { ...VISIT, faces: 'soon' }],
    ['no shift at all', { voices: {}, text: 1, faces: 2 }],
    [
      'more voices than a site has',
      {
        ...VISIT,
        voices: Object.fromEntries(
          Array.from({ length: 13 }, (_, i) => [`v${i}@01234567`, VISIT.voices['text@01234567']]),
        ),
      },
    ],
  ])('is none: %s', (_, sent) => {
    expect(visitIn(sent)).toBeNull();
  });

  test('never ends in an error, whatever it is', () => {
    fc.assert(
      fc.property(fc.jsonValue(), (sent) => {
        const visit = visitIn(sent);
        if (visit) expect(countedAs(visit).length).toBeLessThan(30);
      }),
    );
  });
});

describe('figures of many', () => {
  test('are sums by entry and the middle of times and shifts', () => {
    const all = [VISIT, VISIT, { ...VISIT, text: 30, shift: 0, faces: null }];
    const times = new Map<string, number>();
    for (const what of all.flatMap(countedAs)) times.set(what, (times.get(what) ?? 0) + 1);
    const counted = [...times].map(([what, often]) => ({ what, times: often }));
    expect(visitFigures(counted)).toEqual({
      visits: 3,
      voices: {
        'text@01234567': { drawn: [3], local: [0, 0, 3] },
        'heading@89abcdef': { drawn: [0, 3], local: [0, 3] },
      },
      text: 0.4,
      faces: 1.1,
      shift: 0.03,
    });
    expect(visitFigures([])).toEqual({
      visits: 0,
      voices: {},
      text: null,
      faces: null,
      shift: null,
    });
  });
});

describe('a stack', () => {
  const names = (...all: string[]) => all.map((name) => ({ name }));

  test('is counted under another name when its entries are others', () => {
    const one = stackCounted('text', names('Literata', 'Georgia', 'serif'));
    expect(one).toMatch(/^text@[0-9a-f]{8}$/);
    expect(stackCounted('text', names('Literata', 'Georgia', 'serif'))).toBe(one);
    expect(stackCounted('text', names('Georgia', 'Literata', 'serif'))).not.toBe(one);
    expect(stackCounted('heading', names('Literata', 'Georgia', 'serif'))).not.toBe(one);
    // FNV-1a of nothing is its offset basis.
    expect(stackCounted('text', names())).toBe('text@811c9dc5');
  });
});

describe('the script', () => {
  const document = seatedDocument();
  const { fallback: plan } = plansOf(document);
  const counting = {
    ...document,
    delivery: { ...document.delivery, visits: 'https://count.example.org/type' },
  };

  test('is in the bundle only where it is wanted, and in the head', () => {
    const paths = (of: typeof document) => bundleFiles(of, plansOf(of), {}).map(({ path }) => path);
    expect(paths(document)).not.toContain('visits.js');
    expect(paths(counting)).toContain('visits.js');
    const head = bundleFiles(counting, plansOf(counting), {}).find(
      ({ path }) => path === 'head.html',
    );
    expect(head).toMatchObject({ content: expect.stringContaining('src="visits.js" defer') });
  });

  test('is two kilobytes at most but for the names of the stacks, and stands alone', () => {
    const script = visitsScript(document, plan, '/type');
    const stacks = /const stacks = (.*);\n/.exec(script)?.[1] ?? '';
    expect(Buffer.byteLength(script) - stacks.length).toBeLessThanOrEqual(2048);
    expect(Object.keys(JSON.parse(stacks) as object)).toContainEqual(
      expect.stringMatching(/^text@[0-9a-f]{8}$/),
    );
    const added: string[] = [];
    runInNewContext(script, { addEventListener: (name: string) => added.push(name) });
    expect(added).toEqual(['load']);
  });

  test('ends in no script element, whatever a family is called', () => {
    expect(visitsScript(document, plan, '/</script><script>')).not.toContain('</script');
  });
});
