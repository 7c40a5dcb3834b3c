import { describe, expect, test } from '@jest/globals';
import { applyChange } from '../../change';
import { newDocument } from '../../document/newDocument';
import { scriptedDocument } from '../../testing/documents';
import { stockOf, type MadeText } from '../testing/stockOf';
import { languagesOfStock, mainScript, writtenIn } from '../written';
import { familiesOf } from '../families';
import { foldPatch, foldStock, WHOLE_FOLD } from './fold';
import { foldScripts } from './foldScripts';
import { proposeFold, stockFacts } from './proposal';

const HEBREW = 'האור נדלק עם רדת החשכה ונשמר עד הבוקר';
const THAI = 'ไฟจะสว่างเมื่อพลบค่ำและอยู่จนถึงเช้า';

const stack = (face: string) => ({ stack: [face, 'serif'], face });
const SITE: MadeText[] = [
  { tag: 'h1', language: 'en', characters: 30, look: { size: 40, weight: 700, lineHeight: 48 } },
  { language: 'en', characters: 900 },
  { tag: 'em', language: 'en', within: 1, characters: 10, look: { slant: 'italic' } },
  {
    tag: 'h1',
    language: 'he',
    words: HEBREW,
    characters: 30,
    look: { ...stack('Noto Serif Hebrew'), size: 40, weight: 700, lineHeight: 48 },
  },
  {
    language: 'he-IL',
    words: HEBREW,
    characters: 700,
    look: { ...stack('Noto Serif Hebrew'), size: 18, lineHeight: 27 },
  },
  {
    tag: 'h1',
    language: 'th',
    words: THAI,
    characters: 30,
    look: { ...stack('Noto Serif Thai'), size: 40, weight: 500, lineHeight: 60 },
  },
  {
    language: 'th',
    words: THAI,
    characters: 500,
    look: { ...stack('Noto Serif Thai'), lineHeight: 30 },
  },
  // A name in Latin within a page in Thai, and figures.
  { language: 'th', words: 'Tarnholm', characters: 8, look: stack('Noto Serif Thai') },
  {
    language: 'th',
    words: '12 €',
    characters: 4,
    look: { ...stack('Noto Serif Thai'), lineHeight: 30 },
  },
];

function folded(texts: MadeText[], document = newDocument('Tarnholm')) {
  const stock = stockOf(texts);
  const kinds = ['h1', 'p', 'em'].map((tag) => ({
    name: tag,
    selector: tag,
    texts: stock.texts.flatMap((text, number) => (text.tag === tag ? [number] : [])),
  }));
  const view = {
    kinds: kinds.filter((one) => one.texts.length > 0),
    meets: (selector: string) => kinds.find((one) => one.selector === selector)?.texts ?? [],
  };
  const fold = foldStock(stock, view, document);
  const after = applyChange(document, foldPatch(document, fold)).document;
  const proposal = proposeFold(stockFacts(stock, view), document, WHOLE_FOLD);
  return { stock, fold, after, proposal };
}

describe('what a text is written in', () => {
  test.each([
    [HEBREW, 'he-IL', { script: 'hebrew', language: 'he', around: 'hebrew' }],
    [HEBREW, undefined, { script: 'hebrew', language: null, around: 'hebrew' }],
    ['Tarnholm', 'th', { script: 'latin', language: 'th', around: 'thai' }],
    ['12 €', 'th', { script: 'thai', language: 'th', around: 'thai' }],
    // Ideographs are of the language that the page says.
    ['灯台', 'ja', { script: 'japanese', language: 'ja', around: 'japanese' }],
    [
      '燈塔',
      'zh-TW',
      { script: 'chinese-traditional', language: 'zh-Hant', around: 'chinese-traditional' },
    ],
  ])('%s in %s', (words, language, written) => {
    expect(writtenIn([{ words, page: 0, ...(language ? { language } : {}) }])).toEqual([written]);
  });

  test('is nothing for figures of no language', () => {
    expect(writtenIn([{ words: '12 €', page: 0 }])).toEqual([null]);
  });

  const scripts = (...texts: [words: string, page: number, language?: string][]) =>
    writtenIn(
      texts.map(([words, page, language]) => ({ words, page, ...(language ? { language } : {}) })),
    ).map((written) => written?.script);

  test.each([
    ['灯台', '島のあかり', 'japanese'],
    ['燈塔', '등대의 불빛', 'korean'],
    ['潮汐表', '岛上的灯塔每夜都亮', 'chinese-simplified'],
    ['潮汐表', '島上的燈塔每夜都亮', 'chinese-traditional'],
    // One letter that is borrowed tells nothing.
    ['潮汐表', '岛上的灯塔每夜都亮，雾季の夜晚也亮', 'chinese-simplified'],
    // Letters that both have.
    ['人口', '山水', 'chinese-simplified'],
  ])(
    'ideographs without a language, %s, are of what stands around: %s',
    (words, around, script) => {
      expect(scripts([words, 0], [around, 0])[0]).toBe(script);
      // Another page is another matter, and a quotation on a page in English is one too.
      expect(scripts([words, 0], [around, 0], ['山', 1])[2]).toBe('chinese-simplified');
      expect(scripts(['Words in English', 0, 'en'], [words, 0, 'en'], [around, 0, 'en'])).toEqual([
        'latin',
        script,
        expect.any(String),
      ]);
    },
  );

  test('so much of kana, and of hangul, tells what ideographs are of', () => {
    const ten = '岛上灯塔每夜都亮山水';
    expect(scripts([ten, 0], ['の', 0])[0]).toBe('japanese');
    expect(scripts([`${ten}人`, 0], ['の', 0])[0]).toBe('chinese-simplified');
    expect(scripts([ten, 0], ['등', 0])[0]).toBe('korean');
    expect(scripts([`${ten}人`, 0], ['등', 0])[0]).toBe('chinese-simplified');
  });

  test('a site’s first script is Latin where a page is in it, else that of most text', () => {
    expect(mainScript(stockOf(SITE))).toBe('latin');
    const hebrew = SITE.filter(({ language }) => language !== 'en');
    expect(mainScript(stockOf(hebrew))).toBe('hebrew');
    expect(languagesOfStock(stockOf(SITE))).toEqual(['en', 'he', 'th']);
    expect(languagesOfStock(stockOf(hebrew))).toEqual(['he', 'th']);
  });
});

describe('a site in several scripts', () => {
  test('has one voice with a seat for each, and the styles that it has in the first', () => {
    const { after, proposal } = folded(SITE);
    expect(proposal.voices.map(({ key, asks }) => [key, asks])).toEqual([['text', 'Literata']]);
    expect(
      proposal.voices[0]?.seats.map(({ script, asks, texts }) => [script, asks, texts.length]),
    ).toEqual([
      ['hebrew', 'Noto Serif Hebrew', 2],
      // Figures count to the script of their language, a name in Latin to none.
      ['thai', 'Noto Serif Thai', 3],
    ]);
    expect(Object.keys(after.styles)).toEqual(['body', 'heading-1', 'em']);
    expect(proposal.unfolded).toEqual([]);
    // Without a family of the case, the voice asks for the site's own behind its first.
    expect(after.voices['text']?.plain).toEqual([
      'Literata',
      'Noto Serif Hebrew',
      'Noto Serif Thai',
    ]);
    expect(after.voices['text']?.scripts).toBeUndefined();
  });

  test('has families of the case in those seats, or those that a person gives', () => {
    const document = applyChange(scriptedDocument(), [
      { op: 'replace', path: '/case/naskh/name', value: 'Noto Serif Hebrew' },
    ]).document;
    const { stock, after } = folded(SITE, document);
    expect(after.voices['text']).toMatchObject({
      family: 'literata',
      scripts: { hebrew: { family: 'naskh', size: 1 } },
      plain: ['Noto Serif Thai'],
    });
    const given = foldStock(stock, { kinds: [], meets: () => [] }, document, {
      ...WHOLE_FOLD,
      families: { 'text thai': 'mincho', 'text hebrew': null },
    });
    const { voices } = applyChange(document, foldPatch(document, given)).document;
    expect(voices['text']?.scripts).toEqual({ thai: { family: 'mincho', size: 1 } });
    expect(voices['text']?.plain).toEqual(['Noto Serif Hebrew']);
  });

  test('has each language set as it is, and a style otherwise where it is otherwise there', () => {
    const { after } = folded(SITE);
    expect(after.languages).toEqual(['en', 'he', 'th']);
    expect(after.byLanguage).toMatchObject({
      he: { size: 1.125, lineHeight: 1 },
      th: { lineHeight: 1.25 },
    });
    expect(after.byLanguage?.['th']?.size).toBeUndefined();
    expect(after.styles['heading-1']?.at).toEqual({ 'lang-th': { weight: 500 } });
    expect(after.styles['body']?.at).toBeUndefined();
  });

  test('tells a family that draws further down in a stack, and a face of many pages once', () => {
    const face = { family: 'Literata', weight: '400', style: 'normal', state: 'unloaded' as const };
    const stock = stockOf(
      [
        { language: 'en' },
        {
          language: 'he',
          words: HEBREW,
          look: { stack: ['Literata', 'Noto Serif Hebrew'], face: 'Noto Serif Hebrew' },
        },
      ],
      {
        faces: [
          face,
          { ...face, state: 'loaded' },
          { ...face, family: 'Noto Serif Hebrew', state: 'loaded' },
        ],
      },
    );
    const families = familiesOf(stock);
    expect(families.map(({ name, texts }) => [name, texts])).toEqual([
      ['Literata', [0]],
      ['Noto Serif Hebrew', [1]],
    ]);
    expect(families[0]?.faces).toEqual([{ ...face, state: 'loaded' }]);
  });

  test('in one script alone is folded as any', () => {
    const { fold, after } = folded(SITE.filter(({ language }) => language?.startsWith('he')));
    expect(fold.scripts.counterparts.size).toBe(0);
    expect(after.byLanguage).toBeUndefined();
    expect(after.languages[0]).toBe('he');
    expect(after.voices['text']?.scripts).toBeUndefined();
  });

  test('of ten thousand texts, set in a few ways, is gone through once', () => {
    const [english, hebrew] = [SITE[1], SITE[4]];
    const stock = stockOf(
      Array.from({ length: 10_000 }, (_, i) => (i % 2 ? hebrew : english) ?? {}),
    );
    const kinds = [{ name: 'p', selector: 'p', texts: stock.texts.map((_, i) => i) }];
    const began = performance.now();
    expect(foldScripts(stock, kinds).counterparts.size).toBe(5000);
    // Each beside each takes fifty seconds, once through half of one.
    expect(performance.now() - began).toBeLessThan(8000);
  });
});
