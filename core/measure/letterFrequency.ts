/**
 * How often each letter stands in running English text, per cent of letters.
 * R. E. Lewand, Cryptological Mathematics (MAA, 2000), table of relative frequencies.
 */
export const LETTER_FREQUENCY: Readonly<Record<string, number>> = {
  a: 8.167,
  b: 1.492,
  c: 2.782,
  d: 4.253,
  e: 12.702,
  f: 2.228,
  g: 2.015,
  h: 6.094,
  i: 6.966,
  j: 0.153,
  k: 0.772,
  l: 4.025,
  m: 2.406,
  n: 6.749,
  o: 7.507,
  p: 1.929,
  q: 0.095,
  r: 5.987,
  s: 6.327,
  t: 9.056,
  u: 2.758,
  v: 0.978,
  w: 2.36,
  x: 0.15,
  y: 1.974,
  z: 0.074,
};

/** A space follows every 4.7 letters, the mean length of an English word in running text. */
export const LETTERS_A_WORD = 4.7;
