import { describe, expect, it } from "vitest";
import { layWeeks } from "./lay";
import { fittingLines } from "./packing";
import { placed, slotsOf } from "./slots";
import { A, ALL, B, M, courses, day, item, lesson, notice, session } from "./testCourses";

const MON = "2026-10-05";
const lay = (view: ReturnType<typeof courses>, more: Partial<typeof ALL> = {}) =>
  layWeeks(view, view.terms, { ...ALL, ...more });

describe("all courses by weeks", () => {
  it("sets classes in order of time, each with its letter, and says what they hold", () => {
    const view = courses({
      [A]: [day(MON, { sessions: [session(`${MON}T10:00:00`)], lessons: [lesson("CH2"), lesson("CH3")] })],
      [M]: [day(MON, { sessions: [session(`${MON}T09:00:00`)] })],
    });
    const [m, a] = lay(view)[0]!.days[0]!.classes;
    expect([m!.letter, m!.code, m!.drag]).toEqual(["M", "", false]);
    expect([a!.letter, a!.code, a!.short, a!.thing]).toEqual(["A", "CH2–3", "CH2+", "lesson:CH2"]);
    expect(a!.words).toBe("A, HYD 210 A, 10:00, CH2 CH2, CH3 CH3");
  });

  it("says once what sections of a course have alike, and apart what they do not", () => {
    const view = courses({
      [A]: [day(MON, { items: [item("set"), item("log")], notices: [notice("hut", `${MON}T12:00:00`)] })],
      [B]: [
        day(MON, {
          items: [item("set"), item("log", { time: "12:00:00" })],
          notices: [notice("hut", `${MON}T12:00:00`)],
        }),
      ],
      [M]: [day(MON, { items: [item("set", { course: "HYD 210" })] })],
    });
    const things = lay(view)[0]!.days[0]!.things;
    expect(things.map((t) => `${t.letters}: ${t.name}`)).toEqual(["A B M: set", "A: log", "B: log", "A B: Notice hut"]);
    expect(things[0]!.lane).toBe(A);
  });

  it("leaves out what is hidden: courses, dates, kinds of work, for whom", () => {
    const view = courses({
      [A]: [
        day(MON, {
          sessions: [session(`${MON}T10:00:00`)],
          items: [
            item("set"),
            item("read", { kind: "reading" }),
            item("opens", { which: "opens" }),
            item("bonus", { audience: "extra-credit" }),
          ],
          notices: [notice("mine", `${MON}T12:00:00`, { own: true }), notice("hut", `${MON}T12:00:00`)],
        }),
      ],
      [M]: [day(MON, { items: [item("sheet")] })],
    });
    const names = (...hidden: string[]) =>
      lay(view, { hidden: new Set(hidden), shown: new Set([A, B]) })[0]!.days[0]!.things.map((t) => t.name);
    expect(names()).toEqual(["set", "bonus", "read", "opens", "Notice mine", "Notice hut"]);
    expect(names("work:reading", "opens", "for:extra-credit", "for:me")).toEqual(["set", "Notice hut"]);
    expect(names("for:all")).toEqual(["bonus", "Notice mine"]);
    expect(names("due", "notices")).toEqual(["opens"]);
    expect(lay(view, { hidden: new Set(["classes"]) })[0]!.days[0]!.classes).toEqual([]);
  });

  it("is off where nobody teaches, and says who does not where others do", () => {
    const off = {
      first: MON,
      last: MON,
      reason: "Founders' day",
      kind: "holiday",
      noClass: true,
      planPauses: true,
      nothingDue: false,
      justInCase: false,
      only: [],
      proposed: false,
    };
    const all = courses({ [A]: [day(MON, { off })], [B]: [day(MON, { off })], [M]: [day(MON, { off })] });
    expect(lay(all)[0]!.days[0]!.off).toBe("Founders' day");
    const some = courses({ [A]: [day(MON, { off })], [B]: [day(MON, { off })] });
    expect(lay(some)[0]!.days[0]).toMatchObject({ off: "", apart: "A B: Founders' day" });
    expect(lay(some, { shown: new Set([A, B]) })[0]!.days[0]!.off).toBe("Founders' day");
  });

  it("counts the work of a week, for all or for students who have some of the courses", () => {
    const load = (minutes: number) => ({ due: 1, minutes, tests: 0, work: 0, over: 0 });
    const view = courses({
      [A]: [day(MON, { load: load(400) })],
      [B]: [day(MON, { load: load(60) })],
      [M]: [day(MON, { load: load(250) })],
    });
    expect(lay(view)[0]).toMatchObject({ minutes: 710, limit: 600, over: 110 });
    const group = lay(view, { group: [A, M] })[0]!;
    expect(group).toMatchObject({ minutes: 650, over: 50 });
    expect(group.loads.map((l) => [l.letter, l.over])).toEqual([
      ["A", true],
      ["M", false],
    ]);
  });

  it("leaves out weeks in which no shown course runs, and does not offer to carry what others only let one read", () => {
    const view = courses({
      [A]: [day(MON, { items: [item("set")], sessions: [session(`${MON}T10:00:00`)], lessons: [lesson("L")] })],
    });
    view.courses[0]!.role = "reader";
    const laid = lay(view)[0]!.days[0]!;
    expect([laid.things[0]!.drag, laid.classes[0]!.drag]).toEqual([false, false]);
    view.courses.forEach((c) => (c.last = "2026-10-09"));
    expect(lay(view)).toHaveLength(1);
    expect(lay(view, { shown: new Set() })).toEqual([]);
  });
});

describe("places within a day", () => {
  const at = (date: string, time: string, id: string) =>
    day(date, { sessions: [session(`${date}T${time}:00`)], lessons: [lesson(id)] });
  it("are the same every week, and shared by courses that never meet on one day", () => {
    const view = courses({
      [A]: [at("2026-10-05", "15:00", "a1")],
      [B]: [at("2026-10-12", "15:00", "b1")],
      [M]: [at("2026-10-05", "09:00", "m1"), at("2026-10-12", "09:00", "m2")],
    });
    const weeks = lay(view);
    const slots = slotsOf(weeks);
    expect(slots[0]).toEqual([[M], [A, B]]);
    expect(placed(weeks[1]!.days[0]!, slots[0]!).map((c) => c?.code)).toEqual(["m2", "b1"]);
    expect(placed(weeks[1]!.days[1]!, [[M]])).toEqual([null]);
  });
});

describe("work in some lines of a cell", () => {
  const things = (...names: string[]) =>
    lay(courses({ [A]: [day(MON, { items: names.map((n) => item(n)) })] }))[0]!.days[0]!.things;
  it("is packed line by line, and one alone in its line is cut", () => {
    expect(fittingLines(things("Log 1", "Set 2", "Lab 3"), 120, 2)).toBe(3);
    expect(fittingLines(things("Log 1", "Set 2", "Lab 3", "Essay 4", "Map 5"), 120, 2)).toBe(3);
    expect(fittingLines(things("A very long name of work indeed", "Another long name of work"), 120, 2)).toBe(2);
    expect(fittingLines([], 110, 2)).toBe(0);
  });
});
