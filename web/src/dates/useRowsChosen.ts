import { type ComputedRef, ref } from "vue";
import type { TableLine } from "./table";
import { type Range, isRow } from "./useRange";

/** The rows that are chosen, for what is done to many. */
export function useRowsChosen(lines: ComputedRef<TableLine[]>, range: Range) {
  const chosen = ref<ReadonlySet<string>>(new Set());
  let lastChosen = -1;

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
    const rows = range.rows();
    const on = rows.some((r) => !set.has(r.key));
    for (const r of rows) {
      if (on) set.add(r.key);
      else set.delete(r.key);
    }
    lastChosen = range.range.value.last;
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

  return { chosen, choose, chooseRange, chooseShown, chooseNone };
}
