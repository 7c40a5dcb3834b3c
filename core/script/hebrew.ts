import { script } from './script';

export const hebrew = script({
  key: 'hebrew',
  name: 'Hebrew',
  iso: ['Hebr'],
  has: /\p{Script_Extensions=Hebrew}|[\u200e\u200f]/u,
  direction: 'rtl',
  body: { of: 'top', letters: ['ה', 'ח', 'ם'], called: 'letter height', againstX: 1.2 },
  reaches: 'לשׁקּץ',
  stroke: 'ם',
  text: { colour: [0.14, 0.2], width: [0.65, 0.81] },
  swells: 1.3,
  sentence: 'כל בני אדם נולדו בני חורין ושווים בערכם ובזכויותיהם.',
  setting: { lineHeight: 1, measure: [45, 75], emphasis: 'weight' },
});
