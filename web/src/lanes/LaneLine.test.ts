import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import LaneLine from "./LaneLine.vue";

const knot = (lesson: string, at: number, more = {}) => ({
  lesson,
  title: lesson,
  unit: lesson.slice(0, 2),
  number: Number(lesson.slice(2)),
  date: "2026-10-0" + ((at % 9) + 1),
  at,
  taught: false,
  goesOn: false,
  test: false,
  moved: false,
  ...more,
});
const line = (knots: ReturnType<typeof knot>[], faint = false) =>
  mount(LaneLine, { props: { knots, days: 10, looks: new Map(), codes: new Map([["CH", "CH"]]), faint } });

describe("a lane's line", () => {
  it("runs a thread from a unit's first class to its last", () => {
    const spans = line([knot("CH1", 0), knot("CH2", 4), knot("SE1", 5)]).findAll(".span");
    expect(spans).toHaveLength(2);
    expect(spans[0]!.attributes("style")).toContain("left: 5%");
    expect(spans[0]!.attributes("style")).toContain("width: 40%");
  });

  it("puts the numbers of lessons that begin on one day beside each other, and none to what goes on", () => {
    const shown = line([knot("CH1", 2), knot("CH2", 2), knot("CH2", 3, { goesOn: true })]);
    const numbers = shown.findAll(".no");
    expect(numbers.map((n) => n.text())).toEqual(["1", "2"]);
    expect(numbers.map((n) => n.attributes("style"))).toEqual(["margin-left: -6px;", "margin-left: 6px;"]);
  });

  it("says everything in words, and what is moved; a faint line has no numbers", () => {
    const shown = line([knot("CH1", 0, { taught: true }), knot("CH2", 1, { moved: true })]);
    expect(shown.find(".vh").text()).toMatch(/CH1 .*taught; CH2 .*moved/);
    expect(line([knot("CH1", 0)], true).findAll(".no")).toHaveLength(0);
  });
});
