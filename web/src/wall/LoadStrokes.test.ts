import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import LoadStrokes from "./LoadStrokes.vue";

const strokes = (minutes: number, over = 0, close = false) =>
  mount(LoadStrokes, { props: { minutes, over, limit: 480, close } });

describe("a week's work in strokes", () => {
  it("is a stroke an hour, and half a stroke for half", () => {
    expect(strokes(180).findAll("i")).toHaveLength(3);
    const half = strokes(215).findAll("i");
    expect(half).toHaveLength(4);
    expect(half.map((s) => s.classes("h"))).toEqual([false, false, false, true]);
    expect(strokes(200).findAll("i"), "less than half an hour is none").toHaveLength(3);
  });

  it("marks what lies past the limit, and says it", () => {
    const week = strokes(576, 96);
    expect(week.findAll("i.o")).toHaveLength(2);
    expect(week.text()).toContain("1.6 over");
    expect(week.text()).toContain("work due");
  });

  it("draws sixteen at most", () => {
    expect(strokes(3000).findAll("i")).toHaveLength(16);
  });

  it("is said in full for those who hear it, also where it is drawn close", () => {
    const close = strokes(576, 96, true);
    expect(close.find(".h").text()).toBe("9.6");
    expect(close.find(".vh").text()).toBe("hours of work due, 1.6 over");
  });
});
