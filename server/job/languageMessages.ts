import { existsSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';

const FOLDER = join(
  dirname(createRequire(import.meta.url).resolve('@vee-validate/i18n')),
  'locale',
);

/** Files of languages that are not named by their tag. */
const FILES: Readonly<Record<string, string>> = {
  kk: 'kz',
  ms: 'ms_MY',
  nb: 'nb_NO',
  nn: 'nn_NO',
  no: 'nb_NO',
  pt: 'pt_PT',
  'sr-Latn': 'sr_Latin',
  zh: 'zh_CN',
  'zh-Hans': 'zh_CN',
  'zh-Hant': 'zh_TW',
};

/** What stands for something in a message: `{field}`, `0:{length}`. */
const PLACE = /(?:\d:)?\{[^}]*\}/g;

/** What stands before the first letter once nothing is put there: `-feltet`. */
const LEFT_OVER = /^[^\p{L}\p{N}]+/u;

const pathOf = (name: string): string => join(FOLDER, `${name}.json`);

function messagesOf(name: string): string[] {
  const { messages } = JSON.parse(readFileSync(pathOf(name), 'utf8')) as {
    messages: Record<string, string>;
  };
  return Object.values(messages)
    .map((message) => message.replace(PLACE, '').replace(LEFT_OVER, '').replace(/\s+/g, ' ').trim())
    .filter(Boolean);
}

/** The language and the script of a tag, as it names them; none of what is no tag. */
function partsOf(tag: string): [language?: string, script?: string] {
  try {
    const { language, script } = new Intl.Locale(tag);
    return script === undefined ? [language] : [language, script];
  } catch {
    return [];
  }
}

/**
 * What forms say to visitors in a language, a message an entry, without what a form puts into it; none where no
 * messages are at hand in it, or only in English.
 * @param tag BCP 47
 */
export function messagesIn(tag: string): string[] {
  const [language, script] = partsOf(tag);
  if (language === undefined) return [];
  const name = [
    tag.replace('-', '_'),
    FILES[tag],
    FILES[`${language}-${script}`],
    // Another script of the language is another text.
    ...(script === undefined ? [FILES[language], language] : []),
  ].find((one) => one !== undefined && existsSync(pathOf(one)));
  if (name === undefined) return [];
  const own = messagesOf(name);
  if (language === 'en') return own;
  const english = new Set(messagesOf('en'));
  return own.filter((message) => !english.has(message));
}
