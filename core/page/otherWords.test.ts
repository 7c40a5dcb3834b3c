import { describe, expect, test } from '@jest/globals';
import { OtherWords } from './otherWords';

const DANISH = [
  'Alle mennesker er født frie og lige i værdighed og rettigheder.',
  'Enhver har ret.',
];

describe('words of another language', () => {
  test('are about as long as those that they stand for, and read on from text to text', () => {
    const words = new OtherWords(DANISH, 'da');
    const first = words.instead('A light on the island, every night.');
    expect(first).toBe('Alle mennesker er født frie og lige.');
    expect(Math.abs(first.length - 'A light on the island, every night.'.length)).toBeLessThan(6);
    expect(words.instead('tide tables and more')).toBe('i værdighed og');
    expect(words.instead('Rooms')).toBe('Rettigheder');
    expect(words.instead('Rooms for the whole summer')).toBe('Enhver har ret. Alle mennesker');
  });

  test('leave figures, signs and the space around them alone', () => {
    const words = new OtherWords(DANISH, 'da');
    expect(words.instead(' 06:41 ')).toBe(' 06:41 ');
    expect(words.instead('·')).toBe('·');
    expect(words.instead('\n  Home ')).toBe('\n  Alle ');
    expect(new OtherWords([], 'da').instead('Home')).toBe('Home');
  });

  test.each([
    [
      'ja',
      ['すべての人間は、生まれながらにして自由であり、かつ、尊厳と権利とについて平等である。'],
      8,
      '。',
    ],
    ['zh-hans', ['人人生而自由，在尊严和权利上一律平等。'], 8, '。'],
    ['th', ['มนุษย์ทั้งหลายเกิดมามีอิสระและเสมอภาคกันในเกียรติศักดิ์และสิทธิ'], 24, ''],
  ])('are single words too where nothing parts them: %s', (tag, sentences, most, end) => {
    const words = new OtherWords(sentences, tag);
    expect(words.instead('Home').length).toBeLessThanOrEqual(most);
    const text = words.instead('A light on the island, every night.');
    expect(text).not.toContain(' ');
    expect(text.endsWith(`${end}`)).toBe(true);
    expect(text).not.toMatch(/^[、。，]|\.$/u);
    // What one text ends with, the next goes on from: nothing is said twice, nothing left out.
    const all = new OtherWords(sentences, tag);
    const taken = Array.from({ length: 4 }, () => all.instead('Tides and boats'));
    const bare = (said: string) => said.replaceAll(/\p{P}/gu, '');
    expect(bare(sentences.join('').repeat(3))).toContain(bare(taken.join('')));
  });

  test('end a sentence and a question as the language does', () => {
    const arabic = new OtherWords(['يولد جميع الناس أحرارا متساوين.'], 'ar');
    expect(arabic.instead('Is it open today?')).toMatch(/؟$/);
    expect(arabic.instead('It is open.')).toMatch(/\.$/);
    const question = (tag: string, text: string) =>
      new OtherWords([text], tag).instead('Is it open?').at(-1);
    expect(question('ja', 'すべての人間は、自由である。')).toBe('？');
    expect(question('ko', '모든 인간은 자유로운 존재다.')).toBe('?');
    const hindi = new OtherWords(['सभी मनुष्यों को गौरव प्राप्त है।'], 'hi');
    expect(hindi.instead('It is open.')).toMatch(/।$/);
    expect(hindi.instead('Is it open?')).toMatch(/\?$/);
  });
});
