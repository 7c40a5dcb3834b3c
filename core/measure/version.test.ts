import { expect, test } from '@jest/globals';
import { fingerprint } from '../testing/fingerprint';
import { familySheet } from './familySheet';
import { MEASURES_VERSION } from './measureFace';
import { bytesAt } from './testing/faces';

/**
 * What is measured is kept under a version. Where it comes out otherwise, `MEASURES_VERSION` is raised, and what it
 * comes to now is written here beside it: a version is never used for two.
 */
const CAME_TO: Record<number, string> = {
  3: '6bd90967319d0144',
  4: '595f93ab22768263',
};

const font = (name: string) => bytesAt(`core/font/golden/tarnholm-${name}.otf`);

test('measures come out as this version of them is known to', async () => {
  const sheets = [];
  for (const name of ['slab', 'hairline', 'small-caps', 'test']) {
    const regular = { files: [font(name)], weight: 400 };
    const italic = { files: [font('hairline')], weight: 400 };
    const uprights = [{ file: font(name), weights: [400] }];
    const { measures, reading, characters, features, italicLetters } = await familySheet(
      regular,
      italic,
      uprights,
    );
    sheets.push({ measures, reading, characters, features, italicLetters });
  }
  expect({ [MEASURES_VERSION]: fingerprint(sheets) }).toEqual({
    [MEASURES_VERSION]: CAME_TO[MEASURES_VERSION],
  });
});
