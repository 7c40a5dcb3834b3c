import { readFileSync } from 'node:fs';
import { expect, test } from '@jest/globals';
import { readFace, Shaper } from '../font/file';
import { fingerprint } from '../testing/fingerprint';
import { readAdvances } from './advances';
import { CompositeShaper } from './compositeShaper';
import { defaultFitting } from './fitting';
import { tuneFallback, TUNING_VERSION, WebWidths } from './tune';
import { judgedSentences, tuningTextOf, wordsOf } from './tuningText';

/**
 * A tuning is kept under a version. Where it comes out otherwise, `TUNING_VERSION` is raised, and what it comes to
 * now is written here beside it: a version is never used for two.
 */
const CAME_TO: Record<number, string> = {
  2: 'c13555497e1928b9',
};

const file = (name: string) =>
  new Uint8Array(readFileSync(`core/font/golden/tarnholm-${name}.otf`));
const COPY =
  'The light on Tarnholm burned all night. Fog came in at four. The keeper wound the clock, and wrote the log. The boat did not come.';

test('tunings come out as this version of them is known to', async () => {
  const web = new CompositeShaper([await Shaper.open(file('slab'))]);
  const local = new CompositeShaper([await Shaper.open(file('hairline'))]);
  const lines = await readFace(file('slab'));
  const text = tuningTextOf(COPY, []);
  const advances = {
    ...readAdvances(local, [...text.tuning.keys(), ...judgedSentences(text).flatMap(wordsOf)]),
    colour: null,
    lines: null,
  };
  const tuned = [true, false].map((running) =>
    tuneFallback(
      { widths: new WebWidths(web), lines },
      advances,
      { weight: 400, slant: 'normal', variant: 'regular' },
      text,
      { ...defaultFitting(running), target: 0 },
    ),
  );
  expect(tuned.every((one) => one !== null && one.parts.length > 1)).toBe(true);
  expect({ [TUNING_VERSION]: fingerprint(tuned) }).toEqual({
    [TUNING_VERSION]: CAME_TO[TUNING_VERSION],
  });
});
