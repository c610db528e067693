import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import SmallWall from "./SmallWall.vue";

const lesson = (id: string, more: object = {}) => ({
  id,
  unit: "CH",
  title: `Title of ${id}`,
  moved: false,
  taught: false,
  pinned: false,
  test: false,
  goesOn: false,
  ...more,
});
const day = (date: string, more: object = {}) => ({ date, classes: 1, lessons: [], was: [], ...more });
const wall = (days: object[]) =>
  mount(SmallWall, {
    props: {
      weeks: [{ number: 6, first: "2026-10-05", days }] as never,
      weekdays: [1, 3, 5],
      looks: new Map([["CH", ["green"]]]),
    },
  });

describe("the weeks that a way changes", () => {
  it("has a row a week and a column a weekday", () => {
    const at = wall([day("2026-10-05"), day("2026-10-07"), day("2026-10-09")]);
    expect(at.findAll("thead th").map((h) => h.text())).toEqual(["Week", "Mon", "Wed", "Fri"]);
    expect(at.find("tbody th").text()).toBe("6");
    expect(at.findAll("tbody td")).toHaveLength(3);
  });

  it("says a day whole for those who hear it", () => {
    const at = wall([
      day("2026-10-05", { lessons: [lesson("CH2", { moved: true })], was: ["CH3"] }),
      day("2026-10-07", { off: "Flood warning", classes: 0, was: ["CH2"] }),
      day("2026-10-09"),
    ]);
    expect(at.findAll("td .vh").map((s) => s.text())).toEqual([
      "Mon 5 Oct: CH2 Title of CH2, moved here: was CH3",
      "Wed 7 Oct: Flood warning: was CH2",
      "Fri 9 Oct: class, nothing planned",
    ]);
  });

  it("draws what moved in its unit's look, what was as struck, and a lost class apart", () => {
    const at = wall([
      day("2026-10-05", { lessons: [lesson("CH2", { moved: true })], was: ["CH3"] }),
      day("2026-10-07", { off: "Flood warning", classes: 0, was: ["CH2"] }),
      day("2026-10-09"),
    ]);
    expect(at.find(".le").classes()).toEqual(expect.arrayContaining(["green", "moved"]));
    expect(at.findAll("s.was").map((s) => s.text())).toEqual(["CH3", "CH2"]);
    expect(at.findAll("td")[1]!.classes()).toEqual(expect.arrayContaining(["hatched", "lost"]));
    expect(at.findAll("td")[2]!.text()).toContain("free");
  });

  it("marks a test where it ends, not where it goes on", () => {
    const at = wall([
      day("2026-10-05", { lessons: [lesson("CH6", { test: true, goesOn: true })] }),
      day("2026-10-07", { lessons: [lesson("CH6", { test: true })] }),
      day("2026-10-09"),
    ]);
    expect(at.findAll("td").map((d) => d.findAll(".tb").length)).toEqual([0, 1, 0]);
  });
});
