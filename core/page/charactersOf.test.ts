import { describe, expect, test } from '@jest/globals';
import { charactersOf, MOST_PLACED } from './charactersOf';

const all = (html: string, css = '') => charactersOf([{ html, css }]);
const of = (html: string, css = '') => all(html, css).characters;

describe('the characters of pages', () => {
  test('are those of their text, each once, entities read', () => {
    expect(of('<p>Ægir &amp; Rán &alpha;</p><p>Rán</p>')).toBe(' &RginrÆáα');
  });

  test('are those that letters and the marks after them are joined to, mark by mark', () => {
    expect(of('<p>и\u0306</p>')).toBe('\u0306ий');
    expect(of('<p>и</p><p>\u0306</p>')).toBe('\u0306и');
    // As HarfBuzz joins them: ϋ on the way to ΰ.
    expect(of('<p>υ\u0308\u0301</p>')).toBe('\u0301\u0308ΰυϋ');
    expect(of('<p>ΰ</p>')).toBe('ΰ');
  });

  test('are those of fields, choices and pictures', () => {
    expect(of('<input placeholder="å" value="ß"><option label="φ"><img alt="Þ" title="Q">')).toBe(
      'Þßåφ',
    );
  });

  test('are none of scripts, styles, comments and names', () => {
    expect(of('<title>T</title><script>"Ω"</script><style>p{}</style><!--Ж--><i class="x">b')).toBe(
      'b',
    );
  });

  test('are those that style sheets set', () => {
    expect(of('', 'q::before { content: "\\2192 \\41"; } li::marker { content: "★" }')).toBe('→★');
    expect(of('', '\\110000 \\d800')).toBe('');
  });

  test('are those of attributes that style sheets set', () => {
    expect(
      of('<p data-unit="Ωm" data-other="Ж">', 'p::after { content: " " attr( data-unit ) }'),
    ).toBe('mΩ');
  });

  test('come with the languages that pages say they are in', () => {
    expect(all('<html lang=en><p lang="ar-EG">x<i lang="">y<i lang="no tag">z').languages).toEqual([
      'ar-EG',
      'en',
    ]);
  });

  test('of scripts of many are told by the elements that they stand in, and around that', () => {
    const { within } = charactersOf(
      [
        {
          html: '<main><h1>灯<a class="x">台</a></h1><p>島 light <input placeholder="海"></p></main>空<style>p{}</style>',
          css: 'q::before { content: "「" "\\661f" }',
        },
      ],
      ({ localName, classList, matches }) => [
        ...(matches('main h1') ? ['heading'] : []),
        ...(localName === 'p' ? ['text'] : []),
        ...(classList.includes('x') ? ['link'] : []),
        ...(matches('::nothing-such(') ? ['never'] : []),
      ],
    );
    expect(within).toEqual({
      'heading,*bold': '灯',
      'link>heading,*bold': '台',
      text: '島海',
      '': '「星空',
    });
  });

  test('may stand anywhere on pages of more texts than are looked at', () => {
    const html = `${'<p>灯</p>'.repeat(MOST_PLACED)}<p>台</p>`;
    const { within } = charactersOf([{ html, css: '' }], () => ['text']);
    expect(within).toEqual({ text: '灯', '': '台' });
    const fewer = charactersOf([{ html: html.slice('<p>灯</p>'.length), css: '' }], () => ['text']);
    expect(fewer.within).toEqual({ text: '台灯' });
  });

  test('end with pages nested deeper than the stack would bear', () => {
    expect(of(`${'<div>'.repeat(400)}x`)).toBe('x');
  });
});
