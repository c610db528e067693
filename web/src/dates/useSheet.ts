import { type ComputedRef, computed, ref } from "vue";
import { type Change, type CellsRead, api, ask } from "../api/client";
import { type DateColumn, type TableLine, type TableRow, plainText } from "./table";
import { useQueue } from "../ui/useQueue";
import type { DatesState } from "./useDates";

/** A place in the table: a line, and a column by its number; column 0 is the thing itself. */
export interface Spot {
  line: number;
  column: number;
}

/** What was read of cells, to be looked at before it is proposed. */
export interface Pasted {
  cells: { title: string; column: string; text: string; understood: boolean; said: string }[];
  change: Change | null;
}

/** Cells that one text goes into. */
type Into = { row: TableRow; column: DateColumn };
interface Save {
  text: string;
  into: readonly Into[];
}
export const cellKey = (row: TableRow, column: DateColumn) => `${row.key} ${column.key}`;
const isRow = (line: TableLine | undefined): line is TableRow => line !== undefined && "row" in line;

/** Walking, choosing, typing, filling, copying and pasting in the table of dates, as hands know it from spreadsheets. */
export function useSheet(
  state: DatesState,
  lines: ComputedRef<TableLine[]>,
  columns: ComputedRef<DateColumn[]>,
  show: (line: number) => void,
) {
  const at = ref<Spot>({ line: 0, column: 1 });
  /** Where the range began; null for a single cell. */
  const anchor = ref<Spot | null>(null);
  const chosen = ref<ReadonlySet<string>>(new Set());
  /** What is being typed; null while nothing is. */
  const typing = ref<string | null>(null);
  const said = ref("");
  const misread = ref(false);
  const pasted = ref<Pasted | null>(null);
  /** What was typed into cells and refused, with why, by the cell. */
  const unsaved = ref<ReadonlyMap<string, { text: string; why: string }>>(new Map());
  let lastChosen = -1;
  let asked = 0;

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
  function cells(): { row: TableRow; column: DateColumn; line: number }[] {
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

  const place = (row: TableRow, column: DateColumn) => ({
    course: row.row.course,
    item: row.row.id,
    sections: column.code ? [column.code] : [],
    date: column.which as string,
  });

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
  function leave() {
    const row = lines.value[at.value.line];
    const column = columns.value[at.value.column - 1];
    if (isRow(row) && column) keep([{ row, column }], null);
    typing.value = null;
    asked++;
  }
  /** Takes over what stands in the field. */
  function retype(text: string) {
    typing.value = text;
    misread.value = false;
    void understand();
  }

  function choose(line: number, extend = false) {
    const set = new Set(chosen.value);
    const [from, to] =
      extend && lastChosen >= 0 ? [Math.min(lastChosen, line), Math.max(lastChosen, line)] : [line, line];
    const row = lines.value[line];
    const on = isRow(row) && !set.has(row.key);
    for (let n = from; n <= to; n++) {
      const each = lines.value[n];
      if (!isRow(each)) continue;
      if (on) set.add(each.key);
      else set.delete(each.key);
    }
    lastChosen = line;
    chosen.value = set;
  }
  function chooseRange() {
    const set = new Set(chosen.value);
    const rows = lines.value.slice(range.value.first, range.value.last + 1).filter(isRow);
    const on = rows.some((r) => !set.has(r.key));
    for (const r of rows) {
      if (on) set.add(r.key);
      else set.delete(r.key);
    }
    lastChosen = range.value.last;
    chosen.value = set;
  }
  /** Chooses all rows that are shown too, or lets those go; what else is chosen stays. */
  function chooseShown(on: boolean) {
    const set = new Set(chosen.value);
    for (const row of lines.value.filter(isRow)) {
      if (on) set.add(row.key);
      else set.delete(row.key);
    }
    chosen.value = set;
  }
  function chooseNone() {
    chosen.value = new Set();
  }

  // --- typing

  function type(text: string) {
    if (at.value.column === 0) return;
    typing.value = text;
    said.value = "";
    misread.value = false;
    void understand();
  }
  async function read(list: { row: TableRow; column: DateColumn; text: string }[]): Promise<CellsRead> {
    return ask(
      api.POST("/api/terms/{termId}/dates/reading", {
        params: { path: { termId: state.termId } },
        body: { cells: list.map(({ row, column, text }) => ({ ...place(row, column), text })) },
      }),
    );
  }
  /** Says what is understood of what is being typed. */
  async function understand() {
    const row = lines.value[at.value.line];
    const column = columns.value[at.value.column - 1];
    const text = typing.value;
    if (text === null || !isRow(row) || !column) return;
    const turn = ++asked;
    try {
      const found = await read([{ row, column, text }]);
      if (turn !== asked) return;
      said.value = found.cells[0]?.said ?? "";
      misread.value = !found.cells[0]?.understood;
    } catch (e) {
      if (turn !== asked) return;
      said.value = (e as Error).message;
      misread.value = true;
    }
  }
  /**
   * Takes what was typed, into the cell or into all cells of the range; it is saved in its turn, and the hand goes on. False
   * where it is known not to be understood: then it stays in its field.
   */
  function take(all: boolean): boolean {
    const text = typing.value;
    if (text === null) return true;
    if (misread.value) return false;
    asked++;
    const into = all
      ? cells()
      : cells().filter((c) => c.line === at.value.line && c.column === columns.value[at.value.column - 1]);
    typing.value = null;
    keep(into, null);
    saves.add({ text, into });
    return true;
  }
  const saves = useQueue<Save>(state.proposal, async ({ text, into }) => {
    const found = await read(into.map(({ row, column }) => ({ row, column, text }))).catch((e: Error) => e);
    const bad = found instanceof Error ? { said: found.message } : found.cells.find((c) => !c.understood);
    if (bad || found instanceof Error) {
      keep(into, { text, why: bad!.said });
      state.problem.value = `“${text}” for “${into[0]?.row.row.title ?? ""}” was not saved: ${bad!.said}`;
    } else if (found.change && !(await state.propose(found.change as Change))) {
      keep(into, { text, why: state.problem.value });
    }
  });
  function keep(into: readonly Into[], what: { text: string; why: string } | null) {
    const map = new Map(unsaved.value);
    for (const { row, column } of into) {
      if (what) map.set(cellKey(row, column), what);
      else map.delete(cellKey(row, column));
    }
    unsaved.value = map;
  }
  const waits = computed(
    () =>
      new Map(
        saves.waiting.value.flatMap(({ text, into }) => into.map((c) => [cellKey(c.row, c.column), text] as const)),
      ),
  );

  // --- filling, clearing, copying, pasting

  async function fillDown(step: "same" | "week" | "class") {
    const r = range.value;
    if (state.proposal.value) return;
    const changes: Change[] = [];
    for (let n = Math.max(r.left, 1); n <= r.right; n++) {
      const column = columns.value[n - 1]!;
      const rows = lines.value.slice(r.first, r.last + 1).filter(isRow);
      const [first, ...rest] = rows;
      if (!first || !rest.length) continue;
      const found = await ask(
        api.POST("/api/terms/{termId}/dates/fill", {
          params: { path: { termId: state.termId } },
          body: { from: place(first, column), step, to: rest.map((row) => place(row, column)) },
        }),
      ).catch((e: Error) => {
        state.problem.value = e.message;
        return null;
      });
      if (found?.change) changes.push(found.change as Change);
    }
    if (changes.length === 1) await state.propose(changes[0]!);
    else if (changes.length) await state.propose({ kind: "together", does: "Fill dates down", changes });
  }
  async function clear() {
    const list = cells();
    if (!list.length || state.proposal.value) return;
    const found = await read(list.map((c) => ({ row: c.row, column: c.column, text: "" }))).catch(() => null);
    if (found?.change) await state.propose(found.change as Change);
  }
  /** The range as a spreadsheet takes it: cells apart by tabs, rows by line ends. */
  function copied(): string {
    const r = range.value;
    const rows = lines.value.slice(r.first, r.last + 1).filter(isRow);
    return rows
      .map((row) => {
        const found = [];
        for (let n = r.left; n <= r.right; n++)
          found.push(n ? plainText(row.row, columns.value[n - 1]!) : row.row.title);
        return found.join("\t");
      })
      .join("\n");
  }
  /** Reads a pasted block from the active cell on; one cell goes into the whole range. */
  async function paste(text: string) {
    if (state.proposal.value) return;
    const block = text
      .replace(/\r?\n$/, "")
      .split(/\r?\n/)
      .map((line) => line.split("\t"));
    const one = block.length === 1 && block[0]!.length === 1;
    const list: { row: TableRow; column: DateColumn; text: string }[] = [];
    if (one) {
      cells().forEach((c) => list.push({ row: c.row, column: c.column, text: block[0]![0]! }));
    } else {
      let line = range.value.first;
      const left = Math.max(1, range.value.left);
      for (const cellsOfRow of block) {
        while (lines.value[line] && !isRow(lines.value[line])) line++;
        const row = lines.value[line++];
        if (!isRow(row)) break;
        cellsOfRow.forEach((cell, n) => {
          const column = columns.value[left - 1 + n];
          if (column) list.push({ row, column, text: cell });
        });
      }
    }
    if (!list.length) return;
    const found = await read(list).catch((e: Error) => {
      state.problem.value = e.message;
      return null;
    });
    if (!found) return;
    const all = found.cells.map((c, n) => ({
      title: list[n]!.row.row.title,
      column: list[n]!.column.name,
      text: list[n]!.text,
      understood: c.understood,
      said: c.said,
    }));
    if (one && all.every((c) => c.understood) && found.change) await state.propose(found.change as Change);
    else pasted.value = { cells: all, change: found.change ? (found.change as Change) : null };
  }

  return {
    at,
    range,
    size,
    chosen,
    typing,
    said,
    misread,
    pasted,
    unsaved,
    waits,
    slow: saves.slow,
    go,
    single,
    leave,
    retype,
    choose,
    chooseRange,
    chooseShown,
    chooseNone,
    type,
    take,
    fillDown,
    clear,
    copied,
    paste,
  };
}

export type Sheet = ReturnType<typeof useSheet>;
