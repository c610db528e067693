import { createApp, h, nextTick, shallowRef } from "vue";
import "../src/design/courses.css";
import CoursesWall from "../src/courses/CoursesWall.vue";
import { kept } from "../src/change/kept";
import { type CoursesView, layer } from "../src/courses/lay";

const first = Date.UTC(2026, 7, 31);
const iso = (days: number) => new Date(first + days * 86_400_000).toISOString().slice(0, 10);
const WEEKS = 16;
const COURSES = 6;
const THINGS = 1000;

/** Six courses over sixteen weeks, each meeting three times a week, with 1,000 dated things; 50 of them elsewhere when moved. */
function view(moved: number): CoursesView {
  const days = Array.from({ length: WEEKS * 5 }, (_, n) => iso(Math.floor(n / 5) * 7 + (n % 5)));
  const lanes = Array.from({ length: COURSES }, (_, c) => ({
    key: `1/C${c}/A`,
    course: `C${c}`,
    courseTitle: `Course ${c}`,
    section: "A",
    weekLimit: 480,
    units: Array.from({ length: 6 }, (_, u) => ({ id: `U${u}`, code: `U${u}`, title: "", number: u, colour: "" })),
    days: days.map((date, n) => ({
      date,
      inTerm: true,
      teaches: true,
      past: n < 30,
      today: n === 30,
      lastTold: false,
      notes: [],
      gone: [],
      notices: [],
      words: [],
      load: { due: 2, minutes: 60, tests: 0, work: 0, over: 0 },
      items: Array.from({ length: THINGS }, (_, i) => i)
        .filter((i) => i % COURSES === c && (i < moved ? i + 7 : i) % days.length === n)
        .map((i) => ({
          id: `i${i}`,
          unit: "U",
          title: `Work ${i}`,
          shortName: `W ${i}`,
          kind: "homework",
          test: i % 40 === 0,
          which: "main-due",
          time: "10:00:00",
          fixed: false,
          rolled: false,
          locked: false,
          links: [],
          proposed: i < moved,
        })),
      sessions:
        (n + c) % 2
          ? []
          : [
              {
                name: date,
                start: `${date}T${String(8 + c).padStart(2, "0")}:00:00`,
                end: date,
                number: n,
                minutes: 50,
                place: "",
                state: "open",
                beat: false,
              },
            ],
      lessons:
        (n + c) % 2
          ? []
          : [
              {
                id: `L${n}`,
                unit: `U${Math.floor(n / 14)}`,
                title: `Lesson ${n}`,
                part: 1,
                parts: 1,
                taught: n < 30,
                pinned: false,
                joined: false,
                optional: false,
                reserve: false,
                steps: [],
                links: [],
                proposed: false,
              },
            ],
    })),
  }));
  return {
    today: iso(42),
    columns: [1, 2, 3, 4, 5],
    weeks: Array.from({ length: WEEKS }, (_, w) => ({
      first: iso(w * 7),
      last: iso(w * 7 + 6),
      days: [0, 1, 2, 3, 4].map((d) => iso(w * 7 + d)),
    })),
    courses: lanes.map((l, c) => ({
      key: l.key,
      termId: 1,
      termName: "",
      first: iso(0),
      last: iso(WEEKS * 7),
      course: l.course,
      courseTitle: l.courseTitle,
      section: "A",
      letter: "ABCDEF"[c]!,
      meets: "",
      finished: false,
      role: "own",
    })),
    terms: [{ termId: 1, version: 1, termName: "", first: iso(0), last: iso(WEEKS * 7), lanes }],
    groups: [],
  };
}

/**
 * All of it laid and drawn for the first time; a thing carried from one day to the next; 50 things moved. In milliseconds: script,
 * and with style and layout.
 */
export async function courses(host: HTMLElement) {
  const [before, after] = [view(0), view(50)];
  const choice = { hidden: new Set<string>(), shown: new Set(before.courses.map((c) => c.key)), group: [] };
  const draws: [number, number][] = [];
  const drags: [number, number][] = [];
  const moves: [number, number][] = [];
  const none = new Set<string>();
  for (let n = 0; n < 14; n++) {
    const fresh = structuredClone(n % 2 ? after : before);
    const from = performance.now();
    const lay = layer();
    const weeks = shallowRef(lay(fresh, fresh.terms, choice));
    const target = shallowRef<{ date: string; says: string } | null>(null);
    const app = createApp({
      render: () =>
        h(CoursesWall, {
          weeks: weeks.value,
          columns: fresh.columns,
          today: fresh.today,
          focus: "",
          opened: "",
          picked: none,
          target: target.value,
          turned: none,
          close: false,
        }),
    });
    app.mount(host);
    await nextTick();
    const drawn = performance.now();
    void document.body.offsetHeight;
    draws.push([drawn - from, performance.now() - from]);
    await new Promise((r) => setTimeout(r, 40));
    for (let d = 30; d < 40; d++) {
      const at = performance.now();
      target.value = { date: iso(Math.floor(d / 5) * 7 + (d % 5)), says: "on this date" };
      await nextTick();
      const said = performance.now();
      void document.body.offsetHeight;
      drags.push([said - at, performance.now() - at]);
      await new Promise((r) => setTimeout(r, 20));
    }
    const other = structuredClone(n % 2 ? before : after);
    const at = performance.now();
    weeks.value = lay(fresh, kept(fresh.terms, other.terms), choice);
    await nextTick();
    const said = performance.now();
    void document.body.offsetHeight;
    moves.push([said - at, performance.now() - at]);
    await new Promise((r) => setTimeout(r, 40));
    app.unmount();
  }
  return { draws: draws.slice(3), drags: drags.slice(30), moves: moves.slice(3) };
}
