import { computed, createApp, defineComponent, h, nextTick, reactive, ref, shallowRef } from "vue";
import type { DatesRow, DatesView, Day, ItemView, WallView } from "../src/api/client";
import DatesGrid from "../src/dates/DatesGrid.vue";
import { columnsOf, lines, rowsOf, usualColumns } from "../src/dates/table";
import type { DatesState } from "../src/dates/useDates";
import { useSheet } from "../src/dates/useSheet";
import "../src/design/tokens.css";
import "../src/design/base.css";
import "../src/design/frame.css";
import "../src/design/day.css";
import "../src/design/day-lists.css";
import "../src/design/five-days.css";
import "../src/design/dates.css";
import { kept } from "../src/change/kept";
import WallGrid from "../src/wall/WallGrid.vue";
import { courses } from "./courses";

/** A wall of 18 weeks by 5 days with 1,000 dated things, of which 200 lie elsewhere when moved. */
function wallOf(moved: number): WallView {
  const weeks = [];
  let n = 0;
  const first = Date.UTC(2026, 7, 31);
  const iso = (days: number) => new Date(first + days * 86_400_000).toISOString().slice(0, 10);
  const items: ItemView[][] = Array.from({ length: 90 }, () => []);
  for (let i = 0; i < 1000; i++) {
    const at = i % 5 === 0 && i / 5 < moved ? (i + 7) % 90 : i % 90;
    items[at]!.push({
      id: "i" + i,
      unit: "U",
      title: "Work " + i,
      shortName: "W" + i,
      kind: "homework",
      test: false,
      which: "main-due",
      time: "10:00:00",
      fixed: false,
      rolled: false,
      locked: false,
      links: [],
      proposed: false,
    });
  }
  for (let w = 0; w < 18; w++) {
    const days: Day[] = [];
    for (let d = 0; d < 5; d++, n++) {
      const date = iso(w * 7 + d);
      days.push({
        date,
        inTerm: true,
        teaches: true,
        past: false,
        today: false,
        lastTold: false,
        notes: [],
        gone: [],
        notices: [],
        words: [],
        load: { due: 0, minutes: 0, tests: 0, work: 0, over: 0 },
        items: items[n]!,
        sessions: [
          {
            name: date,
            start: date + "T10:00",
            end: date + "T10:50",
            number: n + 1,
            minutes: 50,
            place: "",
            state: "open",
            beat: false,
          },
        ],
        lessons: [
          {
            id: "L" + n,
            unit: "U",
            title: "Lesson " + n,
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
          },
        ],
        thread: { unit: "U", begins: false, ends: false },
      });
    }
    weeks.push({
      number: w + 1,
      teachingWeek: w + 1,
      first: iso(w * 7),
      minutes: 300,
      over: 0,
      headline: "",
      targets: [],
      days,
    });
  }
  return {
    termId: 1,
    version: 1,
    termName: "",
    first: iso(0),
    last: iso(130),
    today: iso(30),
    weekStart: "MO",
    sections: [],
    section: {
      course: "C",
      courseTitle: "C",
      section: "A",
      pace: "sessions",
      sessions: 90,
      minutes: 1,
      weekLimit: 480,
      lessons: 90,
      usualMinutes: 50,
    },
    columns: [1, 2, 3, 4, 5].map((weekday) => ({ weekday, meets: true })),
    weeks,
    others: [],
    outline: {
      noDate: [],
      noSession: [],
      notices: [],
      units: [
        {
          id: "U",
          code: "U",
          title: "Unit",
          number: 0,
          colour: "",
          startsWeek: false,
          lessons: [],
          items: [],
          notices: [],
        },
      ],
    },
    findings: [],
  };
}

const before = wallOf(0);
const after = wallOf(200);
const host = document.getElementById("app")!;
host.style.cssText = "width:1028px;height:758px;display:flex";

/** What each part takes in turn: finding what differs, drawing, style and layout (not paint); in milliseconds. */
type Parts = [number, number, number];

async function time(change: () => void): Promise<Parts> {
  const from = performance.now();
  change();
  const found = performance.now();
  await nextTick();
  const drawn = performance.now();
  void document.body.offsetHeight;
  return [found - from, drawn - found, performance.now() - drawn];
}
const sum = (parts: Parts) => parts[0] + parts[1] + parts[2];
const median = (list: number[]) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)]!;

/** The wall as it is: cells of days that did not change keep their objects and are not drawn again. */
async function ours(): Promise<Parts[]> {
  const wall = shallowRef(structuredClone(before));
  const picked = new Set<string>();
  const app = createApp({
    render: () =>
      h(WallGrid, {
        wall: wall.value,
        focus: "",
        opened: "",
        run: null,
        picked,
        target: null,
        carrying: false,
        close: false,
        past: null,
        openWeek: 0,
      }),
  });
  app.mount(host);
  await nextTick();
  const times: Parts[] = [];
  for (let n = 0; n < 30; n++) {
    const fresh = structuredClone(n % 2 ? before : after);
    times.push(await time(() => (wall.value = kept(wall.value, fresh))));
    await new Promise((r) => setTimeout(r, 30));
  }
  app.unmount();
  return times.slice(6);
}

/** The plain way: one deep reactive list, each thing changed in place, one component that draws all. */
async function plain(): Promise<Parts[]> {
  const flat = (w: WallView) =>
    w.weeks.flatMap((week) => week.days.flatMap((d) => d.items.map((i) => ({ ...i, date: d.date }))));
  const state = ref(reactive(flat(structuredClone(before))));
  const days = before.weeks.flatMap((w) => w.days.map((d) => d.date));
  const app = createApp(
    defineComponent({
      render: () =>
        h(
          "div",
          { class: "wall five", style: "grid-template-columns:repeat(5,1fr);grid-auto-rows:40px" },
          days.map((date) =>
            h("div", { class: "day", "data-date": date, key: date }, [
              h(
                "div",
                { class: "due" },
                state.value
                  .filter((i) => i.date === date)
                  .map((i) => h("span", { class: "it", key: i.id, title: i.title }, i.shortName)),
              ),
            ]),
          ),
        ),
    }),
  );
  app.mount(host);
  await nextTick();
  const times: Parts[] = [];
  for (let n = 0; n < 30; n++) {
    const fresh = new Map(flat(n % 2 ? before : after).map((i) => [i.id, i.date]));
    times.push(await time(() => state.value.forEach((i) => (i.date = fresh.get(i.id) ?? i.date))));
    await new Promise((r) => setTimeout(r, 30));
  }
  app.unmount();
  return times.slice(6);
}

/** The table of dates with 600 rows: its first draw, and a letter typed into a cell; style and layout included. */
async function table(): Promise<{ first: number[]; typing: number[] }> {
  const at = (n: number) => new Date(Date.UTC(2026, 8, 1 + (n % 90))).toISOString().slice(0, 16);
  const cell = (n: number) => ({
    rule: "L1 +2 teaching days",
    typed: "L1 +2 teaching days",
    at: [at(n), at(n + 1)],
    state: ["ok", "ok"],
  });
  const rows: DatesRow[] = Array.from({ length: 600 }, (_, n) => ({
    course: "C",
    id: "i" + n,
    title: "Work " + n,
    kind: "homework",
    unit: "U",
    lesson: "L1",
    marking: "",
    locked: false,
    opens: cell(n),
    due: cell(n),
    closes: cell(n),
    wrong: [],
  }));
  const view: DatesView = {
    termId: 1,
    termName: "",
    version: 1,
    now: "2026-10-07T00:00:00",
    weeks: [],
    courses: [
      {
        code: "C",
        title: "C",
        sections: ["A", "B"],
        units: [{ id: "U", code: "U", title: "U", number: 0 }],
        lessons: [],
      },
    ],
    rows,
    findings: [],
  };
  const all = columnsOf(["A", "B"]);
  const columns = computed(() => all.filter((c) => usualColumns(["A", "B"]).includes(c.key)));
  const first: number[] = [];
  const typing: number[] = [];
  for (let n = 0; n < 12; n++) {
    const from = performance.now();
    const table = computed(() => lines(rowsOf(view, view), "", view));
    const state = { termId: 1, proposal: ref(null), problem: ref("") } as unknown as DatesState;
    const sheet = useSheet(state, table, columns, () => undefined);
    const app = createApp({
      render: () =>
        h("div", { style: "height:700px;display:flex;flex-direction:column" }, [
          h(DatesGrid, {
            view,
            lines: table.value,
            columns: columns.value,
            sheet,
            sort: "plan",
            proposed: false,
            several: false,
          }),
        ]),
    });
    app.mount(host);
    await nextTick();
    void document.body.offsetHeight;
    first.push(performance.now() - from);
    await new Promise((r) => setTimeout(r, 30));
    sheet.go(3, 2);
    sheet.typing.value = "3";
    await nextTick();
    const key = performance.now();
    sheet.typing.value = "3 nov";
    await nextTick();
    void document.body.offsetHeight;
    typing.push(performance.now() - key);
    app.unmount();
  }
  return { first: first.slice(2), typing: typing.slice(2) };
}

const a = await ours();
const b = await plain();
const t = await table();
const all = await courses(host);
const whole = median(a.map(sum));
(window as unknown as { result: object }).result = {
  wall: whole,
  parts: [0, 1, 2].map((n) => median(a.map((p) => p[n]!))),
  least: Math.min(...a.map(sum)),
  plain: median(b.map(sum)),
  ratio: median(b.map(sum)) / whole,
  table: median(t.first),
  typing: median(t.typing),
  courses: Object.fromEntries(
    Object.entries(all).map(([what, times]) => [what, [0, 1].map((n) => median(times.map((one) => one[n]!)))]),
  ),
};
