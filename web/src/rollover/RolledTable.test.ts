import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import RolledTable from "./RolledTable.vue";
import RolloverWays from "./RolloverWays.vue";
import { type RolledRow, type RolloverView, handKey } from "./useRollover";

const row = (id: string, more: Partial<RolledRow> = {}): RolledRow => ({
  course: "HYD 210",
  section: "A",
  what: "lesson",
  unit: "Basins",
  unitCode: "BA",
  number: 0,
  id,
  title: `Title of ${id}`,
  old: "2026-08-31T10:00",
  now: "2027-01-20T10:00",
  why: "session 1 of 43",
  landed: false,
  state: "carried",
  ...more,
});
const view = (rows: RolledRow[]) =>
  ({ rows, from: "Autumn 2026", to: "Spring 2027", ways: [] }) as unknown as RolloverView;
const table = (rows: RolledRow[], taken = new Map(), section = "") =>
  mount(RolledTable, { props: { view: view(rows), taken, section, busy: false } });

const form = row("form", {
  what: "due",
  now: null,
  hand: "fixed by hand; session 2 would be",
  suggested: "2027-01-25T12:00",
});

describe("the table of a rollover", () => {
  it("puts first what needs a hand, with a suggestion that can be taken", async () => {
    const shown = table([row("BA1"), form]);
    expect(shown.text()).toContain("Needs a hand first: 1");
    expect(shown.find(".maybe").text()).toBe("Mon 25 Jan, 12:00");
    await shown
      .findAll("button")
      .find((b) => b.text() === "Take")!
      .trigger("click");
    expect(shown.emitted("take")![0]).toEqual([[form]]);
    await shown
      .findAll("button")
      .find((b) => b.text() === "Take all")!
      .trigger("click");
    expect(shown.emitted("take")![1]).toEqual([[form]]);
  });

  it("lists lessons without a session, and lets what was taken go again", async () => {
    const lost = row("RE7", { now: null, why: "the 43 sessions end with RE6" });
    const taken = new Map([[handKey(form), { course: "HYD 210", what: "due", id: "form", at: "2027-01-25T12:00" }]]);
    const shown = table([lost, { ...form, hand: null, now: "2027-01-25T12:00" }], taken);
    expect(shown.text()).toContain("no session");
    expect(shown.text()).toContain("Title of form");
    await shown
      .findAll("button")
      .find((b) => b.text() === "Leave it")!
      .trigger("click");
    expect(shown.emitted("leave")![0]).toEqual([handKey(form)]);
  });

  it("groups by unit, a lesson by its day and work by its moment, and sieves by what changes its weekday", async () => {
    const shown = table([
      row("BA1", { weekday: "Monday becomes Wednesday" }),
      row("read-1", { what: "due", now: "2027-01-22T10:00" }),
      row("SE1", { unit: "Sediment", unitCode: "SE", number: 3 }),
    ]);
    expect(shown.findAll(".unit")).toHaveLength(2);
    expect(shown.text()).toContain("Wed 20 Jan");
    expect(shown.text()).toContain("Fri 22 Jan, 10:00");
    await shown.find("thead input").setValue(true);
    expect(shown.findAll("tbody tr")).toHaveLength(2);
    expect(shown.text()).toContain("Monday becomes Wednesday");
  });

  it("shows one section where one is asked for", () => {
    const shown = table([row("BA1"), row("BA1", { section: "B" })], new Map(), "HYD 210/B");
    expect(shown.findAll(".unit")).toHaveLength(1);
    expect(shown.find(".unit").text()).toContain("section B");
  });
});

describe("the ways of a rollover", () => {
  const way = (by: string, weekdays = 0) => ({
    by,
    messes: `says ${by}`,
    weekdays,
    landed: 0,
    noSession: 1,
    hands: 0,
    dates: 30,
    placed: 25,
    waiting: 2,
    lost: 3,
  });
  const ways = ["class", "week", "teaching-week", "days=141", "days=140", "days=147", "rule"].map((by, n) =>
    way(by, n),
  );
  const shown = (by: string) => mount(RolloverWays, { props: { ways, days: 141, modelValue: by } });

  it("lays all ways beside each other with what each messes up", () => {
    const rows = shown("rule").findAll("tbody tr");
    expect(rows.slice(0, 7).map((r) => r.find("label").text())).toEqual([
      "By class",
      "By week of the term and weekday",
      "By teaching week and weekday",
      "By 141 days, first days match",
      "By 140 days, 20 weeks",
      "By 147 days, 21 weeks",
      "By rule",
    ]);
    expect(rows[0]!.findAll("td.n").map((c) => c.text())).toEqual(["none", "none", "25", "2", "3 (1 lesson)"]);
    expect(rows[6]!.classes()).toContain("chosen");
    expect(rows[3]!.text()).toContain("says days=141");
  });

  it("takes another number of days as it is typed", async () => {
    const days = shown("days=140");
    await days.find("#other-days").setValue("236");
    await days.find("form").trigger("submit");
    expect(days.emitted("update:modelValue")![0]).toEqual(["days=236"]);
  });
});
