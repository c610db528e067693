import { mount } from "@vue/test-utils";
import { defineComponent } from "vue";
import { describe, expect, it } from "vitest";
import { notedWall, server, settled, stubs } from "../test/stand";
import { wallOf } from "../wall/testWall";
import RhythmDialog from "./RhythmDialog.vue";

const LOGS = {
  id: "rhythm",
  title: "Field logs",
  unit: "U",
  weekdays: ["WE"],
  every: 2,
  yielded: { A: 4, B: 3 },
  parts: [
    {
      id: "p1",
      kind: "homework",
      title: "Log {n}",
      due: { rhythm: "rhythm", edge: "start" },
      remind: { plus: 1, in: "days" },
    },
  ],
};
const RepeatDates = defineComponent({
  props: ["change"],
  emits: ["read"],
  template: "<button class='over' @click='$emit(`read`, { dates: [], over: 3 })'></button>",
});

async function dialog(rhythms: object[]) {
  server({ "GET plan": () => ({ courses: [{ code: "C", rhythms }] }) });
  const wall = wallOf();
  wall.outline.units = [{ id: "U", code: "U", title: "Channels" }] as typeof wall.outline.units;
  const { state, proposed, provide } = notedWall(wall);
  const at = mount(RhythmDialog, {
    props: { wall },
    global: { provide, stubs: { ...stubs, RepeatDates, PartDates: true } },
  });
  await settled();
  const button = (text: string) => at.findAll("button").find((b) => b.text() === text)!;
  const save = async () => {
    await at.find("form").trigger("submit");
    await settled();
  };
  const rhythm = () => (proposed.at(-1)!.change as { rhythm: Record<string, unknown> }).rhythm;
  return { at, state, proposed, button, save, rhythm };
}

describe("rhythms of a course", () => {
  it("begins with a new one where there is none, in the first unit, due with each class", async () => {
    const { at, save, rhythm } = await dialog([]);
    await at.find("#rhythm-title").setValue("Names");
    await at.find("[aria-label^='Part 1: title']").setValue("Names {n}");
    await save();
    expect(rhythm()).toMatchObject({
      id: "rhythm",
      title: "Names",
      unit: "U",
      begin: 1,
      parts: [{ kind: "quiz", title: "Names {n}", due: { rhythm: "rhythm", edge: "start" } }],
    });
    expect(at.emitted("done")).toHaveLength(1);
  });

  it("lists those that there are, with how often each comes", async () => {
    const { at, button } = await dialog([LOGS]);
    expect(at.find("li").text()).toBe("Field logs1 a time, 4 times");
    await button("A new rhythm").trigger("click");
    expect((at.find("#rhythm-title").element as HTMLInputElement).value).toBe("");
  });

  it("edits one in place, but not the unit it goes into", async () => {
    const { at, button, save, proposed, rhythm } = await dialog([LOGS]);
    await button("Field logs").trigger("click");
    expect(at.find("#rhythm-unit").attributes("disabled")).toBeDefined();
    await at.find("[aria-label='With which of the classes']").setValue("1");
    await at.findAll("input[type=checkbox]")[0]!.setValue(true);
    await save();
    expect(proposed[0]!.change.kind).toBe("put-rhythm");
    expect(rhythm()).toMatchObject({ id: "rhythm", every: 1, weekdays: ["MO", "WE"] });
    expect(LOGS.every, "what was looked up is not changed").toBe(2);
  });

  it("gives more than one thing a time, each with a reminder of its own", async () => {
    const { at, button, save, rhythm } = await dialog([LOGS]);
    await button("Field logs").trigger("click");
    await button("+ something more each time").trigger("click");
    await at.find("[aria-label^='Part 2: title']").setValue("Quiz {n}");
    await at.find("[aria-label='Part 1: reminder before its last date']").setValue("");
    await at.find("[aria-label='Part 2: reminder before its last date']").setValue("3 hours");
    await save();
    const parts = rhythm().parts as { id: string; remind?: object }[];
    expect(parts.map((p) => p.id)).toEqual(["p1", "p2"]);
    expect(parts[0]!.remind).toBeUndefined();
    expect(parts[1]!.remind).toEqual({ plus: 3, in: "hours" });
    await button("remove").trigger("click");
    expect(at.findAll("fieldset")).toHaveLength(1);
  });

  it("begins behind the classes that are over, unless those are asked for too", async () => {
    const { at, save, rhythm } = await dialog([]);
    await at.find("#rhythm-title").setValue("Names");
    await at.find(".over").trigger("click");
    await save();
    expect(rhythm().begin).toBe(4);
    await at.findAll("input[type=checkbox]").at(-1)!.setValue(true);
    await save();
    expect(rhythm().begin).toBe(1);
  });

  it("is taken out as a whole, and says why where it cannot be", async () => {
    const { at, state, button, proposed } = await dialog([LOGS]);
    await button("Field logs").trigger("click");
    state.refuses = "It has been handed in.";
    await button("Delete").trigger("click");
    await settled();
    expect(proposed[0]!.change).toEqual({ kind: "remove-rhythm", course: "C", rhythm: "rhythm" });
    expect(at.find("[role=alert]").text()).toBe("It has been handed in.");
    expect(at.emitted("done")).toBeUndefined();
  });
});
