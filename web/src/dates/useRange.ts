import { type ComputedRef, computed, ref } from "vue";
import type { DateColumn, TableLine, TableRow } from "./table";

/** A place in the table: a line, and a column by its number; column 0 is the thing itself. */
export interface Spot {
  line: number;
  column: number;
}

/** A cell of a date. */
export interface Cell {
  row: TableRow;
  column: DateColumn;
}
export const isRow = (line: TableLine | undefined): line is TableRow => line !== undefined && "row" in line;

/** Where one stands in the table, and the range that begins there. */
export function useRange(
  lines: ComputedRef<TableLine[]>,
  columns: ComputedRef<DateColumn[]>,
  show: (line: number) => void,
) {
  const at = ref<Spot>({ line: 0, column: 1 });
  /** Where the range began; null for a single cell. */
  const anchor = ref<Spot | null>(null);

  const range = computed(() => {
    const from = anchor.value ?? at.value;
    return {
      first: Math.min(from.line, at.value.line),
      last: Math.max(from.line, at.value.line),
      left: Math.min(from.column, at.value.column),
      right: Math.max(from.column, at.value.column),
    };
  });
  const size = computed(() => {
    const r = range.value;
    let rows = 0;
    for (let n = r.first; n <= r.last; n++) if (isRow(lines.value[n])) rows++;
    return rows * (r.right - r.left + 1);
  });

  /** The cells of dates in the range, row by row. */
  function cells(): (Cell & { line: number })[] {
    const found = [];
    const r = range.value;
    for (let line = r.first; line <= r.last; line++) {
      const row = lines.value[line];
      if (!isRow(row)) continue;
      for (let n = Math.max(r.left, 1); n <= r.right; n++) {
        const column = columns.value[n - 1];
        if (column) found.push({ row, column, line });
      }
    }
    return found;
  }

  /** The cell of a date where one stands; undefined on the thing itself. */
  function here(): Cell | undefined {
    const row = lines.value[at.value.line];
    const column = columns.value[at.value.column - 1];
    return isRow(row) && column ? { row, column } : undefined;
  }
  /** The rows that the range touches. */
  const rows = () => lines.value.slice(range.value.first, range.value.last + 1).filter(isRow);

  function go(line: number, column: number, extend = false) {
    const by = line < at.value.line ? -1 : 1;
    let to = Math.max(0, Math.min(lines.value.length - 1, line));
    const from = to;
    while (lines.value[to] && !isRow(lines.value[to])) to += by; // headings are passed over
    if (!isRow(lines.value[to])) to = from + lines.value.slice(from).findIndex(isRow);
    if (!isRow(lines.value[to])) return;
    anchor.value = extend ? (anchor.value ?? at.value) : null;
    at.value = { line: to, column: Math.max(0, Math.min(columns.value.length, column)) };
    show(to);
  }

  /** Forgets the range; the active cell stays. */
  function single() {
    anchor.value = null;
  }

  return { at, range, size, cells, here, rows, go, single };
}

export type Range = ReturnType<typeof useRange>;
