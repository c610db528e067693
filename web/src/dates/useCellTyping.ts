import { computed, ref } from "vue";
import type { Change } from "../api/client";
import { useQueue } from "../ui/useQueue";
import { cellKey, readCells } from "./cells";
import type { DatesState } from "./useDates";
import type { Cell, Range } from "./useRange";

/** One text and the cells that it goes into. */
interface Save {
  text: string;
  into: readonly Cell[];
}

/** Typing into a cell or a range: what is understood of it, and its saving in turn. */
export function useCellTyping(state: DatesState, range: Range) {
  /** What is being typed; null while nothing is. */
  const typing = ref<string | null>(null);
  const said = ref("");
  const misread = ref(false);
  /** What was typed into cells and refused, with why, by the cell. */
  const unsaved = ref<ReadonlyMap<string, { text: string; why: string }>>(new Map());
  let asked = 0;

  function type(text: string) {
    if (range.at.value.column === 0) return;
    typing.value = text;
    said.value = "";
    misread.value = false;
    void understand();
  }
  function leave() {
    const cell = range.here();
    if (cell) keep([cell], null);
    typing.value = null;
    asked++;
  }
  /** Takes over what stands in the field. */
  function retype(text: string) {
    typing.value = text;
    misread.value = false;
    void understand();
  }

  /** Says what is understood of what is being typed. */
  async function understand() {
    const cell = range.here();
    const text = typing.value;
    if (text === null || !cell) return;
    const turn = ++asked;
    try {
      const found = await readCells(state.termId, [{ ...cell, text }]);
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
    const cell = range.here();
    const into = all ? range.cells() : cell ? [cell] : [];
    typing.value = null;
    keep(into, null);
    saves.add({ text, into });
    return true;
  }
  const saves = useQueue<Save>(state.proposal, async ({ text, into }) => {
    const found = await readCells(
      state.termId,
      into.map((cell) => ({ ...cell, text })),
    ).catch((e: Error) => e);
    const bad = found instanceof Error ? { said: found.message } : found.cells.find((c) => !c.understood);
    if (bad || found instanceof Error) {
      keep(into, { text, why: bad!.said });
      state.problem.value = `“${text}” for “${into[0]?.row.row.title ?? ""}” was not saved: ${bad!.said}`;
    } else if (found.change && !(await state.propose(found.change as Change))) {
      keep(into, { text, why: state.problem.value });
    }
  });
  function keep(into: readonly Cell[], what: { text: string; why: string } | null) {
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

  return { typing, said, misread, unsaved, waits, slow: saves.slow, type, retype, leave, take };
}
