import { describe, expect, test } from '@jest/globals';
import { LINES_SIZE, linesFit, MEASURES, type SetsWords } from './runningLines';

/** Every letter as wide as the next, em. */
const even = (letter: number, space = letter): SetsWords => ({
  word: (word) => (word === 'λ' ? null : word.length * letter),
  space,
});
/** Fifty words of nine letters: with the space ten. */
const text = Array.from({ length: 50 }, () => 'lanterns.').join(' ');

describe('running lines', () => {
  test('break where a browser breaks them: a word goes on where it fits', () => {
    const { web } = linesFit([text], even(0.5), even(0.5));
    MEASURES.forEach((measure, i) => {
      const letters = Math.floor((measure / LINES_SIZE / 0.5 + 1) / 10);
      expect(web[i]).toBe(Math.ceil(50 / letters));
    });
  });

  test('of the same face are the same', () => {
    const { fit, web } = linesFit([text], even(0.5), even(0.5));
    expect(fit).toEqual({ width: 0, bias: 0, counts: web });
  });

  test('tell by how much all lines are longer, and of a space alone', () => {
    const { fit } = linesFit([text], even(0.5), even(0.51));
    expect(fit.bias).toBeCloseTo(0.02, 10);
    expect(fit.width).toBeCloseTo(0.02, 10);
    const spaces = linesFit([text], even(0.5), even(0.5, 0.6)).fit;
    expect(spaces.bias).toBeGreaterThan(0.015);
    expect(spaces.bias).toBeLessThan(0.02);
  });

  test('run short sentences together, and leave out words that one face lacks', () => {
    const short = Array.from({ length: 40 }, () => 'The light.');
    expect(linesFit(short, even(0.5), even(0.5)).web[0]).toBeLessThan(20);
    expect(linesFit(['λ λ λ'], even(0.5), even(0.5))).toEqual({
      fit: { width: 0, bias: 0, counts: [0, 0, 0, 0] },
      web: [0, 0, 0, 0],
    });
  });
});
