import { describe, expect, test } from '@jest/globals';
import { seatedDocument } from '../testing/documents';
import type { PaintedText } from './mark';
import { paintedContrast } from './paintedContrast';

const document = seatedDocument();
const INK = document.colours['ink']?.light ?? '';
const text = (more: Partial<PaintedText>): PaintedText => ({
  colour: INK,
  ground: '#0d6efd',
  size: 16,
  weight: 400,
  words: 'Book a room',
  side: 'light',
  ...more,
});
const marks = (...texts: PaintedText[]) =>
  paintedContrast(document, {
    page: { title: 'Stay', width: 1280, texts: {}, painted: { control: texts } },
  });

describe('contrast with the ground that is painted on a page', () => {
  test('is marked where it is under what is asked for, once for many texts, with the worst', () => {
    const [mark, ...more] = marks(text({}), text({ ground: '#0b5ed7', words: 'Book it' }));
    expect(more).toEqual([]);
    expect(mark).toMatchObject({ rule: 'painted-contrast', style: 'control', stage: 'styles' });
    expect(mark?.message).toMatch(
      /Control: hard to read on “Stay”: “Book it”, and 1 more like it\./,
    );
    expect(mark?.message).toMatch(/on #0b5ed7 is \d\.\d\d to 1; WCAG asks for 4\.5 at 16 px/);
    expect(mark?.remedy).toContain('Leave the colour of Control open');
  });

  test('is held from both sides of the limit, which is another for large text', () => {
    const grey = (colour: string, more = {}) =>
      marks(text({ colour, ground: '#ffffff', ...more })).length;
    expect([grey('#767676'), grey('#777777')]).toEqual([0, 1]);
    expect([grey('#949494', { size: 24 }), grey('#969696', { size: 24 })]).toEqual([0, 1]);
    expect([grey('#949494', { size: 19, weight: 700 }), grey('#949494', { size: 19 })]).toEqual([
      0, 1,
    ]);
  });

  test('tells the site’s own colours from the project’s, and each state and background apart', () => {
    const found = marks(
      text({}),
      text({ colour: '#aaaaaa', ground: '#ffffff' }),
      text({ colour: '#aaaaaa', ground: '#ffffff', state: 'pointed at' }),
      text({ colour: '#222222', ground: '#111111', side: 'dark' }),
    );
    expect(found.map(({ subject }) => subject)).toEqual([
      'own-light-rest',
      'site-light-rest',
      'site-light-pointed-at',
      'site-dark-rest',
    ]);
    expect(found[2]?.message).toContain('when pointed at');
    expect(found[3]?.message).toContain('on the dark background');
    expect(found[1]?.remedy).toContain('your site’s own');
  });

  test('leaves to the project’s own colours what they tell', () => {
    const { light: ground = '' } = document.colours['ground'] ?? {};
    const weak = {
      ...document,
      colours: { ...document.colours, ink: { ...document.colours['ink'], light: '#bbbbbb' } },
    } as typeof document;
    const painted = { control: [text({ colour: '#bbbbbb', ground })], gone: [text({})] };
    expect(
      paintedContrast(weak, { page: { title: 'Stay', width: 1280, texts: {}, painted } }),
    ).toEqual([]);
    expect(paintedContrast(document, {})).toEqual([]);
  });
});
