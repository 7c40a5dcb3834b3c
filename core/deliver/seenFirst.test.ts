import { describe, expect, test } from '@jest/globals';
import type { ProjectDocument } from '../document/projectDocument';
import { plansOf, seatedDocument } from '../testing/documents';
import { elementsSeenFirst, firstFonts, fontBytesFirst, preloadedFonts } from './seenFirst';

const names = (files: readonly { path: string }[]): string[] =>
  files.map(({ path }) => path.replace(/^fonts\/|\.woff2$/g, ''));
const delivering = (first?: string[]): ProjectDocument => {
  const document = seatedDocument();
  return first ? { ...document, delivery: { ...document.delivery, first } } : document;
};
const { delivery } = plansOf(seatedDocument());
const seen = (areas: Record<string, number>): string[] =>
  elementsSeenFirst(seatedDocument(), delivery, new Map(Object.entries(areas)));

describe('what is fetched at once', () => {
  test('is what sets the body and the first heading while no page has told', () => {
    expect(names(preloadedFonts(delivering(), delivery))).toEqual([
      'literata-200-900-normal-latin',
      'archivo-700-normal-latin',
    ]);
  });

  test('is what sets the elements that were seen first, each file once, unknown ones left out', () => {
    expect(names(preloadedFonts(delivering(['h1', 'h2', 'gone']), delivery))).toEqual([
      'archivo-700-normal-latin',
    ]);
    expect(preloadedFonts(delivering([]), delivery)).toEqual([]);
  });

  test('and all that a page of the site’s first language fetches, follow the language’s letters', () => {
    const greek = { ...seatedDocument(), languages: ['el', 'en'] };
    expect(names(firstFonts(seatedDocument(), delivery))).toContain('archivo-700-normal-latin');
    expect(names(firstFonts(greek, delivery)).filter((name) => name.endsWith('latin'))).toEqual([]);
  });

  test('has its bytes told only once its files are made', () => {
    const unmade = { files: delivery.files.map((file) => ({ ...file, bytes: null })) };
    expect(fontBytesFirst(seatedDocument(), unmade)).toBeNull();
    const [first1, ...others] = delivery.files;
    const all = (bytes: number) => others.map((file) => ({ ...file, bytes }));
    const partly = { files: [...(first1 ? [{ ...first1, bytes: null }] : []), ...all(1)] };
    const isPreloaded = preloadedFonts(seatedDocument(), delivery).some((one) => one === first1);
    expect(isPreloaded).toBe(false);
    expect(fontBytesFirst(seatedDocument(), partly)).toBeNull();
    const made = { files: delivery.files.map((file) => ({ ...file, bytes: 10_000 })) };
    const first = fontBytesFirst(seatedDocument(), made);
    expect(first?.preloadedBytes).toBe(20_000);
    expect(first?.fontBytes).toBe(10_000 * firstFonts(seatedDocument(), made).length);
  });
});

describe('the elements whose files are worth fetching first', () => {
  test('are one for each file, that which sets most of it', () => {
    expect(seen({ h3: 30, h2: 40, body: 60, link: 10 })).toEqual(['h2', 'body']);
  });

  test('are no more once four fifths are served', () => {
    expect(seen({ body: 80, h1: 20 })).toEqual(['body']);
    expect(seen({ body: 79, h1: 21 })).toEqual(['body', 'h1']);
  });

  test('are three at most', () => {
    expect(seen({ body: 30, h1: 26, emphasis: 22, button: 22 })).toEqual([
      'body',
      'h1',
      'emphasis',
    ]);
  });

  test('are none where nothing is seen in a file of the bundle', () => {
    expect(seen({})).toEqual([]);
    expect(seen({ code: 100 })).toEqual([]);
  });
});
