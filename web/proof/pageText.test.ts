/** @jest-environment jsdom */
import { beforeEach, describe, expect, test } from '@jest/globals';
import { seatedDocument } from '../../core/testing/documents';
import { boxesOf, elementsWithStyle, movableNear, styledElement } from './pageText';

beforeEach(() => {
  document.body.innerHTML = `
    <h2 id="h">The <em id="em">Sæfari</em></h2>
    <p class="lead" id="lead">A <strong>short</strong> word</p>
    <p id="p">Text <a id="a" href="#">link</a></p>
    <div data-lettera-far><p id="far">Far</p></div>
    <table><tbody><tr><th id="th">Time</th></tr></tbody></table>`;
});
const node = (id: string): Element => document.getElementById(id) as Element;

describe('the styled element around a node', () => {
  test('is the node itself, else the nearest around it, else the body', () => {
    const key = (id: string) => styledElement(seatedDocument(), node(id))?.key;
    expect(key('em')).toBe('emphasis');
    expect(key('h')).toBe('h2');
    expect(key('lead')).toBe('lead');
    expect(key('p')).toBe('body');
    expect(key('a')).toBe('link');
    expect(key('th')).toBe('table-heading');
  });
});

test('elements of a style are those whose last matching rule has it', () => {
  const ids = (style: string) =>
    elementsWithStyle(seatedDocument(), document, style).map(({ id }) => id);
  expect(ids('heading-2')).toEqual(['h']);
  expect(ids('lead')).toEqual(['lead']);
  expect(ids('link')).toEqual(['a']);
  expect(ids('none')).toEqual([]);
});

test('what can move is blocks and runs of text, and nothing that is left aside', () => {
  const movable = movableNear(document);
  const texts = movable.flatMap((one) => ('data' in one ? [one.data.trim()] : []));
  expect(texts).toEqual(['The', 'Sæfari', 'A', 'short', 'word', 'Text', 'link', 'Time']);
  const blocks = movable.flatMap((one) => ('data' in one ? [] : [one.tagName]));
  expect(blocks).toEqual(['H2', 'P', 'P', 'A', 'TABLE', 'TBODY', 'TR', 'TH']);
});

test('a run of text is as wide as its block, from its first line to its last, and starts where it starts', () => {
  const rect = (left: number, top: number, width: number, height: number) =>
    ({ left, top, width, height, bottom: top + height }) as DOMRect;
  Object.assign(Range.prototype, {
    getBoundingClientRect: () => rect(0, 10, 300, 40),
    getClientRects: () => [rect(120, 10, 180, 20), rect(0, 30, 90, 20)],
  });
  Object.assign(node('lead'), { getBoundingClientRect: () => rect(0, 4, 640, 60) });
  const short = movableNear(document).find((one) => 'data' in one && one.data === 'short');
  expect(boxesOf(short ? [short] : [])).toEqual([
    { left: 0, top: 10, width: 640, height: 40, start: { left: 120, top: 10 } },
  ]);
  expect(boxesOf([node('lead')])).toEqual([{ left: 0, top: 4, width: 640, height: 60 }]);
});
