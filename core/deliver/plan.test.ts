import { describe, expect, test } from '@jest/globals';
import type { Axis } from '../font/reading';
import { applyChange } from '../change';
import { face, family, seatedDocument } from '../testing/documents';
import { casePlan, cutName, cutOf, deliveryPlan, madeKey, totalBytes } from './plan';

const axis = (min: number, max: number): Axis => ({ tag: 'wght', min, default: 400, max });
const SOURCE = 'a'.repeat(64);

/** The upright of the text family, as it is planned when its file reads so. */
const planned = (
  place: { weightMin: number; weightMax: number },
  reading?: { format: 'woff2' | 'ttf'; axes: Axis[] },
  made: Record<string, number> = {},
) => {
  const document = seatedDocument();
  const [upright] = document.case['literata']?.faces ?? [];
  Object.assign(upright ?? {}, place);
  const readings = reading ? { [SOURCE]: reading } : {};
  return deliveryPlan(document, { readings, made }).files.find(({ source }) => source === SOURCE);
};

describe('a file that the site loads', () => {
  const whole = { weightMin: 200, weightMax: 900 };

  test('is delivered as it was taken in where nothing is to be done', () => {
    expect(planned(whole)).toMatchObject({ cut: null, bytes: 20_000 });
    expect(planned(whole, { format: 'woff2', axes: [axis(200, 900)] })?.cut).toBeNull();
    expect(
      planned({ weightMin: 400, weightMax: 400 }, { format: 'woff2', axes: [] })?.cut,
    ).toBeNull();
    const other = { tag: 'wdth', min: 75, default: 100, max: 125 };
    expect(
      planned({ weightMin: 400, weightMax: 400 }, { format: 'woff2', axes: [other] })?.cut,
    ).toBeNull();
  });

  test('is packed where it is no WOFF2, and has no bytes before it is made', () => {
    const reading = { format: 'ttf', axes: [] } as const;
    const place = { weightMin: 400, weightMax: 400 };
    expect(planned(place, { ...reading, axes: [] })).toMatchObject({
      cut: { weights: null },
      bytes: null,
    });
    const made = { [madeKey(SOURCE, { weights: null })]: 7_000 };
    expect(planned(place, { ...reading, axes: [] }, made)?.bytes).toBe(7_000);
  });

  test.each([
    [{ weightMin: 400, weightMax: 700 }, [400, 700]],
    [{ weightMin: 200, weightMax: 700 }, [200, 700]],
    [{ weightMin: 400, weightMax: 900 }, [400, 900]],
    [{ weightMin: 650, weightMax: 650 }, [650, 650]],
    // What is claimed beyond the axis is not there to be kept.
    [{ weightMin: 100, weightMax: 300 }, [200, 300]],
    [{ weightMin: 100, weightMax: 1000 }, null],
    [{ weightMin: 950, weightMax: 1000 }, null],
  ])('is cut to the weights of its face, %j', (place, weights) => {
    const file = planned(place, { format: 'woff2', axes: [axis(200, 900)] });
    expect(file?.cut?.weights ?? null).toEqual(weights);
  });

  test('says what it is for', () => {
    expect(planned(whole)?.purpose).toBe('Literata 200 to 900, latin');
    expect(planned({ weightMin: 400, weightMax: 400 })?.purpose).toBe('Literata 400, latin');
  });

  test('has a path that no other has', () => {
    const document = seatedDocument();
    const twice = [face('normal', 400, 400, 'e'), face('normal', 400, 400, 'f')];
    document.case['literata'] = family('Literata', twice);
    const paths = deliveryPlan(document, { readings: {}, made: {} }).files.map(({ path }) => path);
    expect(new Set(paths).size).toBe(paths.length);
    expect(paths).toContain('fonts/literata-400-normal-latin-2.woff2');
  });

  test('is planned only where its family is in use', () => {
    const idle = applyChange(seatedDocument(), [
      { op: 'replace', path: '/voices/text/family', value: null },
    ]).document;
    const families = deliveryPlan(idle, { readings: {}, made: {} }).files.map(
      (file) => file.familyKey,
    );
    expect(families).not.toContain('literata');
    // What it would cost is known all the same, but for one that others serve.
    const cost = (document: typeof idle) =>
      casePlan(document, { readings: {}, made: {} }).files.map((file) => file.familyKey);
    expect(cost(idle)).toContain('literata');
    const document = seatedDocument();
    Object.assign(document.case['literata'] ?? {}, {
      source: 'reference',
      reference: { stylesheet: 'https://type.tarnholm.example/s.css', standIn: 'Lora' },
    });
    expect(cost(document)).not.toContain('literata');
  });
});

test('a cut goes by one name there and back', () => {
  for (const cut of [{ weights: null }, { weights: [400, 700] as const }]) {
    expect(cutOf(cutName(cut))).toEqual(cut);
  }
  for (const name of ['', 'woff2 wght=4', 'woff2 wght=4:5 x', 'ttf']) {
    expect(() => cutOf(name)).toThrow(RangeError);
  }
});

test('bytes together are not known while one file’s are not', () => {
  expect(totalBytes([{ bytes: 2 }, { bytes: 3 }])).toBe(5);
  expect(totalBytes([{ bytes: null }, { bytes: 3 }])).toBeNull();
  expect(totalBytes([])).toBe(0);
});
