import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import {
  candidateSpread,
  countWords,
  defaultFitting,
  judgedSentences,
  RUNNING_KINDS,
  sentencesOf,
  tuningTextOf,
  type TunedFace,
  type TuningText,
} from '@lettera/core/fallback';
import { LANGUAGES } from '@lettera/core/script';
import { readFace } from '@lettera/core/font/file';
import { messagesIn } from './languageMessages';
import { amountsIn, namesIn } from './languagePhrases';
import { languageText } from './languageText';
import { tune } from './tuneTask';

describe('text that stands for a language', () => {
  test.each(LANGUAGES.map(({ tag }) => tag))(
    '%s is judged by several kinds, in its own letters',
    (tag) => {
      const { judged } = languageText(tag);
      for (const { sentences, language } of judged) {
        expect(language).toBe(tag);
        expect(sentences.every((one) => one.trim() !== '')).toBe(true);
      }
      // Where the platform knows no names in a language, none of another's are given for them.
      const own = Intl.DisplayNames.supportedLocalesOf(tag).length > 0;
      for (const named of [namesIn(tag), amountsIn(tag)]) expect(named.length > 20).toBe(own);
    },
  );

  test('nothing that it is judged by is English in another language', () => {
    expect(namesIn('de')).toContain('Deutschland');
    expect(namesIn('is')).toContain('Noregur');
    expect(amountsIn('nb')).toContain('for 3 uker siden');
    expect(namesIn('tlh')).toEqual([]);
    expect(amountsIn('not a tag')).toEqual([]);
    // One of the Somali messages was left in English where they come from.
    expect(messagesIn('so')).toHaveLength(24);
    expect(messagesIn('so').join()).not.toMatch(/The field/);
    expect(messagesIn('is')).toEqual([]);
    expect(messagesIn('not a tag')).toEqual([]);
    expect(messagesIn('../../package')).toEqual([]);
  });

  test('what forms say is in the language and script, without what forms put there', () => {
    expect(messagesIn('de')).toContain('muss eine gültige E-Mail-Adresse sein');
    expect(messagesIn('nb').find((one) => one.startsWith('feltet'))).toBeDefined();
    const letters = (tag: string, script: string) =>
      messagesIn(tag).filter((one) => new RegExp(`\\p{Script=${script}}`, 'u').test(one)).length;
    expect(letters('sr', 'Cyrillic')).toBeGreaterThan(20);
    expect(letters('sr-Latn', 'Cyrillic')).toBe(0);
    expect(messagesIn('zh-Hant')).not.toEqual(messagesIn('zh-Hans'));
    expect(messagesIn('uz-Cyrl')).toEqual([]);
    for (const { tag } of LANGUAGES) expect(messagesIn(tag).join('')).not.toMatch(/[{}]/);
  });

  test('running text of most languages is of two kinds besides the site’s own', () => {
    const TAGS =
      'en de fr es it pt nl da sv nb nn fi et lv lt pl cs sk sl hr hu ro bg el ru uk sr tr';
    for (const tag of TAGS.split(' ')) {
      const running = languageText(tag).judged.filter(({ kind }) => RUNNING_KINDS.includes(kind));
      const words = running.map(({ sentences }) => [...countWords(sentences).keys()].length);
      expect(words).toHaveLength(2);
      // So many different words that one of them decides little.
      for (const different of words) expect(different).toBeGreaterThan(30);
    }
  });
});

/** A guide of another matter than a lighthouse or a declaration, as people write it. */
const guide = (name: string): string[] =>
  sentencesOf(
    readFileSync(`docs/${name}.md`, 'utf8')
      .split('\n')
      .filter((line) => /^[A-Z]/.test(line))
      .join('\n')
      .replace(/[`*[\]()]/g, ' '),
  );

describe('what is said of a fallback', () => {
  const LATIN = {
    literata: ['@fontsource-variable/literata/files/literata-latin-wght-normal.woff2', 'georgia'],
    'public-sans': [
      '@fontsource-variable/public-sans/files/public-sans-latin-wght-normal.woff2',
      'arial',
    ],
    lora: ['@fontsource-variable/lora/files/lora-latin-wght-normal.woff2', 'times-new-roman'],
  } as const;
  const copy = ['log-entry', 'home', 'stay']
    .map((page) => readFileSync(`sample/pages/${page}.html`, 'utf8'))
    .join(' ')
    .replace(/<[^>]+>/g, ' ');

  async function tuned(family: keyof typeof LATIN, text: TuningText): Promise<TunedFace> {
    const [path, local] = LATIN[family];
    const file = new Uint8Array(readFileSync(`node_modules/${path}`));
    const found = await tune({
      files: [file],
      metrics: await readFace(file),
      instanceWeight: 400,
      weight: 400,
      slant: 'normal',
      locals: [local],
      measured: {},
      text,
      fitting: defaultFitting(true),
    });
    const face = found[local];
    if (!face) throw new Error(`${family} was not tuned`);
    return face;
  }

  test.each(Object.keys(LATIN) as (keyof typeof LATIN)[])(
    'of %s holds on prose that nobody tuned on',
    async (family) => {
      const text = tuningTextOf(copy, [languageText('en')]);
      const face = await tuned(family, text);
      const [least, most] = candidateSpread({ local: '', source: 'twin', faces: [face] }) ?? [];
      for (const name of ['styles', 'take-stock', 'deliver']) {
        const unseen: TuningText = {
          tuning: text.tuning,
          judged: [{ kind: 'copy', language: null, sentences: guide(name) }],
        };
        expect(judgedSentences(unseen).join(' ').length).toBeGreaterThan(1500);
        const { mean } = (await tuned(family, unseen)).fit;
        expect(mean).toBeGreaterThan((least ?? 0) * 0.9);
        expect(mean).toBeLessThan((most ?? 0) * 1.1);
      }
    },
  );
});
