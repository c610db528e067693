import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import SectionsPanel from "./SectionsPanel.vue";

const section = (course: string, code: string, more: object = {}) => ({
  course,
  section: code,
  meets: ["MWF 10:00 to 10:50, Weir House 2"],
  beat: null,
  partOf: "",
  instructor: "",
  students: 18,
  sessions: 44,
  ...more,
});
const term = (courses: object[], sections: object[]) => ({ courses, sections }) as never;
const panel = (courses: object[], sections: object[]) =>
  mount(SectionsPanel, { props: { term: term(courses, sections) } });
const C = { code: "HYD 210", title: "Reading Rivers", asks: "3 credit hours", requiredMinutes: 2250 };

describe("courses with their sections", () => {
  it("offers to begin where there is none", async () => {
    const at = panel([], []);
    expect(at.text()).toContain("None yet.");
    for (const button of at.findAll("h2 button")) await button.trigger("click");
    expect(at.emitted("book")).toHaveLength(1);
    expect(at.emitted("timetable")).toHaveLength(1);
    expect(at.emitted("course")).toEqual([[""]]);
  });

  it("shows the sections of each course under it, and what they are about", () => {
    const at = panel(
      [C, { code: "MAP 115", title: "MAP 115" }],
      [section("HYD 210", "A"), section("MAP 115", "1", { meets: [], beat: "weekly", students: 0 })],
    );
    const tables = at.findAll("table");
    expect(tables).toHaveLength(2);
    expect(tables[0]!.text()).toContain("Reading Rivers");
    expect(tables[0]!.text()).toContain("3 credit hours");
    expect(tables[1]!.text().match(/MAP 115/g), "a title like the code is not said twice").toHaveLength(6);
    expect(tables[1]!.text()).toContain("a lesson a week");
    expect(tables[1]!.text()).toContain("add students");
  });

  it("says that a section does not meet yet, or has a lesson each day, or is half of another", () => {
    const at = panel(
      [C],
      [
        section("HYD 210", "A", { meets: [] }),
        section("HYD 210", "B", { meets: [], beat: "daily" }),
        section("HYD 210", "L1", { partOf: "HYD 210/A", instructor: "B. Sayer" }),
      ],
    );
    const rows = at.findAll("tbody tr").map((r) => r.text());
    expect(rows[0]).toContain("no meetings yet");
    expect(rows[1]).toContain("a lesson each teaching day");
    expect(rows[2]).toContain("half of HYD 210/A, B. Sayer");
  });

  it("opens what is pressed", async () => {
    const at = panel([C], [section("HYD 210", "A")]);
    for (const button of at.findAll("table button")) await button.trigger("click");
    expect(at.emitted("course")).toEqual([["HYD 210"]]);
    expect(at.emitted("edit")).toEqual([
      ["HYD 210", ""],
      ["HYD 210", "A"],
    ]);
    expect(at.emitted("roster")).toEqual([["HYD 210", "A"]]);
    expect(at.emitted("classes")).toEqual([["HYD 210", "A"]]);
  });
});
