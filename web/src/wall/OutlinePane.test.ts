import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import type { Schemas, WallView } from "../api/client";
import OutlinePane from "./OutlinePane.vue";
import { wallOf } from "./testWall";

function item(id: string, more: Partial<Schemas["OutlineItem"]> = {}): Schemas["OutlineItem"] {
  return {
    id,
    title: `Work ${id}`,
    kind: "homework",
    marking: "instructor",
    unit: "U",
    moved: false,
    date: "2026-10-05T10:00:00",
    ...more,
  };
}
function outline(): WallView {
  const wall = wallOf();
  const lesson = {
    id: "L1",
    unit: "U",
    title: "Pools",
    state: "planned",
    date: "2026-10-05",
    length: 1,
    optional: false,
    reserve: false,
    moved: false,
    items: [item("a"), item("q", { kind: "quiz" })],
  };
  wall.outline = {
    noDate: [item("n", { date: undefined })],
    noSession: [],
    units: [
      {
        id: "U",
        code: "U",
        title: "Channels",
        number: 0,
        first: "2026-10-05",
        last: "2026-10-12",
        startsWeek: false,
        lessons: [lesson],
        items: [item("loose")],
      },
      {
        id: "V",
        code: "V",
        title: "Floods",
        number: 1,
        first: "2026-11-05",
        last: "2026-11-12",
        startsWeek: false,
        lessons: [{ ...lesson, id: "M1", title: "Peaks", items: [] }],
        items: [],
      },
    ],
  };
  return wall;
}
const pane = () => mount(OutlinePane, { props: { wall: outline(), picked: new Set<string>() } });

describe("the outline", () => {
  it("has what has no date first, and the unit of now open", () => {
    const text = pane().text();
    expect(text.indexOf("Work n")).toBeLessThan(text.indexOf("Channels"));
    expect(text).toContain("Pools");
    expect(text).not.toContain("Peaks");
  });

  it("opens and closes a unit", async () => {
    const wrapper = pane();
    const floods = wrapper.findAll("button").find((b) => b.text().includes("Floods"))!;
    await floods.trigger("click");
    expect(wrapper.text()).toContain("Peaks");
    expect(wrapper.emitted("pick")![0]).toEqual(["unit:V", "2026-11-05", false]);
    await floods.trigger("click");
    expect(wrapper.text()).not.toContain("Peaks");
  });

  it("filters by kind and by text, in every unit", async () => {
    const wrapper = pane();
    await wrapper.findAll("select")[0]!.setValue("quiz");
    expect(wrapper.text()).toContain("Work q");
    expect(wrapper.text()).not.toContain("Work a");
    await wrapper.findAll("select")[0]!.setValue("");
    await wrapper.find("input").setValue("peaks");
    expect(wrapper.text()).toContain("Peaks");
    expect(wrapper.text()).not.toContain("Pools");
    await wrapper.find("input").setValue("nothing such");
    expect(wrapper.text()).toContain("Nothing fits.");
  });

  it("chooses several with Ctrl and edits on a double press", async () => {
    const wrapper = pane();
    const work = wrapper.findAll("button").find((b) => b.text().includes("Work a"))!;
    await work.trigger("click", { ctrlKey: true });
    expect(wrapper.emitted("pick")![0]).toEqual(["item:a", "2026-10-05", true]);
    await work.trigger("dblclick");
    expect(wrapper.emitted("edit")![0]).toEqual(["item:a"]);
  });
});
