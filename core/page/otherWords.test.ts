import { describe, expect, test } from '@jest/globals';
import { OtherWords } from './otherWords';

const DANISH = [
  'Alle mennesker er født frie og lige i værdighed og rettigheder.',
  'Enhver har ret.',
];

describe('words of another language', () => {
  test('are about as long as those that they stand for, and read on from text to text', () => {
    const words = new OtherWords(DANISH);
    const first = words.instead('A light on the island, every night.');
    expect(first).toBe('Alle mennesker er født frie og lige.');
    expect(Math.abs(first.length - 'A light on the island, every night.'.length)).toBeLessThan(6);
    expect(words.instead('tide tables and more')).toBe('i værdighed og');
    expect(words.instead('Rooms')).toBe('Rettigheder');
    expect(words.instead('Rooms for the whole summer')).toBe('Enhver har ret. Alle mennesker');
  });

  test('leave figures, signs and the space around them alone', () => {
    const words = new OtherWords(DANISH);
    expect(words.instead(' 06:41 ')).toBe(' 06:41 ');
    expect(words.instead('·')).toBe('·');
    expect(words.instead('\n  Home ')).toBe('\n  Alle ');
    expect(new OtherWords([]).instead('Home')).toBe('Home');
  });
});
