import { type Ref, type ShallowRef, shallowRef } from "vue";
import type { Change } from "../api/client";
import { removal } from "../change/removal";
import { leaving, ofShared, sharedKey } from "../change/shared";
import { useStepKeys } from "../change/useStepKeys";
import { dayOf } from "./days";
import { noticeKey } from "./drawn";
import { type Drop, dropChange } from "./drop";
import type { WallState } from "../change/useWall";
import { walk } from "../ui/walk";

/** What the keys act on. */
export interface HandsContext {
  state: WallState;
  focus: Ref<string>;
  opened: Ref<string>;
  run: ShallowRef<[string, string] | null>;
  picked: ShallowRef<ReadonlySet<string>>;
  dialog: Ref<"" | "off" | "shift" | "move" | "keys" | "read" | "notice" | "rhythm" | "words" | "facts">;
  editing: Ref<string>;
  wide: Ref<boolean>;
  keptWeek: Ref<number>;
  openWeek: Readonly<Ref<number>>;
  focusDay(date: string): void;
  find(): void;
  /** Puts the keyboard into the opened day's field for something new. */
  add(): void;
}

/** The wall by keyboard: walking, opening, choosing, carrying, and a key for each common change. */
export function useHands(context: HandsContext) {
  const { state, focus, opened, run, picked, dialog, editing } = context;
  const carrying = shallowRef<string[] | null>(null);
  let anchor = "";
  /** How far a shift that is proposed was asked to go in the meantime. */
  let shifted: { of: Change; by: number } | null = null;
  /** The day on which it was asked for: from another day the keys mean another lesson. */
  let shiftedOn = "";

  function go(date: string) {
    focus.value = date;
    context.focusDay(date);
  }

  /** Stretches the chosen run from the day it began on. */
  function extend(date: string) {
    if (!run.value) anchor = focus.value;
    run.value = anchor <= date ? [anchor, date] : [date, anchor];
    go(date);
  }

  function things(): string[] {
    const units = [...picked.value].filter((k) => k.startsWith("unit:"));
    // what is of another course is carried there
    const others = [...picked.value].filter((k) => !k.startsWith("unit:") && !ofShared(k));
    return others.length ? others : units;
  }

  const on = (date: string) => (state.shown.value ? dayOf(state.shown.value, date) : undefined);

  /** Chooses the day's first lesson, then one after the other of its work and its notices, then nothing. */
  function chooseNext() {
    const day = on(focus.value);
    if (!day) return;
    const keys = [
      ...day.lessons.map((l) => `lesson:${l.id}`),
      ...day.items
        .filter((i) => i.which.startsWith("main-"))
        .map((i) => (i.course ? sharedKey(i.course, `item:${i.id}`) : `item:${i.id}`)),
      ...day.notices.map((n) =>
        n.course === state.wall.value?.section.course ? noticeKey(n) : sharedKey(n.course, noticeKey(n)),
      ),
    ];
    const at = keys.findIndex((k) => picked.value.has(k));
    const next = keys[at + 1];
    picked.value = new Set(next ? [next] : []);
    opened.value = focus.value;
  }

  function shift(by: number, only: boolean) {
    const day = on(focus.value);
    const chosen = things().filter((k) => k.startsWith("lesson:"));
    const first = day?.lessons.find((l) => !l.taught);
    const lessons = chosen.length ? chosen.map((k) => k.slice(7)) : first ? [first.id] : [];
    const { course, section } = state.wall.value!.section;
    // pressed again while it is proposed, it goes so many classes further
    const was = state.pending.value;
    const applying = state.applying.value;
    const more =
      !applying &&
      shiftedOn === focus.value &&
      was?.kind === "shift" &&
      was.in === "sessions" &&
      !!was.onlyThese === only;
    if (state.proposal.value && !more && !applying) return;
    // pressed faster than it is answered, it counts from what was asked for last
    const from = more ? (shifted?.of === was ? shifted.by : Number(was.by)) : 0;
    const far = from + by;
    const of = more ? (was.lessons as string[]) : lessons;
    if (more) shifted = { of: was, by: far };
    if (more && far === 0) return state.discard();
    if (!of.length) return;
    shiftedOn = focus.value;
    void state.propose({
      kind: "shift",
      course,
      section,
      lessons: of,
      by: far,
      in: "sessions",
      ...(only ? { onlyThese: true } : {}),
    });
  }

  /** Fixes what is chosen, else the day's first lesson, on the day that the keys stand on; what is fixed there, it lets go. */
  function fixHere() {
    const day = on(focus.value);
    const { course, section } = state.wall.value!.section;
    const item = day?.items.find((i) => !i.course && i.which.startsWith("main-") && picked.value.has(`item:${i.id}`));
    const lesson =
      day?.lessons.find((l) => !l.taught && picked.value.has(`lesson:${l.id}`)) ??
      (item ? undefined : day?.lessons.find((l) => !l.taught));
    if (item && !item.locked) {
      const fixed = !item.fixed;
      void state.propose({
        kind: "move",
        course,
        seenIn: section,
        items: [item.id],
        to: focus.value,
        place: "last",
        fixed,
      });
    } else if (lesson) {
      const date = lesson.pinned ? {} : { date: focus.value };
      void state.propose({ kind: "pin", course, section, lesson: lesson.id, ...date });
    }
  }
  /** Proposes to take what is chosen out of the plan; it is always shown first. */
  function takeOut() {
    const { course } = state.wall.value!.section;
    const changes = [...picked.value].map((key) => {
      // what is of another course, too, leaves this one alone
      const shared = ofShared(key);
      if (shared) return leaving(shared.course, shared.thing, course);
      const [what, id] = [key.slice(0, key.indexOf(":")), key.slice(key.indexOf(":") + 1).split("@")[0]];
      return removal(what!, course, id!);
    });
    if (changes.length === 1) void state.propose(changes[0]!, "always");
    else if (changes.length) void state.propose({ kind: "together", does: "", changes }, "always");
  }

  function drop(how: Drop) {
    const keys = carrying.value;
    carrying.value = null;
    if (keys && state.wall.value) void state.propose(dropChange(state.wall.value.section, keys, focus.value, how));
  }

  /** Keys that hold only while the wall has the focus. */
  function key(event: KeyboardEvent) {
    const at = event.target as HTMLElement;
    if (!at.dataset.date || !state.shown.value || event.ctrlKey || event.metaKey || event.altKey) return;
    const wall = state.shown.value;
    if (event.key.startsWith("Arrow") || event.key === "Home" || event.key === "End") {
      event.preventDefault();
      const to = walk(wall, focus.value, event.key);
      if (event.shiftKey && !carrying.value) {
        extend(to);
      } else {
        if (!carrying.value) run.value = null;
        go(to);
      }
      return;
    }
    if (carrying.value) {
      if (event.key === "Enter") drop({ spacing: event.shiftKey });
      else if (event.key.toLowerCase() === "p") drop({ fix: true });
      else return;
      event.preventDefault();
      return;
    }
    const locked = state.proposal.value !== null && !state.applying.value;
    const act: Record<string, () => void> = {
      Enter: () => (opened.value = focus.value),
      " ": chooseNext,
      ".": () => shift(1, false),
      ",": () => shift(-1, false),
      ">": () => shift(1, true),
      "<": () => shift(-1, true),
      d: () => !locked && openDialog("off"),
      s: () => !locked && openDialog("shift"),
      m: () => {
        if (!locked && !things().length) chooseNext();
        if (!locked && things().length) carrying.value = things();
      },
      p: () => !locked && fixHere(),
      Delete: () => !locked && takeOut(),
      e: () => (editing.value = [...picked.value][0] ?? ""),
      n: () => {
        if (locked) return;
        opened.value = focus.value;
        context.add();
      },
      b: () => !locked && openDialog("words"),
      k: () => (context.keptWeek.value = context.keptWeek.value ? 0 : context.openWeek.value),
    };
    const action = act[event.key.length === 1 ? event.key.toLowerCase() : event.key];
    if (action) {
      event.preventDefault();
      action();
    }
  }

  function openDialog(which: "off" | "shift" | "words") {
    if (!run.value) opened.value = focus.value;
    dialog.value = which;
  }

  /** Further keys that hold anywhere on the page but in a field. */
  useStepKeys(state, (event) => {
    if (event.key === "Escape") {
      if (carrying.value) carrying.value = null;
      else if (run.value) run.value = null;
      else if (opened.value && !state.proposal.value) opened.value = "";
    } else if (!event.ctrlKey && !event.metaKey && !event.altKey) {
      if (event.key === "/") context.find();
      else if (event.key === "?") dialog.value = "keys";
      else if (event.key.toLowerCase() === "w") context.wide.value = !context.wide.value;
      else return;
      event.preventDefault();
    }
  });

  return { carrying, extend, key };
}
