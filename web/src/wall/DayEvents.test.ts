import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import type { Day } from "../api/client";
import DayEvents from "./DayEvents.vue";

const item = (id: string, which: string, more: object = {}) => ({
  id,
  which,
  title: id,
  time: "10:00",
  course: "",
  locked: false,
  fixed: false,
  hangsOn: "",
  told: "",
  links: [],
  ...more,
});
const day = (items: object[]) => ({ date: "2026-10-07", items, notices: [], gone: [] }) as unknown as Day;
const shown = (items: object[]) =>
  mount(DayEvents, { props: { day: day(items), course: "HYD 210", picked: new Set<string>() } });

describe("what happens on the opened day", () => {
  it("chooses all that moves with the day, in one press", async () => {
    const list = shown([
      item("read", "main-due"),
      item("quiz", "main-due"),
      item("log", "opens"),
      item("kept", "main-due", { locked: true }),
      item("theirs", "main-due", { course: "MAP 115" }),
    ]);
    const all = list.find("button.all");
    expect(all.text()).toBe("choose all 2");
    await all.trigger("click");
    expect(list.emitted("pick")).toEqual([
      ["item:read", false],
      ["item:quiz", true],
    ]);
  });

  it("offers that only where there are several", () => {
    expect(
      shown([item("read", "main-due")])
        .find("button.all")
        .exists(),
    ).toBe(false);
  });

  it("is in order of time, whole days first", () => {
    const list = shown([item("late", "main-due", { time: "23:59" }), item("early", "opens", { time: "08:00" })]);
    expect(list.findAll("li .nm").map((l) => l.text())).toEqual(["early", "late"]);
  });
});
