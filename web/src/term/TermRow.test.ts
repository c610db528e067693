import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import type { CalendarDay, CalendarView, ClosureView } from "../api/client";
import TermRow from "./TermRow.vue";
import { kept } from "../change/kept";

function day(date: string, more: Partial<CalendarDay> = {}): CalendarDay {
  return {
    date,
    inTerm: true,
    teaches: true,
    past: false,
    today: false,
    parts: [],
    extra: false,
    planStart: false,
    sessions: [],
    ...more,
  };
}
function closure(more: Partial<ClosureView> = {}): ClosureView {
  return {
    first: "2026-10-12",
    last: "2026-10-13",
    reason: "Autumn break",
    kind: "break",
    noClass: true,
    planPauses: false,
    nothingDue: false,
    justInCase: false,
    days: "Mon 12 Oct to Tue 13 Oct",
    proposed: false,
    ...more,
  };
}
const session = (section: number, number: number) => ({
  section,
  number,
  name: "2026-10-14T10:00:00",
  start: "2026-10-14T10:00:00",
  minutes: 50,
  origin: "pattern",
  paused: false,
});
const week = {
  number: 7,
  teachingWeek: 7,
  first: "2026-10-12",
  counts: [
    { stand: 2, usual: 3 },
    { stand: 0, usual: 0 },
  ],
  days: [
    day("2026-10-12", { off: 0, teaches: false }),
    day("2026-10-13", { off: 0, teaches: false }),
    day("2026-10-14", { sessions: [session(0, 18), session(1, 9)], letter: "B" }),
    day("2026-10-15", { parts: [1] }),
    day("2026-10-16", { runsAs: "MO" }),
    day("2026-10-17", { teaches: false }),
    day("2026-10-18", { teaches: false }),
  ],
};
const sections = [
  { course: "HYD 210", section: "A" },
  { course: "MAP 115", section: "A" },
] as CalendarView["sections"];

function row(more: Record<string, unknown> = {}) {
  return mount(TermRow, {
    props: {
      week,
      closures: [closure(), closure({ from: "10:10:00", to: "10:35:00", reason: "Drill", only: ["HYD 210/A"] })],
      sections,
      drawn: [0],
      planStart: "",
      columns: [1, 2, 3, 4, 5, 6, 7].map((weekday) => ({ weekday, teaches: weekday < 6 })),
      from: "",
      to: "",
      focus: "2026-10-14",
      close: false,
      ...more,
    },
  });
}

describe("a week of the term", () => {
  it("says a run of days off once, and lets both its ends be dragged", () => {
    const cells = row().findAll(".td");
    expect(cells[0]!.text()).toContain("12–13 Oct");
    expect(cells[0]!.text()).toContain("Autumn break");
    expect(cells[1]!.text()).toBe("");
    expect(cells[0]!.find(".end.l").attributes("data-other")).toBe("2026-10-13");
    expect(cells[1]!.find(".end.r").attributes("data-end")).toBe("0");
  });

  it("draws the classes of the chosen course and counts the week", () => {
    const found = row();
    const cell = found.findAll(".td")[2]!;
    expect(cell.text()).toContain("A 18");
    expect(cell.text()).not.toContain("A 9");
    expect(cell.text()).toContain("B");
    expect(found.find(".tc").text()).toBe("2 of 3");
  });

  it("says to a screen reader what holds on a day", () => {
    const cells = row().findAll(".td");
    expect(cells[2]!.attributes("aria-label")).toBe("Wed 14 Oct. day B. HYD 210 A class 18");
    expect(cells[3]!.attributes("aria-label")).toContain("10:10–10:35 Drill (HYD 210/A)");
    expect(cells[4]!.attributes("aria-label")).toContain("runs as Mon");
    expect(cells[5]!.attributes("aria-label")).toContain("does not teach");
  });

  it("marks the part of a painted run that lies in it", () => {
    const painted = row({ from: "2026-10-15", to: "2026-10-16" }).findAll(".td.brush");
    expect(painted.map((c) => c.attributes("data-date"))).toEqual(["2026-10-15", "2026-10-16"]);
  });
});

describe("a term that was asked for again", () => {
  it("keeps the weeks that say the same", () => {
    const old = { version: 1, sections, closures: [], weeks: [week] } as unknown as CalendarView;
    const fresh = structuredClone({ ...old, version: 2 });
    expect(kept(old, fresh).weeks[0]).toBe(old.weeks[0]);
    fresh.weeks[0]!.counts[0]!.stand = 1;
    expect(kept(old, fresh).weeks[0]).not.toBe(old.weeks[0]);
  });
});
