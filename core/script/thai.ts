import { script } from './script';

/** Words are not parted by spaces; vowels and tones stand in two rows above a letter. */
export const thai = script({
  key: 'thai',
  name: 'Thai',
  iso: ['Thai'],
  has: /\p{Script_Extensions=Thai}/u,
  body: { of: 'top', letters: ['บ', 'น', 'ก'], called: 'letter height', againstX: 1.1 },
  reaches: 'ที่ปั๊ฐู',
  stroke: 'บ',
  text: { colour: [0.118, 0.191], width: [0.73, 0.8] },
  sentence: 'มนุษย์ทั้งหลายเกิดมามีอิสระและเสมอภาคกันในเกียรติศักดิ์และสิทธิ',
  setting: { lineHeight: 1.15, measure: [45, 75], emphasis: 'weight' },
});
