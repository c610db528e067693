import type { Day, Gone, ItemView, LessonView } from "../api/client";
import { clock, numberOf, span, weekdayDay } from "../ui/say";
import { fitting, shownItems } from "./fit";
import type { Cell } from "./rows";
import type { Looks } from "./units";

/** What a day of the wall shows, worked out in one go: a term has some hundred of them. */
export interface Drawn {
  /** The day's number; a run of days off says its days once, on the first. */
  number: string;
  label: string;
  items: readonly ItemView[];
  /** How many of the items have room. */
  fits: number;
  /** The first test, and how many other things there are: all that a close-set day says of its work. */
  test?: ItemView;
  others: number;
  goneLessons: readonly Gone[];
  goneWork: readonly Gone[];
  /** What stands where no lesson does. */
  none: string;
  /** A session without a lesson. */
  empty: boolean;
  thread: readonly string[];
  knot: readonly (string | Record<string, boolean>)[] | null;
}

const NO_LESSON: Record<string, string> = {
  held: "held empty",
  paused: "plan pauses",
  early: "before the plan",
  taught: "nothing reached",
};

export function draw(cell: Cell, looks: Looks, room: number, close: boolean): Drawn {
  const { day, off, runLength, runEnd } = cell;
  const items = shownItems(day.items);
  const test = items.find((i) => i.test);
  const first = day.lessons[0];
  const empty = !off && !first && day.sessions.some((s) => !s.beat || s.state !== "open");
  return {
    number: !off || runLength === 1 ? numberOf(day.date) : runLength > 1 ? span(day.date, runEnd) : "",
    label: labelOf(day, items),
    items,
    fits: close ? 0 : fitting(items, room),
    test,
    others: items.length - (test ? 1 : 0),
    goneLessons: close ? [] : day.gone.filter((g) => g.what === "lesson"),
    goneWork: day.gone.filter((g) => g.what !== "lesson"),
    none: first ? "" : empty ? (NO_LESSON[day.sessions[0]?.state ?? ""] ?? "nothing planned") : (day.off?.reason ?? ""),
    empty,
    thread: day.thread ? (looks.get(day.thread.unit) ?? []) : [],
    knot: first ? [...(looks.get(first.unit) ?? []), { taught: first.taught, cont: first.part > 1 }] : null,
  };
}

/** The day in words. */
function labelOf(d: Day, items: readonly ItemView[]): string {
  const words = [weekdayDay(d.date)];
  if (d.today) words.push("today");
  if (d.off)
    words.push(`${d.off.noClass ? "day off" : d.off.planPauses ? "plan pauses" : "nothing due"}: ${d.off.reason}`);
  for (const s of d.sessions) words.push(s.beat ? `session ${s.number}` : `class ${s.number} at ${clock(s.start)}`);
  for (const l of d.lessons) words.push(lessonWords(l));
  for (const i of items)
    words.push(`${i.title} ${i.which.replace("main-", "")} ${clock(i.time)}${i.fixed ? ", fixed date" : ""}`);
  for (const g of d.gone) words.push(`${g.title} leaves`);
  return [...words, ...d.notes].join(". ");
}

function lessonWords(l: LessonView): string {
  const part = l.parts > 1 ? `, ${l.part} of ${l.parts}` : "";
  const marks = `${l.taught ? "taught" : "planned"}${l.pinned ? ", fixed" : ""}${l.proposed ? ", proposed here" : ""}`;
  return `${l.id} ${l.title}${part}, ${marks}`;
}
