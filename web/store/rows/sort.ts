import { fitnessCost } from '@lettera/core/measure';
import type { LineUpRow } from './rows';
import { measureOf, type MeasureKey } from './measures';

export type SortKey =
  'name' | 'class' | 'fit' | 'weights' | 'italic' | 'languages' | 'bytes' | MeasureKey;

const ITALIC_ORDER = { drawn: 0, sloped: 1 };

/** What a row stands by in a column; null comes last either way. */
function sortValue(row: LineUpRow, key: SortKey): number | string | null {
  switch (key) {
    case 'name':
      return row.plainName;
    case 'class':
      return row.class;
    case 'bytes':
      return row.bytes;
    case 'weights':
      return row.variable
        ? -1000 - (row.weights.at(-1) ?? 0) + (row.weights[0] ?? 0)
        : -row.weights.length;
    case 'italic':
      return row.italic ? ITALIC_ORDER[row.measures?.italic ?? 'sloped'] : 2;
    case 'fit':
      return row.fitness && fitnessCost(row.fitness.drawn.running);
    case 'languages':
      return row.measures ? -row.measures.languages.length : null;
    default:
      return row.measures ? measureOf(key).value(row.measures) : null;
  }
}

const byName = new Intl.Collator('en');

/** Rows in order of a column; equal ones by name, those without a figure last. */
export function sortRows(rows: readonly LineUpRow[], key: SortKey, direction: 1 | -1): LineUpRow[] {
  return rows
    .map((row) => ({ row, value: sortValue(row, key) }))
    .sort((a, b) => {
      const equal = () => byName.compare(a.row.plainName, b.row.plainName);
      if (a.value === null || b.value === null) {
        return Number(a.value === null) - Number(b.value === null) || equal();
      }
      const order =
        typeof a.value === 'string'
          ? byName.compare(a.value, String(b.value))
          : a.value - Number(b.value);
      return order * direction || equal();
    })
    .map(({ row }) => row);
}
