// Makes together.ts: letters of scripts of many in the order in which texts have them, parted into groups.
// Run from the root with a folder that these packages of Debian were unpacked into (dpkg-deb -x), once:
//   libreoffice-help-{ja,ko,zh-cn,zh-tw} installation-guide-amd64 debian-handbook gnome-user-docs
//   npm install --no-save cldr-annotations-full cldr-localenames-full cldr-dates-full cldr-units-full
//   node core/script/languages/makeTogether.mjs FOLDER
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { packed } from './packed.mjs';

const [root] = process.argv.slice(2);
if (!root || !existsSync(root)) throw new Error('Say the folder of the unpacked packages.');

/** Letters of one group, which makes a file. */
const A_GROUP = 60;
/** Characters of a text, about those of a page; and entries of a list that stand for one. */
const A_PAGE = 1500;
const A_LIST = 60;
/** A text with fewer of the letters is in another language, or code. */
const LEAST = 20;

const HAN = /\p{Script=Han}/u;
const LANGUAGES = {
  ja: {
    letters: /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}ー]/u,
    texts: ['ja', 'ja', 'ja-JP', 'ja'],
  },
  'zh-Hans': { letters: HAN, texts: ['zh-cn', 'zh_CN', 'zh-CN', 'zh_CN'], cldr: 'zh' },
  'zh-Hant': { letters: HAN, texts: ['zh-tw', 'zh_TW', 'zh-TW', 'zh_TW'] },
  ko: { letters: /\p{Script=Hangul}/u, texts: ['ko', 'ko', 'ko-KR', 'ko'] },
};
const FOLDERS = [
  (tag) => `usr/share/libreoffice/help/${tag}/text`,
  (tag) => `usr/share/doc/installation-guide-amd64/${tag}`,
  (tag) => `usr/share/doc/debian-handbook/html/${tag}`,
  (tag) => `usr/share/help/${tag}`,
];

const filesIn = (folder) =>
  existsSync(folder)
    ? readdirSync(folder, { recursive: true, withFileTypes: true })
        .filter((one) => one.isFile() && /\.(html?(\.\w+)?|page|xml)$/.test(one.name))
        .map((one) => join(one.parentPath, one.name))
        .sort()
    : [];
const withoutMarkup = (html) =>
  html.replace(/<(script|style)[^]*?<\/\1>|<[^>]*>/g, ' ').replace(/\s+/g, ' ');
const inPages = (text) => text.match(new RegExp(`[^]{1,${A_PAGE}}`, 'g')) ?? [];

const require = createRequire(import.meta.url);
const stringsOf = (value) =>
  typeof value === 'string'
    ? [value]
    : value && typeof value === 'object'
      ? Object.values(value).flatMap(stringsOf)
      : [];
/** Names of things, places, languages, units and times in a language. */
function cldrLists(tag) {
  const strings = [
    ['cldr-annotations-full', 'annotations'],
    ['cldr-localenames-full', 'main'],
    ['cldr-dates-full', 'main'],
    ['cldr-units-full', 'main'],
  ].flatMap(([name, folder]) => {
    const files = join(dirname(require.resolve(`${name}/package.json`)), folder, tag);
    return readdirSync(files)
      .filter((file) => file.endsWith('.json') && !/^ca-(?!gregorian)/.test(file))
      .sort()
      .flatMap((file) => stringsOf(JSON.parse(readFileSync(join(files, file), 'utf8'))));
  });
  return Array.from({ length: Math.ceil(strings.length / A_LIST) }, (_, i) =>
    strings.slice(i * A_LIST, (i + 1) * A_LIST).join(' '),
  );
}

/** Letters by the share of texts that have each, the mean over the sources: of a page, what counts is whether it has it. */
function inOrder({ letters, texts, cldr }, tag) {
  const sources = [
    cldrLists(cldr ?? tag),
    ...texts.map((one, i) =>
      filesIn(join(root, FOLDERS[i](one))).flatMap((file) =>
        inPages(withoutMarkup(readFileSync(file, 'utf8'))),
      ),
    ),
  ];
  const shares = new Map();
  for (const source of sources) {
    const sets = source
      .map((text) => new Set([...text].filter((one) => letters.test(one))))
      .filter(({ size }) => size >= LEAST);
    for (const one of sets.flatMap((set) => [...set]))
      shares.set(one, (shares.get(one) ?? 0) + 1 / sets.length);
  }
  return [...shares]
    .sort(([a, m], [b, n]) => n - m || a.codePointAt(0) - b.codePointAt(0))
    .map(([one]) => one);
}

const rows = Object.entries(LANGUAGES).map(([tag, one]) => {
  const order = inOrder(one, tag);
  const groups = Array.from({ length: Math.ceil(order.length / A_GROUP) }, (_, i) =>
    packed(order.slice(i * A_GROUP, (i + 1) * A_GROUP)),
  );
  return `  ${JSON.stringify(tag)}: ${JSON.stringify(groups)},`;
});
writeFileSync(
  new URL('./together.ts', import.meta.url),
  `/**
 * Made by makeTogether.mjs: letters of languages of many in groups, those of most texts first, packed as in the table.
 * Counted on help and guides of free programs that are translated by hand (office, desktop, installation, handbook)
 * and on the names of Unicode CLDR; the declaration, which tests judge by, is not among them.
 */
export const TOGETHER: Readonly<Record<string, readonly string[]>> = {
${rows.join('\n')}
};
`,
);
