import { type ComputedRef, computed, nextTick, ref } from "vue";
import type { Change, WallView } from "../api/client";
import type { OutlineRow } from "../change/outline";
import { nudge } from "../change/placing";
import { useNewLine } from "./useNewLine";
import type { WallState } from "../change/useWall";

/** The outline by hand: walking its lines, choosing one, a range or all, typing new ones, and putting them in order. */
export function useOutline(
  state: WallState,
  wall: () => WallView,
  rows: ComputedRef<OutlineRow[]>,
  picked: () => ReadonlySet<string>,
  emit: {
    pick: (keys: ReadonlySet<string>, date?: string) => void;
    toggle: (unit: string, open: boolean) => void;
    edit: (key: string) => void;
    /** Opens the day of a row. */
    open: (date: string) => void;
    /** A new notice. */
    notice: () => void;
  },
) {
  const at = ref("");
  let anchor = "";

  const current = computed(() => rows.value.find((r) => r.key === at.value) ?? rows.value[0]);
  const choosable = (row: OutlineRow) => row.what !== "unit";

  function focus(key: string) {
    at.value = key;
    void nextTick(() => document.querySelector<HTMLElement>(`.ol [data-row="${CSS.escape(key)}"]`)?.focus());
  }

  /** A press: alone, with Ctrl one more or less, with Shift all from the last one on. */
  function press(row: OutlineRow, more: boolean, range: boolean) {
    at.value = row.key;
    if (range && anchor) {
      pickRange(anchor, row.key);
      return;
    }
    anchor = row.key;
    const set = new Set(more ? picked() : []);
    if (more && picked().has(row.key)) set.delete(row.key);
    else set.add(row.key);
    emit.pick(set, more ? undefined : row.date.slice(0, 10) || undefined);
  }
  function pickRange(from: string, to: string) {
    const a = rows.value.findIndex((r) => r.key === from);
    const b = rows.value.findIndex((r) => r.key === to);
    if (a < 0 || b < 0) return;
    const between = rows.value.slice(Math.min(a, b), Math.max(a, b) + 1).filter(choosable);
    emit.pick(new Set([...picked(), ...between.map((r) => r.key)]));
  }
  /** Chooses all that is shown too, of work where any is, so that a filter chooses. */
  function pickAll() {
    const items = rows.value.filter((r) => r.what === "item");
    const all = (items.length ? items : rows.value.filter(choosable)).map((r) => r.key);
    emit.pick(new Set([...picked(), ...all]));
  }

  const { line, lineFor, typed, begin, levels, take, leave } = useNewLine(state, wall, rows, focus, emit.toggle);

  // --- keys

  async function key(event: KeyboardEvent) {
    const row = current.value;
    const n = rows.value.findIndex((r) => r.key === row?.key);
    const command = event.ctrlKey || event.metaKey;
    const handled = () => {
      event.preventDefault();
      event.stopPropagation();
    };
    if (event.altKey && event.key.startsWith("Arrow")) {
      handled();
      const way = ({ ArrowUp: "up", ArrowDown: "down", ArrowRight: "in", ArrowLeft: "out" } as const)[event.key];
      const change = row && way && !state.proposal.value ? nudge(rows.value, row, way, wall().section.course) : null;
      if (change) {
        await state.propose(change as Change);
        focus(row!.key);
      }
    } else if (command && event.key.toLowerCase() === "a") {
      handled();
      pickAll();
    } else if (command || event.altKey) {
      return;
    } else if (event.key === "ArrowDown" || event.key === "ArrowUp") {
      handled();
      const next = rows.value[n + (event.key === "ArrowDown" ? 1 : -1)];
      if (!next) return;
      if (event.shiftKey && row) {
        if (!anchor) anchor = row.key;
        emit.pick(new Set([...picked(), ...[row, next].filter(choosable).map((r) => r.key)]));
      }
      focus(next.key);
    } else if (event.key === "Home" || event.key === "End") {
      handled();
      const to = rows.value[event.key === "Home" ? 0 : rows.value.length - 1];
      if (to) focus(to.key);
    } else if (event.key === "ArrowRight" && row?.opens && !row.open) {
      handled();
      emit.toggle(row.unit, true);
    } else if (event.key === "ArrowLeft" && row) {
      handled();
      if (row.opens && row.open) emit.toggle(row.unit, false);
      else focus(`unit:${row.unit}`);
    } else if (event.key === " " && row) {
      handled();
      press(row, true, false);
    } else if (event.key === "Enter" && row) {
      handled();
      if (row.what === "unit") emit.toggle(row.unit, !row.open);
      else {
        press(row, false, false);
        if (row.date) emit.open(row.date.slice(0, 10));
      }
    } else if ((event.key === "F2" || event.key === "e") && row) {
      handled();
      emit.edit(row.key);
    } else if (event.key === "n") {
      handled();
      begin(row);
    } else if (event.key === "b") {
      handled();
      emit.notice();
    } else if (event.key === "Escape" && picked().size) {
      handled();
      emit.pick(new Set());
    }
  }

  return { at, current, line, lineFor, typed, press, pickAll, begin, levels, take, leave, key, focus };
}
