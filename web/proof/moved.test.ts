/** @jest-environment jsdom */
import { expect, test } from '@jest/globals';
import { outlineMoved } from './moved';

const box = (top: number, height = 20) => ({ left: 0, top, width: 100, height });

test('what moves in the swap is outlined with how far, the innermost of what moves together', () => {
  document.body.innerHTML = '<div><p>Lamp</p><p>Oil</p></div>';
  const [div, first, second] = [...document.querySelectorAll('div, p')];
  if (!div || !first?.firstChild || !second) throw new Error('no page');
  const movable = [div, first.firstChild as Text, second];
  const marks = () =>
    [...document.querySelectorAll('div, p')].map((node) => node.getAttribute('data-lettera-moved'));
  outlineMoved(document, movable, [box(0), box(0), box(20)], [box(0, 32), box(0), box(32)]);
  expect(marks()).toEqual([null, null, '12 px']);
  outlineMoved(document, movable, [box(0), box(0), box(20)], [box(0), box(2.5), box(22.9)]);
  expect(marks()).toEqual([null, null, null]);
  const start = { left: 40, top: 0 };
  outlineMoved(
    document,
    movable,
    [box(0), { ...box(0), start }, box(20)],
    [box(0), { ...box(0), start: { left: 45, top: 0 } }, box(20)],
  );
  expect(marks()).toEqual([null, '5 px', null]);
});
