import type { Day, Gone, ItemView, LessonView, NoticeView } from "../api/client";
import { clock, moment, numberOf, span, weekdayDay } from "../ui/say";
import { fitting, shownItems } from "../draw/fit";
import { alsoIn, sharedKey } from "../change/shared";
import { hiddenKinds, showsItem, showsNotice } from "../draw/kinds";
import type { Cell } from "../draw/rows";
import type { Looks } from "../draw/units";

/** Work or a notice as a day of the wall names it. */
export interface Named {
  /** "item:set-1", "notice:hut", "notice:hut@2026-09-10" for an entry of a series. */
  key: string;
  /** It can be carried. */
  carries: boolean;
  notice: boolean;
  /** Words on the day. */
  word: boolean;
  test: boolean;
  reading: boolean;
  fixed: boolean;
  locked: boolean;
  proposed: boolean;
  /** What students were told of its date, where that is another. */
  told: string;
  /** Students are not told of it until it is given out. */
  draft?: boolean | null;
  shortName: string;
  words: string;
}

/** What a day of the wall shows, worked out in one go: a term has some hundred of them. */
export interface Drawn {
  /** The day's number; a run of days off says its days once, on the first. */
  number: string;
  label: string;
  items: readonly Named[];
  lessons: readonly LessonView[];
  /** A notice of several days goes on here. */
  goesOn: boolean;
  /** How many of the items have room. */
  fits: number;
  /** The first test, and how many other things there are: all that a close-set day says of its work. */
  test?: Named;
  others: number;
  /** What opens on the day, for a small mark. */
  opens: readonly string[];
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
  held: "kept free",
  paused: "lessons wait",
  early: "before the plan",
  taught: "nothing reached",
};

export function draw(cell: Cell, looks: Looks, room: number, close: boolean, course: string): Drawn {
  const { day, off, runLength, runEnd } = cell;
  const hidden = hiddenKinds.value;
  const work = shownItems(day.items).filter((i) => showsItem(i, hidden));
  const items = [
    ...work.map(named),
    ...day.notices
      .filter((n) => n.begins.startsWith(day.date) && showsNotice(n, hidden))
      .map((n) => flagged(n, course)),
    ...day.words.map((w, n) => worded(w.text, n)),
  ];
  const test = items.find((i) => i.test);
  const first = day.lessons[0];
  const empty = !off && !first && day.sessions.some((s) => !s.beat || s.state !== "open");
  return {
    number: !off || runLength === 1 ? numberOf(day.date) : runLength > 1 ? span(day.date, runEnd) : "",
    label: labelOf(day, work),
    items,
    lessons: hidden.has("classes") ? [] : day.lessons,
    goesOn: day.notices.some((n) => showsNotice(n, hidden) && n.ends.slice(0, 10) > n.begins.slice(0, 10)),
    fits: close ? 0 : fitting(items, room),
    test,
    others: items.length - (test ? 1 : 0),
    opens: close
      ? []
      : day.items
          .filter((i) => i.which === "opens" && showsItem(i, hidden))
          .map((i) => `${i.title} opens ${clock(i.time)}`),
    goneLessons: close ? [] : day.gone.filter((g) => g.what === "lesson"),
    goneWork: day.gone.filter((g) => g.what !== "lesson"),
    none: first ? "" : empty ? (NO_LESSON[day.sessions[0]?.state ?? ""] ?? "nothing planned") : (day.off?.reason ?? ""),
    empty,
    thread: day.thread ? (looks.get(day.thread.unit) ?? []) : [],
    knot:
      first && !hidden.has("classes")
        ? [...(looks.get(first.unit) ?? []), { taught: first.taught, cont: first.part > 1 }]
        : null,
  };
}

function named(i: ItemView): Named {
  return {
    key: i.course ? sharedKey(i.course, `item:${i.id}`) : `item:${i.id}`,
    carries: !i.locked && !i.course,
    notice: false,
    word: false,
    test: i.test,
    reading: i.kind === "reading",
    fixed: i.fixed,
    locked: i.locked,
    proposed: i.proposed,
    told: i.told ?? "",
    draft: i.draft,
    shortName: i.shortName,
    words: [
      `${i.title}, ${i.which.replace("main-", "")} ${clock(i.time)}`,
      i.course ? `shared by ${i.course}` : alsoIn(i.sharedWith),
      i.told ?? "",
    ]
      .filter(Boolean)
      .join(", "),
  };
}
function flagged(n: NoticeView, course: string): Named {
  const own = n.course === course;
  return {
    key: own ? noticeKey(n) : sharedKey(n.course, noticeKey(n)),
    carries: own,
    notice: true,
    word: false,
    test: false,
    reading: false,
    fixed: false,
    locked: false,
    proposed: n.proposed,
    told: "",
    shortName: cut(n.title, 26),
    words: noticeWords(n),
  };
}
const cut = (text: string, most: number) => (text.length > most ? `${text.slice(0, most - 1).trimEnd()}…` : text);
function worded(text: string, n: number): Named {
  return {
    key: `word:${n}`,
    carries: false,
    notice: false,
    word: true,
    test: false,
    reading: false,
    fixed: false,
    locked: false,
    proposed: false,
    told: "",
    shortName: cut(text, 20),
    words: text,
  };
}
/** How a notice on a day is named: an entry of a series by its first day. */
export const noticeKey = (n: NoticeView) => `notice:${n.id}${n.entry ? `@${n.entry}` : ""}`;

/** When a notice is, without its first day. */
export function noticeTime(n: NoticeView): string {
  const [from, to] = [n.begins.slice(0, 10), n.ends.slice(0, 10)];
  if (n.allDay) return from === to ? "" : span(from, to);
  if (from !== to) return `${clock(n.begins)} to ${moment(n.ends)}`;
  return n.begins === n.ends ? clock(n.begins) : `${clock(n.begins)} to ${clock(n.ends)}`;
}
function noticeWords(n: NoticeView): string {
  return [`${n.own ? "own notice" : "notice"}: ${n.title}`, noticeTime(n), n.place, alsoIn(n.sharedWith)]
    .filter(Boolean)
    .join(", ");
}

/** The day in words. */
function labelOf(d: Day, items: readonly ItemView[]): string {
  const words = [weekdayDay(d.date)];
  if (d.today) words.push("today");
  if (d.off)
    words.push(`${d.off.noClass ? "day off" : d.off.planPauses ? "lessons wait" : "nothing due"}: ${d.off.reason}`);
  for (const s of d.sessions) words.push(s.beat ? `session ${s.number}` : `class ${s.number} at ${clock(s.start)}`);
  for (const l of d.lessons) words.push(lessonWords(l));
  for (const i of items)
    words.push(
      `${i.title} ${i.which.replace("main-", "")} ${clock(i.time)}${i.fixed ? ", fixed date" : ""}${i.told ? `, ${i.told}` : ""}${i.draft ? ", a draft" : ""}`,
    );
  for (const n of d.notices) words.push(noticeWords(n));
  for (const n of d.words) words.push(n.text);
  for (const g of d.gone) words.push(`${g.title} leaves`);
  return [...words, ...d.notes].join(". ");
}

function lessonWords(l: LessonView): string {
  const part = l.parts > 1 ? `, ${l.part} of ${l.parts}` : "";
  const marks = `${l.taught ? "taught" : "planned"}${l.pinned ? ", fixed" : ""}${l.proposed ? ", proposed here" : ""}${l.told ? `, ${l.told}` : ""}`;
  return `${l.id} ${l.title}${part}, ${marks}`;
}
