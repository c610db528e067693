import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import DayCell from "./DayCell.vue";
import { cellsOf } from "../draw/rows";
import { day, lesson } from "./testWall";

function cell(more: Parameters<typeof day>[1]) {
  const days = [day("2026-10-09", more)];
  const found = cellsOf(
    { number: 1, first: "2026-10-05", minutes: 0, over: 0, headline: "", targets: [], days },
    false,
  )[0]!;
  const looks = new Map([["U", ["c0", "p0"]]]);
  return mount(DayCell, {
    props: {
      cell: found,
      looks,
      meets: true,
      course: "C",
      room: 180,
      close: false,
      open: false,
      opened: false,
      chosen: false,
      picked: new Set<string>(),
      target: "",
      carrying: false,
      tabbable: true,
    },
  });
}

describe("a day of the wall", () => {
  it("says everything on it to a screen reader", () => {
    const item = {
      id: "i",
      unit: "U",
      title: "Quiz 1",
      shortName: "Quiz",
      kind: "quiz",
      test: true,
      which: "main-due",
      time: "10:00:00",
      fixed: true,
      rolled: false,
      locked: false,
      proposed: false,
      links: [],
    };
    const label = cell({
      today: true,
      lessons: [lesson("CH2", { title: "Pools", pinned: true })],
      items: [item],
    }).attributes("aria-label");
    expect(label).toBe("Fri 9 Oct. today. CH2 Pools, planned, fixed. Quiz 1 due 10:00, fixed date");
  });
  it("cannot be dragged once it is taught", () => {
    expect(
      cell({ lessons: [lesson("CH1", { taught: true })] })
        .find("[data-drag]")
        .exists(),
    ).toBe(false);
    expect(
      cell({ lessons: [lesson("CH1")] })
        .find("[data-drag='lesson:CH1']")
        .exists(),
    ).toBe(true);
  });
  it("shows old places struck and new ones outlined", () => {
    const wrapper = cell({
      lessons: [lesson("CH2", { proposed: true })],
      gone: [{ what: "lesson", id: "CH3", title: "Survey", why: "comes along" }],
    });
    expect(wrapper.find(".neu").text()).toContain("CH2");
    expect(wrapper.find("s.was").text()).toBe("CH3");
  });
  it("says the reason of a day off", () => {
    const off = {
      first: "2026-10-09",
      last: "2026-10-09",
      reason: "Flood",
      kind: "weather",
      noClass: true,
      planPauses: false,
      nothingDue: true,
      justInCase: false,
      only: [],
      proposed: true,
    };
    const wrapper = cell({ off });
    expect(wrapper.classes()).toContain("hatched");
    expect(wrapper.classes()).toContain("prop");
    expect(wrapper.text()).toContain("Flood");
  });
});
