import { type ComputedRef, ref } from "vue";
import { type Change, api, ask } from "../api/client";
import { placeOfCell, readCells } from "./cells";
import { type DateColumn, type TableLine, plainText } from "./table";
import type { DatesState } from "./useDates";
import { type Cell, type Range, isRow } from "./useRange";

/** What was read of cells, to be looked at before it is proposed. */
export interface Pasted {
  cells: { title: string; column: string; text: string; understood: boolean; said: string }[];
  change: Change | null;
}

/** Filling, clearing, copying and pasting blocks of cells. */
export function useBlocks(
  state: DatesState,
  lines: ComputedRef<TableLine[]>,
  columns: ComputedRef<DateColumn[]>,
  range: Range,
) {
  const pasted = ref<Pasted | null>(null);

  async function fillDown(step: "same" | "week" | "class") {
    const r = range.range.value;
    if (state.proposal.value) return;
    const changes: Change[] = [];
    for (let n = Math.max(r.left, 1); n <= r.right; n++) {
      const column = columns.value[n - 1]!;
      const [first, ...rest] = range.rows();
      if (!first || !rest.length) continue;
      const found = await ask(
        api.POST("/api/terms/{termId}/dates/fill", {
          params: { path: { termId: state.termId } },
          body: {
            from: placeOfCell({ row: first, column }),
            step,
            to: rest.map((row) => placeOfCell({ row, column })),
          },
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
    const list = range.cells();
    if (!list.length || state.proposal.value) return;
    const found = await readCells(
      state.termId,
      list.map((c) => ({ ...c, text: "" })),
    ).catch(() => null);
    if (found?.change) await state.propose(found.change as Change);
  }
  /** The range as a spreadsheet takes it: cells apart by tabs, rows by line ends. */
  function copied(): string {
    const r = range.range.value;
    return range
      .rows()
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
    const list: (Cell & { text: string })[] = [];
    if (one) {
      range.cells().forEach((c) => list.push({ ...c, text: block[0]![0]! }));
    } else {
      let line = range.range.value.first;
      const left = Math.max(1, range.range.value.left);
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
    const found = await readCells(state.termId, list).catch((e: Error) => {
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

  return { pasted, fillDown, clear, copied, paste };
}
