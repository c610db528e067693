import { describe, expect, it } from "vitest";
import type { DatesCell, DatesRow, DatesView } from "../api/client";
import { bulkChange } from "./bulk";
import {
  NO_FILTER,
  columnsOf,
  dateText,
  lines,
  passes,
  placeOf,
  plainText,
  rowsOf,
  ruleText,
  sorted,
  usualColumns,
} from "./table";
import { kept } from "../change/kept";

const NONE: DatesCell = { at: [null, null] as never, state: ["none", "none"] };
const cell = (a: string | null, b: string | null, more: Partial<DatesCell> = {}): DatesCell => ({
  rule: "start of L1",
  typed: "start of L1",
  at: [a, b] as never,
  state: [a ? "ok" : "none", b ? "ok" : "none"],
  ...more,
});
const row = (id: string, due: DatesCell, more: Partial<DatesRow> = {}): DatesRow => ({
  course: "C",
  id,
  title: `Thing ${id}`,
  kind: "homework",
  unit: "U",
  lesson: "L1",
  marking: "instructor",
  locked: false,
  opens: NONE,
  due,
  closes: NONE,
  wrong: [],
  ...more,
});
const view = (rows: DatesRow[]): DatesView => ({
  termId: 1,
  termName: "Autumn",
  version: 1,
  now: "2026-10-07T00:00:00",
  weeks: [{ number: 1, first: "2026-10-05", last: "2026-10-11" }],
  courses: [
    {
      code: "C",
      title: "C",
      sections: ["A", "B"],
      units: [{ id: "U", code: "U", title: "Unit", number: 0 }],
      lessons: [],
    },
  ],
  rows,
  findings: [],
});
const columns = columnsOf(["A", "B"]);
const column = (key: string) => columns.find((c) => c.key === key)!;

describe("the table of dates", () => {
  it("has the plan's columns and each section's, and to begin with the plan's and the others' due dates", () => {
    expect(columns.map((c) => c.key)).toEqual([
      "opens",
      "due",
      "closes",
      "opens:A",
      "due:A",
      "closes:A",
      "opens:B",
      "due:B",
      "closes:B",
    ]);
    expect(usualColumns(["A", "B"])).toEqual(["opens", "due", "closes", "due:B"]);
    expect(usualColumns(["A", "B", "C"])).toEqual(["opens", "due", "closes", "due:A", "due:B", "due:C"]);
    expect(columnsOf(["A"]).map((c) => c.key)).toEqual(["opens", "due", "closes"]);
  });

  it("says dates, how they come about, and what stands for none", () => {
    const r = row("i", cell("2026-10-08T23:59:00", "2026-10-07T23:59:00", { own: [null, "fixed"] as never }));
    expect(dateText(r.due, placeOf(r, column("due")), "due")).toBe("Thu 8 Oct 23:59");
    expect(ruleText(r.due, 0, column("due"))).toBe("start of L1");
    expect(ruleText(r.due, 1, column("due:B"))).toBe("own: fixed");
    expect(ruleText(r.due, 0, column("due:A"))).toBe("");
    expect(dateText(NONE, 0, "opens")).toBe("always open");
    expect(dateText(NONE, 0, "closes")).toBe("never");
    expect(plainText(r, column("due:B"))).toBe("2026-10-07 23:59");
    const onlyB = row("b", cell(null, "2026-10-07T23:59:00", { state: ["not-for", "ok"] }));
    expect(placeOf(onlyB, column("due"))).toBe(1);
  });

  it("filters by words, kind, time and what is wrong", () => {
    const r = row("i", cell("2026-10-08T23:59:00", null));
    const f = (more: object) => passes(r, { ...NO_FILTER, ...more }, "2026-10-07T00:00:00");
    expect(f({})).toBe(true);
    expect(f({ text: "thing I" })).toBe(true);
    expect(f({ text: "no such" })).toBe(false);
    expect(f({ kind: "quiz" })).toBe(false);
    expect(f({ when: "from" })).toBe(true);
    expect(f({ when: "none" })).toBe(false);
    expect(f({ wrong: true })).toBe(false);
    expect(f({ course: "D" })).toBe(false);
  });

  it("sorts by a date both ways, what has none last, and keeps the plan's order otherwise", () => {
    const rows = rowsOf(
      view([row("a", cell("2026-10-09T10:00:00", null)), row("b", NONE), row("c", cell("2026-10-05T10:00:00", null))]),
      null,
    );
    const ids = (by: string) => sorted(rows, by, columns).map((r) => r.row.id);
    expect(ids("plan")).toEqual(["a", "b", "c"]);
    expect(ids("due")).toEqual(["c", "a", "b"]);
    expect(ids("-due")).toEqual(["b", "a", "c"]);
  });

  it("groups by week and unit, with how many there are", () => {
    const v = view([row("a", cell("2026-10-09T10:00:00", null)), row("b", NONE)]);
    expect(lines(rowsOf(v, null), "week", v).map((l) => ("row" in l ? l.row.id : l.heading))).toEqual([
      "Week 1",
      "a",
      "No due date",
      "b",
    ]);
    expect(lines(rowsOf(v, null), "unit", v)[0]).toEqual({ heading: "U Unit", count: 2 });
  });

  it("knows which rows a proposal changes, and keeps those that say the same", () => {
    const before = view([row("a", cell("2026-10-09T10:00:00", null)), row("b", NONE)]);
    const after = kept(before, view([row("a", cell("2026-10-10T10:00:00", null)), row("b", NONE)]));
    expect(after.rows[1]).toBe(before.rows[1]);
    expect(rowsOf(after, before).map((r) => r.was?.id ?? null)).toEqual(["a", null]);
  });
});

describe("one change over many rows", () => {
  const bulk = {
    how: "earlier" as const,
    dates: ["due" as const],
    sections: ["A"],
    by: 2,
    unit: "teaching-days" as const,
    time: "17:00",
    weekday: "FR" as const,
    snap: "on-or-before" as const,
    at: "",
    toClass: "next" as const,
  };
  it("is one change for a course, and one part for each of several", () => {
    expect(bulkChange(bulk, [row("a", NONE), row("b", NONE)])).toEqual({
      kind: "redate",
      course: "C",
      items: ["a", "b"],
      sections: ["A"],
      dates: ["due"],
      by: -2,
      in: "teaching-days",
    });
    const two = bulkChange({ ...bulk, sections: [] }, [row("a", NONE), row("b", NONE, { course: "D" })]);
    expect(two.kind).toBe("together");
    expect(two).toHaveProperty("changes.length", 2);
  });
  it.each([
    ["time", { time: "17:00" }],
    ["weekday", { snapTo: "FR", snap: "on-or-before" }],
    ["class", { toClass: "next" }],
    ["clear", { clear: true }],
    ["fix", { fix: true }],
    ["follow", { follow: true }],
    ["later", { by: 2, in: "teaching-days" }],
  ] as const)("%s", (how, says) => {
    expect(bulkChange({ ...bulk, how }, [row("a", NONE)])).toMatchObject(says);
  });
  it("goes to a weekday and to a time of it in one", () => {
    expect(bulkChange({ ...bulk, how: "weekday", at: "08:00" }, [row("a", NONE)])).toMatchObject({
      kind: "together",
      changes: [{ snapTo: "FR" }, { time: "08:00" }],
    });
  });
});
