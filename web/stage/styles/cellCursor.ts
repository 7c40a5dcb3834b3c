import type { PropertyName, StyleValues } from '@lettera/core/document';
import type { CellRange } from '@lettera/core/style';
import { computed, nextTick, ref, watch, type Ref } from 'vue';

type At = [row: number, column: number];

const MOVES: Record<string, At> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
};

/** The cells of the sheet of styles, as they are gone through and marked out by keys and by the pointer. */
export function useCellCursor(of: {
  /** Keys of the styles that are shown, a row each. */
  styles: Readonly<Ref<readonly string[]>>;
  /** Properties that are shown, a column each. */
  properties: Readonly<Ref<readonly PropertyName[]>>;
  where: Readonly<Ref<StyleValues>>;
  /** What the rows stand in. */
  sheet: Readonly<Ref<HTMLElement | null>>;
  /** Brings a row into view that may not be there. */
  reveal: (row: number) => Promise<void>;
}) {
  /** The cell that the keys go from, and the one at the other end of the range. */
  const cursor = ref<At>([0, 0]);
  const anchor = ref<At>([0, 0]);

  const within = ([row, column]: At): At => [
    Math.max(0, Math.min(row, of.styles.value.length - 1)),
    Math.max(0, Math.min(column, of.properties.value.length - 1)),
  ];
  watch([of.styles, of.properties], () => {
    cursor.value = within(cursor.value);
    anchor.value = within(anchor.value);
  });

  const span = (axis: 0 | 1) =>
    [cursor.value[axis], anchor.value[axis]].sort((a, b) => a - b) as [number, number];
  const bounds = computed(() => ({ rows: span(0), columns: span(1) }));
  const lies = (value: number, [from, to]: [number, number]) => value >= from && value <= to;
  const isSeveral = computed(
    () =>
      bounds.value.rows[0] < bounds.value.rows[1] ||
      bounds.value.columns[0] < bounds.value.columns[1],
  );
  /** The columns of a row that are marked out with others, `first-last`; null for none. */
  const rangedIn = (row: number): `${number}-${number}` | null =>
    isSeveral.value && lies(row, bounds.value.rows)
      ? `${bounds.value.columns[0]}-${bounds.value.columns[1]}`
      : null;

  const everything = computed<CellRange>(() => ({
    styles: of.styles.value,
    properties: of.properties.value,
    where: of.where.value,
  }));
  const range = computed<CellRange>(() => {
    const { rows, columns } = bounds.value;
    return {
      styles: of.styles.value.slice(rows[0], rows[1] + 1),
      properties: of.properties.value.slice(columns[0], columns[1] + 1),
      where: of.where.value,
    };
  });

  /** The column that the keys go from, where that is in a row. */
  const cursorIn = (row: number): number | null =>
    cursor.value[0] === row ? cursor.value[1] : null;
  const cell = (): HTMLElement | null =>
    of.sheet.value?.querySelector(
      `tr[data-style="${of.styles.value[cursor.value[0]] ?? ''}"] [data-column="${cursor.value[1]}"]`,
    ) ?? null;

  /** Whether a cell is focused to extend the range, and not to begin another. */
  let extending = false;
  async function go(to: At, extend: boolean): Promise<void> {
    cursor.value = within(to);
    if (!extend) anchor.value = cursor.value;
    await nextTick();
    if (!cell()) await of.reveal(cursor.value[0]);
    extending = extend;
    cell()?.focus();
    extending = false;
  }
  function onFocus(at: At): void {
    cursor.value = at;
    if (!extending) anchor.value = at;
  }
  /** Cells are marked out with Shift, by the pointer as by keys. */
  function extendTo(at: At, event: MouseEvent): void {
    if (!event.shiftKey) return;
    event.preventDefault();
    void go(at, true);
  }
  /** Moves by an arrow key. @returns whether it was one */
  function moveBy({ key, shiftKey }: KeyboardEvent): boolean {
    const move = MOVES[key];
    if (move) void go([cursor.value[0] + move[0], cursor.value[1] + move[1]], shiftKey);
    return move !== undefined;
  }
  /** Gives the focus back to the cell, from a field in it. */
  const comeBack = (): Promise<void> => go(cursor.value, false);

  return {
    row: computed(() => cursor.value[0]),
    column: computed(() => cursor.value[1]),
    range,
    everything,
    cursorIn,
    rangedIn,
    cell,
    onFocus,
    extendTo,
    moveBy,
    comeBack,
  };
}
