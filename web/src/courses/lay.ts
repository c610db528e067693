import type { Day, ItemView, NoticeView, Schemas } from "../api/client";
import { threadOf } from "../draw/units";
import { showsItem, showsNotice } from "../draw/kinds";
import { clock, weekdayDay } from "../ui/say";
import { noticeKey, noticeTime } from "../wall/drawn";

export type CoursesView = Schemas["CoursesView"];
export type TermLanes = Schemas["TermLanes"];
export type CourseLine = Schemas["CourseLine"];

/** A class of one course on a day. */
export interface LaidClass {
  lane: string;
  letter: string;
  /** What it holds, as "CH2" or "CH2–3"; empty where no lesson is planned. */
  code: string;
  /** The same where there is little room: "CH2+". */
  short: string;
  /** Titles of what it holds. */
  title: string;
  words: string;
  look: readonly string[];
  start: string;
  /** Key of its first lesson, as "lesson:CH2"; empty for none. */
  thing: string;
  drag: boolean;
  /** How much of the course is due on the day. */
  due: number;
  tests: boolean;
  /** It has no meeting: lessons of a course that runs by weeks. */
  beat: boolean;
  taught: boolean;
  goesOn: boolean;
  proposed: boolean;
}

/** Work or a notice on a day, of one section or of several that have it alike. */
export interface LaidThing {
  lane: string;
  /** "A", or "A B" where several have it. */
  letters: string;
  /** The course that it is written in. */
  owner: string;
  /** "item:set-1" or "notice:hut@2026-09-10". */
  thing: string;
  what: "opens" | "due" | "closes" | "notice";
  name: string;
  title: string;
  at: string;
  words: string;
  test: boolean;
  reading: boolean;
  fixed: boolean;
  told: string;
  draft: boolean;
  proposed: boolean;
  drag: boolean;
}

/** A day over all courses that are shown. */
export interface LaidDay {
  date: string;
  past: boolean;
  today: boolean;
  /** No shown course teaches on it, and why; empty where one does. */
  off: string;
  /** Those that do not, where others do: "A B: field day". */
  apart: string;
  classes: readonly LaidClass[];
  things: readonly LaidThing[];
  /** How much is due of courses that have no class on it, and of which, where it is one. */
  loose: { n: number; letter: string };
  /** What a proposal takes away from it. */
  gone: readonly string[];
  /** All of it in words. */
  label: string;
}

/** Work of a week by section, in minutes. */
export interface LaneLoad {
  letter: string;
  lane: string;
  minutes: number;
  over: boolean;
}

export interface LaidWeek {
  first: string;
  last: string;
  days: readonly LaidDay[];
  loads: readonly LaneLoad[];
  minutes: number;
  over: number;
  /** Minutes above which it is over. */
  limit: number;
}

/** What is shown, and of whom the work is counted. */
export interface Choice {
  hidden: ReadonlySet<string>;
  /** Keys of the sections that are shown. */
  shown: ReadonlySet<string>;
  /** Keys of the sections whose students' work is counted; empty for all shown. */
  group: readonly string[];
}

interface Lane {
  line: CourseLine;
  lane: TermLanes["lanes"][number];
  days: ReadonlyMap<string, Day>;
  looks: ReadonlyMap<string, string[]>;
}

const known = new WeakMap<TermLanes["lanes"][number], Pick<Lane, "days" | "looks">>();
function indexed(lane: TermLanes["lanes"][number]) {
  let found = known.get(lane);
  if (!found) {
    found = {
      days: new Map(lane.days.map((d) => [d.date, d])),
      looks: new Map(lane.units.map((u) => [u.id, threadOf(u.number, u.colour)])),
    };
    known.set(lane, found);
  }
  return found;
}

/** The sections that are shown, in their order. */
function lanesOf(view: CoursesView, terms: readonly TermLanes[], shown: ReadonlySet<string>): Lane[] {
  const byKey = new Map(terms.flatMap((t) => t.lanes).map((lane) => [lane.key, lane]));
  return view.courses.flatMap((line) => {
    const lane = shown.has(line.key) ? byKey.get(line.key) : undefined;
    return lane ? [{ line, lane, ...indexed(lane) }] : [];
  });
}

/** Lays weeks; a day of which nothing differs from the time before is the same object as then, so that nobody draws it again. */
export function layer() {
  const memo: Memo = new Map();
  return (view: CoursesView, terms: readonly TermLanes[], choice: Choice) => layWeeks(view, terms, choice, memo);
}
type Memo = Map<string, { of: readonly unknown[]; day: LaidDay }>;

function keptDay(
  date: string,
  today: string,
  lanes: readonly Lane[],
  hidden: ReadonlySet<string>,
  memo: Memo,
): LaidDay {
  const of = [today, hidden, ...lanes.flatMap((l) => [l.line, l.days.get(date)])];
  const was = memo.get(date);
  if (was && was.of.length === of.length && of.every((one, n) => one === was.of[n])) return was.day;
  const day = layDay(date, today, lanes, hidden);
  memo.set(date, { of, day });
  return day;
}

/** The weeks of all shown courses as they are drawn, from the days that the server worked out. */
export function layWeeks(
  view: CoursesView,
  terms: readonly TermLanes[],
  choice: Choice,
  memo: Memo = new Map(),
): LaidWeek[] {
  const lanes = lanesOf(view, terms, choice.shown);
  const counted = choice.group.length ? lanes.filter((l) => choice.group.includes(l.line.key)) : lanes;
  const limits = new Map(counted.map((l) => [`${l.line.termId}/${l.line.course}`, l.lane.weekLimit]));
  const limit = [...limits.values()].reduce((a, b) => a + b, 0);
  return view.weeks
    .filter((w) => lanes.some((l) => l.line.first <= w.last && w.first <= l.line.last))
    .map((w) => {
      const loads = counted.map((l) => {
        const minutes = w.days.reduce((sum, date) => sum + (l.days.get(date)?.load.minutes ?? 0), 0);
        return { letter: l.line.letter, lane: l.line.key, minutes, over: minutes > l.lane.weekLimit };
      });
      const minutes = loads.reduce((sum, l) => sum + l.minutes, 0);
      return {
        first: w.first,
        last: w.last,
        days: w.days.map((date) => keptDay(date, view.today, lanes, choice.hidden, memo)),
        loads,
        minutes,
        over: Math.max(0, minutes - limit),
        limit,
      };
    });
}

function layDay(date: string, today: string, lanes: readonly Lane[], hidden: ReadonlySet<string>): LaidDay {
  const classes: LaidClass[] = [];
  const things = new Map<string, LaidThing>();
  const gone: string[] = [];
  const off = new Map<string, string[]>();
  let running = 0;
  for (const lane of lanes) {
    const within = lane.line.first <= date && date <= lane.line.last;
    if (within) running++;
    const day = lane.days.get(date);
    if (!day) continue;
    if (within && day.off?.noClass && !day.sessions.length) {
      const reason = day.off.reason || "day off";
      off.set(reason, [...(off.get(reason) ?? []), lane.line.letter]);
    }
    if (!hidden.has("classes")) classes.push(...classesOf(lane, day));
    for (const item of day.items) if (showsItem(item, hidden)) add(things, work(lane, item));
    for (const notice of day.notices)
      if (notice.begins.startsWith(date) && showsNotice(notice, hidden)) add(things, flagged(lane, notice));
    gone.push(...day.gone.map((g) => `${lane.line.letter} ${g.title} leaves: ${g.why}`));
  }
  const reasons = [...off];
  const all = reasons.reduce((sum, [, letters]) => sum + letters.length, 0);
  const sorted = [...things.values()].sort(inOrder);
  const due = sorted.filter((t) => t.what === "due");
  for (const one of classes) {
    const of = due.filter((t) => t.lane === one.lane);
    one.due = of.length;
    one.tests = of.some((t) => t.test);
  }
  const loose = due.filter((t) => !classes.some((c) => c.lane === t.lane));
  const letters = [...new Set(loose.map((t) => t.letters))];
  const day = {
    date,
    past: date < today,
    today: date === today,
    off: running > 0 && all === running ? reasons.map(([reason]) => reason).join(", ") : "",
    apart: all && all < running ? reasons.map(([reason, letters]) => `${letters.join(" ")}: ${reason}`).join("; ") : "",
    classes: classes.sort((a, b) => Number(a.beat) - Number(b.beat) || (a.start < b.start ? -1 : 1)),
    things: sorted,
    loose: { n: loose.length, letter: letters.length === 1 && letters[0]!.length < 3 ? letters[0]! : "" },
    gone,
  };
  return { ...day, label: labelOf(day) };
}

function labelOf(day: Omit<LaidDay, "label">): string {
  return [
    weekdayDay(day.date),
    day.today ? "today" : "",
    day.off ? `no class: ${day.off}` : "",
    day.apart ? `no class for ${day.apart}` : "",
    ...day.classes.map((c) => c.words),
    ...day.things.map((t) => `${t.letters} ${t.words}`),
    ...day.gone,
  ]
    .filter(Boolean)
    .join(". ");
}

/** Tests first, then what is due, then the rest; in each by time, reading last. */
function inOrder(a: LaidThing, b: LaidThing): number {
  const rank = (t: LaidThing) => (t.test ? 0 : t.what === "due" ? (t.reading ? 2 : 1) : 3);
  return rank(a) - rank(b) || (a.at < b.at ? -1 : a.at > b.at ? 1 : 0);
}

/** What several sections have alike stands once. */
function add(things: Map<string, LaidThing>, one: LaidThing & { same: string }) {
  const { same, ...thing } = one;
  const known = things.get(same);
  if (known) {
    if (!known.letters.split(" ").includes(thing.letters)) known.letters += ` ${thing.letters}`;
    known.told ||= thing.told;
    known.proposed ||= thing.proposed;
    // its own course's, not that of one with which it is shared
    if (thing.drag && !known.drag) Object.assign(known, { drag: true, lane: thing.lane });
  } else things.set(same, thing);
}

function classesOf(lane: Lane, day: Day): LaidClass[] {
  const of = { lane: lane.line.key, letter: lane.line.letter };
  const may = lane.line.role !== "reader";
  const lessons = day.lessons;
  const first = lessons[0];
  const last = lessons[lessons.length - 1];
  return day.sessions.slice(0, 1).map((session) => ({
    ...of,
    code: !first || !last ? "" : first === last ? first.id : joined(first.id, last.id),
    short: first ? first.id + (first === last ? "" : "+") : "",
    title: lessons.map((l) => l.title).join(", "),
    words: [
      `${lane.line.letter}, ${lane.line.course} ${lane.line.section}`,
      session.beat ? "" : clock(session.start),
      lessons.length
        ? lessons.map((l) => `${l.id} ${l.title}${l.parts > 1 ? ` ${l.part}/${l.parts}` : ""}`).join(", ")
        : "nothing planned",
      first?.taught ? "taught" : "",
    ]
      .filter(Boolean)
      .join(", "),
    look: first ? (lane.looks.get(first.unit) ?? []) : [],
    start: session.start,
    thing: first ? `lesson:${first.id}` : "",
    drag: may && !!first && !first.taught,
    due: 0,
    tests: false,
    beat: session.beat,
    taught: first?.taught ?? false,
    goesOn: (first?.part ?? 1) > 1,
    proposed: lessons.some((l) => l.proposed),
  }));
}

/** "CH2–3" of "CH2" and "CH3"; else both. */
function joined(a: string, b: string): string {
  const head = /^(.*?)(\d+)$/.exec(a);
  const tail = /^(.*?)(\d+)$/.exec(b);
  return head && tail && head[1] === tail[1] ? `${a}–${tail[2]}` : `${a} ${b}`;
}

function work(lane: Lane, i: ItemView): LaidThing & { same: string } {
  const owner = i.course ?? lane.line.course;
  const what = i.which.replace("main-", "") as LaidThing["what"];
  const where = `${lane.line.course}${i.course ? `, shared by ${i.course}` : ""}`;
  return {
    same: `${lane.line.termId}/${owner}/${i.id}/${what}/${i.time}`,
    lane: lane.line.key,
    letters: lane.line.letter,
    owner,
    thing: `item:${i.id}`,
    what,
    name: i.shortName,
    title: i.title,
    at: i.time,
    words: [`${i.title}, ${what} ${clock(i.time)}, ${where}`, i.told ?? "", i.draft ? "a draft" : ""]
      .filter(Boolean)
      .join(", "),
    test: i.test && what !== "opens",
    reading: i.kind === "reading",
    fixed: i.fixed,
    told: i.told ?? "",
    draft: !!i.draft,
    proposed: i.proposed,
    // an opening is carried along with what it is of
    drag: i.which.startsWith("main-") && !i.locked && !i.course && lane.line.role !== "reader",
  };
}

function flagged(lane: Lane, n: NoticeView): LaidThing & { same: string } {
  const own = n.course === lane.line.course;
  return {
    same: `${lane.line.termId}/${n.course}/notice/${n.id}/${n.begins}`,
    lane: lane.line.key,
    letters: lane.line.letter,
    owner: n.course,
    thing: noticeKey(n),
    what: "notice",
    name: n.title,
    title: n.title,
    at: n.allDay ? "" : n.begins.slice(11),
    words: [n.own ? "notice for me" : "notice", n.title, noticeTime(n), n.place, lane.line.course]
      .filter(Boolean)
      .join(", "),
    test: false,
    reading: false,
    fixed: false,
    told: "",
    draft: false,
    proposed: n.proposed,
    drag: own && lane.line.role !== "reader",
  };
}
