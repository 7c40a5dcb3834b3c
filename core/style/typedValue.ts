import { occasionIn, valuesOf, type StyleValues } from '../document/styleValues';
import type { ProjectDocument } from '../document/projectDocument';
import {
  descriptorOf,
  settingsIn,
  typedLength,
  writtenLength,
  type PropertyName,
} from '../document/property';
import type { Patch } from '../document/patch';
import { stepByNumber, stepsOf } from '../scale/steps';

type Value = string | number;

const MINUS = '\u2212';

const hyphened = (text: string): string => text.replaceAll(MINUS, '-');
const plain = (text: string): string => hyphened(text).trim().toLowerCase().replace(/\s+/g, ' ');
const plainNumber = (value: number): string => String(Number(value.toFixed(4)));

/** A value of a property as it is written for people, and read back by `typedValue`. */
export function writtenValue(
  document: ProjectDocument,
  property: PropertyName,
  value: Value | null,
): string {
  if (value === null) return 'the browser’s';
  const { values } = descriptorOf(property);
  switch (values.kind) {
    case 'key':
      return document[values.of][value]?.name ?? String(value);
    case 'step':
      return stepByNumber(document.scale, Number(value)).name;
    case 'choice':
      return values.words?.[value] ?? String(value);
    case 'number':
      return [plainNumber(Number(value)), values.unit].filter(Boolean).join(' ');
    case 'length':
      return writtenLength(String(value), values);
    case 'settings':
      return String(value) || 'none';
  }
}

/** The same as it is shown, with a minus that is one. */
export const shownValue = (...of: Parameters<typeof writtenValue>): string =>
  writtenValue(...of).replace(/^-(?=[\d.])/, MINUS);

/**
 * A value as a designer types or pastes it: by name or key, by word or as CSS has it, with or without its
 * unit, in any letters.
 *
 * @returns as the document holds it; null for what is no value of the property
 */
export function typedValue(
  document: ProjectDocument,
  property: PropertyName,
  text: string,
): Value | null {
  const { values } = descriptorOf(property);
  const said = plain(text);
  switch (values.kind) {
    case 'key': {
      const parts = Object.entries(document[values.of]);
      return parts.find(([key, { name }]) => key === said || plain(name) === said)?.[0] ?? null;
    }
    case 'step': {
      const steps = stepsOf(document.scale);
      const named = steps.find(({ name }) => plain(name) === said);
      const numbered = /^-?\d+(\.5)?$/.test(said)
        ? steps.find(({ number }) => number === Number(said))
        : undefined;
      return (named ?? numbered)?.number ?? null;
    }
    case 'choice':
      return (
        values.of.find((one) => one === said || plain(values.words?.[one] ?? '') === said) ?? null
      );
    case 'number': {
      const [, digits] = /^(-?\d*[.,]?\d+)\s*(em)?$/.exec(said) ?? [];
      if (digits === undefined) return null;
      const number = Number(digits.replace(',', '.'));
      const fits = number >= values.min && number <= values.max;
      return fits && (!values.whole || Number.isInteger(number)) ? number : null;
    }
    case 'length':
      return typedLength(hyphened(text), values);
    case 'settings': {
      const tags = said === 'none' ? '' : text.trim();
      return settingsIn(tags, values) ? tags : null;
    }
  }
}

/** Cells of the sheet of styles: a run of rows, and a run of columns. */
export interface CellRange {
  styles: readonly string[];
  properties: readonly PropertyName[];
  /** Whether what is set for every width is meant, or what differs somewhere; the former when left out. */
  where?: StyleValues;
}

/** What a range of cells sets, as a table: a line a style, a tab between cells, blank where a cell follows. */
export const copiedCells = (
  document: ProjectDocument,
  { styles, properties, where = 'set' }: CellRange,
): string =>
  styles
    .map((style) =>
      properties
        .map((property) => {
          const value = valuesOf(document.styles[style], where)[property];
          return value === undefined ? '' : writtenValue(document, property, value);
        })
        .join('\t'),
    )
    .join('\n');

/** A cell that could not hold what was pasted. */
export interface RefusedCell {
  style: string;
  property: PropertyName;
  text: string;
}

function cellPatch(
  document: ProjectDocument,
  style: string,
  property: PropertyName,
  value: Value | null,
  where: StyleValues,
): Patch {
  const path = `/styles/${style}/${where}/${property}`;
  const before = valuesOf(document.styles[style], where)[property];
  if (value === null) return before === undefined ? [] : [{ op: 'remove', path }];
  return before === value ? [] : [{ op: 'add', path, value }];
}

/** A change of cells, after room was made in styles that had no values there. */
function withRoom({ styles }: ProjectDocument, patch: Patch, where: StyleValues): Patch {
  if (where === 'set') return patch;
  const changed = new Set(
    patch.flatMap(({ op, path }) => (op === 'add' ? (path.split('/')[2] ?? []) : [])),
  );
  const key = occasionIn(where);
  const room = [...changed].flatMap((style): Patch => {
    const { narrow, at } = styles[style] ?? {};
    if (key === null) {
      return narrow ? [] : [{ op: 'add', path: `/styles/${style}/narrow`, value: {} }];
    }
    if (at && Object.hasOwn(at, key)) return [];
    return at
      ? [{ op: 'add', path: `/styles/${style}/at/${key}`, value: {} }]
      : [{ op: 'add', path: `/styles/${style}/at`, value: { [key]: {} } }];
  });
  return [...room, ...patch];
}

/** Sets a cell, or lets it follow where null is given; an empty patch where that changes nothing. */
export const setCellPatch = (
  document: ProjectDocument,
  style: string,
  property: PropertyName,
  value: Value | null,
  where: StyleValues = 'set',
): Patch => withRoom(document, cellPatch(document, style, property, value, where), where);

/** Lets all cells of a range follow. */
export const followPatch = (
  document: ProjectDocument,
  { styles, properties, where = 'set' }: CellRange,
): Patch =>
  styles.flatMap((style) =>
    properties.flatMap((property) => cellPatch(document, style, property, null, where)),
  );

/**
 * Puts a table into cells, from the first of a range on: one that was copied from the sheet, or from a
 * spreadsheet. A single value fills the range. What a cell cannot take is left out and told.
 *
 * @param all every style and property of the sheet, in its order
 */
export function pastePatch(
  document: ProjectDocument,
  text: string,
  range: CellRange,
  all: CellRange,
): { patch: Patch; refused: RefusedCell[] } {
  const rows = text
    .replace(/\r?\n$/, '')
    .split(/\r?\n/)
    .map((line) => line.split('\t'));
  const [first = ['']] = rows;
  const fills = rows.length === 1 && first.length === 1;
  const fromStyle = all.styles.indexOf(range.styles[0] ?? '');
  const fromProperty = all.properties.indexOf(range.properties[0] ?? 'voice');
  const styles = fills ? range.styles : all.styles.slice(fromStyle, fromStyle + rows.length);
  const { where = 'set' } = range;
  const refused: RefusedCell[] = [];
  const patch = styles.flatMap((style, i) => {
    const cells = fills ? range.properties.map(() => first[0] ?? '') : (rows[i] ?? []);
    const properties = fills
      ? range.properties
      : all.properties.slice(fromProperty, fromProperty + cells.length);
    return properties.flatMap((property, j): Patch => {
      const cell = cells[j] ?? '';
      if (!cell.trim()) return cellPatch(document, style, property, null, where);
      const value = typedValue(document, property, cell);
      if (value === null) refused.push({ style, property, text: cell });
      return value === null ? [] : cellPatch(document, style, property, value, where);
    });
  });
  return { patch: withRoom(document, patch, where), refused };
}
