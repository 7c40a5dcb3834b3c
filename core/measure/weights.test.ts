import { describe, expect, test } from '@jest/globals';
import { measuresAt, weightsMeasured } from './weights';
import { familySheet } from './familySheet';
import { bytesAt, fixed, measured, variable } from './testing/faces';

describe('measures at a weight', () => {
  test.each(['source-serif-4', 'syne', 'archivo', 'karla', 'mulish'])(
    '%s between the weights that are measured is as it is when measured there',
    async (id) => {
      const file = bytesAt(variable(id));
      const { measures } = await familySheet({ files: [file], weight: 400 }, null, [
        { file, weights: weightsMeasured({ style: 'normal', weightMin: 400, weightMax: 800 }) },
      ]);
      for (const weight of [400, 450, 680, 750]) {
        const [between, there] = [
          measuresAt(measures, weight),
          await measured(variable(id), { wght: weight }),
        ];
        for (const key of ['colour', 'width', 'contrast'] as const) {
          expect(Math.abs((between[key] ?? 0) / (there[key] ?? 1) - 1)).toBeLessThan(0.05);
        }
      }
    },
  );

  test('beyond the last weight it is the last, and a family of one weight has that', async () => {
    const file = bytesAt(fixed('anton'));
    const one = await familySheet({ files: [file], weight: 400 }, null, [{ file, weights: [400] }]);
    expect(measuresAt(one.measures, 900)).toEqual(measuresAt(one.measures, 400));
    expect(measuresAt(one.measures, 700)).toEqual(one.measures.regular);
    expect(weightsMeasured({ style: 'normal', weightMin: 400, weightMax: 400 })).toEqual([400]);
    expect(weightsMeasured({ style: 'normal', weightMin: 450, weightMax: 450 })).toEqual([450]);
    expect(weightsMeasured({ style: 'normal', weightMin: 250, weightMax: 500 })).toEqual([
      300, 400, 500,
    ]);
  });
});
