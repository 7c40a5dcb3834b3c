import type { FaceClass } from '@lettera/core/document';
import { PART_NAMES, type Figures, type TextPart } from '@lettera/core/measure';
import { languageOf } from '@lettera/core/script';
import { kilobytes } from '../../control/figures';
import { namesMatch } from './carelessName';
import { plain, type LineUpRow } from './rows';
import { measureOf, withUnit, type MeasureKey } from './measures';

export type FigureStyle = Figures['offers'][number];

/** What the line-up is narrowed to. An empty part lets every family through. */
export interface LineUpFilter {
  name: string;
  classes: FaceClass[];
  /** Each must be on offer upright. */
  weights: number[];
  italic: 'any' | 'italic' | 'drawn';
  /** BCP 47 tags; every letter of each must be there. */
  languages: string[];
  scripts: string[];
  figures: FigureStyle[];
  /** A part that it must be drawn for, with or without care. */
  fit: 'any' | TextPart;
  mostBytes: number | null;
  ranges: Partial<Record<MeasureKey, [number, number]>>;
  from: 'anywhere' | 'case' | 'shortlist' | 'recent';
}

export const NO_FILTER: LineUpFilter = {
  name: '',
  classes: [],
  weights: [],
  italic: 'any',
  languages: [],
  scripts: [],
  figures: [],
  fit: 'any',
  mostBytes: null,
  ranges: {},
  from: 'anywhere',
};

/** Families by where they stand, for the filter `from`. */
export interface Places {
  shortlist: readonly string[];
  recent: readonly string[];
}

/** Whether a family has a weight: a static face of it, or a variable one that spans it. */
const hasWeight = ({ faces }: LineUpRow, weight: number): boolean =>
  faces.some(
    ({ style, weightMin, weightMax }) =>
      style === 'normal' && weight >= weightMin && weight <= weightMax,
  );

function standsIn(row: LineUpRow, from: LineUpFilter['from'], places: Places): boolean {
  switch (from) {
    case 'anywhere':
      return true;
    case 'case':
      return row.caseKey !== null;
    case 'shortlist':
      return places.shortlist.includes(row.key);
    case 'recent':
      return places.recent.includes(row.key);
  }
}

function passes(
  row: LineUpRow,
  filter: LineUpFilter,
  isNamed: (row: LineUpRow) => boolean,
  places: Places,
): boolean {
  const { measures } = row;
  return (
    isNamed(row) &&
    standsIn(row, filter.from, places) &&
    (filter.classes.length === 0 || filter.classes.includes(row.class)) &&
    filter.weights.every((weight) => hasWeight(row, weight)) &&
    (filter.italic === 'any' ||
      (filter.italic === 'italic' ? row.italic : measures?.italic === 'drawn')) &&
    filter.scripts.every((script) => row.scripts.includes(script)) &&
    filter.languages.every((tag) => measures?.languages.includes(tag)) &&
    filter.figures.every((figure) => measures?.regular.figures?.offers.includes(figure)) &&
    (filter.fit === 'any' ||
      (row.fitness !== null && row.fitness.drawn[filter.fit].verdict !== 'unfit')) &&
    (filter.mostBytes === null || row.bytes <= filter.mostBytes) &&
    Object.entries(filter.ranges).every(([key, [least, most]]) => {
      const value = measures ? measureOf(key as MeasureKey).value(measures) : null;
      return value !== null && value >= least && value <= most;
    })
  );
}

/** Whether a row's name holds what was typed, as it stands. */
function isNamedAs(name: string): (row: LineUpRow) => boolean {
  const typed = plain(name);
  return ({ plainName }) => plainName.includes(typed);
}

/** Whether no name holds what was typed, so that those are found that come near. */
export const isOnlyNear = (rows: readonly LineUpRow[], { name }: LineUpFilter): boolean =>
  !rows.some(isNamedAs(name));

/** The rows that pass a filter. One that was not measured passes no filter on a measure. */
export function filterRows(
  rows: readonly LineUpRow[],
  filter: LineUpFilter,
  places: Places = { shortlist: [], recent: [] },
): LineUpRow[] {
  const typed = plain(filter.name);
  // A slip is forgiven only where no name holds what was typed as it stands.
  const isNamed = isOnlyNear(rows, filter)
    ? ({ plainName }: LineUpRow) => namesMatch(typed, plainName)
    : isNamedAs(filter.name);
  return rows.filter((row) => passes(row, filter, isNamed, places));
}

/** A part of a filter that is set or can be set on its own. */
export type FilterPart = keyof Omit<LineUpFilter, 'ranges'> | `range:${MeasureKey}`;

/** A part that is set, as it reads in the sentence. */
export interface Phrase {
  part: FilterPart;
  text: string;
}

const either = (names: readonly string[]): string =>
  names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} or ${names.at(-1) ?? ''}`;
const both = (names: readonly string[]): string =>
  names.length < 2
    ? (names[0] ?? '')
    : `${names.slice(0, -1).join(', ')} and ${names.at(-1) ?? ''}`;

export const FROM_WORDS: Record<LineUpFilter['from'], string> = {
  anywhere: 'from anywhere',
  case: 'in the case',
  shortlist: 'on the shortlist',
  recent: 'looked at lately',
};

/** The parts of a filter that are set, in the order in which the sentence names them. */
export function phrasesOf(filter: LineUpFilter): Phrase[] {
  const phrases: (Phrase | false)[] = [
    filter.classes.length > 0 && { part: 'classes', text: either(filter.classes) },
    filter.name.trim() !== '' && { part: 'name', text: `named like “${filter.name.trim()}”` },
    filter.from !== 'anywhere' && { part: 'from', text: FROM_WORDS[filter.from] },
    filter.weights.length > 0 && {
      part: 'weights',
      text: `with ${both(filter.weights.map(String))}`,
    },
    filter.italic !== 'any' && {
      part: 'italic',
      text: filter.italic === 'italic' ? 'with an italic' : 'with a true italic',
    },
    filter.languages.length > 0 && {
      part: 'languages',
      text: `for ${both(filter.languages.map((tag) => languageOf(tag)?.name ?? tag))}`,
    },
    filter.scripts.length > 0 && {
      part: 'scripts',
      text: `with files for ${both(filter.scripts)}`,
    },
    filter.figures.length > 0 && { part: 'figures', text: `with ${both(filter.figures)} figures` },
    filter.fit !== 'any' && {
      part: 'fit',
      text: `for ${PART_NAMES[filter.fit]}`,
    },
    filter.mostBytes !== null && {
      part: 'mostBytes',
      text: `of at most ${kilobytes(filter.mostBytes)} a face`,
    },
    ...Object.entries(filter.ranges).map(([key, [least, most]]): Phrase => {
      const measure = measureOf(key as MeasureKey);
      return {
        part: `range:${measure.key}`,
        text: `${measure.name} ${withUnit(measure, least)} to ${withUnit(measure, most)}`,
      };
    }),
  ];
  return phrases.filter((phrase) => phrase !== false);
}

/** A filter with one part let go. */
export function withoutPart(filter: LineUpFilter, part: FilterPart): LineUpFilter {
  if (part.startsWith('range:')) {
    const { [part.slice(6) as MeasureKey]: _gone, ...ranges } = filter.ranges;
    return { ...filter, ranges };
  }
  const key = part as keyof Omit<LineUpFilter, 'ranges'>;
  return { ...filter, [key]: NO_FILTER[key] };
}
