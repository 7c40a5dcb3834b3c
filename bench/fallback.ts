import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import {
  candidateError,
  landings,
  localCandidates,
  localName,
  PLATFORM_NAMES,
  proposedStack,
  sentencesOf,
  judgedSentences,
  tuningTextOf,
  wordsOf,
  type Fitting,
  type StackEntry,
  type TunedCandidate,
  type TunedFace,
  type TuningText,
} from '@lettera/core/fallback';
import { readFace } from '@lettera/core/font/file';
import { samplePages } from '@lettera/sample';
import { languageText } from '../server/job/languageText';
import { pageText } from '../server/job/pageText';
import { tune } from '../server/job/tuneTask';
import { summarise, type Row } from './timing';

const libraryRequire = createRequire(join(process.cwd(), 'foundry/package.json'));

/** The text families of the library that are of most use, by class. */
const FAMILIES = {
  serif: ['literata', 'newsreader', 'source-serif-4', 'crimson-pro', 'lora', 'bitter'],
  'sans-serif': ['instrument-sans', 'figtree', 'dm-sans', 'public-sans', 'libre-franklin', 'karla'],
} as const;
type TextClass = keyof typeof FAMILIES;
const WEIGHTS = [400, 700];

/** What has to be reached, per cent of a word's width. */
const GOALS: Record<TextClass, Record<string, number>> = {
  serif: { '3 groups ±6 %': 0.95, '4 groups ±6 %': 0.82, '6 groups ±10 %': 0.65 },
  'sans-serif': { '3 groups ±6 %': 1.05, '4 groups ±6 %': 0.96, '6 groups ±10 %': 0.7 },
};

/** Prose is told from labels and cells by its length, characters. */
const PROSE = 60;

/** English as the product tunes on it without a designer's copy; judged on the prose of the sample's pages. */
async function textOf(): Promise<TuningText> {
  const pages = await samplePages();
  const prose = pages
    .flatMap(({ html }) => pageText(html).split('\n'))
    .filter((block) => block.length >= PROSE);
  const { tuning } = tuningTextOf('', [languageText('en')]);
  return {
    tuning,
    judged: [{ kind: 'copy', language: null, sentences: prose.flatMap(sentencesOf) }],
  };
}

const fileOf = (id: string): Uint8Array => {
  const folder = dirname(libraryRequire.resolve(`@fontsource-variable/${id}/package.json`));
  return new Uint8Array(readFileSync(join(folder, `files/${id}-latin-wght-normal.woff2`)));
};

/** A family at a weight over every local font of its class that has known advances. */
async function tryAll(
  id: string,
  textClass: TextClass,
  weight: number,
  text: TuningText,
  fitting: Fitting,
): Promise<Record<string, TunedFace>> {
  const file = fileOf(id);
  return tune({
    files: [file],
    metrics: await readFace(file),
    instanceWeight: weight,
    weight,
    slant: 'normal',
    locals: localCandidates(textClass),
    measured: {},
    text,
    fitting,
  });
}

const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;
const percent = (ratio: number): string => (ratio * 100).toFixed(2);
const step = (face: TunedFace, k: number): number => face.steps[k - 1] ?? face.steps.at(-1) ?? 0;

/** How near words come in each way to tune, over one local font. */
function figuresOf(even: TunedFace, free: TunedFace): Record<string, number> {
  return {
    'as it is': even.untuned.mean,
    'one ratio': even.one.mean,
    '2 groups ±6 %': step(even, 2),
    '3 groups ±6 %': step(even, 3),
    '4 groups ±6 %': step(even, 4),
    '6 groups ±6 %': step(even, 6),
    'each ±6 %': even.each,
    '6 groups ±10 %': step(free, 6),
    'each ±10 %': free.each,
  };
}

/** How running lines go over the font whose words are nearest. */
const linesOf = ({ fit, webLines }: TunedFace): Record<string, number> => ({
  'lines ±6 %': fit.lines.width,
  'lines’ sum': Math.abs(fit.lines.bias),
  'lines’ count':
    webLines.reduce((sum, lines, i) => sum + Math.abs((fit.lines.counts[i] ?? 0) - lines), 0) /
    webLines.reduce((sum, lines) => sum + lines, 0),
});

/** Of each way to tune, what it comes to over the local font that is best for it. */
function bestOf(
  even: Record<string, TunedFace>,
  free: Record<string, TunedFace>,
): Record<string, number> {
  const all = Object.entries(even).flatMap(([local, face]) =>
    free[local] ? [figuresOf(face, free[local])] : [],
  );
  const [first = {}] = all;
  return Object.fromEntries(
    Object.keys(first).map((key) => [key, Math.min(...all.map((one) => one[key] ?? 1))]),
  );
}

const COLUMNS = 15;
const row = (name: string, cells: readonly string[]): string =>
  name.padEnd(30) + cells.map((cell) => cell.padStart(COLUMNS)).join('');

/** Tunes twelve families and prints how near words come; gives how long a class of candidates takes. */
export async function fallbacks(): Promise<Row[]> {
  const text = await textOf();
  const times: number[] = [];
  const failed: string[] = [];
  const words = judgedSentences(text).flatMap(wordsOf).length;
  console.log(
    `Mean error of a word’s width, per cent, on ${words} words of the sample’s prose; tuned on English from elsewhere.\n`,
  );
  for (const [name, families] of Object.entries(FAMILIES)) {
    const textClass = name as TextClass;
    const all: Record<string, number[]> = {};
    const platformRows: string[] = [];
    for (const id of families) {
      for (const weight of WEIGHTS) {
        const fitting = { groups: 6, target: 0, space: true };
        const start = performance.now();
        const even = await tryAll(id, textClass, weight, text, { ...fitting, evenness: 0.06 });
        times.push(performance.now() - start);
        const free = await tryAll(id, textClass, weight, text, { ...fitting, evenness: 0.1 });
        const [best = ''] = Object.keys(even).sort(
          (a, b) => (even[a]?.fit.mean ?? 1) - (even[b]?.fit.mean ?? 1),
        );
        const figures = {
          ...bestOf(even, free),
          ...(even[best] ? linesOf(even[best]) : {}),
        };
        if (Object.keys(all).length === 0) console.log(row(textClass, Object.keys(figures)));
        for (const [key, value] of Object.entries(figures)) (all[key] ??= []).push(value);
        console.log(
          row(`${id} ${weight}, ${localName(best)}`, Object.values(figures).map(percent)),
        );
        if (weight === 400) platformRows.push(byPlatform(id, even));
      }
    }
    const means = Object.entries(all).map(([key, values]) => [key, mean(values)] as const);
    console.log(
      row(
        'mean',
        means.map(([, value]) => percent(value)),
      ),
    );
    for (const [key, value] of means) {
      const goal = GOALS[textClass][key];
      if (goal !== undefined && value * 100 > goal) {
        failed.push(`${textClass}, ${key}: ${percent(value)} for ${goal}`);
      }
    }
    console.log('\nBy platform of the default audience, as proposed (as it is, one ratio, tuned):');
    console.log(`${platformRows.join('\n')}\n`);
  }
  console.log(failed.length ? `Not reached: ${failed.join('; ')}\n` : 'Every goal is reached.\n');
  return [summarise('tune one face over all local fonts of its class', times, 1000)];
}

/** Where each platform lands in the proposed stack, what it meets there, and the mean by who sees it. */
function byPlatform(id: string, tried: Record<string, TunedFace>): string {
  const candidates = Object.entries(tried).map(([local, face]): TunedCandidate => ({
    local,
    source: 'twin',
    faces: [face],
  }));
  const stack = proposedStack(candidates).map((local): StackEntry => ({
    kind: 'fallback',
    name: local,
    local,
  }));
  const landed = landings(stack);
  const parts = landed.map(({ platform, share, entry }) => {
    const one = stack[entry];
    const candidate = candidates.find(
      ({ local }) => one?.kind === 'fallback' && local === one.local,
    );
    const face = candidate?.faces[0];
    return { platform, share, candidate, face };
  });
  const cells = parts.map(
    ({ platform, candidate, face }) =>
      `${PLATFORM_NAMES[platform]} ${localName(candidate?.local ?? '')} ${percent(face?.untuned.mean ?? 0)} ${percent(face?.one.mean ?? 0)} ${percent(candidate ? candidateError(candidate) : 0)}`,
  );
  const weighed = (errorOf: (face: TunedFace) => number): string =>
    percent(
      parts.reduce((sum, { share, face }) => sum + share * (face ? errorOf(face) : 0), 0) /
        parts.reduce((sum, { share }) => sum + share, 0),
    );
  return `  ${id}: ${cells.join('; ')}. By reach: ${weighed(({ untuned }) => untuned.mean)} ${weighed(({ one }) => one.mean)} ${weighed(({ fit }) => fit.mean)}`;
}
