// Makes table.ts from the Unicode CLDR's exemplar characters. Run from the root, once:
//   npm install --no-save cldr-misc-full && node core/measure/languages/make.mjs
import { readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';

const folder = dirname(createRequire(import.meta.url).resolve('cldr-misc-full/package.json'));
const { version } = JSON.parse(readFileSync(join(folder, 'package.json'), 'utf8'));

/** BCP 47 tag, script, and the CLDR locale where its name differs. */
const LANGUAGES = [
  ...'sq eu bs br ca hr cs da nl en et fo fi fr gl de hu is ga it lv lt lb mt nb nn oc pl pt ro rm gd sk sl es sv tr cy se'
    .split(' ')
    .map((tag) => [tag, 'latin']),
  ['sr-Latn', 'latin'],
  ['vi', 'vietnamese'],
  ['el', 'greek'],
  ...'be bg mk ru uk'.split(' ').map((tag) => [tag, 'cyrillic']),
  ['sr', 'cyrillic'],
];
const LOCALE = { nb: 'no' };

/** Letters, and the dot of Catalan. Modifier letters and combining marks are written otherwise in practice. */
const NEEDED = /^[\p{Lu}\p{Ll}\p{Lo}·]$/u;

/** The characters of a CLDR set such as `[a á b {ch} c-e]`, sequences taken apart. */
function charactersOf(set) {
  const inner = set.slice(1, -1).replaceAll('\\', '');
  const characters = new Set();
  for (const part of inner.split(' ').filter(Boolean)) {
    const range = /^(.)-(.)$/u.exec(part);
    if (range) {
      for (let c = range[1].codePointAt(0); c <= range[2].codePointAt(0); c++) {
        characters.add(String.fromCodePoint(c));
      }
    } else
      for (const character of part.replace(/[{}]/g, '').normalize('NFC')) characters.add(character);
  }
  return [...characters].filter((character) => NEEDED.test(character));
}

const names = new Intl.DisplayNames('en', { type: 'language' });
const languages = LANGUAGES.map(([tag, script]) => {
  const locale = LOCALE[tag] ?? tag;
  const path = join(folder, 'main', locale, 'characters.json');
  const { characters } = JSON.parse(readFileSync(path, 'utf8')).main[locale];
  const lower = charactersOf(characters.exemplarCharacters);
  const upper = lower.flatMap((letter) => {
    // Greek loses its accents under its own locale's rule, which is for words in capitals.
    const capital = tag === 'tr' ? letter.toLocaleUpperCase(tag) : letter.toUpperCase();
    return [...capital].length === 1 ? [capital] : [];
  });
  return {
    tag,
    name: names.of(tag),
    script,
    characters: [...new Set([...lower, ...upper])].join(''),
  };
}).sort((a, b) => a.name.localeCompare(b.name, 'en'));

const source = `Unicode CLDR ${version}, main exemplar characters of each locale and their capitals`;
const rows = languages.map((language) => `  ${JSON.stringify(language)},`).join('\n');
writeFileSync(
  new URL('./table.ts', import.meta.url),
  `/** Made by make.mjs: where the letters are from, and those that each language needs. */
export const SOURCE = ${JSON.stringify(source)};

export const TABLE = [
${rows}
] as const;
`,
);
