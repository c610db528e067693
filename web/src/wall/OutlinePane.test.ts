import { mount } from "@vue/test-utils";
import { describe, expect, it, vi } from "vitest";
import { ref } from "vue";
import type { Schemas, WallView } from "../api/client";
import OutlinePane from "./OutlinePane.vue";
import { NO_OUTLINE_FILTER, outlineParts } from "../change/outline";
import { nudge, putOn } from "../change/placing";
import { wallOf } from "./testWall";
import { WALL, type WallState } from "../change/useWall";

function item(id: string, more: Partial<Schemas["OutlineItem"]> = {}): Schemas["OutlineItem"] {
  return {
    id,
    title: `Work ${id}`,
    kind: "homework",
    marking: "instructor",
    unit: "U",
    moved: false,
    date: "2026-10-05T10:00:00",
    locked: false,
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
    items: [item("a", { lesson: "L1" }), item("q", { kind: "quiz", lesson: "L1" })],
  };
  wall.outline = {
    noDate: [item("n", { date: undefined })],
    noSession: [],
    notices: [],
    units: [
      {
        id: "U",
        code: "U",
        title: "Channels",
        number: 0,
        first: "2026-10-05",
        last: "2026-10-12",
        startsWeek: false,
        colour: "",
        notices: [],
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
        colour: "",
        notices: [],
        lessons: [{ ...lesson, id: "M1", title: "Peaks", items: [] }],
        items: [],
      },
    ],
  };
  return wall;
}
const propose = vi.fn(() => Promise.resolve(true));
const pane = (picked: string[] = []) =>
  mount(OutlinePane, {
    props: { wall: outline(), picked: new Set(picked) },
    global: {
      provide: {
        [WALL as symbol]: { termId: 1, proposal: ref(null), problem: ref(""), propose } as unknown as WallState,
      },
    },
    attachTo: document.body,
  });
const line = (wrapper: ReturnType<typeof pane>, words: string) =>
  wrapper.findAll("[role=treeitem]").find((b) => b.text().includes(words))!;
const chosen = (wrapper: ReturnType<typeof pane>, n = 0) => [...(wrapper.emitted("pick")![n]![0] as Set<string>)];

describe("the outline", () => {
  it("has what has no date first, and the unit of now open", () => {
    const text = pane().find(".ol").text();
    expect(text.indexOf("Work n")).toBeLessThan(text.indexOf("Channels"));
    expect(text).toContain("Pools");
    expect(text).not.toContain("Peaks");
  });

  it("opens and closes a unit", async () => {
    const wrapper = pane();
    await line(wrapper, "Floods").trigger("click");
    expect(wrapper.text()).toContain("Peaks");
    expect(chosen(wrapper)).toEqual(["unit:V"]);
    await line(wrapper, "Floods").trigger("click");
    expect(wrapper.text()).not.toContain("Peaks");
  });

  it("filters by kind, by unit, by date and by text, in every unit", async () => {
    const wrapper = pane();
    const [kind, , unit, dated] = wrapper.findAll("select");
    await kind!.setValue("quiz");
    expect(wrapper.text()).toContain("Work q");
    expect(wrapper.text()).not.toContain("Work a");
    await kind!.setValue("");
    await unit!.setValue("V");
    expect(wrapper.text()).toContain("Peaks");
    expect(line(wrapper, "Pools")).toBeUndefined();
    await unit!.setValue("");
    await dated!.setValue("undated");
    expect(wrapper.text()).toContain("Work n");
    expect(wrapper.text()).not.toContain("Work a");
    await dated!.setValue("");
    await wrapper.find("input").setValue("peaks");
    expect(wrapper.text()).toContain("Peaks");
    expect(wrapper.text()).not.toContain("Pools");
    await wrapper.find("input").setValue("nothing such");
    expect(wrapper.text()).toContain("Nothing fits.");
  });

  it("chooses several with Ctrl, a range with Shift, and all that a filter shows", async () => {
    const wrapper = pane(["item:q"]);
    await line(wrapper, "Work a").trigger("click", { ctrlKey: true });
    expect(chosen(wrapper)).toEqual(["item:q", "item:a"]);
    await line(wrapper, "Work loose").trigger("click", { shiftKey: true });
    expect(chosen(wrapper, 1).sort()).toEqual(["item:a", "item:loose", "item:q"]);
    await wrapper.find("input").setValue("work");
    await wrapper
      .findAll("button")
      .find((b) => b.text() === "choose these")!
      .trigger("click");
    expect(chosen(wrapper, 2).sort()).toEqual(["item:a", "item:loose", "item:n", "item:q"]);
    await line(wrapper, "Work a").trigger("dblclick");
    expect(wrapper.emitted("edit")![0]).toEqual(["item:a"]);
  });

  it("puts lines in order and in and out by keys", async () => {
    const wrapper = pane();
    const key = (name: string) => line(wrapper, "Work q").trigger("keydown", { key: name, altKey: true });
    await line(wrapper, "Work q").trigger("focus");
    await key("ArrowUp");
    expect(propose).toHaveBeenLastCalledWith(
      expect.objectContaining({ kind: "arrange-items", items: ["q"], lesson: "L1", before: "a" }),
    );
    await key("ArrowRight");
    expect(propose).toHaveBeenLastCalledWith(expect.objectContaining({ kind: "arrange-items", within: "a" }));
    await key("ArrowLeft");
    expect(propose).toHaveBeenLastCalledWith({ kind: "arrange-items", course: "C", items: ["q"], unit: "U" });
  });

  it("opens a line to type in below the one it stands on, and changes its level with Tab", async () => {
    const wrapper = pane();
    await line(wrapper, "Pools").trigger("focus");
    await line(wrapper, "Pools").trigger("keydown", { key: "n" });
    const field = () => wrapper.find(".new input");
    expect(field().attributes("aria-label")).toBe("New line: a lesson of U");
    await field().trigger("keydown", { key: "Tab" });
    expect(field().attributes("aria-label")).toBe("New line: work of L1");
    await field().trigger("keydown", { key: "Escape" });
    expect(field().exists()).toBe(false);
  });
});

describe("putting things on a line of the outline", () => {
  const rows = () => outlineParts(outline(), NO_OUTLINE_FILTER, () => true).flatMap((p) => p.rows);
  const row = (key: string) => rows().find((r) => r.key === key)!;
  it("makes work belong to a lesson, and goes before other work", () => {
    expect(putOn(["item:loose"], row("lesson:L1"), "C")).toMatchObject({ lesson: "L1", unit: "U" });
    expect(putOn(["item:loose"], row("item:q"), "C")).toMatchObject({ lesson: "L1", before: "q" });
  });
  it("puts lessons and units in order", () => {
    expect(putOn(["lesson:M1"], row("lesson:L1"), "C")).toMatchObject({
      kind: "arrange-lessons",
      unit: "U",
      before: "L1",
    });
    expect(putOn(["unit:V"], row("unit:U"), "C")).toEqual({
      kind: "arrange-unit",
      course: "C",
      unit: "V",
      before: "U",
    });
  });
  it("puts a notice into a unit, and before another", () => {
    const notice = (id: string, unit?: string) => ({
      id,
      unit,
      title: id,
      series: false,
      times: 1,
      own: false,
      moved: false,
    });
    const wall = outline();
    wall.outline.notices = [notice("free"), notice("last")];
    wall.outline.units[0]!.notices = [notice("trip", "U"), notice("hut", "U")];
    const all = outlineParts(wall, NO_OUTLINE_FILTER, () => true).flatMap((p) => p.rows);
    const of = (key: string) => all.find((r) => r.key === key)!;
    expect(putOn(["notice:free"], of("unit:V"), "C")).toMatchObject({ kind: "arrange-notice", unit: "V" });
    expect(nudge(all, of("notice:hut"), "up", "C")).toMatchObject({ notice: "hut", unit: "U", before: "trip" });
    expect(nudge(all, of("notice:hut"), "down", "C")).toMatchObject({ notice: "hut", unit: undefined, before: "last" });
    expect(nudge(all, of("notice:last"), "down", "C")).toBeNull();
    expect(nudge(all, of("notice:hut"), "in", "C")).toBeNull();
  });
  it("means nothing on itself or for things of several kinds", () => {
    expect(putOn(["item:q"], row("item:q"), "C")).toBeNull();
    expect(putOn(["item:q", "lesson:L1"], row("unit:V"), "C")).toBeNull();
  });
});
