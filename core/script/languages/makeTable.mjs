// Makes table.ts from the Unicode CLDR's exemplar characters and likely scripts. Run from the root, once:
//   npm install --no-save cldr-misc-full cldr-core && node core/script/languages/makeTable.mjs
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { build } from 'esbuild';
import { packed } from './packed.mjs';

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

const source = `Unicode CLDR ${version}, main exemplar characters of each locale and their capitals; for Korean the syllables of KS X 1001`;
const rows = languages
  .map((language) => `  ${JSON.stringify(Object.values(language))},`)
  .join('\n');
writeFileSync(
  new URL('./table.ts', import.meta.url),
  `/** Made by makeTable.mjs: where the letters are from, and those that each language needs. */
export const SOURCE =
  ${JSON.stringify(source)};

/** Small letters, or all of a script without; of scripts of many as packed.mjs packs them. */
export const TABLE: readonly (readonly [
  tag: string,
  name: string,
  script: string,
  letters: string,
])[] = [
${rows}
];
`,
);
