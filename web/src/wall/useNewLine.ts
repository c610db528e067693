import { type ComputedRef, type Ref, computed, ref } from "vue";
import { type WallView, api, ask } from "../api/client";
import type { OutlineRow } from "../change/outline";
import type { WallState } from "../change/useWall";
import { useTypedLine } from "./useTypedLine";

/** A line that is being typed below another. */
export interface NewLine {
  /** Key of the line above it; empty for the top. */
  after: string;
  level: "unit" | "lesson" | "work";
  unit: string;
  lesson: string;
  within: string;
}

/**
 * New lines typed into the outline, one below the other.
 *
 * @param back goes back to a line, by its key
 * @param toggle opens or closes a unit
 */
export function useNewLine(
  state: WallState,
  wall: () => WallView,
  rows: ComputedRef<OutlineRow[]>,
  back: (key: string) => void,
  toggle: (unit: string, open: boolean) => void,
) {
  const line: Ref<NewLine | null> = ref(null);

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
      if (what === "unit") toggle(id, true);
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
    const after = line.value?.after;
    line.value = null;
    if (after) back(after);
  }

  return { line, lineFor, typed, begin, levels, take, leave };
}
