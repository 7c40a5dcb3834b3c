import { script, type Script } from './script';

/** Punctuation and full-width forms, which Unicode counts to no script. */
const PUNCTUATION = '\\u3000-\\u303f\\uff01-\\uff60\\uffe0-\\uffe6';

/** What is common to scripts with ideographs: each fills a square, lines are short and wide apart. */
const ideographic = (
  of: Pick<Script, 'key' | 'name' | 'iso' | 'sentence'> &
    Partial<Pick<Script, 'text'>> & { properties: readonly string[] },
): Script =>
  script({
    ...of,
    has: new RegExp(
      `${of.properties.map((one) => `\\p{Script_Extensions=${one}}`).join('|')}|[${PUNCTUATION}]`,
      'u',
    ),
    body: {
      of: 'ink',
      letters: ['国', '國', '田', '口'],
      called: 'ideographic face',
      againstX: 1.66,
    },
    reaches: '国永鷹',
    stroke: '口',
    swells: 1.5,
    setting: { lineHeight: 1.15, measure: [25, 40], emphasis: 'dots' },
    large: true,
  });

export const japanese = ideographic({
  key: 'japanese',
  name: 'Japanese',
  iso: ['Jpan', 'Hira', 'Kana', 'Hrkt'],
  properties: ['Han', 'Hiragana', 'Katakana'],
  text: { colour: [0.081, 0.106], width: [1.11, 1.14] },
  sentence: 'すべての人間は、生まれながらにして自由であり、かつ、尊厳と権利とについて平等である。',
});

export const simplifiedChinese = ideographic({
  key: 'chinese-simplified',
  name: 'Simplified Chinese',
  iso: ['Hans'],
  properties: ['Han'],
  sentence: '人人生而自由，在尊严和权利上一律平等。',
});

export const traditionalChinese = ideographic({
  key: 'chinese-traditional',
  name: 'Traditional Chinese',
  iso: ['Hant', 'Hani'],
  properties: ['Han', 'Bopomofo'],
  sentence: '人人生而自由，在尊嚴和權利上一律平等。',
});

/** Syllables are built as ideographs are, and parted by spaces. */
export const korean: Script = {
  ...ideographic({
    key: 'korean',
    name: 'Korean',
    iso: ['Kore', 'Hang'],
    properties: ['Hangul', 'Han'],
    sentence: '모든 인간은 태어날 때부터 자유로우며 그 존엄과 권리에 있어 동등하다.',
  }),
  body: { of: 'ink', letters: ['를', '밤', '한'], called: 'syllable height', againstX: 1.66 },
  reaches: '를뷁',
  stroke: '마',
  text: { colour: [0.074, 0.082], width: [0.81, 0.89] },
  swells: 1,
  setting: { lineHeight: 1.1, measure: [30, 45], emphasis: 'weight' },
};
