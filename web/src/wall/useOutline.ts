import { type ComputedRef, type Ref, computed, nextTick, ref } from "vue";
import { type Change, type WallView, api, ask } from "../api/client";
import type { OutlineRow } from "../change/outline";
import { nudge } from "../change/placing";
import { useTypedLine } from "./useTypedLine";
import type { WallState } from "../change/useWall";

/** A line that is being typed below another. */
export interface NewLine {
  /** Key of the line above it; empty for the top. */
  after: string;
  level: "unit" | "lesson" | "work";
  unit: string;
  lesson: string;
  within: string;
}

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
  const line: Ref<NewLine | null> = ref(null);
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

  // --- typing

  function begin(row: OutlineRow | undefined) {
    if (state.proposal.value) return;
    const level =
      !row || (row.what === "notice" && !row.unit)
        ? "unit"
        : row.what === "unit"
          ? row.open
            ? "lesson"
            : "unit"
          : row.what === "lesson"
            ? "lesson"
            : "work";
    line.value = {
      after: row?.key ?? "",
      level,
      unit: row?.unit ?? "",
      lesson: row?.what === "lesson" ? row.key.slice(7) : (row?.lesson ?? ""),
      within: row?.within ?? "",
    };
    context = line.value;
    typed.clear();
  }
  function levels(by: 1 | -1) {
    const now = line.value;
    if (!now) return;
    const order: NewLine["level"][] = now.unit ? ["unit", "lesson", "work"] : ["unit"];
    const next = order[order.indexOf(now.level) + by];
    if (!next) return;
    line.value = { ...now, level: next };
    void typed.hear();
  }
  const lineFor = computed(() => {
    const now = line.value;
    if (!now) return "";
    const unit = wall().outline.units.find((u) => u.id === now.unit);
    const due = now.unit !== "" && /\bdue\b/i.test(typed.text.value);
    if (now.level === "unit" && !due) return "a unit";
    if (now.level === "lesson" && !due) return `a lesson of ${unit?.code ?? ""}`;
    return now.lesson ? `work of ${now.lesson}` : `work of ${unit?.code ?? ""}`;
  });
  /** The thing before which a new line goes: the next of its own level in the same place. */
  function before(now: NewLine): string | undefined {
    const n = rows.value.findIndex((r) => r.key === now.after);
    if (n < 0) return undefined;
    const what = now.level === "work" ? "item" : now.level;
    for (const row of rows.value.slice(n + 1)) {
      if (row.what !== what) continue;
      const here =
        what === "unit" ||
        (row.unit === now.unit && (what === "lesson" || (row.lesson === now.lesson && row.within === now.within)));
      return here ? row.key.slice(row.key.indexOf(":") + 1) : undefined;
    }
    return undefined;
  }
  /** What says when it is due is work, wherever it is typed. */
  const levelOf = (now: NewLine, text: string) => (now.unit && /\bdue\b/i.test(text) ? "work" : now.level);
  const typed = useTypedLine<NewLine["level"]>(
    state,
    () => line.value?.level ?? "unit",
    (text, noted) => {
      const now = { ...(line.value ?? context), level: noted };
      const level = levelOf(now, text);
      return ask(
        api.POST("/api/terms/{termId}/outline/line", {
          params: { path: { termId: state.termId } },
          body: {
            course: wall().section.course,
            level,
            text,
            unit: now.unit || undefined,
            lesson: level === "work" ? now.lesson || undefined : undefined,
            within: level === "work" ? now.within || undefined : undefined,
            before: before({ ...now, level }),
            section: wall().section.section,
          },
        }),
      );
    },
    (read) => {
      const [what, id] = [read.key.slice(0, read.key.indexOf(":")), read.key.slice(read.key.indexOf(":") + 1)];
      const now = line.value ?? context;
      if (what === "unit") emit.toggle(id, true);
      context = {
        ...now,
        after: read.key,
        unit: what === "unit" ? id : now.unit,
        lesson: what === "lesson" ? id : what === "unit" ? "" : now.lesson,
      };
      if (line.value) line.value = context;
    },
  );
  /** Where the next line goes, also while the field is closed and lines still wait. */
  let context: NewLine = { after: "", level: "unit", unit: "", lesson: "", within: "" };
  function take() {
    if (!typed.enter()) leave();
  }
  function leave() {
    const back = line.value?.after;
    line.value = null;
    if (back) focus(back);
  }

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
