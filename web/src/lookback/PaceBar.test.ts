import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import type { Schemas } from "../api/client";
import PaceBar from "./PaceBar.vue";
import PaceTable from "./PaceTable.vue";

const cell = (date: string, kind: string, test = false) => ({ date, kind, what: `of ${date}`, test });
const row = (more: Partial<Schemas["LookRow"]> = {}): Schemas["LookRow"] => ({
  termId: 2,
  term: "Spring 2026",
  here: false,
  state: "taught",
  planned: 2,
  taught: 2,
  sessions: 2,
  cells: [cell("2026-03-11", "taught"), cell("2026-03-16", "lost"), cell("2026-03-23", "taught", true)],
  first: "2026-03-11",
  last: "2026-03-23",
  weeks: 3,
  teachingWeeks: 2,
  sentence: "Three weeks, of which one was a break: 2 sessions",
  beside: "as planned",
  lost: ["Spring break Mon 16 Mar"],
  tests: ["Midterm Mon 23 Mar"],
  notes: ["Sieves: late"],
  ...more,
});

describe("a unit's pace", () => {
  it("is a cell a class, lost ones in place, a test marked, under what was planned", () => {
    const bar = mount(PaceBar, { props: { row: row(), look: ["c1", "p1"], most: 4 } });
    const cells = bar.findAll(".cells span");
    expect(cells.map((c) => c.classes()[0])).toEqual(["taught", "lost", "taught"]);
    expect(cells[1]!.classes()).toContain("hatched");
    expect(cells[2]!.text()).toBe("test");
    expect(cells[0]!.attributes("style")).toContain("25%");
    expect(bar.find(".plan").attributes("style")).toContain("50%");
    expect(cells[0]!.attributes("title")).toBe("Wed 11 Mar: of 2026-03-11");
  });

  it("stands as a table term by term, with what was lost and why", () => {
    const unit = {
      id: "SE",
      code: "SE",
      title: "Sediment",
      number: 3,
      tight: false,
      rows: [row(), row({ termId: 3 })],
    };
    const table = mount(PaceTable, { props: { course: "HYD 210", units: [unit] } });
    expect(table.findAll("tbody tr")).toHaveLength(2);
    expect(table.find("tbody th").attributes("rowspan")).toBe("2");
    expect(table.text()).toContain("Spring break Mon 16 Mar");
    expect(table.text()).toContain("Sieves: late");
  });
});
