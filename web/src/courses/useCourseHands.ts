import { type Ref, type ShallowRef, computed, shallowRef } from "vue";
import { useStepKeys } from "../change/useStepKeys";
import { type Drop, dropChange, saysDrop } from "../wall/drop";
import { walk } from "../ui/walk";
import type { LaidDay } from "./lay";
import type { CoursesState } from "./useCourses";

/** What the keys and the pointer act on. A thing's key is that of its section, a tab, and the thing's. */
export interface CourseHandsContext {
  state: CoursesState;
  focus: Ref<string>;
  opened: Ref<string>;
  picked: ShallowRef<ReadonlySet<string>>;
  days(): { weeks: readonly { days: readonly { date: string }[] }[]; columns: readonly unknown[] };
  dayOf(date: string): LaidDay | undefined;
  focusDay(date: string): void;
  edit(key: string): void;
}

export const split = (key: string) => ({
  lane: key.slice(0, key.indexOf("\t")),
  thing: key.slice(key.indexOf("\t") + 1),
});

/** All courses by keyboard: walking, opening, choosing, carrying; and what dropping there means. */
export function useCourseHands(context: CourseHandsContext) {
  const { state, focus, opened, picked } = context;
  const carrying = shallowRef<readonly string[] | null>(null);
  const held = computed(() => !!state.active.value?.proposal.value);

  /** Proposes to put things of one section on a day. */
  function drop(keys: readonly string[], date: string, how: Drop) {
    const lane = split(keys[0] ?? "").lane;
    const line = state.lineOf(lane);
    if (!line || held.value || !date) return;
    const things = keys.map(split).filter((k) => k.lane === lane);
    void state.take(lane)?.propose(
      dropChange(
        line,
        things.map((k) => k.thing),
        date,
        how,
      ),
    );
  }

  /** What dropping the things on a day means, in a few words. */
  function says(keys: readonly string[], date: string): string {
    const lane = split(keys[0] ?? "").lane;
    const day = state.laneOf(lane)?.days.find((d) => d.date === date) ?? { lessons: [], sessions: [] };
    return saysDrop(
      keys.map((k) => split(k).thing),
      day,
      false,
    );
  }

  const choosable = (day: LaidDay) => [
    ...day.classes.filter((c) => c.drag).map((c) => `${c.lane}\t${c.thing}`),
    ...day.things.filter((t) => t.drag).map((t) => `${t.lane}\t${t.thing}`),
  ];
  function chooseNext() {
    const day = context.dayOf(focus.value);
    if (!day) return;
    const keys = choosable(day);
    const next = keys[keys.findIndex((k) => picked.value.has(k)) + 1];
    picked.value = new Set(next ? [next] : []);
    opened.value = focus.value;
  }

  function put(how: Drop) {
    const keys = carrying.value;
    carrying.value = null;
    if (keys) drop(keys, focus.value, how);
  }

  /** Keys that hold while a day has the focus. */
  function key(event: KeyboardEvent) {
    const at = event.target as HTMLElement;
    if (!at.dataset.date || event.ctrlKey || event.metaKey || event.altKey) return;
    if (event.key.startsWith("Arrow") || event.key === "Home" || event.key === "End") {
      event.preventDefault();
      focus.value = walk(context.days(), focus.value, event.key);
      context.focusDay(focus.value);
      return;
    }
    const act: Record<string, () => void> = carrying.value
      ? { Enter: () => put({}), p: () => put({ fix: true }) }
      : {
          Enter: () => (opened.value = focus.value),
          " ": chooseNext,
          m: () => {
            if (held.value) return;
            if (!picked.value.size) chooseNext();
            if (picked.value.size) carrying.value = [...picked.value];
          },
          e: () => {
            const first = [...picked.value][0];
            if (first) context.edit(first);
          },
        };
    const action = act[event.key.length === 1 ? event.key.toLowerCase() : event.key];
    if (action) {
      event.preventDefault();
      action();
    }
  }

  useStepKeys(
    {
      proposal: computed(() => state.active.value?.proposal.value ?? null) as never,
      apply: async () => state.active.value?.apply(),
      discard: () => state.active.value?.discard(),
      undo: async () => state.active.value?.undo(),
      redo: async () => state.active.value?.redo(),
    },
    (event) => {
      if (event.key !== "Escape") return;
      if (carrying.value) carrying.value = null;
      else if (opened.value && !held.value) opened.value = "";
    },
  );

  return { carrying, drop, says, key };
}
