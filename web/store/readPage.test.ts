import { expect, test } from '@jest/globals';
import { parse, serialize } from 'parse5';
import { withoutStyles } from './readPage';

test.each([
  ['<p style="color: red">Fog</p>', '<p>Fog</p>'],
  ['<p class="a" style="x" id="b">Fog</p>', '<p class="a" id="b">Fog</p>'],
  ['<br style="x">', '<br>'],
  ['<p data-style="x" styled="y" title=\' style=&quot;z&quot;\'>Fog</p>', null],
  ['<p>Write &lt;p style="color: red"> to have it red: style="x" is enough.</p>', null],
  ['<p title="a > b">1 > 2, style="x"</p>', null],
])('%s', (written, expected) => {
  // As the server has it: written out of a tree.
  const html = serialize(parse(written));
  const wanted = serialize(parse(expected ?? written));
  expect(withoutStyles(html)).toBe(wanted);
});

test('takes time that is linear in what is read', () => {
  const time = (n: number) => {
    const hostile = `<a ${'b '.repeat(n)}<c ${'d="'.repeat(n)}`;
    const { user } = process.cpuUsage();
    withoutStyles(hostile);
    return process.cpuUsage().user - user;
  };
  time(1000);
  expect(time(80_000)).toBeLessThan(Math.max(200_000, time(40_000) * 2.5));
});
