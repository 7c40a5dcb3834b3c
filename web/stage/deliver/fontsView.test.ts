import { describe, expect, test } from '@jest/globals';
import { plansOf, seatedDocument } from '../../../core/testing/documents';
import { byteGroups, leftOutLines } from './fontsView';

const document = seatedDocument();
const plan = plansOf(document).delivery;
const groups = (by: Parameters<typeof byteGroups>[2]) => byteGroups(document, plan, by);

describe('bytes of the font files', () => {
  test('are added up by face, by script and by what they are for', () => {
    expect(groups('file')).toHaveLength(plan.files.length);
    expect(groups('face').map(({ name }) => name)).toContain('Literata 200 to 900 italic');
    expect(groups('script')).toEqual([{ name: 'latin', bytes: 20_000 * plan.files.length }]);
    const voices = groups('voice');
    expect(voices.map(({ name }) => name).sort()).toEqual(['Heading', 'Text']);
    const total = voices.reduce((sum, { bytes }) => sum + (bytes ?? 0), 0);
    expect(total).toBe(20_000 * plan.files.length);
  });

  test('are not known while one file is being made', () => {
    const files = plan.files.map((file, i) => (i === 0 ? { ...file, bytes: null } : file));
    expect(byteGroups(document, { files }, 'script')).toEqual([{ name: 'latin', bytes: null }]);
  });
});

test('what is left out is told with why', () => {
  const [file] = plan.files;
  if (!file) throw new Error('There is no file');
  const lines = leftOutLines({
    leftOut: [
      { ...file, why: 'unused-face' },
      { ...file, why: 'no-characters' },
      { ...file, why: 'held-by-others' },
    ],
  });
  expect(lines[0]).toMatch(/: no text element asks for this face$/);
  expect(lines[1]).toMatch(/: no character of it is needed$/);
  expect(lines[2]).toMatch(/: other files of this face have all of it that is needed$/);
});
