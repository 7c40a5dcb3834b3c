import { script } from './script';

/** The teeth of seen carry the line; loops stand a little above them. */
export const arabic = script({
  key: 'arabic',
  name: 'Arabic',
  iso: ['Arab', 'Aran'],
  // With the characters that join letters and keep them apart, which are of no script.
  has: /\p{Script_Extensions=Arabic}|[\u200c-\u200f]/u,
  direction: 'rtl',
  joining: 'cursive',
  body: { of: 'top', letters: ['س', 'ص', 'و'], called: 'tooth height', againstX: 0.77 },
  reaches: 'أُلًّجِيٍ',
  stroke: 'ص',
  text: { colour: [0.21, 0.34], width: [0.9, 1.3] },
  swells: 1.2,
  sentence: 'يولد جميع الناس أحرارًا متساوين في الكرامة والحقوق.',
  setting: { lineHeight: 1.15, measure: [45, 75], emphasis: 'weight' },
});
