import type { Day, ItemView, LessonView, NoticeView, Schemas, WallView } from "../api/client";

/** Walls for tests. */
export function day(date: string, more: Partial<Day> = {}): Day {
  return {
    date,
    inTerm: true,
    teaches: true,
    past: false,
    today: false,
    lastTold: false,
    notes: [],
    sessions: [],
    lessons: [],
    items: [],
    notices: [],
    words: [],
    load: { due: 0, minutes: 0, tests: 0, work: 0, over: 0 },
    gone: [],
    ...more,
  };
}

export function lesson(id: string, more: Partial<LessonView> = {}): LessonView {
  return {
    id,
    unit: "U",
    title: id,
    part: 1,
    parts: 1,
    taught: false,
    pinned: false,
    joined: false,
    optional: false,
    reserve: false,
    steps: [],
    links: [],
    proposed: false,
    ...more,
  };
}

export function session(at: string): Schemas["SessionView"] {
  return { name: at, start: at, end: at, number: 1, minutes: 50, place: "", state: "open", beat: false };
}
export function item(id: string, more: Partial<ItemView> = {}): ItemView {
  return {
    id,
    unit: "U",
    title: `Work ${id}`,
    shortName: id,
    kind: "homework",
    test: false,
    which: "main-due",
    time: "10:00:00",
    fixed: false,
    rolled: false,
    locked: false,
    links: [],
    proposed: false,
    ...more,
  };
}
export function notice(id: string, begins: string, more: Partial<NoticeView> = {}): NoticeView {
  return {
    course: "HYD 210",
    id,
    title: `Notice ${id}`,
    place: "",
    begins,
    ends: begins,
    allDay: false,
    own: false,
    links: [],
    proposed: false,
    ...more,
  };
}
/** Two weeks from Monday 5 October 2026, Monday to Wednesday. */
export function wallOf(version = 1): WallView {
  return {
    termId: 7,
    version,
    termName: "Autumn",
    first: "2026-10-05",
    last: "2026-10-14",
    today: "2026-10-07",
    weekStart: "MO",
    sections: [{ course: "C", courseTitle: "Course", section: "A" }],
    section: {
      course: "C",
      courseTitle: "Course",
      section: "A",
      pace: "sessions",
      sessions: 4,
      minutes: 200,
      weekLimit: 480,
      lessons: 2,
      usualMinutes: 50,
    },
    columns: [1, 2, 3].map((weekday) => ({ weekday, meets: weekday !== 2 })),
    weeks: [
      {
        number: 1,
        first: "2026-10-05",
        minutes: 0,
        over: 0,
        headline: "",
        targets: [],
        days: [
          day("2026-10-05", { lessons: [lesson("L1")], sessions: [session("2026-10-05T10:00:00")] }),
          day("2026-10-06"),
          day("2026-10-07"),
        ],
      },
      {
        number: 2,
        first: "2026-10-12",
        minutes: 0,
        over: 0,
        headline: "",
        targets: [],
        days: [day("2026-10-12", { lessons: [lesson("L2")] }), day("2026-10-13"), day("2026-10-14")],
      },
    ],
    others: [],
    outline: { noDate: [], noSession: [], units: [], notices: [] },
    findings: [],
  };
}
